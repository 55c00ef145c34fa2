import type { Inks } from '../../theme/inks';
import type { Motion, Scene } from '../answer';
import { AIR, CLASSES, DASHED, classifier, inkOf } from './ink';
import { DIMMED, HIDDEN } from './shows';
import { cornersOf, placeIn, upward, type Pane, type View } from './view';

/** Length of a dash and its gap, in dots. */
const DASH = 11;
const DASH_ON = 6;

/** How many rows are drawn between two looks at the clock. */
const ROWS = 20_000;

/** What a long program is drawn on: dots in memory, since a pen takes too long for a million moves. */
export class Raster {
    readonly dots: Uint32Array;

    private run = 0;

    constructor(
        readonly width: number,
        readonly height: number,
    ) {
        this.dots = new Uint32Array(width * height);
    }

    /** A straight piece, cut off at the edges: `thick` dots wide, dashed where wanted. */
    line(x: number, y: number, toX: number, toY: number, ink: number, thick: number, dashed: boolean): void {
        const { width, height, dots } = this;
        let [begin, end] = [0, 1];
        const dx = toX - x;
        const dy = toY - y;
        for (const [speed, room] of [[-dx, x], [dx, width - 1 - x], [-dy, y], [dy, height - 1 - y]] as const) {
            if (speed === 0) {
                if (room < 0) return;
                continue;
            }
            const share = room / speed;
            if (speed < 0) begin = Math.max(begin, share);
            else end = Math.min(end, share);
        }
        if (begin > end) return;
        const steps = Math.max(1, Math.ceil(Math.max(Math.abs(dx), Math.abs(dy)) * (end - begin)));
        const [stepX, stepY] = [(dx * (end - begin)) / steps, (dy * (end - begin)) / steps];
        let [atX, atY] = [x + dx * begin, y + dy * begin];
        for (let step = 0; step <= steps; step++, atX += stepX, atY += stepY) {
            if (dashed && this.run++ % DASH >= DASH_ON) continue;
            const dot = (atY | 0) * width + (atX | 0);
            dots[dot] = ink;
            if (thick > 1) {
                if ((atX | 0) + 1 < width) dots[dot + 1] = ink;
                if ((atY | 0) + 1 < height) dots[dot + width] = ink;
            }
        }
    }
}

/** A colour as the dots of a picture hold it: red in the lowest byte. */
export function dotOf(colour: string, alpha = 1): number {
    const hex = /^#(..)(..)(..)$/.exec(colour);
    const [red = 0, green = 0, blue = 0] = hex === null ? (colour.match(/\d+/g) ?? []).map(Number) : hex.slice(1).map((part) => parseInt(part, 16));
    return ((Math.round(alpha * 255) << 24) | (blue << 16) | (green << 8) | red) >>> 0;
}

/**
 * Every move of one view in dots, `ratio` dots to a pixel, a stretch of rows at a time: whoever runs this decides after
 * each whether to go on.
 */
export function* rasterMoves(
    raster: Raster, inks: Inks, view: View, pane: Pane, ratio: number, motion: Motion, scene: Scene, mask: Uint8Array | null,
): Generator<void> {
    const [across, up] = cornersOf(motion, pane);
    const classOf = classifier(motion, scene);
    const dots = Array.from({ length: 2 * CLASSES }, (_, n) => dotOf(inkOf(inks, n % CLASSES), n >= CLASSES ? 0.14 : n === DASHED ? 0.7 : 1));
    const thick = ratio > 1 ? 2 : 1;
    const [leftX, topY] = placeIn(view, pane, 0, 0);
    const [originX, originY, scale, rise] = [(leftX - pane.left) * ratio, (topY - pane.top) * ratio, view.scale * ratio, upward(view) * ratio];
    // Dimmed and rapid moves lie under the cuts.
    for (const under of [true, false]) {
        let [fromX, fromY, fromZ] = [NaN, NaN, NaN];
        for (let row = 0; row < motion.rows; row++) {
            if (row % ROWS === ROWS - 1) yield;
            const shown = mask === null ? 1 : (mask[row] ?? 0);
            for (let i = motion.firstCorner[row] ?? 0; i < (motion.firstCorner[row + 1] ?? 0); i++) {
                const x = originX + (across[i] ?? 0) * scale;
                const y = originY - (up[i] ?? 0) * rise;
                const z = motion.cornerZ[i] ?? 0;
                const inkClass = classOf(row, fromZ, z);
                if (shown !== HIDDEN && (inkClass >= AIR || shown === DIMMED) === under && fromX === fromX) {
                    raster.line(
                        fromX,
                        fromY,
                        x,
                        y,
                        dots[shown === DIMMED ? CLASSES + inkClass : inkClass] ?? 0,
                        inkClass < AIR ? thick + 1 : thick,
                        inkClass === DASHED,
                    );
                }
                [fromX, fromY, fromZ] = [x, y, z];
            }
        }
    }
}
