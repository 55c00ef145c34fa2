import { foldable } from '@codemirror/language';
import { EditorState } from '@codemirror/state';
import { expect, it } from 'vitest';
import { folding, foldsOf, setOutline } from './folding';
import { marginGutters } from './margin';

it('folds all of a tool where it comes in, and an operation where it goes on', () => {
    const outline = [{ line: 3, tool: 1 }, { line: 6, tool: 1 }, { line: 9, tool: 2 }, { line: 10, tool: 2 }];
    expect([...foldsOf(outline, 12)]).toEqual([[3, 8], [6, 8], [9, 12], [10, 12]]);
    expect([...foldsOf([{ line: 3, tool: 1 }, { line: 4, tool: 2 }], 4)]).toEqual([]);
});

it('offers the fold at its line, also after lines have come in above', () => {
    const state = EditorState.create({ doc: 'G21\n(T1)\nX1.\nX2.\n(T2)\nX3.', extensions: [marginGutters, folding] }).update({
        effects: setOutline.of([
            { line: 2, tool: 1 },
            { line: 5, tool: 2 },
        ]),
    }).state;
    const folded = (of: EditorState, line: number) => {
        const { from, to } = of.doc.line(line);
        const range = foldable(of, from, to);
        return range === null ? null : of.sliceDoc(range.from, range.to);
    };
    expect(folded(state, 2)).toBe('\nX1.\nX2.');
    expect(folded(state, 3)).toBeNull();
    const edited = state.update({ changes: { from: 0, insert: '%\n' } }).state;
    expect(folded(edited, 3)).toBe('\nX1.\nX2.');
});
