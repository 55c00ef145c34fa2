import type { Motion, Scene, Vector } from '../answer';
import { RAPID } from '../answer';

/** How the sheet is laid out: plan above elevation with one scale, X running the same way in both. */
export interface View {
    width: number;
    height: number;
    /** Height of the plan; the elevation has the rest. */
    split: number;
    /** Pixels per unit. */
    scale: number;
    centre: Vector;
}

export type Bounds = { min: Vector; max: Vector };

const GAP = 34;

export function planPoint(view: View, x: number, y: number): [number, number] {
    return [view.width / 2 + (x - view.centre[0]) * view.scale, view.split / 2 - (y - view.centre[1]) * view.scale];
}

export function sidePoint(view: View, x: number, z: number): [number, number] {
    return [view.width / 2 + (x - view.centre[0]) * view.scale, (view.split + view.height) / 2 - (z - view.centre[2]) * view.scale];
}

/** What the job takes up: the stock, the cuts, and a little of the air above them. */
export function jobBounds(motion: Motion, scene: Scene): Bounds {
    const min: Vector = [Infinity, Infinity, Infinity];
    const max: Vector = [-Infinity, -Infinity, -Infinity];
    const take = (x: number, y: number, z: number) => {
        min[0] = Math.min(min[0], x);
        min[1] = Math.min(min[1], y);
        min[2] = Math.min(min[2], z);
        max[0] = Math.max(max[0], x);
        max[1] = Math.max(max[1], y);
        max[2] = Math.max(max[2], z);
    };
    if (scene.stock) {
        take(...scene.stock.min);
        take(...scene.stock.max);
    }
    for (let i = 0; i < motion.cornerRow.length; i++) {
        if (motion.kind[motion.cornerRow[i] ?? 0] !== RAPID) take(motion.cornerX[i] ?? 0, motion.cornerY[i] ?? 0, motion.cornerZ[i] ?? 0);
    }
    if (min[0] === Infinity) return { min: [-50, -50, -25], max: [50, 50, 25] };
    const air = Math.max((max[2] - min[2]) * 0.35, scene.clearance ?? 0);
    max[2] += air;
    return { min, max };
}

export function travelBounds(scene: Scene, limits: [number | null, number | null] | undefined, job: Bounds): Bounds {
    const range = (axis: number, given: [number | null, number | null] | undefined): [number, number] => [given?.[0] ?? job.min[axis] ?? 0, given?.[1] ?? job.max[axis] ?? 0];
    const [x, y, z] = [range(0, scene.travel.X), range(1, scene.travel.Y), range(2, limits ?? scene.travel.Z)];
    return { min: [x[0], y[0], z[0]], max: [x[1], y[1], z[1]] };
}

/** The view that shows all of some bounds on a sheet of a size. */
export function fit(bounds: Bounds, width: number, height: number): View {
    const size = (axis: 0 | 1 | 2) => Math.max(1e-6, bounds.max[axis] - bounds.min[axis]);
    const usable = height - 4 * GAP;
    const scale = Math.min((width - 2 * GAP - 30) / size(0), usable / (size(1) + size(2)));
    const plan = Math.min(0.78, Math.max(0.3, size(1) / (size(1) + size(2))));
    const split = Math.round(height * plan);
    const capped = Math.min(scale, (split - 2 * GAP) / size(1), (height - split - 2 * GAP) / size(2));
    const middle = (axis: 0 | 1 | 2) => (bounds.max[axis] + bounds.min[axis]) / 2;
    return { width, height, split, scale: capped, centre: [middle(0), middle(1), middle(2)] };
}

export function zoomed(view: View, factor: number, atX: number, atY: number): View {
    const scale = Math.min(5000, Math.max(0.01, view.scale * factor));
    const share = 1 / view.scale - 1 / scale;
    const [x, y, z] = view.centre;
    const alongX = (atX - view.width / 2) * share;
    if (atY < view.split) return { ...view, scale, centre: [x + alongX, y - (atY - view.split / 2) * share, z] };
    return { ...view, scale, centre: [x + alongX, y, z - (atY - (view.split + view.height) / 2) * share] };
}

export function panned(view: View, dx: number, dy: number, inPlan: boolean): View {
    const [x, y, z] = view.centre;
    return { ...view, centre: [x - dx / view.scale, inPlan ? y + dy / view.scale : y, inPlan ? z : z + dy / view.scale] };
}

/** The row whose drawn path is nearest a point of the sheet, or -1 where none is within `reach` pixels. */
export function pick(motion: Motion, view: View, atX: number, atY: number, reach = 9): number {
    const inPlan = atY < view.split;
    let best = reach;
    let row = -1;
    let fromX = NaN;
    let fromY = NaN;
    for (let i = 0; i < motion.cornerRow.length; i++) {
        const x = motion.cornerX[i] ?? 0;
        const [toX, toY] = inPlan ? planPoint(view, x, motion.cornerY[i] ?? 0) : sidePoint(view, x, motion.cornerZ[i] ?? 0);
        const gap = distance(atX, atY, fromX, fromY, toX, toY);
        if (gap < best || (gap === best && row >= 0)) {
            best = gap;
            row = motion.cornerRow[i] ?? -1;
        }
        fromX = toX;
        fromY = toY;
    }
    return row;
}

function distance(x: number, y: number, ax: number, ay: number, bx: number, by: number): number {
    const dx = bx - ax;
    const dy = by - ay;
    const length = dx * dx + dy * dy;
    const along = length > 0 ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length)) : 0;
    return Math.hypot(x - ax - along * dx, y - ay - along * dy);
}
