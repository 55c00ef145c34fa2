import { ARC, RAPID, type Motion, type Scene, type StateRow } from '../answer';

/** What of the run is drawn. Null is no limit. */
export interface Shows {
    tool: number | null;
    /** First and last line of an operation. */
    lines: [number, number] | null;
    rapids: boolean;
    air: boolean;
    cuts: boolean;
    /** A height, and the side of it that is dimmed. */
    rule: { z: number; dims: 'above' | 'below' } | null;
}

export const everything: Shows = { tool: null, lines: null, rapids: true, air: true, cuts: true, rule: null };

export const HIDDEN = 0;
export const SHOWN = 1;
export const DIMMED = 2;

/** How each row is drawn: hidden, shown or dimmed; null where all are shown. */
export function maskOf(motion: Motion, scene: Scene, states: StateRow[], shows: Shows): Uint8Array | null {
    const { tool, lines, rapids, air, cuts, rule } = shows;
    if (tool === null && lines === null && rapids && air && cuts && rule === null) return null;
    const mask = new Uint8Array(motion.rows);
    const top = scene.stock?.max[2] ?? 0;
    for (let row = 0; row < motion.rows; row++) {
        const z = motion.z[row] ?? 0;
        const from = row > 0 ? (motion.z[row - 1] ?? z) : z;
        const kind = motion.kind[row] ?? 0;
        if (kind > ARC) continue;
        if (kind === RAPID ? !rapids : Math.min(from, z) > top ? !air : !cuts) continue;
        if (tool !== null && states[motion.state[row] ?? 0]?.tool !== tool) continue;
        const line = motion.line[row] ?? 0;
        if (lines !== null && (line < lines[0] || line > lines[1])) continue;
        const dims = rule !== null && (rule.dims === 'above' ? Math.min(from, z) > rule.z - 1e-6 : Math.max(from, z) < rule.z + 1e-6);
        mask[row] = dims ? DIMMED : SHOWN;
    }
    return mask;
}
