import { EditorState } from '@codemirror/state';
import { describe, expect, it } from 'vitest';
import type { Finding } from '../../contracts/oak-check-1';
import { CUTS, HOME, KNOWN, MOVES, type Heights } from '../answer';
import { heightMark, lineAsChecked, marginGutters, setMargin, worstByLine, type MarginData } from './margin';

interface Line {
    z: number;
    lowest?: number;
    tool?: number;
    marks?: number;
    seconds?: number;
}

/** Heights with some lines moving. */
function heights(lines: Record<number, Line>): Heights {
    const count = Math.max(...Object.keys(lines).map(Number)) + 1;
    const of = (pick: (line: Line) => number) => Array.from({ length: count }, (_, n) => (lines[n] === undefined ? 0 : pick(lines[n])));
    return {
        z: Float32Array.from(of(({ z }) => z)), lowest: Float32Array.from(of(({ z, lowest }) => lowest ?? z)),
        tool: Uint16Array.from(of(({ tool }) => tool ?? 1)),
        marks: Uint8Array.from(of(({ marks }) => marks ?? MOVES | KNOWN)), seconds: Float32Array.from(of(({ seconds }) => seconds ?? 0)),
    };
}

const data = (lines: Record<number, Line>): MarginData => ({
    heights: heights(lines), findings: [], decimals: 3, top: 0, turned: null, ink: (z) => `ink ${z}`,
});
const finding = (line: number, severity: Finding['severity']): Finding => ({
    check: 'heights.below-stock',
    severity,
    question: 'Are the heights right?',
    line,
    column: 1,
    text: `on ${line}`,
    remedy: '',
    otherUnits: '',
    detail: {},
    alsoAt: [],
});
const cut = MOVES | KNOWN | CUTS;

describe('the margin of the listing', () => {
    it('shows where a line leaves the tool, with the sign that says air or material', () => {
        const given = data({ 1: { z: 25 }, 2: { z: -4, marks: cut }, 3: { z: 0 } });
        expect([1, 2, 3].map((line) => heightMark(given, line)?.text)).toEqual(['+25.0', '−4.0', '0.0']);
    });

    it('shows how deep a hole goes, not where the tool comes back to', () => {
        const mark = heightMark(data({ 1: { z: 2, lowest: -12.5, marks: cut } }), 1);
        expect(mark?.text).toBe('↧−12.5');
        expect(mark?.title).toContain('down to −12.5, back at 2.0');
    });

    it('says home, and says where no length offset makes the height worth nothing', () => {
        const given = data({ 1: { z: 250, marks: MOVES | KNOWN | HOME }, 2: { z: 3, marks: MOVES } });
        expect([1, 2].map((line) => heightMark(given, line)?.text)).toEqual(['home', 'no H']);
    });

    it('shows the diameter beside Z on a lathe, and says how far the jaws are and how fast it turns', () => {
        const turned = { diameter: Float32Array.from([NaN, 14, NaN]), rpm: Float32Array.from([0, 1432.4, 0]), jaws: -50 };
        const given = { ...data({ 1: { z: -22, marks: cut }, 2: { z: 3, marks: MOVES } }), turned };
        const [mark, unknown] = [heightMark(given, 1), heightMark(given, 2)];
        expect([mark?.text, mark?.across]).toEqual(['−22.0', 'Ø14.0']);
        expect(mark?.title).toContain('Ø14.0, 28.0 from the jaws, 1432 rev/min');
        expect([unknown?.text, unknown?.across]).toEqual(['no T', '']);
    });

    it('names a tool where it comes in, and not again', () => {
        const given = data({ 1: { z: 5, tool: 0 }, 2: { z: 5 }, 4: { z: 2 }, 5: { z: 5, tool: 3 }, 6: { z: 2, tool: 3 } });
        expect([1, 2, 4, 5, 6].map((line) => heightMark(given, line)?.tool)).toEqual(['', 'T1', '', 'T3', '']);
        expect(heightMark(given, 3)).toBeNull();
        expect(heightMark(given, 99)).toBeNull();
    });

    it('says how long a line takes, also one that only dwells', () => {
        const given = data({ 1: { z: 5, seconds: 0.42 }, 2: { z: 0, marks: 0, seconds: 75 }, 3: { z: 5, seconds: 0.01 } });
        expect([1, 2, 3].map((line) => heightMark(given, line)?.time)).toEqual(['0.4s', '1:15', '']);
        expect(heightMark(given, 2)?.text).toBe('');
    });

    it('inks the bar of cuts in material, and of nothing else', () => {
        const given = data({ 1: { z: -4, marks: cut }, 2: { z: 5, marks: cut }, 3: { z: -4 } });
        expect([1, 2, 3].map((line) => heightMark(given, line)?.ink)).toEqual(['ink -4', null, null]);
    });

    it('marks a line with the worst of its findings', () => {
        const worst = worstByLine([finding(4, 'note'), finding(4, 'stop'), finding(4, 'caution'), finding(7, 'caution')]);
        expect([...worst].map(([line, { severity }]) => [line, severity])).toEqual([[4, 'stop'], [7, 'caution']]);
    });

    it('keeps its marks with their lines while the text is edited, and has none for a line that is new', () => {
        const state = EditorState.create({ doc: 'G0 Z5.\nG1 Z-1.\nM30', extensions: [marginGutters] });
        const checked = state.update({ effects: setMargin.of(data({ 2: { z: -1, marks: cut } })) }).state;
        const line = (of: EditorState, number: number) => lineAsChecked(of, of.doc.line(number).from);
        expect([1, 2, 3].map((number) => line(checked, number))).toEqual([1, 2, 3]);
        const edited = checked.update({ changes: { from: 0, insert: 'G21\n' } }).state;
        expect(line(edited, 3)).toBe(2);
        const within = edited.update({ changes: { from: edited.doc.line(3).to, insert: '5 F200.\nX5.' } }).state;
        expect([3, 4, 5].map((number) => line(within, number))).toEqual([2, 0, 3]);
        expect(() => edited.update({ changes: { from: 0, to: edited.doc.length } })).not.toThrow();
    });
});
