import type { OakCheck } from '../contracts/oak-check-1';
import type { Columns } from '../shared/columns';

/** What the server says about a program: the check result, what stands still, and columns to draw from. */
export interface BenchAnswer {
    result: OakCheck;
    questions: { question: string; looked: boolean }[];
    /** Why what was found matters, by check. */
    whys: Record<string, string>;
    /** The programs of the setup that were called. */
    texts: CalledText[];
    scene: Scene;
    states: StateRow[];
    columns: Columns;
}

export interface CalledText {
    name: string;
    text: string;
}

/** What the margin shows of every line of a text, by its number; see the core's LineHeights for the bits of `marks`. */
export interface Heights {
    z: Float32Array;
    lowest: Float32Array;
    tool: Uint16Array;
    marks: Uint8Array;
    seconds: Float32Array;
}

export const MOVES = 1;
export const CUTS = 2;
export const HOME = 4;
export const KNOWN = 8;

export type Vector = [number, number, number];

export interface Scene {
    units: 'mm' | 'inch';
    decimals: number;
    axes: string[];
    /** Axes that are shown as diameters; columns and travel hold radii. */
    diameters: string[];
    work: string;
    stock: { min: Vector; max: Vector } | null;
    /** What else is clamped, at other work offsets. */
    moreStock: { min: Vector; max: Vector }[];
    /** What stands in the way, in the coordinates of the drawing. */
    obstacles: { name: string; min: Vector; max: Vector; outline: [number, number][] }[];
    clearance: number | null;
    /** Where the drawing's zero stands in the machine. */
    zero: Record<string, number>;
    /** How far that zero may move on each axis for everything to fit, seen from where it is; an open end is null, and null where nothing fits. */
    mayMove: Record<string, [number | null, number | null] | null>;
    /** Axis travel seen from the zero of the drawing. */
    travel: Record<string, [number, number]>;
    tools: Record<string, { name: string; diameter: number | null; point: number }>;
    /** Of a lathe; null on any other machine. */
    turned: TurnedScene | null;
}

/** What stands of a turned stock: from and to along Z, inner and outer radii of what stands there. */
export type TurnedStretch = [number, number, number[]];

/** What a lathe's drawing shows beside the moves. Z and radii. */
export interface TurnedScene {
    /** The stock at the end. */
    stands: TurnedStretch[];
    /** Jaws and body: from and to along Z, inner and outer radius. */
    chuck: [number, number, number, number][];
    /** Tailstock, steady and zones: Z and radius along the outside. */
    solids: { name: string; outline: [number, number][] }[];
    /** Roots of threads in the order they are cut: Z and radius where each begins and ends in what stands, and the line that cuts it. */
    threads: [number, number, number, number, number][];
    /** Whether the tools stand on the operator's side of the axis. */
    isFront: boolean;
    /** The shapes the drawing wants, Z and radius. */
    wanted: [number, number][][];
    /** The sizes of the drawing, as they have come out. */
    sizes: TurnedSizeRow[];
    /** What cuts on each tool, Z and radius from its tip. */
    shapes: Record<string, [number, number][]>;
    /** What holds it, piece by piece, likewise. */
    holders: Record<string, [number, number][][]>;
}

export interface TurnedSizeRow {
    name: string;
    /** What stands before the figure: Ø, Z, R or nothing. */
    sign: string;
    got: number | null;
    wanted: number;
    severity: 'clear' | 'caution' | 'stop';
    line: number | null;
}

export interface StateRow {
    tool: number;
    work: string;
    /** What, how it stands, and the same in the other unit. */
    words: [string, string, string][];
    /** Heights of the tip at the ends of the travel. */
    limits: [number | null, number | null];
    /** What to take off each axis' machine position to have the one the control shows. */
    shift: Record<string, number>;
}

export const RAPID = 0;
export const ARC = 2;
export const TOOL = 4;

/** The trace as typed columns; row i is move or event i. See the core's DrawingColumns for what each holds. */
export interface Motion {
    rows: number;
    /** Whether the run goes down the text and never back up. */
    isStraight: boolean;
    /** Line of the program itself: the row's own, or that of the call it came from. */
    line: Uint32Array;
    /** Which text the row is in, 0 the program itself, 1 and on the called ones, and its line there; null where nothing is called. */
    text: Uint8Array | null;
    textLine: Uint32Array | null;
    kind: Uint8Array;
    state: Uint32Array;
    endSeconds: Float64Array;
    feed: Float32Array;
    /** Of the spindle at the end of each row, on a lathe. */
    rpm: Float32Array | null;
    x: Float32Array;
    y: Float32Array;
    z: Float32Array;
    machine: Record<string, Float64Array>;
    /** First corner of each row; one entry more than rows. */
    firstCorner: Uint32Array;
    cornerX: Float32Array;
    cornerY: Float32Array;
    cornerZ: Float32Array;
    arcRow: Uint32Array;
    arcX: Float32Array;
    arcY: Float32Array;
    arcZ: Float32Array;
    arcRadius: Float32Array;
    arcSweep: Float32Array;
    arcNormal: Uint8Array;
    /** The path as programmed where compensation runs beside it; not a number before each stretch. */
    programmedX: Float32Array;
    programmedY: Float32Array;
    programmedZ: Float32Array;
    /** The path on the part, where a rotary axis turns that; null where none does. See the core's PartPath. */
    onPart: OnPart | null;
    /** Null where the stock was not simulated. */
    cuts: Cuts | null;
}

/** The drawn path with every place turned back onto the part, and which rows that moves. */
export type OnPart = Pick<Motion, 'x' | 'y' | 'z' | 'cornerX' | 'cornerY' | 'cornerZ'> & { turned: Uint8Array };

/** What each row cuts of the stock; see the core's Engagement for what each holds, and for the bits of `marks`. */
export interface Cuts {
    depth: Float32Array;
    width: Float32Array;
    angle: Float32Array;
    volume: Float32Array;
    air: Uint8Array;
    /** At the cut, kW or hp; not a number where it is not known. */
    power: Float32Array;
    /** The thickest chip. */
    chip: Float32Array;
    marks: Uint8Array;
}

export const INTO_CENTRE = 1;
export const CUT_KNOWN = 2;

export function motionOf({ columns, scene }: Pick<BenchAnswer, 'columns' | 'scene'>): Motion {
    const corners = columns.u8('corners');
    const firstCorner = new Uint32Array(corners.length + 1);
    for (let row = 0; row < corners.length; row++) firstCorner[row + 1] = (firstCorner[row] ?? 0) + (corners[row] ?? 0);
    const hasCalls = columns.has('text');
    const line = columns.u32('line');
    return {
        rows: corners.length,
        isStraight: !hasCalls && line.every((at, row) => row === 0 || at >= (line[row - 1] ?? 0)),
        line,
        text: hasCalls ? columns.u8('text') : null,
        textLine: hasCalls ? columns.u32('textLine') : null,
        kind: columns.u8('kind'),
        state: columns.u32('state'),
        endSeconds: columns.f64('endSeconds'),
        feed: columns.f32('feed'),
        rpm: columns.has('rpm') ? columns.f32('rpm') : null,
        x: columns.f32('x'),
        y: columns.f32('y'),
        z: columns.f32('z'),
        machine: Object.fromEntries(scene.axes.map((axis) => [axis, columns.f64(`machine${axis}`)])),
        firstCorner,
        cornerX: columns.f32('cornerX'),
        cornerY: columns.f32('cornerY'),
        cornerZ: columns.f32('cornerZ'),
        arcRow: columns.u32('arcRow'),
        arcX: columns.f32('arcX'),
        arcY: columns.f32('arcY'),
        arcZ: columns.f32('arcZ'),
        arcRadius: columns.f32('arcRadius'),
        arcSweep: columns.f32('arcSweep'),
        arcNormal: columns.u8('arcNormal'),
        programmedX: columns.f32('programmedX'),
        programmedY: columns.f32('programmedY'),
        programmedZ: columns.f32('programmedZ'),
        onPart: columns.has('turned')
            ? {
                turned: columns.u8('turned'),
                x: columns.f32('partEndX'),
                y: columns.f32('partEndY'),
                z: columns.f32('partEndZ'),
                cornerX: columns.f32('partX'),
                cornerY: columns.f32('partY'),
                cornerZ: columns.f32('partZ'),
            }
            : null,
        cuts: columns.has('cutDepth')
            ? {
                depth: columns.f32('cutDepth'),
                width: columns.f32('cutWidth'),
                angle: columns.f32('cutAngle'),
                volume: columns.f32('cutVolume'),
                air: columns.u8('cutAir'),
                marks: columns.u8('cutMarks'),
                power: columns.f32('cutPower'),
                chip: columns.f32('cutChip'),
            }
            : null,
    };
}

/** What the margin shows of a text: 0 the program itself, 1 and on those it calls. */
export function heightsOf(columns: Columns, text: number): Heights {
    return {
        z: columns.f32(`heightZ${text}`),
        lowest: columns.f32(`heightLowest${text}`),
        tool: columns.u16(`heightTool${text}`),
        marks: columns.u8(`heightMarks${text}`),
        seconds: columns.f32(`heightSeconds${text}`),
    };
}

/** The position the control shows at the end of a row. */
export function shownAt(motion: Motion, states: StateRow[], axis: string, row: number): number | undefined {
    const at = motion.machine[axis]?.[row];
    return at === undefined ? undefined : at - (states[motion.state[row] ?? 0]?.shift[axis] ?? 0);
}

/** Which text a row is in, and its line there. */
export function placeOf(motion: Motion, row: number): { text: number; line: number } {
    const text = motion.text?.[row] ?? 0;
    return { text, line: (text > 0 ? motion.textLine?.[row] : motion.line[row]) ?? 1 };
}

/** A moment of the run: somewhere along a row. `share` is 1 when the row is done. */
export interface Moment {
    row: number;
    share: number;
}

/** The last row a line of a text makes, or the last one made before it there; -1 before the first. */
export function rowAtLine(motion: Motion, line: number, text = 0): number {
    if (motion.isStraight) return text > 0 ? -1 : lastUpTo(motion.line, line);
    let before = -1;
    for (let row = motion.rows - 1; row >= 0; row--) {
        if (text > 0 && motion.text?.[row] !== text) continue;
        const at = (text > 0 ? motion.textLine?.[row] : motion.line[row]) ?? 0;
        if (at === line) return row;
        if (at < line && before < 0) before = row;
    }
    return before;
}

/** The last place in rising numbers that holds no more than a number; -1 where all hold more. */
function lastUpTo(numbers: Uint32Array, most: number): number {
    let [low, high] = [0, numbers.length];
    while (low < high) {
        const middle = (low + high) >> 1;
        if ((numbers[middle] ?? 0) <= most) low = middle + 1;
        else high = middle;
    }
    return low - 1;
}

/** The moment a number of seconds into the run. */
export function momentAt(motion: Motion, seconds: number): Moment {
    let low = 0;
    let high = motion.rows - 1;
    while (low < high) {
        const middle = (low + high) >> 1;
        if ((motion.endSeconds[middle] ?? 0) < seconds) low = middle + 1;
        else high = middle;
    }
    const start = low > 0 ? (motion.endSeconds[low - 1] ?? 0) : 0;
    const length = (motion.endSeconds[low] ?? 0) - start;
    return { row: low, share: length > 0 ? Math.min(1, Math.max(0, (seconds - start) / length)) : 1 };
}

export function secondsAt(motion: Motion, moment: Moment): number {
    const start = moment.row > 0 ? (motion.endSeconds[moment.row - 1] ?? 0) : 0;
    return start + ((motion.endSeconds[moment.row] ?? 0) - start) * moment.share;
}

/** Where the tip is drawn at a moment: along the drawn path of the row. */
export function tipAt(motion: Motion, moment: Moment): Vector {
    const { row, share } = moment;
    if (row < 0 || row >= motion.rows) return [0, 0, 0];
    const end: Vector = [motion.x[row] ?? 0, motion.y[row] ?? 0, motion.z[row] ?? 0];
    const first = motion.firstCorner[row] ?? 0;
    const count = (motion.firstCorner[row + 1] ?? 0) - first;
    if (share >= 1 || count === 0) return end;
    const along = share * count;
    const step = Math.floor(along);
    const corner = (n: number): Vector =>
        n >= 0 ? [motion.cornerX[n] ?? 0, motion.cornerY[n] ?? 0, motion.cornerZ[n] ?? 0] : end;
    const from = first + step - 1 >= 0 ? corner(first + step - 1) : corner(first);
    const to = corner(Math.min(first + step, first + count - 1));
    const part = along - step;
    return [from[0] + (to[0] - from[0]) * part, from[1] + (to[1] - from[1]) * part, from[2] + (to[2] - from[2]) * part];
}

/** The run as it lies on the part: what is drawn of it where the part turns. Arcs and compensated paths are not told apart there. */
export function onPart(motion: Motion): Motion {
    if (motion.onPart === null) return motion;
    const none = new Float32Array(0);
    return {
        ...motion, ...motion.onPart, programmedX: none, programmedY: none, programmedZ: none, arcRow: new Uint32Array(0),
    };
}

/** Whether a row is drawn on the part while the part is turned: then the tool does not come from above. */
export function isTurnedBack(motion: Motion, row: number): boolean {
    return motion.onPart !== null && motion.x === motion.onPart.x && motion.onPart.turned[row] === 1;
}
