import { describe, expect, it } from 'vitest';
import type { Edit } from '../../contracts/oak-check-1';
import { applied, changesOf, preview } from './edits';

const TEXT = 'G21 G90\nG0 X10 Y5\nM30';
const edit = (line: number, column: number, length: number, text: string, also: Edit['also'] = []): Edit => ({ line, column, length, text, label: '', also });
const done = (text: string, what: Edit) => applied(text, changesOf(text, what) ?? []);

describe('an edit', () => {
    it('changes characters of a line and leaves the rest', () => {
        expect(done(TEXT, edit(2, 5, 2, '10.'))).toBe('G21 G90\nG0 X10. Y5\nM30');
    });

    it('makes all its changes at once, whatever their order', () => {
        expect(
            done(
                TEXT,
                edit(2, 9, 1, '5.', [
                    { line: 2, column: 5, length: 2, text: '10.' },
                    { line: 3, column: 4, length: 0, text: '\n%' },
                ]),
            ),
        ).toBe('G21 G90\nG0 X10. Y5.\nM30\n%');
    });

    it('stays inside its line, and has no place in a text that is too short', () => {
        expect(done(TEXT, edit(1, 8, 99, ' G94'))).toBe('G21 G90 G94\nG0 X10 Y5\nM30');
        expect(changesOf(TEXT, edit(9, 1, 0, 'G80\n'))).toBeNull();
        expect(preview(TEXT, edit(9, 1, 0, 'G80\n'))).toEqual([]);
    });
});

describe('a preview', () => {
    it('shows the line before and after', () => {
        expect(preview(TEXT, edit(2, 5, 2, '10.'))).toEqual([{ kind: 'gone', text: 'G0 X10 Y5' }, { kind: 'new', text: 'G0 X10. Y5' }]);
    });

    it('shows only what is new where a line is put in', () => {
        expect(preview(TEXT, edit(2, 1, 0, 'G80 G0\n'))).toEqual([{ kind: 'new', text: 'G80 G0' }]);
        expect(preview(TEXT, edit(3, 4, 0, '\n%'))).toEqual([{ kind: 'new', text: '%' }]);
    });

    it('shows a line that becomes two', () => {
        expect(preview(TEXT, edit(2, 1, 9, 'G0 X10\nY5'))).toEqual([
            { kind: 'gone', text: 'G0 X10 Y5' },
            { kind: 'new', text: 'G0 X10' },
            { kind: 'new', text: 'Y5' },
        ]);
    });
});
