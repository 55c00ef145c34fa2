import { clock, short, signed } from '../../shared/numbers';
import { MOVED, type Difference } from '../difference';
import type { Inks } from '../../theme/inks';
import { ARC, CUT_KNOWN, RAPID, TOOL, secondsAt, type Cuts, type Moment, type Motion, type Scene, type StateRow, type Vector } from '../answer';
import { AIR, CLASSES, DASHED, SHADES, inkOf } from '../drawing/ink';

/** Where things stand on the strip, in pixels and units. */
export interface StripLayout {
    left: number;
    right: number;
    top: number;
    /** Foot of the height band; the tools stand below it. */
    foot: number;
    height: number;
    high: number;
    low: number;
    seconds: number;
}

/** The operation at hand: 1 for each of its rows, and the heights of its passes. */
export interface OwnOnStrip {
    rows: Uint8Array;
    passes: number[];
}

/** Height of the band that shows how much of the tool's rim cuts. */
const RIM = 13;

/** Half of what stands between two bands. */
const GAP = 3;

/** Side of the square a hold point's number stands in. */
const HOLD = 17;

const LABEL = '600 13px "Source Sans 3", sans-serif';

/**
 * The band shows from the lowest cut to a hand's breadth of air above the stock; moves far above, to home and back, run
 * off the top, since down there is where the danger is.
 */
export function layStrip(motion: Motion, scene: Scene, width: number, height: number): StripLayout {
    const stockTop = scene.stock?.max[2] ?? 0;
    const thick = scene.stock ? stockTop - scene.stock.min[2] : 0;
    let low = scene.stock?.min[2] ?? 0;
    let peak = stockTop;
    for (let row = 0; row < motion.rows; row++) {
        const z = motion.z[row] ?? 0;
        if ((motion.kind[row] ?? 0) > ARC) continue;
        if (motion.kind[row] !== RAPID) low = Math.min(low, z);
        peak = Math.max(peak, z);
    }
    const hand = scene.units === 'mm' ? 30 : 1.2;
    const high = Math.min(peak, stockTop + Math.max(hand, 0.8 * thick));
    const span = Math.max(1e-6, high - low);
    return {
        left: 8,
        right: width - 62,
        top: 20,
        foot: height - 30 - (motion.cuts === null ? 0 : RIM + 4),
        height,
        high: high + span * 0.05,
        low: low - span * 0.08,
        seconds: Math.max(1e-9, motion.endSeconds[motion.rows - 1] ?? 0),
    };
}

export function paintStrip(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, scene: Scene, states: StateRow[],
    pins: { row: number; stop: boolean }[], holds: { row: number }[],
): void {
    const xOf = (seconds: number) => at.left + (seconds / at.seconds) * (at.right - at.left);
    // On a lathe the way towards the chuck stands over the way towards the axis.
    const upper = scene.turned === null ? at : { ...at, foot: (at.top + at.foot) / 2 - GAP };
    const yOf = heightOn(upper);
    context.fillStyle = inks.sheet;
    context.fillRect(0, 0, at.right + 62, at.height);
    bands(context, inks, upper, scene, yOf);
    if (scene.turned !== null) jawFace(context, inks, upper, scene, yOf);
    heights(context, inks, upper, motion, scene, states, xOf, yOf);
    if (scene.turned !== null) diameters(context, inks, { ...at, top: upper.foot + 2 * GAP }, motion, scene, xOf);
    const foot = at.height - 30;
    if (motion.cuts !== null) rims(context, inks, at, motion, motion.cuts, foot, xOf);
    tools(context, inks, { ...at, foot }, motion, scene, states, xOf);
    holdMarks(context, inks, at, motion, holds, xOf);
    for (const pin of pins) {
        mark(context, pin.stop ? inks.clay : inks.ochre, pin.stop, xOf(motion.endSeconds[pin.row] ?? 0), yOf(motion.z[pin.row] ?? 0));
    }
}

function heightOn(at: StripLayout): (z: number) => number {
    return (z) => at.top + ((at.high - Math.min(z, at.high)) / (at.high - at.low)) * (at.foot - at.top);
}

/** Where the jaws end: the danger is towards them. */
function jawFace(context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, { turned }: Scene, yOf: (z: number) => number): void {
    const face = turned?.chuck[0]?.[1];
    name(context, inks, at, 'Z');
    if (face === undefined || face < at.low) return;
    context.strokeStyle = inks.clay;
    context.lineWidth = 1.5;
    context.setLineDash([14, 4, 2, 4]);
    line(context, at.left, yOf(face), at.right, yOf(face));
    context.setLineDash([]);
}

/** The diameter of the tip against time, in a band of its own: what cuts inwards goes down. */
function diameters(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, scene: Scene, xOf: (seconds: number) => number,
): void {
    const across = { ...motion, z: motion.x.map((radius) => Math.abs(2 * radius)) };
    const stock = scene.stock === null ? null : { ...scene.stock, min: [0, 0, 0] as Vector, max: [0, 0, 2 * scene.stock.max[0]] as Vector };
    const own = { ...scene, stock, clearance: null };
    const full = layStrip(across, own, 0, 0).high;
    // No more air than the cuts leave room for.
    const high = scene.stock === null ? full : Math.min(full, 3.2 * scene.stock.max[0]);
    const lower = { ...at, high, low: -0.04 * high };
    const yOf = heightOn(lower);
    bands(context, inks, lower, own, yOf);
    name(context, inks, lower, 'Ø');
    heights(context, inks, lower, across, own, [], xOf, yOf);
}

/** What a band shows, where it begins. */
function name(context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, text: string): void {
    context.font = LABEL;
    context.textAlign = 'left';
    context.fillStyle = inks.soft;
    context.fillText(text, at.left + 3, at.foot - 3);
}

/** The line that stands at the moment of the run, over everything else. */
export function paintNow(context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, moment: Moment | null): void {
    if (moment === null || moment.row < 0 || moment.row >= motion.rows) return;
    const x = at.left + (secondsAt(motion, moment) / at.seconds) * (at.right - at.left);
    context.strokeStyle = inks.ink;
    context.lineWidth = 2;
    line(context, x, 0, x, at.height);
}

/** What one operation of a sheet makes: when it runs, and a tick for each of its passes. */
export function paintStripOwn(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, { rows, passes }: OwnOnStrip,
): void {
    const xOf = (seconds: number) => at.left + (seconds / at.seconds) * (at.right - at.left);
    const yOf = (z: number) => at.top + ((at.high - Math.max(at.low, Math.min(z, at.high))) / (at.high - at.low)) * (at.foot - at.top);
    context.fillStyle = inks.slate;
    context.setLineDash([]);
    let end = 0;
    for (let row = 0; row < motion.rows; row++) {
        const x = xOf(row > 0 ? (motion.endSeconds[row - 1] ?? 0) : 0);
        const toX = xOf(motion.endSeconds[row] ?? 0);
        if (rows[row] !== 1) continue;
        context.globalAlpha = 0.16;
        context.fillRect(Math.max(x, end), at.top, Math.max(0, toX - Math.max(x, end)), at.foot - at.top);
        end = toX;
    }
    context.globalAlpha = 1;
    for (const z of passes) context.fillRect(at.right - 9, yOf(z) - 1, 9, 2);
}

/** What has changed from another text: a band along the foot under the changed moves, the old heights in dots, a cross where moves have gone. */
export function paintStripDifference(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, { change, other, was, gaps }: Difference,
): void {
    const xOf = (seconds: number) => at.left + (seconds / at.seconds) * (at.right - at.left);
    // What was far below the strip runs along its foot.
    const yOf = (z: number) => at.top + ((at.high - Math.max(at.low, Math.min(z, at.high))) / (at.high - at.low)) * (at.foot - at.top);
    const old = new Path2D();
    context.fillStyle = inks.moss;
    context.setLineDash([]);
    for (let row = 1; row < motion.rows; row++) {
        const x = xOf(motion.endSeconds[row - 1] ?? 0);
        const toX = xOf(motion.endSeconds[row] ?? 0);
        const before = (other[row] ?? 0) - 1;
        if ((change[row] ?? 0) !== 0) context.fillRect(x, at.foot - 1, Math.max(1.5, toX - x), 5);
        if (before > 0 && change[row] === MOVED) {
            old.moveTo(x, yOf(was.z[before - 1] ?? 0));
            old.lineTo(toX, yOf(was.z[before] ?? 0));
        }
    }
    for (const row of gaps) cross(context, inks, xOf(row > 0 ? (motion.endSeconds[row - 1] ?? 0) : 0), at.foot);
    context.strokeStyle = inks.clay;
    context.lineWidth = 1.6;
    context.setLineDash([1.5, 3]);
    context.stroke(old);
    context.setLineDash([]);
}

function cross(context: CanvasRenderingContext2D, inks: Inks, x: number, foot: number): void {
    context.strokeStyle = inks.clay;
    context.lineWidth = 2;
    line(context, x - 4, foot - 8, x + 4, foot);
    line(context, x - 4, foot, x + 4, foot - 8);
}

function bands(context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, scene: Scene, yOf: (z: number) => number): void {
    context.font = LABEL;
    context.textAlign = 'left';
    if (scene.stock) {
        const top = yOf(scene.stock.max[2]);
        const bottom = yOf(scene.stock.min[2]);
        context.fillStyle = inks.stock;
        context.fillRect(at.left, top, at.right - at.left, bottom - top);
        context.strokeStyle = inks.stockEdge;
        context.lineWidth = 1;
        line(context, at.left, top, at.right, top);
        line(context, at.left, bottom, at.right, bottom);
        context.fillStyle = inks.ink;
        context.fillText(short(scene.stock.max[2], scene.decimals), at.right + 6, top + 5);
        if (bottom - top > 13) context.fillText(short(scene.stock.min[2], scene.decimals), at.right + 6, bottom + 5);
        if (scene.clearance !== null) {
            const level = yOf(scene.stock.max[2] + scene.clearance);
            context.strokeStyle = inks.moss;
            context.setLineDash([2, 4]);
            line(context, at.left, level, at.right, level);
            context.setLineDash([]);
            if (top - level > 13) {
                context.fillStyle = inks.moss;
                context.fillText(signed(scene.stock.max[2] + scene.clearance, scene.decimals), at.right + 6, level + 4);
            }
        }
    }
}

function heights(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, scene: Scene, states: StateRow[], xOf: (seconds: number) => number,
    yOf: (z: number) => number,
): void {
    const top = scene.stock?.max[2] ?? 0;
    const depth = scene.stock ? top - scene.stock.min[2] : 20;
    const limit = new Path2D();
    const paths = Array.from({ length: CLASSES }, () => new Path2D());
    let lowest = Infinity;
    // What falls into one column of dots is one upright for each ink.
    let column = NaN;
    const low = new Float64Array(CLASSES).fill(Infinity);
    const high = new Float64Array(CLASSES).fill(-Infinity);
    const lay = () => {
        paths.forEach((path, ink) => {
            if ((low[ink] ?? Infinity) === Infinity) return;
            path.moveTo(column, yOf(high[ink] ?? 0));
            path.lineTo(column, yOf(low[ink] ?? 0));
        });
        low.fill(Infinity);
        high.fill(-Infinity);
        column = NaN;
    };
    let floorFrom = NaN;
    let floorX = 0;
    for (let row = 1; row < motion.rows; row++) {
        const kind = motion.kind[row] ?? 0;
        const x = xOf(motion.endSeconds[row - 1] ?? 0);
        const toX = xOf(motion.endSeconds[row] ?? 0);
        const floor = states[motion.state[row] ?? 0]?.limits[0] ?? NaN;
        if (floor !== floorFrom) {
            if (floorFrom > at.low) limit.lineTo(x, yOf(floorFrom));
            if (floor > at.low) limit.moveTo(x, yOf(floor));
            floorFrom = floor;
        }
        floorX = toX;
        // An event does not move the tip; at a tool change the tip jumps to that of the new tool.
        if (kind > ARC) continue;
        const from = (motion.kind[row - 1] ?? 0) === TOOL ? (motion.z[row] ?? 0) : (motion.z[row - 1] ?? 0);
        const to = motion.z[row] ?? 0;
        if (kind !== RAPID && to < lowest) lowest = to;
        const ink =
            kind === RAPID
                ? DASHED
                : to > top && from > top
                  ? AIR
                  : Math.min(SHADES - 1, Math.round((Math.max(0, top - to) / Math.max(depth, 1e-6)) * (SHADES - 1)));
        if (toX - x < 0.5) {
            if (x - column > 0.5) lay();
            if (Number.isNaN(column)) column = x;
            low[ink] = Math.min(low[ink] ?? 0, from, to);
            high[ink] = Math.max(high[ink] ?? 0, from, to);
            continue;
        }
        lay();
        paths[ink]?.moveTo(x, yOf(from));
        paths[ink]?.lineTo(toX, yOf(to));
    }
    lay();
    if (floorFrom > at.low) limit.lineTo(floorX, yOf(floorFrom));
    context.lineCap = 'round';
    context.setLineDash([14, 4, 2, 4]);
    context.strokeStyle = inks.clay;
    context.lineWidth = 1.5;
    context.stroke(limit);
    for (const ink of [DASHED, AIR, ...Array.from({ length: SHADES }, (_, shade) => shade)]) {
        context.strokeStyle = ink === DASHED ? inks.soft : inkOf(inks, ink);
        context.lineWidth = ink === DASHED ? 1 : 2.4;
        context.setLineDash(ink === DASHED ? [5, 4] : []);
        context.stroke(paths[ink] ?? limit);
    }
    context.setLineDash([]);
    const floor = scene.stock?.min[2] ?? 0;
    if (lowest < Infinity && Math.abs(yOf(lowest) - yOf(floor)) > 13 && Math.abs(yOf(lowest) - yOf(top)) > 13) {
        context.fillStyle = lowest < floor ? inks.clay : inks.ink;
        context.textAlign = 'left';
        context.fillText(short(lowest, scene.decimals), at.right + 6, yOf(lowest) + 5);
    }
}

/**
 * How much of the tool's rim cuts, from none at the foot of its band to half of it at the top; at feed in air a line of
 * moss; nothing where it is not known.
 */
function rims(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, cuts: Cuts, foot: number, xOf: (seconds: number) => number,
): void {
    context.setLineDash([]);
    context.fillStyle = inks.ink;
    context.textAlign = 'left';
    context.font = LABEL;
    context.fillText('cut', at.right + 6, foot);
    context.strokeStyle = inks.hair;
    context.lineWidth = 1;
    line(context, at.left, foot + 0.5, at.right, foot + 0.5);
    for (let row = 1; row < motion.rows; row++) {
        const kind = motion.kind[row] ?? 0;
        if (kind === RAPID || kind > ARC || ((cuts.marks[row] ?? 0) & CUT_KNOWN) === 0) continue;
        const x = xOf(motion.endSeconds[row - 1] ?? 0);
        const width = Math.max(1, xOf(motion.endSeconds[row] ?? 0) - x);
        const cutting = (cuts.volume[row] ?? 0) > 0;
        const angle = (cuts.angle[row] ?? 0) > 0 ? (cuts.angle[row] ?? 0) : 180;
        const tall = cutting ? Math.max(2, (RIM * angle) / 180) : 2;
        context.fillStyle = cutting ? inkOf(inks, Math.round((angle / 180) * (SHADES - 1))) : inks.moss;
        context.fillRect(x, foot - tall, width, tall);
    }
}

/** Which tool is at work when, along the foot. */
function tools(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, scene: Scene, states: StateRow[], xOf: (seconds: number) => number,
): void {
    let from = 0;
    context.font = LABEL;
    context.textAlign = 'left';
    for (let row = 0; row <= motion.rows; row++) {
        const tool = states[motion.state[from] ?? 0]?.tool ?? 0;
        const next = row < motion.rows ? (states[motion.state[row] ?? 0]?.tool ?? 0) : -1;
        if (next === tool) continue;
        const start = from > 0 ? (motion.endSeconds[from - 1] ?? 0) : 0;
        const end = motion.endSeconds[row - 1] ?? 0;
        const x = xOf(start);
        const width = xOf(end) - x - 2;
        if (tool !== 0 && width > 0) {
            context.fillStyle = inks.pick;
            context.fillRect(x, at.foot + 6, width, 20);
            context.strokeStyle = inks.hair;
            context.strokeRect(x + 0.5, at.foot + 6.5, width, 19);
            context.fillStyle = inks.ink;
            for (const text of [`T${tool} ${scene.tools[tool]?.name ?? ''} · ${clock(end - start)}`, `T${tool} · ${clock(end - start)}`, `T${tool}`]) {
                if (context.measureText(text).width < width - 8) {
                    context.fillText(text, x + 5, at.foot + 20.5);
                    break;
                }
            }
        }
        from = row;
    }
}

/** The hold points by their number along the top, each on a hair that hangs down; where two fall together the weightier stands. */
function holdMarks(
    context: CanvasRenderingContext2D, inks: Inks, at: StripLayout, motion: Motion, holds: { row: number }[], xOf: (seconds: number) => number,
): void {
    const taken: number[] = [];
    context.font = '600 12px "Source Sans 3", sans-serif';
    context.textAlign = 'center';
    context.lineWidth = 1;
    context.setLineDash([]);
    holds.forEach(({ row }, i) => {
        const x = Math.max(at.left + HOLD / 2, xOf(motion.endSeconds[row] ?? 0));
        if (taken.some((other) => Math.abs(other - x) < HOLD + 2)) return;
        taken.push(x);
        context.strokeStyle = inks.hair;
        line(context, x, HOLD, x, at.foot);
        context.fillStyle = inks.sheet;
        context.fillRect(x - HOLD / 2, 1, HOLD, HOLD);
        context.strokeStyle = inks.frame;
        context.strokeRect(x - HOLD / 2 + 0.5, 1.5, HOLD - 1, HOLD - 1);
        context.fillStyle = inks.ink;
        context.fillText(String(i + 1), x, HOLD - 3);
    });
}

function mark(context: CanvasRenderingContext2D, ink: string, stop: boolean, x: number, y: number): void {
    const corners: [number, number][] = stop ? [[-3.5, -7], [3.5, -7], [7, 0], [3.5, 7], [-3.5, 7], [-7, 0]] : [[0, -8], [8, 6], [-8, 6]];
    context.fillStyle = ink;
    context.beginPath();
    corners.forEach(([dx, dy], i) => (i === 0 ? context.moveTo(x + dx, y + dy) : context.lineTo(x + dx, y + dy)));
    context.fill();
}

function line(context: CanvasRenderingContext2D, x: number, y: number, toX: number, toY: number): void {
    context.beginPath();
    context.moveTo(x, y);
    context.lineTo(toX, toY);
    context.stroke();
}
