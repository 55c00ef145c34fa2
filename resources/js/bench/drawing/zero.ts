import type { Scene } from '../answer';
import { paneAt, placeIn, type View } from './view';

/** How near the zero mark, in pixels, a press takes hold of it. */
const GRASP = 14;

export type PlanPoint = [number, number];

/** Whether a press on the sheet takes hold of the zero mark of the plan. */
export function grasps(view: View, atX: number, atY: number): boolean {
    const pane = paneAt(view, atX, atY);
    if (pane?.up !== 1) return false;
    const [x, y] = placeIn(view, pane, 0, 0);
    return Math.hypot(atX - x, atY - y) <= GRASP;
}

/** The point of the plan under a point of the sheet, on the decimals of the unit. */
export function planAt(view: View, scene: Scene, atX: number, atY: number): PlanPoint {
    const step = 10 ** scene.decimals;
    const snap = (value: number) => Math.round(value * step) / step;
    const plan = view.panes[0] ?? { left: 0, top: 0, width: view.width, height: view.height };
    return [snap(view.centre[0] + (atX - plan.left - plan.width / 2) / view.scale), snap(view.centre[1] - (atY - plan.top - plan.height / 2) / view.scale)];
}

/** The axes on which something would not fit with the zero moved by so much in X and Y; the others stay where they are. */
export function doesNotFitAt(scene: Scene, moved: PlanPoint): string[] {
    return Object.keys(scene.mayMove).filter((axis) => {
        const range = scene.mayMove[axis];
        if (range === undefined) return false;
        const by = moved[['X', 'Y'].indexOf(axis)] ?? 0;
        return !(range !== null && (range[0] === null || by >= range[0] - 1e-9) && (range[1] === null || by <= range[1] + 1e-9));
    });
}

/** The machine coordinates the zero would have. */
export function machineAt(scene: Scene, moved: PlanPoint): { X: number; Y: number } {
    const step = 10 ** scene.decimals;
    const round = (value: number) => Math.round(value * step) / step + 0;
    return { X: round((scene.zero.X ?? 0) + moved[0]), Y: round((scene.zero.Y ?? 0) + moved[1]) };
}
