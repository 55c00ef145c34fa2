import type { TurnedStretch } from '../answer';

/** A turned part cut open by a quarter, for the graphics card: places, corners three by three, and its edges, ends of lines two by two. */
export interface Revolved {
    places: Float32Array;
    corners: Uint32Array;
    /** From here on the corners are those of the two faces it is cut open by. */
    opened: number;
    edges: Float32Array;
}

/** Steps of the three quarters that stand. */
const STEPS = 72;

/** From where to where it stands, seen from X towards Y: the quarter between X and Y is open to whoever looks. */
const [FIRST, LAST] = [Math.PI / 2, 2 * Math.PI];

type Point = readonly [number, number];

/** A line of the outline in Z and radius; everything turned of it is smooth. */
interface Chain {
    points: Point[];
    /** Whether the material lies inside of it. */
    isOutside: boolean;
}

/** @param jump  how far two stretches may differ in radius and be one surface still: a cone is told in steps as small */
export function revolved(stands: readonly TurnedStretch[], jump: number): Revolved {
    const chains = chainsOf(stands, jump);
    const places: number[] = [];
    const corners: number[] = [];
    const edges: number[] = [];
    for (const { points, isOutside } of chains) {
        const first = places.length / 3;
        for (const [z, radius] of points) for (let i = 0; i <= STEPS; i++) places.push(...at(z, radius, i));
        for (let n = 0; n + 1 < points.length; n++) {
            for (let i = 0; i < STEPS; i++) {
                const a = first + n * (STEPS + 1) + i;
                const [b, c, d] = [a + 1, a + STEPS + 1, a + STEPS + 2];
                corners.push(...(isOutside ? [a, b, c, b, d, c] : [a, c, b, b, c, d]));
            }
            for (const i of [0, STEPS]) edges.push(...at(...(points[n] as Point), i), ...at(...(points[n + 1] as Point), i));
        }
        for (const [z, radius] of [points[0], points[points.length - 1]] as Point[])
            for (let i = 0; i < STEPS && radius > 0; i++) edges.push(...at(z, radius, i), ...at(z, radius, i + 1));
    }
    const opened = corners.length;
    for (const [from, to, radii] of stands) {
        for (let n = 0; n < radii.length; n += 2) {
            for (const i of [0, STEPS]) {
                const first = places.length / 3;
                const [inner, outer] = [radii[n] ?? 0, radii[n + 1] ?? 0];
                places.push(...at(from, inner, i), ...at(to, inner, i), ...at(from, outer, i), ...at(to, outer, i));
                corners.push(...[0, 1, 2, 1, 3, 2].map((corner) => first + corner));
            }
        }
    }
    return { places: Float32Array.from(places), corners: Uint32Array.from(corners), opened, edges: Float32Array.from(edges) };
}

function at(z: number, radius: number, step: number): [number, number, number] {
    const angle = FIRST + ((LAST - FIRST) * step) / STEPS;
    return [radius * Math.cos(angle), radius * Math.sin(angle), z];
}

/** The outline as lines that are broken wherever the radius jumps, and the faces between. */
function chainsOf(stands: readonly TurnedStretch[], jump: number): Chain[] {
    const chains: Chain[] = [];
    let open: Point[][] = [];
    const close = () => {
        open.forEach((points, n) => {
            if (points.length > 1 && points.some(([, radius]) => radius > 0)) chains.push({ points, isOutside: n % 2 === 1 });
        });
        open = [];
    };
    stands.forEach(([from, to, radii], i) => {
        const before = stands[i - 1];
        const [, end = NaN, were = []] = before ?? [];
        const joins = Math.abs(end - from) < 1e-6;
        const isSmooth = joins && were.length === radii.length && radii.every((radius, n) => Math.abs(radius - (were[n] ?? 0)) <= jump);
        if (!isSmooth) {
            open.forEach((points, n) => points.push([end, were[n] ?? 0]));
            close();
            if (before !== undefined) for (const face of faces(joins ? radii : [], were)) chains.push(faceAt(end, face));
            for (const face of faces(joins ? were : [], radii)) chains.push(faceAt(from, face, true));
            open = radii.map((radius): Point[] => [[from, radius]]);
        }
        // A long stretch is as straight as it is told, a short one a step of a slope.
        if (to - from > 5 * jump) radii.forEach((radius, n) => open[n]?.push([from, radius], [to, radius]));
        else radii.forEach((radius, n) => open[n]?.push([(from + to) / 2, radius]));
    });
    const last = stands[stands.length - 1];
    if (last !== undefined) {
        open.forEach((points, n) => points.push([last[1], last[2][n] ?? 0]));
        close();
        for (const face of faces([], last[2])) chains.push(faceAt(last[1], face));
    }
    return chains;
}

/** A face square to the axis; it looks to plus Z where the material ends there, to minus where it begins. */
function faceAt(z: number, [inner, outer]: Point, looksBack = false): Chain {
    return { points: [[z, inner], [z, outer]], isOutside: looksBack };
}

/** The stretches of radius that are in `these` and not in `others`. */
function faces(others: readonly number[], these: readonly number[]): Point[] {
    const found: Point[] = [];
    for (let n = 0; n < these.length; n += 2) {
        let from = these[n] ?? 0;
        const to = these[n + 1] ?? 0;
        for (let m = 0; m < others.length && from < to; m += 2) {
            const [low, high] = [others[m] ?? 0, others[m + 1] ?? 0];
            if (high <= from || low >= to) continue;
            if (low > from) found.push([from, low]);
            from = Math.max(from, high);
        }
        if (from < to) found.push([from, to]);
    }
    return found;
}
