import { RAPID, type Motion, type Scene, type Vector } from '../answer';

export type Axis = 0 | 1 | 2;

/** One view on the sheet: which axis runs across it and which runs up, and the rectangle it has. */
export interface Pane {
    title: 'PLAN' | 'ELEVATION' | 'END VIEW' | 'HALF SECTION';
    across: Axis;
    up: Axis;
    left: number;
    top: number;
    width: number;
    height: number;
}

/** Which views the sheet has: plan and elevation, the end view with them, or the half section of a turned part alone. */
export type Layout = 'two' | 'three' | 'half-section';

/** How the sheet is laid out: views with one scale, an axis running the same way wherever two of them share it. */
export interface View {
    width: number;
    height: number;
    layout: Layout;
    /** Plan, elevation and, where it is wanted, the end view: as on a drawing, seen from the right and put to the right. */
    panes: Pane[];
    /** Pixels per unit. */
    scale: number;
    /** Whether what is up stands below, as the operator sees a tool in a front turret. */
    isOver: boolean;
    centre: Vector;
}

export type Bounds = { min: Vector; max: Vector };

const GAP = 34;

/** Pixels up the sheet for a unit up the view. */
export function upward(view: View): number {
    return view.isOver ? -view.scale : view.scale;
}

/** The place of a point of the part on the sheet, in one of the views. */
export function placeIn(view: View, pane: Pane, across: number, up: number): [number, number] {
    return [
        pane.left + pane.width / 2 + (across - view.centre[pane.across]) * view.scale,
        pane.top + pane.height / 2 - (up - view.centre[pane.up]) * upward(view),
    ];
}

/** The view a point of the sheet is in. */
export function paneAt(view: View, x: number, y: number): Pane | undefined {
    return view.panes.find((pane) => x >= pane.left && x < pane.left + pane.width && y >= pane.top && y < pane.top + pane.height);
}

/** The box around some boxes. */
export function around(boxes: readonly Bounds[]): Bounds {
    const all = (end: 'min' | 'max', worst: (...values: number[]) => number): Vector =>
        [0, 1, 2].map((axis) => worst(...boxes.map((box) => box[end][axis] ?? 0))) as Vector;
    return { min: all('min', Math.min), max: all('max', Math.max) };
}

/** What the job takes up: the stock, the cuts, and a little of the air above them. */
export function jobBounds(motion: Motion, scene: Scene): Bounds {
    const min: Vector = [Infinity, Infinity, Infinity];
    const max: Vector = [-Infinity, -Infinity, -Infinity];
    const take = (x: number, y: number, z: number) => {
        if (x < min[0]) min[0] = x;
        if (y < min[1]) min[1] = y;
        if (z < min[2]) min[2] = z;
        if (x > max[0]) max[0] = x;
        if (y > max[1]) max[1] = y;
        if (z > max[2]) max[2] = z;
    };
    for (const { min: low, max: high } of scene.stock === null ? [] : [scene.stock, ...scene.moreStock]) {
        take(...low);
        take(...high);
    }
    // Of the chuck as much as tells where it is: the part is what is looked at.
    const [, toZ, inner = 0] = scene.turned?.chuck[0] ?? [];
    if (toZ !== undefined) {
        take(-1.5 * inner, 0, toZ - inner / 2);
        take(1.5 * inner, 0, toZ);
    }
    for (const { outline } of scene.turned?.solids ?? []) {
        // Of a tailstock its point is enough.
        for (const [z, radius] of outline.slice(0, 2)) {
            take(-radius, 0, z);
            take(radius, 0, z);
        }
    }
    for (let row = 0; row < motion.rows; row++) {
        if (motion.kind[row] === RAPID) continue;
        for (let i = motion.firstCorner[row] ?? 0; i < (motion.firstCorner[row + 1] ?? 0); i++)
            take(motion.cornerX[i] ?? 0, motion.cornerY[i] ?? 0, motion.cornerZ[i] ?? 0);
    }
    if (min[0] === Infinity) return { min: [-50, -50, -25], max: [50, 50, 25] };
    if (scene.turned === null) max[2] += Math.max((max[2] - min[2]) * 0.35, scene.clearance ?? 0);
    return { min, max };
}

export function travelBounds(scene: Scene, limits: [number | null, number | null] | undefined, job: Bounds): Bounds {
    const range = (axis: Axis, given: [number | null, number | null] | undefined): [number, number] => [
        given?.[0] ?? job.min[axis],
        given?.[1] ?? job.max[axis],
    ];
    const [x, y, z] = [range(0, scene.travel.X), range(1, scene.travel.Y), range(2, limits ?? scene.travel.Z)];
    return { min: [x[0], y[0], z[0]], max: [x[1], y[1], z[1]] };
}

/** Plan above elevation; the end view beside the elevation where `side` leaves it room. Or a half section, which has the sheet to itself. */
function panesOf(layout: Layout, width: number, height: number, side: number, split: number): Pane[] {
    if (layout === 'half-section') return [{ title: 'HALF SECTION', across: 2, up: 0, left: 0, top: 0, width, height }];
    const panes: Pane[] = [
        { title: 'PLAN', across: 0, up: 1, left: 0, top: 0, width: side, height: split },
        { title: 'ELEVATION', across: 0, up: 2, left: 0, top: split, width: side, height: height - split },
    ];
    return side < width ? [...panes, { title: 'END VIEW', across: 1, up: 2, left: side, top: split, width: width - side, height: height - split }] : panes;
}

/** The view that shows all of some bounds on a sheet of a size. */
export function fit(bounds: Bounds, width: number, height: number, layout: Layout = 'two', isOver = false): View {
    const size = (axis: Axis) => Math.max(1e-6, bounds.max[axis] - bounds.min[axis]);
    const share = (one: number, other: number) => Math.min(0.78, Math.max(0.3, one / (one + other)));
    const split = Math.round(height * share(size(1), size(2)));
    const side = layout === 'three' ? Math.round(width * share(size(0), size(1))) : width;
    const panes = panesOf(layout, width, height, side, split);
    // The dimensions of the stock stand beside it and need room.
    const room = (length: number, wanted: number) => Math.max(length - wanted, length * 0.6);
    const scale = Math.min(...panes.flatMap((pane) => [room(pane.width, 2 * GAP + 44) / size(pane.across), room(pane.height, 2 * GAP) / size(pane.up)]));
    const middle = (axis: Axis) => (bounds.max[axis] + bounds.min[axis]) / 2;
    return { width, height, layout, panes, isOver, scale: Math.max(1e-6, scale), centre: [middle(0), middle(1), middle(2)] };
}

/** The same stretch of the part on a sheet of another size or with other views. */
export function laidOut(view: View, width: number, height: number, layout: Layout): View {
    const [plan] = view.panes;
    if (width === view.width && height === view.height && layout === view.layout) return view;
    const split = plan === undefined ? height / 2 : Math.round(height * (plan.height / view.height));
    const side = layout === 'three' ? Math.round(width * 0.6) : width;
    return { ...view, width, height, layout, panes: panesOf(layout, width, height, side, split) };
}

/** Zoomed about a point of the sheet, which keeps its place. */
export function zoomed(view: View, factor: number, atX: number, atY: number): View {
    const pane = paneAt(view, atX, atY);
    const scale = Math.min(5000, Math.max(0.01, view.scale * factor));
    if (pane === undefined) return { ...view, scale };
    const share = 1 / view.scale - 1 / scale;
    const centre: Vector = [...view.centre];
    centre[pane.across] += (atX - pane.left - pane.width / 2) * share;
    centre[pane.up] -= (atY - pane.top - pane.height / 2) * (view.isOver ? -share : share);
    return { ...view, scale, centre };
}

export function panned(view: View, dx: number, dy: number, pane: Pane): View {
    const centre: Vector = [...view.centre];
    centre[pane.across] -= dx / view.scale;
    centre[pane.up] += dy / upward(view);
    return { ...view, centre };
}

/** The columns of corners that run across and up a view. */
export function cornersOf(motion: Motion, pane: Pane): [Float32Array, Float32Array] {
    const columns = [motion.cornerX, motion.cornerY, motion.cornerZ] as const;
    return [columns[pane.across], columns[pane.up]];
}

/** The row whose drawn path is nearest a point of the sheet, or -1 where none is within `reach` pixels; `mask` as in shows.ts. */
export function pick(motion: Motion, view: View, atX: number, atY: number, mask: Uint8Array | null = null, reach = 9): number {
    const pane = paneAt(view, atX, atY);
    if (pane === undefined) return -1;
    const [across, up] = cornersOf(motion, pane);
    let best = reach;
    let found = -1;
    let fromX = NaN;
    let fromY = NaN;
    for (let row = 0; row < motion.rows; row++) {
        const hidden = mask !== null && mask[row] !== 1;
        for (let i = motion.firstCorner[row] ?? 0; i < (motion.firstCorner[row + 1] ?? 0); i++) {
            const [toX, toY] = placeIn(view, pane, across[i] ?? 0, up[i] ?? 0);
            const gap = hidden ? Infinity : distance(atX, atY, fromX, fromY, toX, toY);
            if (gap < best || (gap === best && found >= 0)) {
                best = gap;
                found = row;
            }
            fromX = toX;
            fromY = toY;
        }
    }
    return found;
}

export function distance(x: number, y: number, ax: number, ay: number, bx: number, by: number): number {
    const dx = bx - ax;
    const dy = by - ay;
    const length = dx * dx + dy * dy;
    const along = length > 0 ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length)) : 0;
    return Math.hypot(x - ax - along * dx, y - ay - along * dy);
}
