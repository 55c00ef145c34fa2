import type { Took } from '../sheet/OperationList';
import { operationOf, type Section } from '../sheet/sheet';
import type { Motion } from './answer';

/** Which operation each line of a text belongs to, by its number. */
function operationsByLine(sections: Section[]): string[] {
    const byLine: string[] = [];
    for (const { key, lines: [from, to] } of sections) {
        for (let line = from; line <= to; line++) byLine[line] = operationOf(key);
    }
    return byLine;
}

/** What the lines of each operation come to: how long they run, and what they take off. */
export function tookOf(motion: Motion, units: 'mm' | 'inch', sections: Section[]): Record<string, Took> {
    const byLine = operationsByLine(sections);
    const sums: Record<string, { seconds: number; volume: number }> = {};
    let before = 0;
    for (let row = 0; row < motion.rows; row++) {
        const end = motion.endSeconds[row] ?? before;
        const operation = byLine[motion.line[row] ?? 0];
        if (operation !== undefined) {
            const sum = (sums[operation] ??= { seconds: 0, volume: 0 });
            sum.seconds += end - before;
            sum.volume += motion.cuts?.volume[row] ?? 0;
        }
        before = end;
    }
    const words = (volume: number) => {
        if (volume <= 0) return null;
        return units === 'mm' ? `${(volume / 1000).toFixed(volume < 10_000 ? 2 : 1)} cm³` : `${volume.toFixed(volume < 1 ? 3 : 2)} in³`;
    };
    return Object.fromEntries(Object.entries(sums).map(([id, { seconds, volume }]) => [id, { seconds, volume: words(volume) }]));
}

/** 1 for each row that an operation makes; null where it makes none. */
export function rowsOf(motion: Motion, sections: Section[], operation: string): Uint8Array | null {
    const byLine = operationsByLine(sections);
    const rows = new Uint8Array(motion.rows);
    let count = 0;
    for (let row = 0; row < motion.rows; row++) {
        if (byLine[motion.line[row] ?? 0] !== operation) continue;
        rows[row] = 1;
        count++;
    }
    return count === 0 ? null : rows;
}
