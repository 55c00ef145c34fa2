import type { Motion, Scene } from '../answer';

/** What the margin shows beside Z on a lathe, by line. */
export interface TurnedLines {
    /** Diameter of the tip at the end of the line; not a number where it does not move. */
    diameter: Float32Array;
    /** Rev/min there. */
    rpm: Float32Array;
    /** Z of the face of the jaws; null where nobody gives it. */
    jaws: number | null;
}

/** @param  text  as in Motion: 0 the program itself */
export function turnedLines(motion: Motion, scene: Scene, text: number, lines: number): TurnedLines | null {
    if (scene.turned === null) return null;
    const diameter = new Float32Array(lines).fill(NaN);
    const rpm = new Float32Array(lines);
    for (let row = 0; row < motion.rows; row++) {
        if ((motion.text?.[row] ?? 0) !== text) continue;
        const line = (text === 0 ? motion.line[row] : motion.textLine?.[row]) ?? 0;
        diameter[line] = 2 * (motion.x[row] ?? 0);
        rpm[line] = motion.rpm?.[row] ?? 0;
    }
    return { diameter, rpm, jaws: scene.turned.chuck[0]?.[1] ?? null };
}
