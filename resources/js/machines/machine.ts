import type { Machine, Position } from '../contracts/oak-setup-1';

export interface MachineRow {
    id: number;
    name: string;
    /** The shop's control profile; 0 where the definition names a built-in one. */
    profile: number;
    definition: Machine;
    setups: { id: number; title: string; stock: { x: [number, number]; y: [number, number] } | null }[];
}

export interface ProfileChoice {
    name: string;
    title: string;
    id: number;
}

/** The axes a machine can be given, in the order they stand. */
export const AXES = ['X', 'Y', 'Z', 'A', 'B', 'C', 'U', 'V', 'W'] as const;

export const isRotary = (axis: string): boolean => 'ABC'.includes(axis.charAt(0));

/** An axis over its column: with Ø where it counts diameters, as X of a lathe does unless it says otherwise. */
export const axisHead = (machine: Machine, axis: string): string =>
    machine.kind !== 'mill' && axis === 'X' && machine.axes.X?.xIs !== 'radius' ? 'X Ø' : axis;

/** The machine with one axis more, with usual figures. */
export function withAxis(machine: Machine, axis: string, unit: 'mm' | 'in'): Machine {
    const scale = unit === 'mm' ? 1 : 1 / 25;
    const added = isRotary(axis) ? { min: -36000, max: 36000, rapid: 7200 } : { min: -400 * scale, max: 0, rapid: 18000 * scale };
    const all = { ...machine.axes, [axis]: added };
    return {
        ...machine, axes: Object.fromEntries(AXES.filter((name) => all[name] !== undefined).map((name) => [name, all[name] ?? {}])),
        home: { ...machine.home, [axis]: 0 },
    };
}

/** The machine without an axis, wherever it stood. */
export function withoutAxis(machine: Machine, axis: string): Machine {
    const out = <Value>(group: Record<string, Value> | undefined) =>
        Object.fromEntries(Object.entries(group ?? {}).filter(([name]) => name !== axis)) as Record<string, Value>;
    return {
        ...machine, axes: out(machine.axes), home: out(machine.home),
        ...(machine.secondHome && { secondHome: out(machine.secondHome) }),
        ...(machine.toolChange?.at && { toolChange: { ...machine.toolChange, at: out(machine.toolChange.at) } }),
        ...(machine.rotaryCenters && { rotaryCenters: out(machine.rotaryCenters) }),
    };
}

/** The machine with its tools in a turret or in posts, on the side they stood; what belongs to a turret alone goes with it. */
export function carriedIn(machine: Machine, carrier: 'turret' | 'posts'): Machine {
    const { turret, posts, ...rest } = machine;
    const side = (turret ?? posts)?.side;
    const own = side === undefined ? {} : { side };
    return carrier === 'posts' ? { ...rest, posts: own } : { ...rest, ...(side !== undefined && { turret: own }) };
}

/** A place under a name that is not taken yet. */
export function withPlace(places: Record<string, Position> | undefined, axes: string[]): Record<string, Position> {
    let name = 'Vice';
    for (let n = 2; places?.[name] !== undefined; n++) name = `Vice ${n}`;
    return { ...places, [name]: Object.fromEntries(axes.filter((axis) => axis === 'X' || axis === 'Y').map((axis) => [axis, 0])) };
}

/** A place under another name, where it stands; null where that is taken. */
export function renamed(places: Record<string, Position>, from: string, to: string): Record<string, Position> | null {
    if (to === '' || (to !== from && places[to] !== undefined)) return null;
    return Object.fromEntries(Object.entries(places).map(([name, at]) => [name === from ? to : name, at]));
}
