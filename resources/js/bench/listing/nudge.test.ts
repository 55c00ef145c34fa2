import { EditorState } from '@codemirror/state';
import type { EditorView } from '@codemirror/view';
import { describe, expect, it } from 'vitest';
import { nudge, nudged, numberAt } from './nudge';

describe('nudging a number', () => {
    it.each<[string, number, 1 | -1, string]>([
        ['2.5', 3, 1, '2.6'], ['2.5', 1, 1, '3.5'], ['2.5', 2, -1, '1.5'], ['2.95', 4, 1, '2.96'], ['2.95', 3, 1, '3.05'],
        ['-4.', 3, -1, '-5.'], ['-4.', 2, 1, '-3.'], ['-0.1', 4, 1, '0.0'], ['.5', 2, 1, '.6'], ['.9', 2, 1, '1.0'], ['-.5', 3, -1, '-.6'],
        ['250', 3, 1, '251'], ['250', 2, 1, '260'], ['250', 1, -1, '150'], ['5', 0, 1, '6'], ['1.', 0, -1, '0.'], ['-1.5', 0, 1, '-0.5'],
    ])('turns %s at %i by %i into %s', (number, place, by, wanted) => {
        expect(nudged(number, place, by)).toBe(wanted);
    });

    it('finds the number a place belongs to, and none in a comment', () => {
        expect(numberAt('G1 X-4.5 (X9.)', 5)).toEqual({ from: 4, to: 8 });
        expect(numberAt('G1 X-4.5 (X9.)', 3)).toEqual({ from: 4, to: 8 });
        expect(numberAt('G1 X-4.5 (X9.)', 12)).toBeNull();
        expect(numberAt('(ONLY)', 2)).toBeNull();
    });

    it('does so at every cursor, in one step, and keeps each behind its digit', () => {
        let state = EditorState.create({ doc: 'X9.9 Y1.\nX1.0', extensions: [EditorState.allowMultipleSelections.of(true)] });
        const view = () => ({ state, dispatch: (spec: object) => { state = state.update(spec).state; } }) as unknown as EditorView;
        const at = (...heads: number[]) => { state = state.update({ selection: { anchor: heads[0] ?? 0 } }).state; };
        at(4);
        expect(nudge(1)(view())).toBe(true);
        expect(state.doc.toString()).toBe('X10.0 Y1.\nX1.0');
        expect(state.selection.main.head).toBe(5);
        at(0);
        state = EditorState.create({ doc: '(NOTE)' });
        expect(nudge(1)(view())).toBe(false);
    });
});
