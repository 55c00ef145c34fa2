import { short } from '../../shared/numbers';
import type { Inks } from '../../theme/inks';
import type { Motion, Scene, StateRow } from '../answer';
import { LABEL, eachHalf, line, rectangle, writeOver, type Half, type Pen } from './pen';
import type { View } from './view';
import { doesNotFitAt, type PlanPoint } from './zero';

const AXES = ['X', 'Y', 'Z'] as const;

/** What lies under the moves: the sheet, the travel, where the zero may stand, the stock and what stands in the way. */
export function paintGround(pen: Pen, inks: Inks, view: View, scene: Scene, limits: StateRow['limits']): void {
    pen.fillStyle = inks.sheet;
    pen.fillRect(0, 0, view.width, view.height);
    eachHalf(pen, inks, view, (half) => {
        paintTravel(half, scene, limits);
        if (half.pane.up === 1) paintMayMove(half, scene);
        paintStock(half, scene);
        paintObstacles(half, scene);
    });
}

/** What lies over the moves: the programmed path, the zero, the size of the stock, names and the lines between the views. */
export function paintFigures(pen: Pen, inks: Inks, view: View, motion: Motion, scene: Scene): void {
    eachHalf(pen, inks, view, (half) => {
        paintProgrammed(half, motion);
        paintZero(half);
        paintDimension(half, scene);
        pen.fillStyle = inks.soft;
        pen.font = LABEL;
        pen.textAlign = 'left';
        pen.fillText(half.pane.title, half.pane.left + 10, half.pane.top + 20);
    });
    pen.strokeStyle = inks.frame;
    pen.lineWidth = 1;
    pen.setLineDash([]);
    for (const pane of view.panes.slice(1)) {
        line(pen, pane.left, pane.top, pane.left + pane.width, pane.top);
        if (pane.left > 0) line(pen, pane.left, pane.top, pane.left, pane.top + pane.height);
    }
}

function paintTravel(half: Half, scene: Scene, limits: StateRow['limits']): void {
    const { pen, inks, pane } = half;
    // Where the Z limits are for the tip depends on the tool: with none at work there is nothing to draw.
    const range = (axis: 0 | 1 | 2) =>
        axis < 2 ? scene.travel[AXES[axis]] : limits[0] !== null && limits[1] !== null ? ([limits[0], limits[1]] as const) : undefined;
    const [across, up] = [range(pane.across), range(pane.up)];
    if (across === undefined || up === undefined) return;
    const [left, top, width, height] = rectangle(half, across, up);
    pen.strokeStyle = inks.clay;
    pen.lineWidth = 1.5;
    pen.setLineDash([14, 4, 2, 4]);
    pen.strokeRect(left, top, width, height);
    pen.setLineDash([]);
    pen.fillStyle = inks.clay;
    pen.font = LABEL;
    pen.textAlign = 'left';
    const labelX = Math.max(pane.left + 10, left + 6);
    const foot = pane.top + pane.height;
    if (top > pane.top + 24 && top < foot) pen.fillText(`travel limit ${AXES[pane.up]}+`, labelX, top + 15);
    if (top + height < foot && top + height > pane.top + 24) pen.fillText(`travel limit ${AXES[pane.up]}−`, labelX, top + height - 6);
}

/** The ground the zero may stand on for everything to fit, by its corners; an open side has none. */
function paintMayMove(half: Half, scene: Scene): void {
    const { pen, inks, view } = half;
    const [x, y] = [scene.mayMove.X, scene.mayMove.Y];
    if (!x || !y) return;
    const far = (view.width + view.height) / view.scale;
    const [left, top, width, height] = rectangle(half, [x[0] ?? -far, x[1] ?? far], [y[0] ?? -far, y[1] ?? far]);
    pen.strokeStyle = inks.moss;
    pen.lineWidth = 1.5;
    pen.setLineDash([]);
    for (const [cornerX, cornerY, right, down] of [
        [left, top, 1, 1],
        [left + width, top, -1, 1],
        [left, top + height, 1, -1],
        [left + width, top + height, -1, -1],
    ] as const) {
        line(pen, cornerX, cornerY, cornerX + right * Math.min(18, width / 2), cornerY);
        line(pen, cornerX, cornerY, cornerX, cornerY + down * Math.min(18, height / 2));
    }
    if (width > 150 && height > 40 && left > 4) {
        pen.fillStyle = inks.moss;
        pen.font = LABEL;
        pen.textAlign = 'left';
        pen.fillText(`${scene.work} may be set in here`, left + 8, top + height - 8);
    }
}

/** The zero mark where it is being dragged to, with a line from where it stands. */
export function paintMovedZero(pen: Pen, inks: Inks, view: View, scene: Scene, moved: PlanPoint): void {
    eachHalf(pen, inks, { ...view, panes: view.panes.slice(0, 1) }, (half) => {
        const [x, y] = half.at(...moved);
        const [fromX, fromY] = half.at(0, 0);
        pen.strokeStyle = doesNotFitAt(scene, moved).length === 0 ? inks.moss : inks.clay;
        pen.lineWidth = 2;
        pen.setLineDash([2, 4]);
        line(pen, fromX, fromY, x, y);
        pen.setLineDash([]);
        pen.beginPath();
        pen.arc(x, y, 8, 0, Math.PI * 2);
        pen.stroke();
        line(pen, x - 13, y, x + 13, y);
        line(pen, x, y - 13, x, y + 13);
    });
}

function paintStock(half: Half, scene: Scene): void {
    if (!scene.stock) return;
    const { pen, inks, pane } = half;
    const { max } = scene.stock;
    for (const box of [...scene.moreStock, scene.stock]) {
        const [left, top, width, height] = rectangle(half, [box.min[pane.across], box.max[pane.across]], [box.min[pane.up], box.max[pane.up]]);
        pen.fillStyle = inks.stock;
        pen.fillRect(left, top, width, height);
        pen.strokeStyle = inks.stockEdge;
        pen.lineWidth = 1;
        pen.strokeRect(left, top, width, height);
    }
    if (pane.up === 2 && scene.clearance !== null) {
        const [, level] = half.at(0, max[2] + scene.clearance);
        pen.strokeStyle = inks.moss;
        pen.setLineDash([2, 4]);
        line(pen, pane.left, level, pane.left + pane.width, level);
        pen.setLineDash([]);
    }
}

/** What stands in the way: hatched, and named in the plan, where each has its own ground. */
function paintObstacles(half: Half, scene: Scene): void {
    const { pen, inks, pane } = half;
    for (const { name, min, max } of scene.obstacles) {
        const [x, y, width, height] = rectangle(half, [min[pane.across], max[pane.across]], [min[pane.up], max[pane.up]]);
        pen.save();
        pen.beginPath();
        pen.rect(x, y, width, height);
        pen.clip();
        pen.strokeStyle = inks.soft;
        pen.lineWidth = 1;
        pen.setLineDash([]);
        for (let along = x - height; along < x + width; along += 7) line(pen, along, y + height, along + height, y);
        pen.restore();
        pen.strokeStyle = inks.frame;
        pen.lineWidth = 1;
        pen.strokeRect(x, y, width, height);
        if (pane.up === 1) writeOver(half, name, x + width / 2, y + height / 2 + 4);
    }
}

/** The path as programmed beside the compensated one: a line of dots, since the tool's centre never runs on it. */
function paintProgrammed(half: Half, motion: Motion): void {
    const { pen, inks, pane } = half;
    const columns = [motion.programmedX, motion.programmedY, motion.programmedZ] as const;
    pen.beginPath();
    let begins = true;
    for (let i = 0; i < motion.programmedX.length; i++) {
        if (Number.isNaN(motion.programmedX[i] ?? NaN)) {
            begins = true;
            continue;
        }
        const [x, y] = half.at(columns[pane.across][i] ?? 0, columns[pane.up][i] ?? 0);
        if (begins) pen.moveTo(x, y);
        else pen.lineTo(x, y);
        begins = false;
    }
    pen.strokeStyle = inks.ink;
    pen.lineWidth = 1.4;
    pen.lineCap = 'round';
    pen.setLineDash([0.1, 3.5]);
    pen.stroke();
    pen.setLineDash([]);
}

function paintZero({ pen, inks, at }: Half): void {
    const [x, y] = at(0, 0);
    pen.strokeStyle = inks.ink;
    pen.lineWidth = 1.4;
    pen.beginPath();
    pen.arc(x, y, 6, 0, Math.PI * 2);
    pen.stroke();
    line(pen, x - 10, y, x + 10, y);
    line(pen, x, y - 10, x, y + 10);
}

/** The length of the stock above it in the plan and the end view; its heights beside the elevation. */
function paintDimension(half: Half, scene: Scene): void {
    if (!scene.stock) return;
    const { pen, inks, pane } = half;
    const { min, max } = scene.stock;
    const [left, top, width, height] = rectangle(half, [min[pane.across], max[pane.across]], [min[pane.up], max[pane.up]]);
    pen.fillStyle = inks.ink;
    pen.strokeStyle = inks.soft;
    pen.lineWidth = 0.8;
    pen.font = LABEL;
    if (pane.title === 'ELEVATION') {
        pen.textAlign = 'left';
        pen.fillText(short(max[2], scene.decimals), left + width + 6, top + 4);
        if (height > 14) pen.fillText(short(min[2], scene.decimals), left + width + 6, top + height + 4);
        return;
    }
    // Beyond whatever stands along the stock, so that the figure is not written into it; below it in the end view, where the tool comes from above.
    const beyond = scene.obstacles.map((obstacle) => half.at(0, pane.up === 1 ? obstacle.max[1] : obstacle.min[2])[1]);
    const level =
        pane.up === 1 ? Math.max(pane.top + 16, Math.min(top, ...beyond) - 14) : Math.min(pane.top + pane.height - 10, Math.max(top + height, ...beyond) + 16);
    const text = short(max[pane.across] - min[pane.across], scene.decimals);
    const middle = left + width / 2;
    const gap = pen.measureText(text).width / 2 + 8;
    line(pen, left, level, middle - gap, level);
    line(pen, middle + gap, level, left + width, level);
    line(pen, left, level - 5, left, level + 5);
    line(pen, left + width, level - 5, left + width, level + 5);
    pen.textAlign = 'center';
    pen.fillText(text, middle, level + 4);
}
