import type { Inks } from '../../theme/inks';
import { placeIn, type Pane, type View } from './view';

/** What is drawn with: a canvas, or the writer of SVG. */
export type Pen = Pick<
    CanvasRenderingContext2D,
    | 'save' | 'restore' | 'beginPath' | 'rect' | 'clip' | 'moveTo' | 'lineTo' | 'arc' | 'closePath' | 'stroke' | 'fill' | 'fillRect' | 'strokeRect' |
    'fillText' | 'strokeText'
    | 'setLineDash' | 'measureText' | 'strokeStyle' | 'fillStyle' | 'lineWidth' | 'lineCap' | 'font' | 'textAlign' | 'globalAlpha'
>;

export const LABEL = '600 13px "Source Sans 3", sans-serif';

/** One of the views on the sheet, with the pen in hand. */
export interface Half {
    pen: Pen;
    inks: Inks;
    view: View;
    pane: Pane;
    at: (across: number, up: number) => [number, number];
}

/** Draws each view of the sheet within its own rectangle. */
export function eachHalf(pen: Pen, inks: Inks, view: View, draw: (half: Half) => void): void {
    for (const pane of view.panes) {
        pen.save();
        pen.beginPath();
        pen.rect(pane.left, pane.top, pane.width, pane.height);
        pen.clip();
        draw({ pen, inks, view, pane, at: (across, up) => placeIn(view, pane, across, up) });
        pen.restore();
    }
}

export function line(pen: Pen, x: number, y: number, toX: number, toY: number): void {
    pen.beginPath();
    pen.moveTo(x, y);
    pen.lineTo(toX, toY);
    pen.stroke();
}

/** The rectangle of a box of the part in a view: left, top, width, height. */
export function rectangle(half: Half, across: readonly [number, number], up: readonly [number, number]): [number, number, number, number] {
    const [left, one] = half.at(across[0], up[1]);
    const [right, other] = half.at(across[1], up[0]);
    return [left, Math.min(one, other), right - left, Math.abs(other - one)];
}
