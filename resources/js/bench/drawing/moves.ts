import type { Motion, Scene } from '../answer';
import { AIR, CLASSES, DASHED, classifier, inkOf } from './ink';
import type { Half } from './pen';
import { DIMMED, HIDDEN } from './shows';
import { cornersOf } from './view';

/** Nearer than this, in pixels, a corner is left out. */
const CLOSE = 0.35;

/** Every move of a view with the pen, gathered by its ink so that each ink is stroked once. */
export function paintMoves(half: Half, motion: Motion, scene: Scene, mask: Uint8Array | null): void {
    const { pen, inks, view, pane } = half;
    const [across, up] = cornersOf(motion, pane);
    const classOf = classifier(motion, scene);
    // Places on the sheet, four a piece, by ink; dimmed ones in the second half.
    const pieces: number[][] = Array.from({ length: 2 * CLASSES }, () => []);
    let fromX = NaN;
    let fromY = NaN;
    let fromZ = NaN;
    let before = -1;
    for (let row = 0; row < motion.rows; row++) {
        const shown = mask === null ? 1 : (mask[row] ?? 0);
        for (let i = motion.firstCorner[row] ?? 0; i < (motion.firstCorner[row + 1] ?? 0); i++) {
            const [x, y] = half.at(across[i] ?? 0, up[i] ?? 0);
            const z = motion.cornerZ[i] ?? 0;
            const inkClass = classOf(row, fromZ, z);
            fromZ = z;
            if (inkClass === before && Math.abs(x - fromX) < CLOSE && Math.abs(y - fromY) < CLOSE) continue;
            before = inkClass;
            if (shown !== HIDDEN && !Number.isNaN(fromX)) pieces[shown === DIMMED ? CLASSES + inkClass : inkClass]?.push(fromX, fromY, x, y);
            fromX = x;
            fromY = y;
        }
    }
    pen.lineCap = 'round';
    for (const dimmed of [true, false]) {
        // Rapids first, so that no cut is drawn over by one.
        for (const inkClass of [DASHED, AIR, ...Array.from({ length: AIR }, (_, shade) => shade)]) {
            const places = pieces[(dimmed ? CLASSES : 0) + inkClass] ?? [];
            if (places.length === 0) continue;
            pen.strokeStyle = inkOf(inks, inkClass);
            pen.lineWidth = inkClass === DASHED ? 0.8 : inkClass === AIR ? 1.2 : 2.2;
            pen.setLineDash(inkClass === DASHED ? [6, 5] : []);
            pen.globalAlpha = dimmed ? 0.14 : inkClass === DASHED ? 0.7 : 1;
            pen.beginPath();
            let atX = NaN;
            let atY = NaN;
            for (let i = 0; i < places.length; i += 4) {
                const [x, y, toX, toY] = [places[i] ?? 0, places[i + 1] ?? 0, places[i + 2] ?? 0, places[i + 3] ?? 0];
                if (outside(view.width, view.height, x, y, toX, toY)) continue;
                if (x !== atX || y !== atY) pen.moveTo(x, y);
                pen.lineTo(toX, toY);
                [atX, atY] = [toX, toY];
            }
            pen.stroke();
        }
    }
    pen.globalAlpha = 1;
    pen.setLineDash([]);
}

function outside(width: number, height: number, x: number, y: number, toX: number, toY: number): boolean {
    return (x < 0 && toX < 0) || (y < 0 && toY < 0) || (x > width && toX > width) || (y > height && toY > height);
}
