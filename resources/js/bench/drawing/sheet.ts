import { short } from '../../shared/numbers';
import type { Inks } from '../../theme/inks';
import type { Motion, Scene, StateRow } from '../answer';
import { nameDiameters, paintTurnedStock } from './halfSection';
import { Labels, type Place } from './Labels';
import { eachHalf, line, rectangle, type Half, type Pen } from './pen';
import type { View } from './view';
import { doesNotFitAt, type PlanPoint } from './zero';

const AXES = ['X', 'Y', 'Z'] as const;

/** Widths of lines below those of the cuts, by what they draw: the stock over the jaws over the travel. Pixels. */
const WEIGHTS = { stock: 1.6, jaws: 1.1, travel: 0.8, dimension: 0.8, hatch: 0.6 };

/** What lies under the moves: the sheet, the travel, where the zero may stand, the stock and what stands in the way. */
export function paintGround(pen: Pen, inks: Inks, view: View, scene: Scene, limits: StateRow['limits']): void {
    pen.fillStyle = inks.sheet;
    pen.fillRect(0, 0, view.width, view.height);
    eachHalf(pen, inks, view, (half) => {
        paintTravel(half, scene, limits);
        if (half.pane.up === 1) paintMayMove(half, scene);
        if (scene.turned !== null) paintTurnedStock(half, scene, scene.turned);
        else paintStock(half, scene);
        paintObstacles(half, scene);
    });
}

/** What lies over the moves: the programmed path, the zero, dimensions and names, and the lines between the views. */
export function paintFigures(pen: Pen, inks: Inks, view: View, motion: Motion, scene: Scene, limits: StateRow['limits']): void {
    eachHalf(pen, inks, view, (half) => {
        paintProgrammed(half, motion);
        paintZero(half);
        const labels = new Labels(half);
        const { left, top, width } = half.pane;
        labels.write(half.pane.title, inks.soft, [
            { x: left + 10, y: top + 20, align: 'left' },
            { x: left + width - 10, y: top + 20, align: 'right' },
        ]);
        if (scene.turned !== null) nameDiameters(half, labels, scene, scene.turned);
        else paintDimensions(half, labels, scene);
        nameTravel(half, labels, scene, limits);
        if (half.pane.up === 1) {
            nameObstacles(half, labels, scene);
            nameMayMove(half, labels, scene);
        }
    });
    pen.strokeStyle = inks.frame;
    pen.lineWidth = 1;
    pen.setLineDash([]);
    for (const pane of view.panes.slice(1)) {
        line(pen, pane.left, pane.top, pane.left + pane.width, pane.top);
        if (pane.left > 0) line(pen, pane.left, pane.top, pane.left, pane.top + pane.height);
    }
}

/** The rectangle of the travel in a view; undefined where an axis of it has no end, or no tool says where the Z limits are for the tip. */
function travelOf(half: Half, scene: Scene, limits: StateRow['limits']): [number, number, number, number] | undefined {
    const { pane } = half;
    if (scene.turned !== null) return undefined; // each tool has a travel of its own
    const range = (axis: 0 | 1 | 2) =>
        axis < 2 ? scene.travel[AXES[axis]] : limits[0] !== null && limits[1] !== null ? ([limits[0], limits[1]] as const) : undefined;
    const [across, up] = [range(pane.across), range(pane.up)];
    return across === undefined || up === undefined ? undefined : rectangle(half, across, up);
}

function paintTravel(half: Half, scene: Scene, limits: StateRow['limits']): void {
    const { pen, inks } = half;
    const travel = travelOf(half, scene, limits);
    if (travel === undefined) return;
    pen.strokeStyle = inks.clay;
    pen.lineWidth = WEIGHTS.travel;
    pen.setLineDash([14, 4, 2, 4]);
    pen.strokeRect(...travel);
    pen.setLineDash([]);
}

function nameTravel(half: Half, labels: Labels, scene: Scene, limits: StateRow['limits']): void {
    const { inks, pane } = half;
    const travel = travelOf(half, scene, limits);
    if (travel === undefined) return;
    const [left, top, , height] = travel;
    const x = Math.max(pane.left + 10, left + 6);
    const foot = pane.top + pane.height;
    const name = (side: '+' | '−', level: number, y: number) => {
        if (level > pane.top && level < foot) labels.write(`travel limit ${AXES[pane.up]}${side}`, inks.clay, [{ x, y, align: 'left' }]);
    };
    name('+', top, top + 15);
    name('−', top + height, top + height - 6);
}

/** The ground the zero may stand on for everything to fit, by its corners; an open side has none. */
function paintMayMove(half: Half, scene: Scene): void {
    const { pen, inks, view } = half;
    const [x, y] = [scene.mayMove.X, scene.mayMove.Y];
    if (!x || !y) return;
    const far = (view.width + view.height) / view.scale;
    const [left, top, width, height] = rectangle(half, [x[0] ?? -far, x[1] ?? far], [y[0] ?? -far, y[1] ?? far]);
    pen.strokeStyle = inks.moss;
    pen.lineWidth = WEIGHTS.travel;
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
}

function nameMayMove(half: Half, labels: Labels, scene: Scene): void {
    const [x, y] = [scene.mayMove.X, scene.mayMove.Y];
    if (!x || !y) return;
    const far = (half.view.width + half.view.height) / half.view.scale;
    const [left, top, width, height] = rectangle(half, [x[0] ?? -far, x[1] ?? far], [y[0] ?? -far, y[1] ?? far]);
    if (width > 150 && height > 40) labels.write(`${scene.work} may be set in here`, half.inks.moss, [{ x: left + 8, y: top + height - 8, align: 'left' }]);
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
        pen.lineWidth = WEIGHTS.stock;
        pen.strokeRect(left, top, width, height);
    }
    if (pane.up === 2 && scene.clearance !== null) {
        const [, level] = half.at(0, max[2] + scene.clearance);
        pen.strokeStyle = inks.moss;
        pen.lineWidth = WEIGHTS.travel;
        pen.setLineDash([2, 4]);
        line(pen, pane.left, level, pane.left + pane.width, level);
        pen.setLineDash([]);
    }
}

/** Fixtures and clamps, hatched. */
function paintObstacles(half: Half, scene: Scene): void {
    const { pen, inks, pane } = half;
    for (const { min, max, outline } of scene.obstacles) {
        const [x, y, width, height] = rectangle(half, [min[pane.across], max[pane.across]], [min[pane.up], max[pane.up]]);
        const round = () => {
            pen.beginPath();
            if (pane.across !== 0 || pane.up !== 1) return pen.rect(x, y, width, height);
            for (const [i, corner] of outline.entries()) pen[i === 0 ? 'moveTo' : 'lineTo'](...half.at(...corner));
            pen.closePath();
        };
        pen.save();
        round();
        pen.clip();
        pen.strokeStyle = inks.soft;
        pen.lineWidth = WEIGHTS.hatch;
        pen.setLineDash([]);
        for (let along = x - height; along < x + width; along += 7) line(pen, along, y + height, along + height, y);
        pen.restore();
        pen.strokeStyle = inks.frame;
        pen.lineWidth = WEIGHTS.jaws;
        round();
        pen.stroke();
    }
}

/** The name of each in the middle of what is seen of it. */
function nameObstacles(half: Half, labels: Labels, scene: Scene): void {
    const { pane, inks } = half;
    for (const { name, min, max } of scene.obstacles) {
        const [left, top, width, height] = rectangle(half, [min[0], max[0]], [min[1], max[1]]);
        const seen = (at: number, size: number, from: number, room: number) =>
            (Math.max(at, from) + Math.min(at + size, from + room)) / 2;
        const [x, y] = [seen(left, width, pane.left, pane.width), seen(top, height, pane.top, pane.height) + 4];
        labels.write(name, inks.ink, [0, 16, -16, 32, -32].map((by): Place => ({ x, y: y + by, align: 'center' })));
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

/**
 * The sizes of the stock: X above the plan, Y to its right, Z to the left of the elevation with its heights on the right, Y
 * below the end view. Beyond whatever stands along the stock, as far as the view goes.
 */
function paintDimensions(half: Half, labels: Labels, scene: Scene): void {
    if (!scene.stock) return;
    const { pane, inks } = half;
    const { min, max } = scene.stock;
    const [left, top, width, height] = rectangle(half, [min[pane.across], max[pane.across]], [min[pane.up], max[pane.up]]);
    const size = (axis: 0 | 1 | 2) => short(max[axis] - min[axis], scene.decimals);
    const others = scene.obstacles.map((one) => rectangle(half, [one.min[pane.across], one.max[pane.across]], [one.min[pane.up], one.max[pane.up]]));
    const within = (value: number, from: number, room: number) => Math.max(from + 16, Math.min(from + room - 16, value));
    if (pane.title === 'PLAN') {
        level(half, labels, left, width, within(Math.min(top, ...others.map(([, y]) => y)) - 14, pane.top, pane.height), size(0));
        upright(half, labels, within(Math.max(left + width, ...others.map(([x, , wide]) => x + wide)) + 20, pane.left, pane.width), top, height, size(1));
    } else if (pane.title === 'ELEVATION') {
        for (const [z, y] of [[max[2], top], [min[2], top + height]] as const) {
            labels.write(short(z, scene.decimals), inks.ink, [{ x: left + width + 6, y: y + 4, align: 'left' }, { x: left + 6, y: y - 4, align: 'left' }]);
        }
        upright(half, labels, within(left - 20, pane.left, pane.width), top, height, size(2));
    } else {
        level(half, labels, left, width, within(Math.max(top + height, ...others.map(([, y, , tall]) => y + tall)) + 16, pane.top, pane.height), size(1));
    }
}

/** A dimension along a level line, its figure in the middle of it, or beside it where that is too short. */
function level(half: Half, labels: Labels, from: number, length: number, y: number, text: string): void {
    const { pen, inks } = half;
    const gap = pen.measureText(text).width / 2 + 7;
    const fits = length > 2 * gap + 12;
    ready(half);
    if (fits) {
        line(pen, from, y, from + length / 2 - gap, y);
        line(pen, from + length / 2 + gap, y, from + length, y);
    } else {
        line(pen, from, y, from + length, y);
    }
    for (const x of [from, from + length]) line(pen, x, y - 5, x, y + 5);
    labels.write(text, inks.ink, [
        ...(fits ? [{ x: from + length / 2, y: y + 4, align: 'center' as const }] : []),
        { x: from + length + 8, y: y + 4, align: 'left' },
        { x: from - 8, y: y + 4, align: 'right' },
    ]);
}

/** A dimension along an upright line, its figure level, as on most drawings. */
function upright(half: Half, labels: Labels, x: number, from: number, length: number, text: string): void {
    const { pen, inks } = half;
    const fits = length > 34;
    ready(half);
    if (fits) {
        line(pen, x, from, x, from + length / 2 - 11);
        line(pen, x, from + length / 2 + 11, x, from + length);
    } else {
        line(pen, x, from, x, from + length);
    }
    for (const y of [from, from + length]) line(pen, x - 5, y, x + 5, y);
    labels.write(text, inks.ink, [
        ...(fits ? [{ x, y: from + length / 2 + 4, align: 'center' as const }] : []),
        { x, y: from - 8, align: 'center' },
        { x, y: from + length + 18, align: 'center' },
    ]);
}

function ready({ pen, inks }: Half): void {
    pen.strokeStyle = inks.soft;
    pen.lineWidth = WEIGHTS.dimension;
    pen.setLineDash([]);
}
