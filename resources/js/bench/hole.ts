/** What the server says of a canned cycle at one hole; see the core's HoleStrokes. Levels as the program writes them. */
export interface HoleStrokes {
    initial: number;
    r: number;
    bottom: number;
    back: number;
    /** Kind, and the level it goes to, or its seconds where it is a dwell. */
    strokes: [string, number][];
    pecks: number;
    seconds: number;
    words: string;
}

/** More strokes than this are drawn as the first ones and the last. */
const MOST = 24;

export interface DrawnStroke {
    kind: string;
    x: number;
    /** The level it comes from, or the seconds of a dwell. */
    from: number;
    to: number;
}

/** Where each stroke of a cycle is drawn, from left to right, and the levels worth naming, from the top. */
export function holeLines(
    { initial, r, bottom, strokes }: HoleStrokes, left: number, right: number, top: number, foot: number,
): { levels: { name: string; z: number }[]; strokes: DrawnStroke[]; y: (z: number) => number } {
    const shown = strokes.length > MOST ? [...strokes.slice(0, MOST - 4), ...strokes.slice(-4)] : strokes;
    const high = Math.max(initial, r, bottom, ...shown.filter(([kind]) => kind !== 'dwell').map(([, z]) => z));
    const low = Math.min(initial, r, bottom);
    const y = (z: number) => top + ((high - z) / Math.max(high - low, 1e-9)) * (foot - top);
    const step = (right - left) / (shown.length + 1);
    let at = initial;
    const drawn = shown.map(([kind, value], i): DrawnStroke => {
        const x = left + (i + 1) * step;
        if (kind === 'dwell') return { kind, x, from: value, to: at };
        const from = at;
        at = value;
        return { kind, x, from, to: value };
    });
    const named = [{ name: 'initial', z: initial }, { name: 'R', z: r }, { name: 'Z', z: bottom }];
    // Levels that would be written over one another are written once.
    const levels = named.filter(({ z }, i) => named.slice(i + 1).every((other) => Math.abs(y(other.z) - y(z)) >= 11));
    return { levels, strokes: drawn, y };
}
