import { describe, expect, it } from 'vitest';
import { begun, codeAt, plain } from './codes';

describe('codes of a line', () => {
    it('are the same however they are written', () => {
        expect(['G1', 'g01', 'G 001', 'M08', 'G54.1', 'G81.0'].map(plain)).toEqual(['G1', 'G1', 'G1', 'M8', 'G54.1', 'G81']);
    });

    it('are found where the pointer is, and not in comments', () => {
        const line = 'N10 G98 G81 Z-5. (G80) M8';
        expect(codeAt(line, 5)).toEqual({ code: 'G98', from: 4, to: 7 });
        expect(codeAt(line, 11)?.code).toBe('G81');
        expect(codeAt(line, 14)).toBeNull();
        expect(codeAt(line, 19)).toBeNull();
        expect(codeAt(line, 24)?.code).toBe('M8');
    });

    it('are offered where one is begun', () => {
        expect(['G', 'G8', 'X5. m', 'N10G54.'].map(begun)).toEqual(['G', 'G8', 'm', 'G54.']);
        expect(['X5', '(G', '; M', 'G81 ', '#<G', ''].map(begun)).toEqual([null, null, null, null, null, null]);
    });
});
