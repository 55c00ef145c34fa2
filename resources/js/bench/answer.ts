import type { OakCheck } from '../contracts/oak-check-1';

/** What the server says about a program: the check result, and columns to draw from. */
export interface BenchAnswer {
    result: OakCheck;
    questions: { question: string; looked: boolean }[];
    margin: LineHeight[];
    /** The programs of the setup that were called, with the margin of each. */
    texts: CalledText[];
    scene: Scene;
    states: StateRow[];
    columns: Record<string, string>;
}

export interface CalledText {
    name: string;
    text: string;
    margin: LineHeight[];
}

export interface LineHeight {
    line: number;
    z: number;
    lowest: number;
    tool: number;
    cuts: boolean;
    home: boolean;
    /** Whether the tool's length offset has been stated, so that Z means anything. */
    known: boolean;
}

export type Vector = [number, number, number];

export interface Scene {
    units: 'mm' | 'inch';
    decimals: number;
    axes: string[];
    work: string;
    stock: { min: Vector; max: Vector } | null;
    /** What stands in the way, in the coordinates of the drawing. */
    obstacles: { name: string; min: Vector; max: Vector }[];
    clearance: number | null;
    /** Where the drawing's zero stands in the machine. */
    zero: Record<string, number>;
    /** How far that zero may move on each axis for everything to fit, seen from where it is; an open end is null, and null where nothing fits. */
    mayMove: Record<string, [number | null, number | null] | null>;
    /** Axis travel seen from the zero of the drawing. */
    travel: Record<string, [number, number]>;
    tools: Record<string, { name: string; diameter: number | null; point: number }>;
}

export interface StateRow {
    tool: number;
    work: string;
    /** What, how it stands, and the same in the other unit. */
    words: [string, string, string][];
    /** Heights of the tip at the ends of the travel. */
    limits: [number | null, number | null];
}

export const RAPID = 0;
export const ARC = 2;
export const TOOL = 4;

/** The trace as typed columns; row i is move or event i. See the core's DrawingColumns for what each holds. */
export interface Motion {
    rows: number;
    /** Line of the program itself: the row's own, or that of the call it came from. */
    line: Uint32Array;
    /** Which text the row is in: 0 the program itself, 1 and on the called ones; and its line there. */
    text: Uint8Array;
    textLine: Uint32Array;
    kind: Uint8Array;
    state: Uint32Array;
    endSeconds: Float64Array;
    feed: Float64Array;
    x: Float64Array;
    y: Float64Array;
    z: Float64Array;
    shown: Record<string, Float64Array>;
    machine: Record<string, Float64Array>;
    cornerRow: Uint32Array;
    cornerX: Float32Array;
    cornerY: Float32Array;
    cornerZ: Float32Array;
    /** The path as programmed where compensation runs beside it; not a number before each stretch. */
    programmedX: Float32Array;
    programmedY: Float32Array;
    programmedZ: Float32Array;
    /** First corner of each row; one entry more than rows. */
    firstCorner: Uint32Array;
}

function bytes(column: string | undefined): ArrayBuffer {
    const text = atob(column ?? '');
    const out = new Uint8Array(text.length);
    for (let i = 0; i < text.length; i++) out[i] = text.charCodeAt(i);
    return out.buffer;
}

export function decode(answer: BenchAnswer): Motion {
    const { columns, scene } = answer;
    const reals = (name: string) => new Float64Array(bytes(columns[name]));
    const line = new Uint32Array(bytes(columns.line));
    const cornerRow = new Uint32Array(bytes(columns.cornerRow));
    const firstCorner = new Uint32Array(line.length + 1);
    for (let row = 0, corner = 0; row <= line.length; row++) {
        while (corner < cornerRow.length && (cornerRow[corner] ?? 0) < row) corner++;
        firstCorner[row] = corner;
    }
    return {
        rows: line.length,
        line,
        text: new Uint8Array(bytes(columns.text)),
        textLine: new Uint32Array(bytes(columns.textLine)),
        kind: new Uint8Array(bytes(columns.kind)),
        state: new Uint32Array(bytes(columns.state)),
        endSeconds: reals('endSeconds'),
        feed: reals('feed'),
        x: reals('x'),
        y: reals('y'),
        z: reals('z'),
        shown: Object.fromEntries(scene.axes.map((axis) => [axis, reals(`shown${axis}`)])),
        machine: Object.fromEntries(scene.axes.map((axis) => [axis, reals(`machine${axis}`)])),
        cornerRow,
        cornerX: new Float32Array(bytes(columns.cornerX)),
        cornerY: new Float32Array(bytes(columns.cornerY)),
        cornerZ: new Float32Array(bytes(columns.cornerZ)),
        programmedX: new Float32Array(bytes(columns.programmedX)),
        programmedY: new Float32Array(bytes(columns.programmedY)),
        programmedZ: new Float32Array(bytes(columns.programmedZ)),
        firstCorner,
    };
}

/** A moment of the run: somewhere along a row. `share` is 1 when the row is done. */
export interface Moment {
    row: number;
    share: number;
}

/** The last row a line of a text makes, or the last one made before it there; -1 before the first. */
export function rowAtLine(motion: Motion, line: number, text = 0): number {
    let before = -1;
    for (let row = motion.rows - 1; row >= 0; row--) {
        if (text > 0 && motion.text[row] !== text) continue;
        const at = (text > 0 ? motion.textLine[row] : motion.line[row]) ?? 0;
        if (at === line) return row;
        if (at < line && before < 0) before = row;
    }
    return before;
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
