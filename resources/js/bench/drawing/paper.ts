import type { Difference } from '../difference';
import { light } from '../../theme/inks';
import type { Motion, Scene, StateRow } from '../answer';
import { paintChanged, paintGone } from './changed';
import { paintMeasure, type Snap } from './measure';
import { paintMoves } from './moves';
import { LABEL, eachHalf } from './pen';
import { paintFigures, paintGround } from './sheet';
import { SvgPen } from './SvgPen';
import type { View } from './view';

/** Room under the drawing for its title, pixels. */
const TITLE = 34;

/** The sheet as it is on the screen, on light paper, as SVG with a title below it. */
export function svgOf(
    view: View, motion: Motion, scene: Scene, limits: StateRow['limits'], mask: Uint8Array | null, difference: Difference | undefined,
    measured: Snap[], title: string,
): string {
    const canvas = document.createElement('canvas').getContext('2d');
    if (canvas !== null) canvas.font = LABEL;
    const pen = new SvgPen(view.width, view.height + TITLE, (text) => canvas?.measureText(text).width ?? text.length * 7);
    paintGround(pen, light, view, scene, limits);
    if (difference !== undefined) paintChanged(pen, light, view, motion, difference);
    eachHalf(pen, light, view, (half) => paintMoves(half, motion, scene, mask));
    if (difference !== undefined) paintGone(pen, light, view, difference);
    paintFigures(pen, light, view, motion, scene);
    paintMeasure(pen, light, view, motion, scene, measured);
    pen.fillStyle = light.sheet;
    pen.fillRect(0, view.height, view.width, TITLE);
    pen.strokeStyle = light.frame;
    pen.lineWidth = 1;
    pen.setLineDash([]);
    pen.strokeRect(0.5, 0.5, view.width - 1, view.height + TITLE - 1);
    pen.strokeRect(0.5, view.height + 0.5, view.width - 1, TITLE - 1);
    pen.fillStyle = light.ink;
    pen.font = LABEL;
    pen.textAlign = 'left';
    pen.fillText(title, 10, view.height + 21);
    return pen.svg(title);
}

/** Prints an SVG on a page of its own. */
export function print(svg: string): void {
    const page = document.createElement('iframe');
    page.setAttribute('aria-hidden', 'true');
    page.style.cssText = 'position: fixed; width: 0; height: 0; border: 0';
    document.body.append(page);
    const paper = page.contentDocument;
    if (paper === null) return;
    paper.body.append(paper.importNode(new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement, true));
    const style = paper.createElement('style');
    style.textContent =
        '@page { margin: 12mm } body { margin: 0 } svg { width: 100%; height: auto; -webkit-print-color-adjust: exact; print-color-adjust: exact }';
    paper.head.append(style);
    page.contentWindow?.addEventListener('afterprint', () => page.remove());
    page.contentWindow?.print();
}
