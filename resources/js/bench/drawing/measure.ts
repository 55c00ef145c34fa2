import { figure } from '../../shared/numbers';
import type { Inks } from '../../theme/inks';
import { ARC, placeOf, type Motion, type Scene, type Vector } from '../answer';
import { LABEL, eachHalf, line, type Half, type Pen } from './pen';
import { SHOWN } from './shows';
import { paneAt, pick, placeIn, type Axis, type View } from './view';

/** A point that can be measured from: an end, the middle or the centre of a move. */
export interface Snap {
    row: number;
    what: 'begin' | 'end' | 'middle' | 'centre';
    at: Vector;
}

/** How near a point the pointer takes hold of it, pixels. */
const REACH = 14;

/** Number of the arc of a row, or -1 where it is none. Rows of arcs are in order. */
export function arcOf(motion: Motion, row: number): number {
    if (motion.kind[row] !== ARC) return -1;
    let [low, high] = [0, motion.arcRow.length - 1];
    while (low < high) {
        const middle = (low + high) >> 1;
        if ((motion.arcRow[middle] ?? 0) < row) low = middle + 1;
        else high = middle;
    }
    return motion.arcRow[low] === row ? low : -1;
}

const corner = (motion: Motion, i: number): Vector => [motion.cornerX[i] ?? 0, motion.cornerY[i] ?? 0, motion.cornerZ[i] ?? 0];

/** The points of a move; none of what is no move. */
export function snapsOf(motion: Motion, row: number): Snap[] {
    const first = motion.firstCorner[row] ?? 0;
    const end = motion.firstCorner[row + 1] ?? 0;
    if (end === first) return [];
    const snaps: Snap[] = [{ row, what: 'end', at: corner(motion, end - 1) }];
    if (first === 0) return snaps;
    const begin = corner(motion, first - 1);
    snaps.push({ row, what: 'begin', at: begin });
    const arc = arcOf(motion, row);
    if (arc < 0) {
        snaps.push({ row, what: 'middle', at: begin.map((from, n) => (from + (snaps[0]?.at[n] ?? from)) / 2) as Vector });
        return snaps;
    }
    snaps.push({ row, what: 'centre', at: centreOf(motion, arc) });
    if ((end - first) % 2 === 0) snaps.push({ row, what: 'middle', at: corner(motion, first + (end - first) / 2 - 1) });
    return snaps;
}

const centreOf = (motion: Motion, arc: number): Vector => [motion.arcX[arc] ?? 0, motion.arcY[arc] ?? 0, motion.arcZ[arc] ?? 0];

/** The point to measure from that is nearest a place on the sheet, or null where none is near. */
export function snapAt(motion: Motion, view: View, x: number, y: number, mask: Uint8Array | null): Snap | null {
    const pane = paneAt(view, x, y);
    if (pane === undefined) return null;
    const row = pick(motion, view, x, y, mask, REACH);
    const candidates = row < 0 ? [] : snapsOf(motion, row);
    for (let arc = 0; arc < motion.arcRow.length; arc++) {
        const of = motion.arcRow[arc] ?? 0;
        if (mask === null || mask[of] === SHOWN) candidates.push({ row: of, what: 'centre', at: centreOf(motion, arc) });
    }
    let [nearest, gap]: [Snap | null, number] = [null, row < 0 ? REACH : Infinity];
    for (const snap of candidates) {
        const [atX, atY] = placeIn(view, pane, snap.at[pane.across], snap.at[pane.up]);
        const away = Math.hypot(atX - x, atY - y);
        // A centre is taken only from close by; ends and middles belong to the move under the pointer.
        if (away < gap && (snap.what !== 'centre' || away <= REACH)) [nearest, gap] = [snap, away];
    }
    return nearest;
}

/** Length of a move's path. */
export function lengthOf(motion: Motion, row: number): number {
    const arc = arcOf(motion, row);
    const first = motion.firstCorner[row] ?? 0;
    const end = motion.firstCorner[row + 1] ?? 0;
    if (end === first || first === 0) return 0;
    const [from, to] = [corner(motion, first - 1), corner(motion, end - 1)];
    if (arc < 0) return Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
    const rise = axisOf(to, motion.arcNormal[arc] ?? 2) - axisOf(from, motion.arcNormal[arc] ?? 2);
    return Math.hypot(((motion.arcRadius[arc] ?? 0) * Math.abs(motion.arcSweep[arc] ?? 0) * Math.PI) / 180, rise);
}

const axisOf = (at: Vector, axis: number): number => at[axis as Axis] ?? 0;

/** A figure of what is measured: what it is, and how it reads. */
export type Fact = [name: string, value: string];

/** What there is to say of one move. */
export function factsOf(motion: Motion, scene: Scene, row: number): Fact[] {
    const [end] = snapsOf(motion, row);
    if (end === undefined) return [];
    const say = (value: number) => `${figure(value, scene.decimals)} ${scene.units}`;
    const facts: Fact[] = (motion.firstCorner[row] ?? 0) > 0 ? [['Length', say(lengthOf(motion, row))]] : [];
    const arc = arcOf(motion, row);
    if (arc >= 0) {
        facts.push(
            ['Radius', say(motion.arcRadius[arc] ?? 0)],
            ['Sweep', `${figure(Math.abs(motion.arcSweep[arc] ?? 0), 3)}° ${(motion.arcSweep[arc] ?? 0) < 0 ? 'clockwise' : 'counter-clockwise'}`],
        );
    }
    if (scene.stock) facts.push(['Depth below the top of the stock', say(scene.stock.max[2] - end.at[2])]);
    return facts;
}

/** What there is to say of two points. */
export function factsBetween(motion: Motion, scene: Scene, from: Snap, to: Snap): Fact[] {
    const say = (value: number) => `${figure(value, scene.decimals)} ${scene.units}`;
    const [dx, dy, dz] = [to.at[0] - from.at[0], to.at[1] - from.at[1], to.at[2] - from.at[2]];
    const facts: Fact[] = [['ΔX', say(dx)], ['ΔY', say(dy)], ['ΔZ', say(dz)], ['Straight', say(Math.hypot(dx, dy, dz))]];
    if (Math.hypot(dx, dy) > 1e-6) facts.push(['Angle in the plan', `${figure((Math.atan2(dy, dx) * 180) / Math.PI, 3)}°`]);
    const [first, last] = [Math.min(from.row, to.row), Math.max(from.row, to.row)];
    if (first < last && from.what !== 'centre' && to.what !== 'centre') {
        let along = 0;
        for (let row = first + 1; row <= last; row++) along += lengthOf(motion, row);
        facts.push(['Along the path', say(along)]);
    }
    return facts;
}

export function nameOf(motion: Motion, snap: Snap): string {
    return `${snap.what === 'begin' ? 'start' : snap.what} of the move of line ${placeOf(motion, snap.row).line}`;
}

/** Measured points and what lies between them, as on a drawing: each view shows the length as it is seen there. */
export function paintMeasure(pen: Pen, inks: Inks, view: View, motion: Motion, scene: Scene, points: Snap[]): void {
    eachHalf(pen, inks, view, (half) => {
        pen.strokeStyle = inks.oak;
        pen.fillStyle = inks.oak;
        pen.lineWidth = 1.4;
        pen.setLineDash([]);
        for (const { at } of points) {
            const [x, y] = half.at(at[half.pane.across], at[half.pane.up]);
            pen.strokeRect(x - 4, y - 4, 8, 8);
        }
        const [from, to] = points;
        if (from !== undefined && to !== undefined) paintLength(half, scene, from.at, to.at);
        else if (from !== undefined) paintRadius(half, motion, scene, from);
    });
}

function paintLength(half: Half, scene: Scene, from: Vector, to: Vector): void {
    const { pen, pane, view } = half;
    const [x, y] = half.at(from[pane.across], from[pane.up]);
    const [toX, toY] = half.at(to[pane.across], to[pane.up]);
    const seen = Math.hypot(toX - x, toY - y);
    if (seen < 6) return;
    const [alongX, alongY] = [(toX - x) / seen, (toY - y) / seen];
    // Off the points to the side that is up or left, as dimensions are read.
    const side = alongX > 0 || (alongX === 0 && alongY < 0) ? 1 : -1;
    const [offX, offY] = [alongY * side * 22, -alongX * side * 22];
    pen.lineWidth = 0.9;
    line(pen, x, y, x + offX * 1.2, y + offY * 1.2);
    line(pen, toX, toY, toX + offX * 1.2, toY + offY * 1.2);
    line(pen, x + offX, y + offY, toX + offX, toY + offY);
    arrow(pen, x + offX, y + offY, -alongX, -alongY);
    arrow(pen, toX + offX, toY + offY, alongX, alongY);
    figureOver(half, figure(seen / view.scale, scene.decimals), (x + toX) / 2 + offX, (y + toY) / 2 + offY - 3);
}

function paintRadius(half: Half, motion: Motion, scene: Scene, snap: Snap): void {
    const arc = arcOf(motion, snap.row);
    const { pen, pane, view } = half;
    if (arc < 0 || 3 - pane.across - pane.up !== motion.arcNormal[arc]) return;
    const [x, y] = half.at(...([centreOf(motion, arc)[pane.across], centreOf(motion, arc)[pane.up]] as const));
    const [end] = snapsOf(motion, snap.row);
    if (end === undefined) return;
    const [toX, toY] = half.at(end.at[pane.across], end.at[pane.up]);
    const seen = Math.hypot(toX - x, toY - y);
    if (seen < 6) return;
    pen.lineWidth = 0.9;
    line(pen, x, y, toX, toY);
    arrow(pen, toX, toY, (toX - x) / seen, (toY - y) / seen);
    figureOver(half, `R${figure(seen / view.scale, scene.decimals)}`, (x + toX) / 2, (y + toY) / 2 - 4);
}

function arrow(pen: Pen, x: number, y: number, alongX: number, alongY: number): void {
    pen.beginPath();
    pen.moveTo(x, y);
    pen.lineTo(x - 10 * alongX - 3 * alongY, y - 10 * alongY + 3 * alongX);
    pen.lineTo(x - 10 * alongX + 3 * alongY, y - 10 * alongY - 3 * alongX);
    pen.fill();
}

function figureOver({ pen, inks }: Half, text: string, x: number, y: number): void {
    pen.font = LABEL;
    pen.textAlign = 'center';
    pen.strokeStyle = inks.sheet;
    pen.lineWidth = 4;
    pen.strokeText(text, x, y);
    pen.fillStyle = inks.oak;
    pen.fillText(text, x, y);
    pen.strokeStyle = inks.oak;
}
