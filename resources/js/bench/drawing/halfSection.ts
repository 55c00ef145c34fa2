import { short } from '../../shared/numbers';
import type { Scene, TurnedScene, Vector } from '../answer';
import type { Labels } from './Labels';
import { line, rectangle, type Half } from './pen';

/** Pixels between the lines a section is hatched with. */
const HATCH = 7;

/** The turned part: cut open above its axis, from outside below it, in what holds it. */
export function paintTurnedStock(half: Half, scene: Scene, turned: TurnedScene): void {
    paintRaw(half, scene);
    for (const [from, to, radii] of turned.stands) {
        for (let i = 0; i < radii.length; i += 2) paintStretch(half, from, to, radii[i] ?? 0, radii[i + 1] ?? 0);
    }
    paintEdges(half, turned);
    for (const outline of turned.wanted) paintWanted(half, outline);
    for (const thread of turned.threads) paintThread(half, thread, turned.stands);
    for (const part of turned.chuck) paintChuck(half, part);
    for (const { outline } of turned.solids) paintSolid(half, outline);
    paintAxis(half);
}

/** The bar before anything was cut, as a line of dashes. */
function paintRaw({ pen, inks, ...half }: Half, scene: Scene): void {
    if (scene.stock === null) return;
    const { min, max } = scene.stock;
    pen.strokeStyle = inks.stockEdge;
    pen.lineWidth = 1;
    pen.setLineDash([6, 4]);
    pen.strokeRect(...rectangle({ pen, inks, ...half }, [min[2], max[2]], [min[0], max[0]]));
    pen.setLineDash([]);
}

function paintStretch(half: Half, from: number, to: number, inner: number, outer: number): void {
    const { pen, inks } = half;
    const [left, top, width, height] = rectangle(half, [from, to], [inner, outer]);
    // A hair wider than it is, so that no ground shows between two of them.
    pen.fillStyle = inks.stock;
    pen.fillRect(left, top, width + 0.6, height);
    pen.fillRect(...rectangle(half, [from, to + 0.6 / half.view.scale], [-outer, 0]));
    pen.save();
    pen.beginPath();
    pen.rect(left, top, width + 0.6, height);
    pen.clip();
    pen.strokeStyle = inks.stockEdge;
    pen.lineWidth = 0.6;
    // Lines of one family over all stretches: they begin where their number says, not where the stretch does.
    for (let n = Math.floor((left - height - top) / HATCH); n * HATCH < left + width + top + height; n++)
        line(pen, n * HATCH - top - height + half.pane.top, top + height, n * HATCH - top + half.pane.top, top);
    pen.restore();
}

/** The outline: along every stretch, and up or down to the next. */
function paintEdges(half: Half, { stands }: TurnedScene): void {
    const { pen, inks } = half;
    pen.strokeStyle = inks.frame;
    pen.lineWidth = 1.6;
    const edge = (z0: number, x0: number, z1: number, x1: number) => line(pen, ...half.at(z0, x0), ...half.at(z1, x1));
    stands.forEach(([from, to, radii], i) => {
        const before = stands[i - 1];
        const joins = before !== undefined && Math.abs(before[1] - from) < 1e-6;
        const outer = radii[radii.length - 1] ?? 0;
        for (const radius of radii.filter((each) => each > 0)) edge(from, radius, to, radius);
        edge(from, -outer, to, -outer);
        const wasOuter = joins ? (before[2][before[2].length - 1] ?? 0) : 0;
        edge(from, -wasOuter, from, -outer);
        if (joins && before[2].length === radii.length) radii.forEach((radius, n) => edge(from, before[2][n] ?? 0, from, radius));
        else edge(from, wasOuter, from, outer);
        if (stands[i + 1] === undefined || Math.abs((stands[i + 1]?.[0] ?? 0) - to) > 1e-6) edge(to, -outer, to, outer);
    });
}

/** The shape the drawing wants, on both sides of the axis. */
function paintWanted({ pen, inks, at }: Half, outline: readonly [number, number][]): void {
    pen.strokeStyle = inks.slate;
    pen.lineWidth = 1.2;
    pen.setLineDash([8, 3, 2, 3]);
    for (const side of [1, -1]) {
        outline.slice(1).forEach(([z, radius], i) => {
            const [fromZ, from] = outline[i] ?? [z, radius];
            line(pen, ...at(fromZ, side * from), ...at(z, side * radius));
        });
    }
    pen.setLineDash([]);
}

/** A thread as a drawing has it: a thin line at its root, on both sides of the axis, and a bar where it ends. */
function paintThread(half: Half, [fromZ, from, toZ, to]: TurnedScene['threads'][number], stands: TurnedScene['stands']): void {
    const { pen, inks } = half;
    pen.strokeStyle = inks.frame;
    const [, , radii = []] = stands.find(([low, high]) => toZ >= low && toZ <= high) ?? [];
    // The crest is the surface nearest the root: outside or in a bore.
    const crest = radii.reduce((near, radius) => (Math.abs(radius - to) < Math.abs(near - to) ? radius : near), to + Infinity);
    for (const side of [1, -1]) {
        pen.lineWidth = 0.8;
        line(pen, ...half.at(fromZ, side * from), ...half.at(toZ, side * to));
        if (!Number.isFinite(crest)) continue;
        pen.lineWidth = 1.6;
        line(pen, ...half.at(toZ, side * to), ...half.at(toZ, side * crest));
    }
}

function paintChuck(half: Half, [from, to, inner, outer]: [number, number, number, number]): void {
    const { pen, inks } = half;
    for (const up of [[inner, outer], [-outer, -inner]] as const) {
        const [x, y, width, height] = rectangle(half, [from, to], up);
        pen.fillStyle = inks.margin;
        pen.fillRect(x, y, width, height);
        pen.save();
        pen.beginPath();
        pen.rect(x, y, width, height);
        pen.clip();
        pen.strokeStyle = inks.soft;
        pen.lineWidth = 0.6;
        for (let along = x - height; along < x + width; along += HATCH) line(pen, along, y, along + height, y + height);
        pen.restore();
        pen.strokeStyle = inks.frame;
        pen.lineWidth = 1.1;
        pen.strokeRect(x, y, width, height);
    }
}

/** Something round that stands still or turns beside the part, whole. */
function paintSolid(half: Half, outline: readonly [number, number][]): void {
    const { pen, inks } = half;
    const back = [...outline].reverse().map(([z, radius]): [number, number] => [z, -radius]);
    pen.beginPath();
    [...outline, ...back].forEach(([z, radius], i) => pen[i === 0 ? 'moveTo' : 'lineTo'](...half.at(z, radius)));
    pen.closePath();
    pen.fillStyle = inks.margin;
    pen.fill();
    pen.strokeStyle = inks.frame;
    pen.lineWidth = 1.1;
    pen.stroke();
}

/** The axis it turns about. */
function paintAxis({ pen, inks, pane, at }: Half): void {
    const [, level] = at(0, 0);
    pen.strokeStyle = inks.soft;
    pen.lineWidth = 0.8;
    pen.setLineDash([14, 3, 2, 3]);
    line(pen, pane.left, level, pane.left + pane.width, level);
    pen.setLineDash([]);
}

/** Its diameters, each where it is longest, and how long it is. */
export function nameDiameters(half: Half, labels: Labels, scene: Scene, turned: TurnedScene): void {
    const { inks } = half;
    const below = half.view.isOver ? -6 : 16;
    const longest = new Map<string, [number, number]>();
    for (const [from, to, radii] of turned.stands) {
        const name = `Ø${short(2 * (radii[radii.length - 1] ?? 0), scene.units === 'mm' ? 2 : 3)}`;
        const [z0, z1] = longest.get(name) ?? [0, 0];
        if (to - from > z1 - z0) longest.set(name, [from, to]);
    }
    for (const [name, [from, to]] of longest) {
        const [left, width] = [half.at(from, 0)[0], (to - from) * half.view.scale];
        if (width < 0.6 * half.pen.measureText(name).width) continue;
        const [, foot] = half.at(from, -Number(name.slice(1)) / 2);
        labels.write(name, inks.ink, [
            { x: left + width / 2, y: foot + below, align: 'center' },
            { x: left + width / 2, y: foot + 10 - below, align: 'center' },
        ]);
    }
}

/** What cuts, to scale, with its tip where the tool stands. */
export function paintInsert(half: Half, tip: Vector, shape: readonly [number, number][]): void {
    const { pen, inks } = half;
    pen.beginPath();
    shape.forEach(([z, x], i) => pen[i === 0 ? 'moveTo' : 'lineTo'](...half.at(tip[2] + z, tip[0] + x)));
    pen.closePath();
    pen.fillStyle = inks.dark ? 'rgb(236 230 214 / 24%)' : 'rgb(29 40 34 / 20%)';
    pen.fill();
    pen.strokeStyle = inks.ink;
    pen.lineWidth = 1.2;
    pen.stroke();
}
