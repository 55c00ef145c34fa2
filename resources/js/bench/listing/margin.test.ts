import { EditorState } from '@codemirror/state';
import { describe, expect, it } from 'vitest';
import type { Finding } from '../../contracts/oak-check-1';
import type { LineHeight } from '../answer';
import { FindingMark, HeightMark, marginMarks, setMargin, marginGutters, type MarginData } from './margin';

const height = (line: number, z: number, more: Partial<LineHeight> = {}): LineHeight => ({ line, z, lowest: z, tool: 1, cuts: false, home: false, known: true, ...more });
const finding = (line: number, severity: Finding['severity']): Finding => ({ check: 'heights.below-stock', severity, question: 'Are the heights right?', line, column: 1, text: `on ${line}`, remedy: '', otherUnits: '', detail: {}, alsoAt: [] });

function data(heights: LineHeight[], findings: Finding[] = []): MarginData {
    return { heights, findings, decimals: 3, top: 0, ink: (z) => `ink ${z}` };
}

function heightsOf(given: MarginData, lines = 20): HeightMark[] {
    const found: HeightMark[] = [];
    for (let cursor = marginMarks(given, lines, (line) => line * 10).heights.iter(); cursor.value !== null; cursor.next()) found.push(cursor.value as HeightMark);
    return found;
}

describe('the margin of the listing', () => {
    it('shows where a line leaves the tool, with the sign that says air or material', () => {
        expect(heightsOf(data([height(1, 25), height(2, -4, { cuts: true }), height(3, 0)])).map((mark) => mark.text)).toEqual(['+25.0', '−4.0', '0.0']);
    });

    it('shows how deep a hole goes, not where the tool comes back to', () => {
        const [mark] = heightsOf(data([height(1, 2, { cuts: true, lowest: -12.5 })]));
        expect(mark?.text).toBe('↧−12.5');
        expect(mark?.title).toContain('down to −12.5, back at 2.0');
    });

    it('says home, and says where no length offset makes the height worth nothing', () => {
        const marks = heightsOf(data([height(1, 250, { home: true }), height(2, 3, { known: false })]));
        expect(marks.map((mark) => mark.text)).toEqual(['home', 'no H']);
    });

    it('names a tool where it comes in, and not again', () => {
        const marks = heightsOf(data([height(1, 5, { tool: 0 }), height(2, 5), height(3, 2), height(4, 5, { tool: 3 }), height(5, 2, { tool: 3 })]));
        expect(marks.map((mark) => mark.tool)).toEqual(['', 'T1', '', 'T3', '']);
    });

    it('inks the bar of cuts in material, and of nothing else', () => {
        const marks = heightsOf(data([height(1, -4, { cuts: true }), height(2, 5, { cuts: true }), height(3, -4)]));
        expect(marks.map((mark) => mark.ink)).toEqual(['ink -4', null, null]);
    });

    it('marks a line with the worst of its findings', () => {
        const found: string[] = [];
        const marks = marginMarks(data([], [finding(4, 'note'), finding(4, 'stop'), finding(4, 'caution'), finding(7, 'caution')]), 20, (line) => line * 10).findings;
        for (let cursor = marks.iter(); cursor.value !== null; cursor.next()) found.push(`${cursor.from} ${(cursor.value as FindingMark).severity}`);
        expect(found).toEqual(['40 stop', '70 caution']);
    });

    it('leaves out what is past the end of a text that has just become shorter', () => {
        expect(heightsOf(data([height(1, 5), height(9, 2)]), 3)).toHaveLength(1);
    });

    it('keeps its marks with their lines while the text is edited', () => {
        const state = EditorState.create({ doc: 'G0 Z5.\nG1 Z-1.\nM30', extensions: [marginGutters] });
        const marked = state.update({ effects: setMargin.of(data([height(2, -1, { cuts: true })])) }).state;
        const edited = marked.update({ changes: { from: 0, insert: 'G21\n' } }).state;
        expect(edited.doc.line(3).text).toBe('G1 Z-1.');
        expect(() => edited.update({ changes: { from: 0, to: edited.doc.length } })).not.toThrow();
    });
});
