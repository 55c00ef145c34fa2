import type { Inks } from '../../theme/inks';
import { isTurnedBack, tipAt, type Moment, type Motion, type Scene, type StateRow, type Vector } from '../answer';
import { paintInsert } from './halfSection';
import { LABEL, eachHalf, type Half, type Pen } from './pen';
import { cornersOf, type View } from './view';

/** What moves with the cursor: the picked move, the tool, the mark of a finding. */
export function paintCursor(
    pen: Pen, inks: Inks, view: View, motion: Motion, scene: Scene, states: StateRow[], moment: Moment | null,
    mark: { text: string; stop: boolean } | null,
): void {
    if (moment === null || moment.row < 0 || moment.row >= motion.rows) return;
    const tip = tipAt(motion, moment);
    const number = states[motion.state[moment.row] ?? 0]?.tool ?? 0;
    const tool = scene.tools[number];
    eachHalf(pen, inks, view, (half) => {
        paintPicked(half, motion, moment);
        // On a part that is turned the tool does not come from above.
        if (scene.turned !== null) {
            for (const piece of scene.turned.holders[number] ?? []) paintInsert(half, tip, piece);
            paintInsert(half, tip, scene.turned.shapes[number] ?? []);
            paintTip(half, tip);
        } else if (isTurnedBack(motion, moment.row)) paintTip(half, tip);
        else paintTool(half, tip, tool?.diameter ?? null, tool?.point ?? 0);
        if (mark !== null) paintMark(half, tip, mark);
    });
}

function paintPicked(half: Half, motion: Motion, moment: Moment): void {
    const { pen, inks, pane } = half;
    const first = motion.firstCorner[moment.row] ?? 0;
    const end = motion.firstCorner[moment.row + 1] ?? 0;
    if (end === first) return;
    const [across, up] = cornersOf(motion, pane);
    const start = first > 0 ? first - 1 : first;
    pen.beginPath();
    for (let i = start; i < end; i++) {
        const [x, y] = half.at(across[i] ?? 0, up[i] ?? 0);
        if (i === start) pen.moveTo(x, y);
        else pen.lineTo(x, y);
    }
    pen.strokeStyle = inks.ink;
    pen.lineWidth = 3.4;
    pen.stroke();
    // Direction: an arrow head at the end of the move.
    const [x, y] = half.at(across[end - 1] ?? 0, up[end - 1] ?? 0);
    const [px, py] = half.at(across[Math.max(start, end - 2)] ?? 0, up[Math.max(start, end - 2)] ?? 0);
    const angle = Math.atan2(y - py, x - px);
    if (Math.hypot(x - px, y - py) > 4) {
        pen.fillStyle = inks.ink;
        pen.beginPath();
        pen.moveTo(x, y);
        pen.lineTo(x - 11 * Math.cos(angle - 0.4), y - 11 * Math.sin(angle - 0.4));
        pen.lineTo(x - 11 * Math.cos(angle + 0.4), y - 11 * Math.sin(angle + 0.4));
        pen.fill();
    }
}

function paintTool(half: Half, tip: Vector, diameter: number | null, point: number): void {
    const { pen, inks, view, pane } = half;
    const [x, y] = half.at(tip[pane.across], tip[pane.up]);
    const radius = Math.max(3, ((diameter ?? 0) / 2) * view.scale);
    pen.lineWidth = 1;
    pen.strokeStyle = inks.ink;
    pen.fillStyle = inks.dark ? 'rgb(236 230 214 / 16%)' : 'rgb(29 40 34 / 13%)';
    pen.beginPath();
    if (pane.up === 1) {
        pen.arc(x, y, radius, 0, Math.PI * 2);
    } else {
        const cone = Math.min(point * view.scale, radius * 2);
        pen.moveTo(x, y);
        pen.lineTo(x + (cone > 0 ? radius : 0), y - cone);
        pen.lineTo(x + radius, cone > 0 ? y - cone : y);
        pen.lineTo(x + radius, pane.top);
        pen.lineTo(x - radius, pane.top);
        pen.lineTo(x - radius, y - cone);
        pen.closePath();
    }
    pen.fill();
    pen.stroke();
    paintTip(half, tip);
}

function paintTip({ pen, inks, pane, at }: Half, tip: Vector): void {
    const [x, y] = at(tip[pane.across], tip[pane.up]);
    pen.fillStyle = inks.ink;
    pen.beginPath();
    pen.arc(x, y, 2.5, 0, Math.PI * 2);
    pen.fill();
}

/** The mark of a finding at the tip, with its words in the elevation. */
function paintMark(half: Half, tip: Vector, mark: { text: string; stop: boolean }): void {
    const { pen, inks, pane } = half;
    const [x, level] = half.at(tip[pane.across], tip[pane.up]);
    const y = Math.min(pane.top + pane.height - 12, Math.max(pane.top + 12, level));
    pen.fillStyle = mark.stop ? inks.clay : inks.ochre;
    pen.beginPath();
    const corners: [number, number][] = mark.stop ? [[-4, -8], [4, -8], [8, 0], [4, 8], [-4, 8], [-8, 0]] : [[0, -9], [9, 7], [-9, 7]];
    corners.forEach(([dx, dy], i) => (i === 0 ? pen.moveTo(x + dx, y + dy) : pen.lineTo(x + dx, y + dy)));
    pen.fill();
    if (pane.title !== 'ELEVATION' && pane.title !== 'HALF SECTION') return;
    pen.font = LABEL;
    const width = pen.measureText(mark.text).width;
    const right = x + 14 + width < pane.left + pane.width;
    pen.textAlign = right ? 'left' : 'right';
    pen.lineWidth = 4;
    pen.strokeStyle = inks.sheet;
    pen.strokeText(mark.text, right ? x + 14 : x - 14, y + 4);
    pen.fillText(mark.text, right ? x + 14 : x - 14, y + 4);
}
