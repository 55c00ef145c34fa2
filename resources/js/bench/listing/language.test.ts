import { ensureSyntaxTree } from '@codemirror/language';
import { EditorState } from '@codemirror/state';
import { describe, expect, it } from 'vitest';
import { programLanguage } from './language';

/** The words of a text with the kind each is shown as. */
function words(text: string): [string, string][] {
    const state = EditorState.create({ doc: text, extensions: [programLanguage] });
    const found: [string, string][] = [];
    ensureSyntaxTree(state, text.length, 5000)?.iterate({
        enter: ({ name, from, to }) => {
            if (name !== 'Document') found.push([text.slice(from, to), name]);
        },
    });
    return found;
}

const kinds = (text: string) => words(text).map(([, kind]) => kind);

describe('the language of the listing', () => {
    it('tells codes, heights, feeds and places apart', () => {
        expect(words('N10 G1 X-5. Z2.5 F300. (ACROSS)')).toEqual([
            ['N10', 'meta'],
            ['G1', 'keyword'],
            ['X-5.', 'name'],
            ['Z2.5', 'strong'],
            ['F300.', 'number'],
            ['(ACROSS)', 'comment'],
        ]);
    });

    it('knows the beginning of a program, skip marks and comments to the end of the line', () => {
        expect(kinds('%')).toEqual(['heading']);
        expect(kinds('O1234 (NAME)')).toEqual(['heading', 'comment']);
        expect(kinds(':77')).toEqual(['heading']);
        expect(kinds('/2 M8 ; COOL')).toEqual(['meta', 'keyword', 'comment']);
    });

    it('reads loops and jumps as words of their own', () => {
        expect(words('WHILE [#1 LT 3] DO 1').filter(([, kind]) => kind === 'keyword').map(([word]) => word)).toEqual(['WHILE', 'DO']);
        expect(words('IF [#100 EQ #0] GOTO 20').filter(([, kind]) => kind === 'keyword').map(([word]) => word)).toEqual(['IF', 'GOTO']);
        expect(kinds('END 1')[0]).toBe('keyword');
        expect(kinds('IF [#1 GT 2] THEN #1=2')).toContain('keyword');
    });

    it('reads parameters, functions and operators without calling any of it wrong', () => {
        for (const text of ['#101=[#1+2.5*SIN[30]]', 'X#1 Y-#2 Z[#3/2]', '#<depth>=-.5', 'G65 P100 A1. B#5', 'X[ATAN[1]/[2]**2]', '#[#1+1]=FIX[#2 MOD 3]']) {
            expect(kinds(text), text).not.toContain('invalid');
        }
        expect(words('X#1')).toEqual([['X', 'name'], ['#1', 'number']]);
    });

    it('marks what no control could read', () => {
        expect(kinds('G1 X1O')).toContain('invalid');
        expect(kinds('G1 &')).toContain('invalid');
        expect(kinds('X')).toContain('invalid');
    });
});
