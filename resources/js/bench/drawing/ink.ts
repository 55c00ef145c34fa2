import { cutInk, type Inks } from '../../theme/inks';
import { RAPID, type Motion, type Scene } from '../answer';

export const SHADES = 10;

/** Classes of ink a move is drawn in: the shades of a cut first, then these. */
export const AIR = SHADES;
export const DASHED = SHADES + 1;
export const CLASSES = SHADES + 2;

/** Tells the class of ink of a piece of the drawn path from its row and the heights of its ends. */
export function classifier(motion: Motion, scene: Scene): (row: number, fromZ: number, z: number) => number {
    const top = scene.stock?.max[2] ?? 0;
    const depth = Math.max(scene.stock ? top - scene.stock.min[2] : 20, 1e-6);
    const kind = motion.kind;
    return (row, fromZ, z) => {
        if (kind[row] === RAPID) return DASHED;
        if (z > top && fromZ > top) return AIR;
        const shade = ((top - z) / depth) * SHADES;
        return shade <= 0 ? 0 : shade >= SHADES ? SHADES - 1 : Math.floor(shade);
    };
}

export function inkOf(inks: Inks, inkClass: number): string {
    return inkClass === DASHED ? inks.ink : inkClass === AIR ? inks.moss : cutInk(inks, inkClass / (SHADES - 1));
}
