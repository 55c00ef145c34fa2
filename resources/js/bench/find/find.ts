import type { OakCheck } from '../../contracts/oak-check-1';
import type { Edit } from '../../contracts/oak-check-1';
import { wordsOf } from '../listing/words';

type Operations = OakCheck['summary']['operations'];

/** What is looked for: letters, or a word with a value between two ends, each left open where it is null. */
export type Wanted = { kind: 'text'; text: string } | { kind: 'word'; letter: string; least: number | null; most: number | null };

/** Where it is looked for: all of the program, a tool, an operation by its number in the outline, or some lines. */
export type Where = 'program' | `tool ${number}` | `operation ${number}` | `lines ${number} ${number}`;

/** A place it is found at; columns from 0. What would be replaced begins at `column`, and what is shown at `shown`. */
export interface Hit {
    line: number;
    column: number;
    length: number;
    shown: number;
}

/** The first and last lines of what is looked through, in order. */
export function stretchesOf(where: Where, operations: Operations, lastLine: number): [number, number][] {
    const [kind, first = 0, last = 0] = where.split(' ').map((part, i) => (i === 0 ? part : Number(part))) as [string, number?, number?];
    if (kind === 'program') return [[1, lastLine]];
    if (kind === 'lines') return [[first, last]];
    return operations.flatMap(({ line, tool }, i): [number, number][] => {
        if (kind === 'tool' ? tool !== first : i !== first) return [];
        return [[line, (operations[i + 1]?.line ?? lastLine + 1) - 1]];
    });
}

/** Every place something is found at, from the top. */
export function hitsIn(lines: string[], wanted: Wanted, stretches: [number, number][]): Hit[] {
    const hits: Hit[] = [];
    for (const [first, last] of stretches) {
        for (let line = first; line <= Math.min(last, lines.length); line++) {
            const text = lines[line - 1] ?? '';
            hits.push(...(wanted.kind === 'text' ? textHits(text, line, wanted.text) : wordHits(text, line, wanted)));
        }
    }
    return hits;
}

function textHits(text: string, line: number, wanted: string): Hit[] {
    if (wanted === '') return [];
    const [all, part] = [text.toUpperCase(), wanted.toUpperCase()];
    const hits: Hit[] = [];
    for (let at = all.indexOf(part); at >= 0; at = all.indexOf(part, at + part.length)) {
        hits.push({ line, column: at, length: part.length, shown: at });
    }
    return hits;
}

function wordHits(text: string, line: number, { letter, least, most }: Extract<Wanted, { kind: 'word' }>): Hit[] {
    return wordsOf(text).flatMap((word) => {
        const value = Number(word.number);
        if (word.letter !== letter || (least !== null && value < least) || (most !== null && value > most)) return [];
        return [{ line, column: word.numberFrom, length: word.to - word.numberFrom, shown: word.from }];
    });
}

/** The change that puts a text in the place of hits; null where there are none. */
export function replacing(hits: Hit[], text: string): Edit | null {
    const [first, ...rest] = hits.map(({ line, column, length }) => ({ line, column: column + 1, length, text }));
    return first === undefined ? null : { ...first, label: `Replace ${hits.length}`, also: rest };
}

/** The hit after a place, or before it; round the end to the other one. */
export function hitFrom(hits: Hit[], line: number, column: number, by: 1 | -1): number {
    const isAfter = (hit: Hit) => hit.line > line || (hit.line === line && hit.shown > column);
    const isBefore = (hit: Hit) => hit.line < line || (hit.line === line && hit.shown < column);
    const found = by === 1 ? hits.findIndex(isAfter) : hits.findLastIndex(isBefore);
    return found >= 0 ? found : by === 1 ? 0 : hits.length - 1;
}
