/** Two places of a skin an edge runs between, by their numbers. */
export type EdgePair = [number, number];

const RIM = 1;
const FOOT = 2;

/** A step lower than this share of a cell is none, and what goes on as steeply as before is a slope and no edge. */
const STEP = 0.25;
const SLOPE = 0.4;

/** How often places of an edge are drawn towards their neighbours, and how far from where they were at most, in cells. */
const ROUNDS = 10;
const FARTHEST = 0.5;

/** Both arms of a corner that is one go on straight for so many cells; the steps of a round wall do not. */
const ARM = 3;

/** The edges along the places where the skin breaks: above a wall and below it. */
export function edgePairs(level: Float32Array, across: number, along: number, cell: number): EdgePair[] {
    const kinds = new Uint8Array(across * along);
    for (let j = 1; j + 1 < along; j++) {
        for (let i = 1; i + 1 < across; i++) {
            const n = j * across + i;
            const z = level[n] ?? 0;
            for (const by of [1, -1, across, -across]) {
                const drop = z - (level[n + by] ?? 0);
                if (Math.abs(drop) < STEP * cell || Math.abs((level[n - by] ?? 0) - z) > SLOPE * Math.abs(drop)) continue;
                kinds[n] = (kinds[n] ?? 0) | (drop > 0 ? RIM : FOOT);
            }
        }
    }
    const pairs: EdgePair[] = [];
    const same = (n: number, m: number, kind: number) =>
        ((kinds[n] ?? 0) & (kinds[m] ?? 0) & kind) !== 0 && Math.abs((level[n] ?? 0) - (level[m] ?? 0)) < STEP * cell;
    for (let j = 1; j + 1 < along; j++) {
        for (let i = 1; i + 1 < across; i++) {
            const n = j * across + i;
            for (const kind of [RIM, FOOT]) {
                if (((kinds[n] ?? 0) & kind) === 0) continue;
                if (same(n, n + 1, kind)) pairs.push([n, n + 1]);
                if (same(n, n + across, kind)) pairs.push([n, n + across]);
                // Round a corner, where no place between them is one of the edge.
                if (same(n, n + across + 1, kind) && !same(n, n + 1, kind) && !same(n, n + across, kind)) pairs.push([n, n + across + 1]);
                if (same(n, n + across - 1, kind) && !same(n, n - 1, kind) && !same(n, n + across, kind)) pairs.push([n, n + across - 1]);
            }
        }
    }
    return pairs;
}

/**
 * Takes the steps of the cells out of edges that run round or aslant, in plan: each place is drawn between its two neighbours, and no
 * further than half a cell. Ends, places where edges meet, and corners of straight walls stay.
 *
 * @param isFixed whether a place may not move at all
 * @param cell how large a cell is along X and Y
 */
export function smooth(places: Float32Array, pairs: readonly EdgePair[], isFixed: (n: number) => boolean, [dx, dy]: readonly [number, number]): void {
    const beside = new Map<number, number[]>();
    for (const [n, m] of pairs) {
        beside.set(n, [...(beside.get(n) ?? []), m]);
        beside.set(m, [...(beside.get(m) ?? []), n]);
    }
    const at = (n: number): [number, number] => [places[3 * n] ?? 0, places[3 * n + 1] ?? 0];
    const first = new Map<number, [number, number]>();
    for (const [n, two] of beside) if (two.length === 2 && !isFixed(n) && !isCorner(n, two, beside, at)) first.set(n, at(n));
    for (let round = 0; round < ROUNDS; round++) {
        const next = new Map<number, [number, number]>();
        for (const [n, [fromX, fromY]] of first) {
            const [a, b] = (beside.get(n) ?? []).map(at) as [[number, number], [number, number]];
            const [x, y] = at(n);
            const to = (here: number, one: number, other: number, from: number, far: number) =>
                Math.min(from + far, Math.max(from - far, (2 * here + one + other) / 4));
            next.set(n, [to(x, a[0], b[0], fromX, FARTHEST * dx), to(y, a[1], b[1], fromY, FARTHEST * dy)]);
        }
        for (const [n, [x, y]] of next) [places[3 * n], places[3 * n + 1]] = [x, y];
    }
}

/** Whether two straight arms of some length meet in a place at an angle, in it or across one step aslant, as an outer corner has it. */
function isCorner(n: number, [a, b]: readonly number[], beside: Map<number, number[]>, at: (n: number) => [number, number]): boolean {
    const way = (from: number, to: number): [number, number] => {
        const [[x, y], [toX, toY]] = [at(from), at(to)];
        return [toX - x, toY - y];
    };
    const beyond = (from: number, to: number) => (beside.get(to) ?? []).find((other) => other !== from);
    const arm = (from: number, to: number | undefined, mayStep: boolean): [number, number] | null => {
        if (to === undefined) return null;
        const [byX, byY] = way(from, to);
        if (mayStep && Math.abs(byX) > 1e-6 && Math.abs(byY) > 1e-6) return arm(to, beyond(from, to), false);
        let [before, here] = [from, to];
        for (let steps = 1; steps < ARM; steps++) {
            const next = beyond(before, here);
            if (next === undefined) return null;
            const [x, y] = way(here, next);
            if (Math.abs(x - byX) > 1e-6 || Math.abs(y - byY) > 1e-6) return null;
            [before, here] = [here, next];
        }
        return [byX, byY];
    };
    const [one, other] = [arm(n, a, true), arm(n, b, true)];
    return one !== null && other !== null && (Math.abs(one[0] + other[0]) > 1e-6 || Math.abs(one[1] + other[1]) > 1e-6);
}
