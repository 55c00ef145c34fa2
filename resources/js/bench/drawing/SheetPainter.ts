import type { Difference } from '../difference';
import type { Inks } from '../../theme/inks';
import type { Motion, Scene, StateRow } from '../answer';
import { paintChanged, paintGone, paintOwn } from './changed';
import { paintMoves } from './moves';
import { Raster, rasterMoves } from './raster';
import { paintFigures, paintGround } from './sheet';
import { placeIn, upward, type Pane, type View } from './view';

/** Runs longer than this are drawn in dots, a stretch at a time; shorter ones with the pen, at once. */
const LONG = 30_000;

/** What may be spent on drawing between two frames, milliseconds. */
const SLICE = 10;

/** How long the view must rest before a sharp picture is begun, milliseconds. */
const REST = 120;

export interface SheetContent {
    motion: Motion;
    scene: Scene;
    limits: StateRow['limits'];
    mask: Uint8Array | null;
    inks: Inks;
    difference?: Difference | undefined;
    /** 1 for each row of the operation at hand. */
    own?: Uint8Array | null;
}

/** The moves of one view as drawn last, and the view they were drawn in. */
interface Picture {
    canvas: HTMLCanvasElement;
    view: View;
    pane: Pane;
}

/**
 * Draws the sheet. Of a long run the last picture is shown at once, shifted and scaled to the view that is wanted, and a
 * sharp one takes its place as soon as it is done, so that panning and zooming never wait for a million moves.
 */
export class SheetPainter {
    private pictures: Picture[] = [];

    private drawnOf: Motion | null = null;

    private frame = 0;

    private rest: ReturnType<typeof setTimeout> | undefined;

    constructor(private readonly canvas: HTMLCanvasElement) {}

    show(view: View, content: SheetContent): void {
        this.stop();
        if (content.motion.rows <= LONG) {
            this.pictures = [];
            this.compose(view, content, (pen) =>
                view.panes.forEach((pane) =>
                    this.inPane(pen, pane, () =>
                        paintMoves(
                            { pen, inks: content.inks, view, pane, at: (across, up) => placeIn(view, pane, across, up) },
                            content.motion,
                            content.scene,
                            content.mask,
                        ),
                    ),
                ),
            );
            return;
        }
        const isNew = this.drawnOf !== content.motion;
        if (isNew) this.pictures = [];
        this.drawnOf = content.motion;
        this.composePictures(view, content);
        const job = this.sharp(view, content);
        const go = () => {
            const end = performance.now() + SLICE;
            while (performance.now() < end) {
                const step = job.next();
                if (step.done === true) {
                    this.pictures = step.value;
                    this.composePictures(view, content);
                    return;
                }
            }
            this.frame = requestAnimationFrame(go);
        };
        this.rest = setTimeout(() => {
            this.frame = requestAnimationFrame(go);
        }, isNew ? 0 : REST);
    }

    /** Leaves what is being drawn. */
    stop(): void {
        clearTimeout(this.rest);
        cancelAnimationFrame(this.frame);
    }

    private *sharp(view: View, { motion, scene, mask, inks }: SheetContent): Generator<void, Picture[]> {
        const ratio = window.devicePixelRatio || 1;
        const pictures: Picture[] = [];
        for (const pane of view.panes) {
            const raster = new Raster(Math.max(1, Math.round(pane.width * ratio)), Math.max(1, Math.round(pane.height * ratio)));
            yield* rasterMoves(raster, inks, view, pane, ratio, motion, scene, mask);
            const canvas = document.createElement('canvas');
            canvas.width = raster.width;
            canvas.height = raster.height;
            canvas
                .getContext('2d', { willReadFrequently: true })
                ?.putImageData(new ImageData(new Uint8ClampedArray(raster.dots.buffer as ArrayBuffer), raster.width, raster.height), 0, 0);
            pictures.push({ canvas, view, pane });
        }
        return pictures;
    }

    private composePictures(view: View, content: SheetContent): void {
        this.compose(view, content, (pen) => {
            for (const pane of view.panes) {
                const picture = this.pictures.find((other) => other.pane.title === pane.title);
                if (picture === undefined) continue;
                const grown = view.scale / picture.view.scale;
                // Where the corner of the old picture stands now.
                const across = picture.view.centre[pane.across] - picture.pane.width / 2 / picture.view.scale;
                const up = picture.view.centre[pane.up] + picture.pane.height / 2 / upward(picture.view);
                const [x, y] = placeIn(view, pane, across, up);
                this.inPane(pen, pane, () => {
                    pen.imageSmoothingEnabled = false;
                    pen.drawImage(picture.canvas, x, y, picture.pane.width * grown, picture.pane.height * grown);
                });
            }
        });
    }

    private compose(view: View, { inks, scene, limits, motion, difference, own }: SheetContent, moves: (pen: CanvasRenderingContext2D) => void): void {
        const pen = ready(this.canvas, view);
        if (pen === null) return;
        paintGround(pen, inks, view, scene, limits);
        if (difference !== undefined) paintChanged(pen, inks, view, motion, difference);
        if (own != null && own.length === motion.rows) paintOwn(pen, inks, view, motion, own);
        moves(pen);
        if (difference !== undefined) paintGone(pen, inks, view, difference);
        paintFigures(pen, inks, view, motion, scene, limits);
    }

    private inPane(pen: CanvasRenderingContext2D, pane: Pane, draw: () => void): void {
        pen.save();
        pen.beginPath();
        pen.rect(pane.left, pane.top, pane.width, pane.height);
        pen.clip();
        draw();
        pen.restore();
    }
}

/** The canvas made as large as the view in device pixels and cleared, ready to be drawn on in CSS pixels. */
export function ready(canvas: HTMLCanvasElement | null, { width, height }: { width: number; height: number }): CanvasRenderingContext2D | null {
    if (canvas === null || width === 0) return null;
    const ratio = window.devicePixelRatio || 1;
    const [wide, high] = [Math.round(width * ratio), Math.round(height * ratio)];
    if (canvas.width !== wide) canvas.width = wide;
    if (canvas.height !== high) canvas.height = high;
    // Drawn by the processor: thousands of short strokes are quicker there than through a graphics card, and far quicker where that is only acted.
    const pen = canvas.getContext('2d', { willReadFrequently: true });
    pen?.setTransform(ratio, 0, 0, ratio, 0, 0);
    pen?.clearRect(0, 0, width, height);
    return pen;
}
