/** A control profile as the page has it: `id` is null for one that came with the house. */
export interface Profile {
    id: number | null;
    name: string;
    title: string;
    version?: number;
    control: Control;
    /** Function → code as written, and meaning → letter, as they now stand. */
    codes: Record<string, string>;
    words: Record<string, string>;
    machines?: number[];
}

export type Control = Record<string, unknown> & { codes?: Record<string, string>; words?: Record<string, string> };

export interface FunctionRow {
    function: string;
    words: string;
    group: string;
}

/** The switches of a profile in the words of the page. Lengths are in millimetres. */
export const SWITCHES: { name: string; label: string; choices?: [string, string][]; kind?: 'length' | 'count' | 'yes' }[] = [
    {
        name: 'rapidPath',
        label: 'Rapids',
        choices: [
            ['straight', 'all axes together, straight path'],
            ['independent', 'each axis at its own rate, path bends'],
        ],
    },
    { name: 'bareNumbers', label: 'Number without a decimal point', choices: [['units', 'whole units'], ['increments', 'least increments']] },
    { name: 'dwellUnit', label: 'P of a dwell', choices: [['seconds', 'seconds'], ['milliseconds', 'milliseconds']] },
    { name: 'dIs', label: 'Cutter offset', choices: [['diameter', 'diameter'], ['radius', 'radius']] },
    { name: 'outsideCorner', label: 'Compensation round an outside corner', choices: [['arc', 'arc'], ['extended', 'extended lines']] },
    {
        name: 'cycleRunsOn',
        label: 'A cycle drills on',
        choices: [
            ['position-words', 'a block with X, Y, Z or R'],
            ['plane-words', 'a block with X or Y only'],
        ],
    },
    {
        name: 'roundInWord',
        label: 'ROUND in a word',
        choices: [
            ['increment', 'to the least increment'],
            ['whole', 'to a whole number'],
        ],
    },
    {
        name: 'subprogramRepeats',
        label: 'Repeats of a call',
        choices: [
            ['word', 'own word'],
            ['leading-digits', 'before the last four digits of P'],
        ],
    },
    { name: 'cyclesAreMotion', label: 'Cycles are in the motion group', kind: 'yes' },
    { name: 'shrinkingPecks', label: 'I J K of a peck: first, reduction, least', kind: 'yes' },
    { name: 'semicolonComments', label: 'A semicolon begins a comment', kind: 'yes' },
    { name: 'arcTolerance', label: 'Arc radius tolerance', kind: 'length' },
    { name: 'peckClearance', label: 'Peck clearance', kind: 'length' },
    { name: 'chipBreakRetract', label: 'Chip-break retract', kind: 'length' },
    { name: 'lookAheadBlocks', label: 'Look-ahead blocks', kind: 'count' },
    { name: 'mostBlocks', label: 'Block limit of a run', kind: 'count' },
];

/** A mill breaks corners by the words with a comma, or not at all. */
const MILL_CORNERS: (typeof SWITCHES)[number] = { name: 'cornerWords', label: 'Corners in a block', choices: [['none', 'none'], ['comma', ',C and ,R']] };

/** Those of a lathe, which has the others too. */
export const TURNING_SWITCHES: typeof SWITCHES = [
    { name: 'incrementWords', label: 'U and W are increments of X and Z', kind: 'yes' },
    {
        name: 'toolWord',
        label: 'T of a tool',
        choices: [
            ['number', 'number'], ['1+1', 'station and offset, a digit each'], ['2+2', 'two digits each'], ['3+3', 'three digits each'],
            ['t-d', 'the station, its offset in D'],
        ],
    },
    { name: 'toolShift', label: 'Another tool offset acts', choices: [['with-next-move', 'with the next move'], ['at-once', 'at once']] },
    { name: 'changesTool', label: 'A tool comes in', choices: [['on-t', 'with its T'], ['on-m6', 'with M6 behind it']] },
    { name: 'offsetCarries', label: 'The offset number of T brings', choices: [['geometry-and-wear', 'geometry and wear'], ['wear-only', 'wear alone']] },
    { name: 'arcOver180', label: 'Arcs over 180°', choices: [['allowed', 'allowed'], ['refused', 'refused']] },
    { name: 'arcSense', label: 'G2 goes round', choices: [['right-handed', 'right-handed'], ['as-seen-on-front', 'as a front turret shows it']] },
    {
        name: 'cornerWords',
        label: 'Corners in a block',
        choices: [['none', 'none'], ['comma', ',C and ,R'], ['plain', 'C and R'], ['signed', 'I, K and R, signed']],
    },
    { name: 'angleWords', label: 'Angle of a move', choices: [['none', 'none'], ['comma', ',A'], ['plain', 'A'], ['either', ',A or A']] },
    { name: 'cycleForm', label: 'Repetitive cycles', choices: [['two-line', 'in two blocks'], ['one-line', 'in one block']] },
    { name: 'intsInCycles', label: 'P Q D of a cycle without a point', choices: [['increments', 'least increments'], ['units', 'whole units']] },
    {
        name: 'roughKind',
        label: 'Roughing takes profiles that',
        choices: [['monotone', 'rise all the way'], ['pockets', 'have pockets'], ['first-block', 'have pockets where block P names X and Z']],
    },
    { name: 'roughRetract', label: 'A roughing pass leaves the wall', choices: [['45', 'at 45°'], ['x-only', 'square to it']] },
    { name: 'roughLast', label: 'Roughing ends with a cut along the shape', kind: 'yes' },
    { name: 'finishReturns', label: 'Finishing goes back to its start', kind: 'yes' },
    { name: 'threadShift', label: 'Flank shift of a thread', choices: [['first-touch', 'from the first touch'], ['to-start', 'ends at the programmed start']] },
    { name: 'threadPullOff', label: 'Lead-out of a one-block thread, leads', kind: 'count' },
    {
        name: 'threadDepths',
        label: 'Passes of a thread take',
        choices: [
            ['area', 'the same area'], ['constant', 'the same depth'], ['zigzag', 'the same area, flanks in turn'],
            ['count', 'the same area, so many of them'],
        ],
    },
    { name: 'startAngleUnit', label: 'Q of a thread without a point', choices: [['0.001-degree', '0.001°'], ['degree', 'degrees']] },
    { name: 'leadAxis', label: 'F of a thread is counted along', choices: [['longer', 'the axis that goes further'], ['z', 'Z']] },
    { name: 'compensationOnRapid', label: 'Compensation begins with a rapid', kind: 'yes' },
    { name: 'feedModeKeepsF', label: 'F goes on when the feed mode changes', kind: 'yes' },
    { name: 'roughingCompensation', label: 'Roughing makes up for the nose', choices: [['ignored', 'no'], ['used', 'yes']] },
    {
        name: 'wordsInProfile',
        label: 'F and S in a profile act',
        choices: [['used-in-finish', 'in finishing'], ['always', 'in roughing too']],
    },
    { name: 'holePlane', label: 'Hole cycles need their plane', choices: [['ignored', 'no'], ['needed', 'yes']] },
    { name: 'holeReturn', label: 'Hole cycles go back to', choices: [['initial', 'where they began'], ['r', 'the R level']] },
    {
        name: 'surfaceSpeedInRapid',
        label: 'Spindle at a rapid with a surface speed',
        choices: [['at-end', 'takes the speed of its end'], ['follows', 'follows X'], ['held', 'holds its speed']],
    },
    { name: 'surfaceSpeedFrom', label: 'A surface speed is counted from', choices: [['part', 'part zero'], ['program', 'X as programmed']] },
    { name: 'secondSense', label: 'Second spindle, clockwise', choices: [['own', 'as it sees it itself'], ['as-main', 'as the main one sees it']] },
    { name: 'home', label: 'X and Z on the way home are', choices: [['absolute', 'a place gone through'], ['incremental', 'a way']] },
    { name: 'clampActs', label: 'The speed clamp acts', choices: [['surface', 'at a surface speed'], ['always', 'always']] },
];

/** The switches a control has. */
export function switchesOf(control: Control): typeof SWITCHES {
    return 'toolWord' in control ? [...SWITCHES, ...TURNING_SWITCHES] : [...SWITCHES, MILL_CORNERS];
}

/** The control with an entry of a table changed; what is as in the base profile is not kept. */
export function withEntry(control: Control, table: 'codes' | 'words', name: string, value: string, usual: string | undefined): Control {
    const typed = value.trim().toUpperCase();
    const others = Object.entries(control[table] ?? {}).filter(([key]) => key !== name);
    const entries = Object.fromEntries(typed === '' || typed === usual ? others : [...others, [name, typed]]);
    const rest = Object.fromEntries(Object.entries(control).filter(([key]) => key !== table)) as Control;
    return Object.keys(entries).length === 0 ? rest : { ...rest, [table]: entries };
}

/** The functions a search finds, by their words, their code or their group. */
export function found(functions: FunctionRow[], codes: Record<string, string>, wanted: string): FunctionRow[] {
    const parts = wanted.toLowerCase().split(/\s+/).filter((part) => part !== '');
    return functions.filter((row) => {
        const text = `${row.words} ${row.group} ${codes[row.function] ?? ''}`.toLowerCase();
        return parts.every((part) => text.includes(part));
    });
}
