import type { Difference } from '../difference';
import type { Inks } from '../../theme/inks';
import type { Motion } from '../answer';
import { eachHalf, type Half, type Pen } from './pen';
import { cornersOf, type View } from './view';

/** Moves that are new or changed stand on a band of moss, whatever they cut. */
export function paintChanged(pen: Pen, inks: Inks, view: View, motion: Motion, { change }: Difference): void {
    band(pen, inks, view, motion, change, { ink: inks.moss, alpha: 0.38, width: 8 });
}

/** What one operation makes stands on a band of slate. */
export function paintOwn(pen: Pen, inks: Inks, view: View, motion: Motion, own: Uint8Array): void {
    band(pen, inks, view, motion, own, { ink: inks.slate, alpha: 0.3, width: 7 });
}

function band(
    pen: Pen, inks: Inks, view: View, motion: Motion, rows: Uint8Array, { ink, alpha, width }: { ink: string; alpha: number; width: number },
): void {
    eachHalf(pen, inks, view, (half) => {
        pen.strokeStyle = ink;
        pen.globalAlpha = alpha;
        pen.lineWidth = width;
        pen.lineCap = 'round';
        pen.setLineDash([]);
        stroke(half, motion, rows);
        pen.globalAlpha = 1;
    });
}

/** Where changed and gone moves used to be: dots of clay. */
export function paintGone(pen: Pen, inks: Inks, view: View, { was, wasChange }: Difference): void {
    eachHalf(pen, inks, view, (half) => {
        pen.strokeStyle = inks.clay;
        pen.lineWidth = 1.8;
        pen.lineCap = 'round';
        pen.setLineDash([0.1, 4]);
        stroke(half, was, wasChange);
        pen.setLineDash([]);
    });
}

function stroke(half: Half, motion: Motion, wanted: Uint8Array): void {
    const [across, up] = cornersOf(motion, half.pane);
    half.pen.beginPath();
    let atEnd = -1;
    for (let row = 0; row < motion.rows; row++) {
        if ((wanted[row] ?? 0) === 0) continue;
        for (let i = Math.max(1, motion.firstCorner[row] ?? 0); i < (motion.firstCorner[row + 1] ?? 0); i++) {
            if (atEnd !== i - 1) half.pen.moveTo(...half.at(across[i - 1] ?? 0, up[i - 1] ?? 0));
            half.pen.lineTo(...half.at(across[i] ?? 0, up[i] ?? 0));
            atEnd = i;
        }
    }
    half.pen.stroke();
}
