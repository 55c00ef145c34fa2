import { short } from '../../shared/numbers';
import { cutInk, type Inks } from '../../theme/inks';
import { RAPID, tipAt, type Moment, type Motion, type Scene, type StateRow, type Vector } from '../answer';
import { planPoint, sidePoint, type View } from './view';
import { fitsAt, type PlanPoint } from './zero';

const SHADES = 10;
const LABEL = '600 13px "Source Sans 3", sans-serif';

/** One of the two views on the sheet. */
interface Half {
    context: CanvasRenderingContext2D;
    inks: Inks;
    view: View;
    title: string;
    top: number;
    bottom: number;
    /** The axis that runs up the half: 1 is Y, 2 is Z. */
    up: 1 | 2;
    at: (x: number, up: number) => [number, number];
}

function halves(context: CanvasRenderingContext2D, inks: Inks, view: View): Half[] {
    return [
        { context, inks, view, title: 'PLAN', top: 0, bottom: view.split, up: 1, at: (x, y) => planPoint(view, x, y) },
        { context, inks, view, title: 'ELEVATION', top: view.split, bottom: view.height, up: 2, at: (x, z) => sidePoint(view, x, z) },
    ];
}

function clipped(half: Half, draw: (half: Half) => void): void {
    const { context, view } = half;
    context.save();
    context.beginPath();
    context.rect(0, half.top, view.width, half.bottom - half.top);
    context.clip();
    draw(half);
    context.restore();
}

/** The sheet: travel, stock, zero, dimensions and every move. Drawn when the view or the program changes. */
export function paintSheet(context: CanvasRenderingContext2D, inks: Inks, view: View, motion: Motion, scene: Scene, limits: StateRow['limits'] | undefined): void {
    context.fillStyle = inks.sheet;
    context.fillRect(0, 0, view.width, view.height);
    for (const half of halves(context, inks, view)) {
        clipped(half, () => {
            paintTravel(half, scene, limits);
            if (half.up === 1) paintMayMove(half, scene);
            paintStock(half, scene);
            paintObstacles(half, scene);
            paintMoves(half, motion, scene);
            paintProgrammed(half, motion);
            paintZero(half);
            paintDimension(half, scene);
            context.fillStyle = inks.soft;
            context.font = LABEL;
            context.textAlign = 'left';
            context.fillText(half.title, 10, half.top + 20);
        });
    }
    context.strokeStyle = inks.frame;
    context.lineWidth = 1;
    context.setLineDash([]);
    line(context, 0, view.split, view.width, view.split);
}

/** What moves with the cursor: the picked move, the tool, the mark of a finding. */
export function paintCursor(context: CanvasRenderingContext2D, inks: Inks, view: View, motion: Motion, scene: Scene, states: StateRow[], moment: Moment | null, mark: { text: string; stop: boolean } | null): void {
    context.clearRect(0, 0, view.width, view.height);
    if (moment === null || moment.row < 0 || moment.row >= motion.rows) return;
    const tip = tipAt(motion, moment);
    const tool = scene.tools[states[motion.state[moment.row] ?? 0]?.tool ?? 0];
    for (const half of halves(context, inks, view)) {
        clipped(half, () => {
            paintPicked(half, motion, moment);
            paintTool(half, tip, tool?.diameter ?? null, tool?.point ?? 0);
            if (mark !== null) paintMark(half, tip, mark);
        });
    }
}

function rectangle(half: Half, x: [number, number], up: [number, number]): [number, number, number, number] {
    const [left, top] = half.at(x[0], up[1]);
    const [right, bottom] = half.at(x[1], up[0]);
    return [left, top, right - left, bottom - top];
}

function paintTravel(half: Half, scene: Scene, limits: StateRow['limits'] | undefined): void {
    const { context, inks } = half;
    const x = scene.travel.X;
    // Where the Z limits are for the tip depends on the tool: with none at work there is nothing to draw.
    const up = half.up === 1 ? scene.travel.Y : limits?.[0] != null && limits[1] != null ? (limits as [number, number]) : undefined;
    if (x === undefined || up === undefined) return;
    const [left, top, width, height] = rectangle(half, x, up);
    context.strokeStyle = inks.clay;
    context.lineWidth = 1.5;
    context.setLineDash([14, 4, 2, 4]);
    context.strokeRect(left, top, width, height);
    context.setLineDash([]);
    context.fillStyle = inks.clay;
    context.font = LABEL;
    context.textAlign = 'left';
    const labelX = Math.max(10, left + 6);
    if (top > half.top + 24 && top < half.bottom) context.fillText(`travel limit ${half.up === 1 ? 'Y+' : 'Z+'}`, labelX, top + 15);
    if (top + height < half.bottom && top + height > half.top + 24) context.fillText(`travel limit ${half.up === 1 ? 'Y−' : 'Z−'}`, labelX, top + height - 6);
}

/** The ground the zero may stand on for everything to fit, by its corners; an open side has none. */
function paintMayMove(half: Half, scene: Scene): void {
    const { context, inks, view } = half;
    const [x, y] = [scene.mayMove.X, scene.mayMove.Y];
    if (!x || !y) return;
    const far = (view.width + view.height) / view.scale;
    const [left, top, width, height] = rectangle(half, [x[0] ?? -far, x[1] ?? far], [y[0] ?? -far, y[1] ?? far]);
    context.strokeStyle = inks.moss;
    context.lineWidth = 1.5;
    context.setLineDash([]);
    for (const [cornerX, cornerY, right, down] of [[left, top, 1, 1], [left + width, top, -1, 1], [left, top + height, 1, -1], [left + width, top + height, -1, -1]] as const) {
        line(context, cornerX, cornerY, cornerX + right * Math.min(18, width / 2), cornerY);
        line(context, cornerX, cornerY, cornerX, cornerY + down * Math.min(18, height / 2));
    }
    if (width > 150 && height > 40 && left > 4) {
        context.fillStyle = inks.moss;
        context.font = LABEL;
        context.textAlign = 'left';
        context.fillText(`${scene.work} fits in here`, left + 8, top + height - 8);
    }
}

/** The zero mark where it is being dragged to, with a line from where it stands. */
export function paintMovedZero(context: CanvasRenderingContext2D, inks: Inks, view: View, scene: Scene, moved: PlanPoint): void {
    const half = halves(context, inks, view)[0];
    if (half === undefined) return;
    clipped(half, () => {
        const [x, y] = half.at(...moved);
        const [fromX, fromY] = half.at(0, 0);
        context.strokeStyle = fitsAt(scene, moved) ? inks.moss : inks.clay;
        context.lineWidth = 2;
        context.setLineDash([2, 4]);
        line(context, fromX, fromY, x, y);
        context.setLineDash([]);
        context.beginPath();
        context.arc(x, y, 8, 0, Math.PI * 2);
        context.stroke();
        line(context, x - 13, y, x + 13, y);
        line(context, x, y - 13, x, y + 13);
    });
}

function paintStock(half: Half, scene: Scene): void {
    if (!scene.stock) return;
    const { context, inks } = half;
    const { min, max } = scene.stock;
    const [left, top, width, height] = rectangle(half, [min[0], max[0]], [min[half.up], max[half.up]]);
    context.fillStyle = inks.stock;
    context.fillRect(left, top, width, height);
    context.strokeStyle = inks.stockEdge;
    context.lineWidth = 1;
    context.strokeRect(left, top, width, height);
    if (half.up === 2 && scene.clearance !== null) {
        const [, level] = half.at(0, max[2] + scene.clearance);
        context.strokeStyle = inks.moss;
        context.setLineDash([2, 4]);
        line(context, 0, level, half.view.width, level);
        context.setLineDash([]);
    }
}

function shadeOf(z: number, scene: Scene): number {
    const top = scene.stock?.max[2] ?? 0;
    const depth = scene.stock ? top - scene.stock.min[2] : 20;
    return Math.min(SHADES - 1, Math.floor((Math.max(0, top - z) / Math.max(depth, 1e-6)) * SHADES));
}

/** Every move, gathered by its ink so that each ink is stroked once. */
function paintMoves(half: Half, motion: Motion, scene: Scene): void {
    const { context, inks } = half;
    const top = scene.stock?.max[2] ?? 0;
    const rapids = new Path2D();
    const air = new Path2D();
    const cuts = Array.from({ length: SHADES }, () => new Path2D());
    let fromX = NaN;
    let fromY = NaN;
    let fromZ = NaN;
    for (let i = 0; i < motion.cornerRow.length; i++) {
        const row = motion.cornerRow[i] ?? 0;
        const x = motion.cornerX[i] ?? 0;
        const z = motion.cornerZ[i] ?? 0;
        const [toX, toY] = half.at(x, half.up === 1 ? (motion.cornerY[i] ?? 0) : z);
        const path = motion.kind[row] === RAPID ? rapids : z > top && fromZ > top ? air : (cuts[shadeOf(z, scene)] ?? air);
        if (!Number.isNaN(fromX)) {
            path.moveTo(fromX, fromY);
            path.lineTo(toX, toY);
        }
        [fromX, fromY, fromZ] = [toX, toY, z];
    }
    context.lineCap = 'round';
    context.strokeStyle = inks.ink;
    context.lineWidth = 0.8;
    context.setLineDash([6, 5]);
    context.globalAlpha = 0.7;
    context.stroke(rapids);
    context.globalAlpha = 1;
    context.setLineDash([]);
    context.strokeStyle = inks.moss;
    context.lineWidth = 1.2;
    context.stroke(air);
    context.lineWidth = 2.2;
    cuts.forEach((path, shade) => {
        context.strokeStyle = cutInk(inks, shade / (SHADES - 1));
        context.stroke(path);
    });
}

/** What stands in the way: hatched, and named in the plan, where each has its own ground. */
function paintObstacles(half: Half, scene: Scene): void {
    const { context, inks } = half;
    for (const { name, min, max } of scene.obstacles) {
        const [x, y, width, height] = rectangle(half, [min[0], max[0]], half.up === 1 ? [min[1], max[1]] : [min[2], max[2]]);
        context.save();
        context.beginPath();
        context.rect(x, y, width, height);
        context.clip();
        context.strokeStyle = inks.soft;
        context.lineWidth = 1;
        context.setLineDash([]);
        for (let along = x - height; along < x + width; along += 7) line(context, along, y + height, along + height, y);
        context.restore();
        context.strokeStyle = inks.frame;
        context.lineWidth = 1;
        context.strokeRect(x, y, width, height);
        if (half.up === 1) writeOver(half, name, x + width / 2, y + height / 2 + 4);
    }
}

/** A text in the middle of what is drawn under it, with a rim of the sheet's colour that keeps it readable. */
function writeOver({ context, inks }: Half, text: string, x: number, y: number): void {
    context.font = LABEL;
    context.textAlign = 'center';
    context.lineWidth = 5;
    context.strokeStyle = inks.sheet;
    context.strokeText(text, x, y);
    context.fillStyle = inks.ink;
    context.fillText(text, x, y);
}

/** The path as programmed beside the compensated one: a line of dots, since the tool's centre never runs on it. */
function paintProgrammed(half: Half, motion: Motion): void {
    const { context, inks } = half;
    const path = new Path2D();
    let begins = true;
    for (let i = 0; i < motion.programmedX.length; i++) {
        const x = motion.programmedX[i] ?? NaN;
        if (Number.isNaN(x)) {
            begins = true;
            continue;
        }
        const [toX, toY] = half.at(x, (half.up === 1 ? motion.programmedY[i] : motion.programmedZ[i]) ?? 0);
        if (begins) path.moveTo(toX, toY);
        else path.lineTo(toX, toY);
        begins = false;
    }
    context.strokeStyle = inks.ink;
    context.lineWidth = 1.4;
    context.lineCap = 'round';
    context.setLineDash([0.1, 3.5]);
    context.stroke(path);
    context.setLineDash([]);
}

function paintZero({ context, inks, at }: Half): void {
    const [x, y] = at(0, 0);
    context.strokeStyle = inks.ink;
    context.lineWidth = 1.4;
    context.beginPath();
    context.arc(x, y, 6, 0, Math.PI * 2);
    context.stroke();
    line(context, x - 10, y, x + 10, y);
    line(context, x, y - 10, x, y + 10);
}

/** The width of the stock above the plan; its heights beside the elevation. */
function paintDimension(half: Half, scene: Scene): void {
    if (!scene.stock) return;
    const { context, inks } = half;
    const { min, max } = scene.stock;
    const [left, top, width, height] = rectangle(half, [min[0], max[0]], [min[half.up], max[half.up]]);
    context.fillStyle = inks.ink;
    context.strokeStyle = inks.soft;
    context.lineWidth = 0.8;
    context.font = LABEL;
    if (half.up === 1) {
        // Beyond whatever stands along the stock, so that the figure is not written into it.
        const beyond = scene.obstacles.map((obstacle) => half.at(0, obstacle.max[1])[1]);
        const level = Math.max(half.top + 16, Math.min(top, ...beyond) - 14);
        const text = short(max[0] - min[0], scene.decimals);
        const middle = left + width / 2;
        const gap = context.measureText(text).width / 2 + 8;
        line(context, left, level, middle - gap, level);
        line(context, middle + gap, level, left + width, level);
        line(context, left, level - 5, left, level + 5);
        line(context, left + width, level - 5, left + width, level + 5);
        context.textAlign = 'center';
        context.fillText(text, middle, level + 4);
    } else {
        context.textAlign = 'left';
        context.fillText(short(max[2], scene.decimals), left + width + 6, top + 4);
        if (height > 14) context.fillText(short(min[2], scene.decimals), left + width + 6, top + height + 4);
    }
}

function paintPicked(half: Half, motion: Motion, moment: Moment): void {
    const { context, inks } = half;
    const first = motion.firstCorner[moment.row] ?? 0;
    const end = motion.firstCorner[moment.row + 1] ?? 0;
    if (end === first) return;
    const up = half.up === 1 ? motion.cornerY : motion.cornerZ;
    const start = first > 0 ? first - 1 : first;
    context.beginPath();
    for (let i = start; i < end; i++) {
        const [x, y] = half.at(motion.cornerX[i] ?? 0, up[i] ?? 0);
        if (i === start) context.moveTo(x, y);
        else context.lineTo(x, y);
    }
    context.strokeStyle = inks.ink;
    context.lineWidth = 3.4;
    context.stroke();
    // Direction: an arrow head at the end of the move.
    const [x, y] = half.at(motion.cornerX[end - 1] ?? 0, up[end - 1] ?? 0);
    const [px, py] = half.at(motion.cornerX[Math.max(start, end - 2)] ?? 0, up[Math.max(start, end - 2)] ?? 0);
    const angle = Math.atan2(y - py, x - px);
    if (Math.hypot(x - px, y - py) > 4) {
        context.fillStyle = inks.ink;
        context.beginPath();
        context.moveTo(x, y);
        context.lineTo(x - 11 * Math.cos(angle - 0.4), y - 11 * Math.sin(angle - 0.4));
        context.lineTo(x - 11 * Math.cos(angle + 0.4), y - 11 * Math.sin(angle + 0.4));
        context.fill();
    }
}

function paintTool(half: Half, tip: Vector, diameter: number | null, point: number): void {
    const { context, inks, view } = half;
    const [x, y] = half.at(tip[0], tip[half.up]);
    const radius = Math.max(3, ((diameter ?? 0) / 2) * view.scale);
    context.lineWidth = 1;
    context.strokeStyle = inks.ink;
    context.fillStyle = inks.dark ? 'rgb(236 230 214 / 16%)' : 'rgb(29 40 34 / 13%)';
    context.beginPath();
    if (half.up === 1) {
        context.arc(x, y, radius, 0, Math.PI * 2);
    } else {
        const cone = Math.min(point * view.scale, radius * 2);
        context.moveTo(x, y);
        context.lineTo(x + (cone > 0 ? radius : 0), y - cone);
        context.lineTo(x + radius, cone > 0 ? y - cone : y);
        context.lineTo(x + radius, half.top);
        context.lineTo(x - radius, half.top);
        context.lineTo(x - radius, y - cone);
        context.closePath();
    }
    context.fill();
    context.stroke();
    context.fillStyle = inks.ink;
    context.beginPath();
    context.arc(x, y, 2.5, 0, Math.PI * 2);
    context.fill();
}

/** The mark of a finding at the tip, with its figures in the elevation. */
function paintMark(half: Half, tip: Vector, mark: { text: string; stop: boolean }): void {
    const { context, inks, view } = half;
    const [x, level] = half.at(tip[0], tip[half.up]);
    const y = Math.min(half.bottom - 12, Math.max(half.top + 12, level));
    context.fillStyle = mark.stop ? inks.clay : inks.ochre;
    context.beginPath();
    const corners: [number, number][] = mark.stop ? [[-4, -8], [4, -8], [8, 0], [4, 8], [-4, 8], [-8, 0]] : [[0, -9], [9, 7], [-9, 7]];
    corners.forEach(([dx, dy], i) => (i === 0 ? context.moveTo(x + dx, y + dy) : context.lineTo(x + dx, y + dy)));
    context.fill();
    if (half.up !== 2) return;
    context.font = LABEL;
    const width = context.measureText(mark.text).width;
    const right = x + 14 + width < view.width;
    context.textAlign = right ? 'left' : 'right';
    context.lineWidth = 4;
    context.strokeStyle = inks.sheet;
    context.strokeText(mark.text, right ? x + 14 : x - 14, y + 4);
    context.fillText(mark.text, right ? x + 14 : x - 14, y + 4);
}

function line(context: CanvasRenderingContext2D, x: number, y: number, toX: number, toY: number): void {
    context.beginPath();
    context.moveTo(x, y);
    context.lineTo(toX, toY);
    context.stroke();
}
