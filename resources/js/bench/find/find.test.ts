import { describe, expect, it } from 'vitest';
import type { OakCheck } from '../../contracts/oak-check-1';
import { applied, changesOf } from '../review/edits';
import { hitFrom, hitsIn, replacing, stretchesOf, type Wanted } from './find';

const lines = ['T1 M6', 'G1 X5. F300.', 'G1 X6. F450. (F400. BEFORE)', 'T3 M6', 'G1 Z-1. F500.', 'g1x3f 320', 'F[#5*2]'];
const operations = [{ line: 1, tool: 1 }, { line: 4, tool: 3 }] as OakCheck['summary']['operations'];
const found = (wanted: Wanted, where: Parameters<typeof stretchesOf>[0] = 'program') =>
    hitsIn(lines, wanted, stretchesOf(where, operations, lines.length)).map(({ line, column, length }) => [
        line,
        (lines[line - 1] ?? '').substr(column, length),
    ]);

describe('find', () => {
    it('finds letters however they are written, comments as well', () => {
        expect(found({ kind: 'text', text: 'g1' })).toEqual([[2, 'G1'], [3, 'G1'], [5, 'G1'], [6, 'g1']]);
        expect(found({ kind: 'text', text: 'before' })).toEqual([[3, 'BEFORE']]);
        expect(found({ kind: 'text', text: '' })).toEqual([]);
    });

    it('finds a word by its value, within a tool, and in no comment', () => {
        const feed = (least: number | null, most: number | null): Wanted => ({ kind: 'word', letter: 'F', least, most });
        expect(found(feed(null, null))).toEqual([[2, '300.'], [3, '450.'], [5, '500.'], [6, '320']]);
        expect(found(feed(300, 500), 'tool 3')).toEqual([[5, '500.'], [6, '320']]);
        expect(found(feed(310, 460))).toEqual([[3, '450.'], [6, '320']]);
        expect(found(feed(null, 400), 'operation 0')).toEqual([[2, '300.']]);
        expect(found(feed(null, null), 'lines 3 5')).toEqual([[3, '450.'], [5, '500.']]);
    });

    it('replaces what was found and nothing beside it, in one change', () => {
        const text = lines.join('\n');
        const hits = hitsIn(lines, { kind: 'word', letter: 'F', least: 300, most: 450 }, [[1, 7]]);
        const edit = replacing(hits, '400.');
        if (edit === null) throw new Error('no edit');
        expect(applied(text, changesOf(text, edit) ?? []).split('\n')).toEqual([
            'T1 M6', 'G1 X5. F400.', 'G1 X6. F400. (F400. BEFORE)', 'T3 M6', 'G1 Z-1. F500.', 'g1x3f 400.', 'F[#5*2]',
        ]);
        expect(replacing([], '1')).toBeNull();
    });

    it('goes on from the cursor, and round the ends', () => {
        const hits = hitsIn(lines, { kind: 'text', text: 'G1' }, [[1, 7]]);
        expect([hitFrom(hits, 1, 0, 1), hitFrom(hits, 2, 0, 1), hitFrom(hits, 7, 0, 1), hitFrom(hits, 3, 0, -1), hitFrom(hits, 1, 0, -1)]).toEqual([
            0, 1, 0, 0, 3,
        ]);
    });
});
