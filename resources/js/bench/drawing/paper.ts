import type { Difference } from '../difference';
import { light } from '../../theme/inks';
import type { Motion, Scene, StateRow } from '../answer';
import { paintChanged, paintGone } from './changed';
import { paintMeasure, type Snap } from './measure';
import { paintMoves } from './moves';
import { eachHalf } from './pen';
import { paintFigures, paintGround } from './sheet';
import { SvgPen } from './SvgPen';
import { blockHeight, paintTitleBlock, paperScale, type SheetTitle } from './titleBlock';
import type { View } from './view';

/** The sheet as it is on the screen, on light paper, as SVG at a usual scale with a title block below it. */
export function svgOf(
    view: View, motion: Motion, scene: Scene, limits: StateRow['limits'], mask: Uint8Array | null, difference: Difference | undefined,
    measured: Snap[], title: SheetTitle, style = '',
): string {
    const canvas = document.createElement('canvas').getContext('2d');
    const height = view.height + blockHeight(view.width, title);
    const { words, pixel } = paperScale(view, height, scene.units);
    const pen = new SvgPen(view.width, height, (text, font) => {
        if (canvas === null) return text.length * 7;
        canvas.font = font;
        return canvas.measureText(text).width;
    });
    paintGround(pen, light, view, scene, limits);
    if (difference !== undefined) paintChanged(pen, light, view, motion, difference);
    eachHalf(pen, light, view, (half) => paintMoves(half, motion, scene, mask));
    if (difference !== undefined) paintGone(pen, light, view, difference);
    paintFigures(pen, light, view, motion, scene, limits);
    paintMeasure(pen, light, view, motion, scene, measured);
    paintTitleBlock(pen, light, view, title, words);
    pen.strokeStyle = light.frame;
    pen.lineWidth = 1;
    pen.setLineDash([]);
    pen.strokeRect(0.5, 0.5, view.width - 1, height - 1);
    return pen.svg(`${title.program} · ${title.part}`, pixel, style);
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
        '@page { size: A4 landscape; margin: 12mm } body { margin: 0 } svg { -webkit-print-color-adjust: exact; print-color-adjust: exact }';
    paper.head.append(style);
    page.contentWindow?.addEventListener('afterprint', () => page.remove());
    page.contentWindow?.print();
}
