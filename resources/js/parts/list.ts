export interface Sketch {
    stock: [number, number, number, number] | null;
    cuts: string;
}

export interface ProgramRow {
    id: number;
    name: string;
    verdict: 'stop' | 'caution' | 'clear' | null;
    stops: number;
    cautions: number;
    notes: number;
    worst: { severity: 'stop' | 'caution' | 'note'; text: string; line: number } | null;
    sketch: Sketch | null;
    /** Of a text that is there to be called: the programs that do. */
    calledBy: string[] | null;
    seconds: number;
    revision: number;
    savedBy: string;
    savedById: number;
    savedAt: string;
}

export interface SetupRow {
    id: number;
    operation: number;
    name: string;
    machineId: number;
    machine: string;
    programs: ProgramRow[];
}

export interface PartRow {
    id: number;
    name: string;
    drawingNumber: string;
    material: string | null;
    units: 'mm' | 'inch';
    isArchived: boolean;
    opened: string | null;
    setups: SetupRow[];
}

export type Standing = 'any' | 'ready' | 'stop' | 'caution' | 'clear' | 'unchecked';
export type Order = 'opened' | 'name' | 'drawing' | 'changed';

export interface Filter {
    text: string;
    standing: Standing;
    /** Of a machine; 0 for any. */
    machine: number;
    mine: boolean;
    archived: boolean;
    order: Order;
}

export const ALL: Filter = { text: '', standing: 'any', machine: 0, mine: false, archived: false, order: 'opened' };

const STANDINGS: Record<Standing, (program: ProgramRow) => boolean> = {
    any: () => true,
    ready: ({ verdict, calledBy }) => calledBy === null && (verdict === 'clear' || verdict === 'caution'),
    stop: ({ verdict, calledBy }) => calledBy === null && verdict === 'stop',
    caution: ({ verdict, calledBy }) => calledBy === null && verdict === 'caution',
    clear: ({ verdict, calledBy }) => calledBy === null && verdict === 'clear',
    unchecked: ({ verdict, calledBy }) => calledBy === null && verdict === null,
};

const changedAt = (part: PartRow) => part.setups.flatMap(({ programs }) => programs.map(({ savedAt }) => savedAt)).sort().at(-1) ?? '';

/** By numbers inside names: FCW-90 before FCW-1210. */
const byName = (a: string, b: string) => a.localeCompare(b, undefined, { numeric: true });

const ORDERS: Record<Order, (a: PartRow, b: PartRow) => number> = {
    opened: (a, b) => (b.opened ?? '').localeCompare(a.opened ?? '') || byName(a.name, b.name),
    name: (a, b) => byName(a.name, b.name),
    drawing: (a, b) => byName(a.drawingNumber, b.drawingNumber) || byName(a.name, b.name),
    changed: (a, b) => changedAt(b).localeCompare(changedAt(a)) || byName(a.name, b.name),
};

/**
 * The parts a filter leaves, in its order, each with the setups and programs that are meant. A word that is found in a part's own
 * name shows all of it; one found in a setup shows that setup.
 */
export function listed(parts: PartRow[], filter: Filter, person: number): PartRow[] {
    const words = filter.text.toLowerCase().split(/\s+/).filter((word) => word !== '');
    const has = (text: string) => {
        const searched = text.toLowerCase();
        return words.every((word) => searched.includes(word));
    };
    const asksPrograms = filter.standing !== 'any' || filter.mine;
    return parts
        .filter((part) => part.isArchived === filter.archived)
        .flatMap((part) => {
            const own = `${part.name} ${part.drawingNumber} ${part.material ?? ''}`;
            const setups = part.setups
                .filter((setup) => filter.machine === 0 || setup.machineId === filter.machine)
                .flatMap((setup) => {
                    const about = `${own} op ${setup.operation} ${setup.name} ${setup.machine}`;
                    const programs = setup.programs.filter(
                        (program) => STANDINGS[filter.standing](program) && (!filter.mine || program.savedById === person),
                    );
                    const found = has(about) ? programs : programs.filter((program) => has(`${about} ${program.name}`));
                    return (has(about) && !asksPrograms) || found.length > 0 ? [{ ...setup, programs: found }] : [];
                });
            return setups.length > 0 || (has(own) && filter.machine === 0 && !asksPrograms) ? [{ ...part, setups }] : [];
        })
        .sort(ORDERS[filter.order]);
}

/** The next usual operation number: tens. */
export function nextOperation(part: PartRow): number {
    return Math.floor(Math.max(0, ...part.setups.map(({ operation }) => operation)) / 10) * 10 + 10;
}
