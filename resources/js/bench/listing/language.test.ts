import { describe, expect, it } from 'vitest';
import { wordsOf } from './language';

const words = (line: string) => wordsOf(line).map(({ from, to, kind }) => [line.slice(from, to), kind]);
const kinds = (line: string) => wordsOf(line).map(({ kind }) => kind);

describe('the language of the listing', () => {
    it('tells codes, heights, feeds and places apart', () => {
        expect(words('N10 G1 X-5. Z2.5 F300. (ACROSS)')).toEqual([
            ['N10', 'mark'],
            ['G1', 'code'],
            ['X-5.', 'place'],
            ['Z2.5', 'height'],
            ['F300.', 'rate'],
            ['(ACROSS)', 'comment'],
        ]);
    });

    it('takes a comma before a corner or an angle for part of the word', () => {
        expect(words('X8.,C0.4').map(([word]) => word)).toEqual(['X8.', ',C0.4']);
        expect(kinds('G1 Z-4.,R2. X1,2')).toEqual(['code', 'height', 'place', 'place', 'invalid', 'place']);
    });

    it('knows the beginning of a program, skip marks and comments to the end of the line', () => {
        expect(kinds('%')).toEqual(['heading']);
        expect(kinds('<BRACKET-10>')).toEqual(['heading']);
        expect(kinds('#1=POW[2,3]')).not.toContain('invalid');
        expect(kinds('X2,3')).toContain('invalid');
        expect(kinds('O1234 (NAME)')).toEqual(['heading', 'comment']);
        expect(kinds(' :77')).toEqual(['heading']);
        expect(kinds('/2 M8 ; COOL')).toEqual(['mark', 'code', 'comment']);
        expect(kinds('(NOT CLOSED')).toEqual(['comment']);
        expect(kinds('')).toEqual([]);
    });

    it('reads loops and jumps as words of their own', () => {
        expect(words('WHILE [#1 LT 3] DO 1').filter(([, kind]) => kind === 'code').map(([word]) => word)).toEqual(['WHILE', 'DO']);
        expect(words('N5 DPRNT [*X#1[43]*] ').slice(1)).toEqual([['DPRNT [*X#1[43]*]', 'comment']]);
        expect(words('POPEN')).toEqual([['POPEN', 'comment']]);
        expect(words('IF [#100 EQ #0] GOTO 20').filter(([, kind]) => kind === 'code').map(([word]) => word)).toEqual(['IF', 'GOTO']);
        expect(kinds('END 1')[0]).toBe('code');
        expect(kinds('IF [#1 GT 2] THEN #1=2')).toContain('code');
    });

    it('reads parameters, functions and operators without calling any of it wrong', () => {
        for (const text of ['#101=[#1+2.5*SIN[30]]', 'X#1 Y-#2 Z[#3/2]', '#<depth>=-.5', 'G65 P100 A1. B#5', 'X[ATAN[1]/[2]**2]', '#[#1+1]=FIX[#2 MOD 3]']) {
            expect(kinds(text), text).not.toContain('invalid');
        }
        expect(words('X#1')).toEqual([['X', 'place'], ['#1', 'rate']]);
    });

    it('marks codes this control does not have, where its codes are known', () => {
        const known = new Set(['G1', 'G54.1', 'M8']);
        expect(wordsOf('G01 G54.1 G47 M08 M77 X1.', known).map(({ kind }) => kind)).toEqual(['code', 'code', 'invalid', 'code', 'invalid', 'place']);
        expect(wordsOf('GOTO 5', known)[0]?.kind).toBe('code');
    });

    it('marks what no control could read', () => {
        expect(kinds('G1 X1O')).toContain('invalid');
        expect(kinds('G1 &')).toContain('invalid');
        expect(kinds('X')).toContain('invalid');
    });
});
