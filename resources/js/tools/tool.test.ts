import { describe, expect, it } from 'vitest';
import { fieldsFor, kindWords, shapesOf, stepsOf, usualWords, type FieldRow } from './tool';

const fields: FieldRow[] = [
    { field: 'diameter', words: 'Diameter', is: 'length', kinds: null, choices: null },
    { field: 'pitch', words: 'Pitch', is: 'length', kinds: ['tap'], choices: null },
];

describe('fieldsFor', () => {
    it('shows what matters for a kind, and what is given all the same', () => {
        expect(fieldsFor(fields, { kind: 'drill' }).map(({ field }) => field)).toEqual(['diameter']);
        expect(fieldsFor(fields, { kind: 'tap' }).map(({ field }) => field)).toEqual(['diameter', 'pitch']);
        expect(fieldsFor(fields, { kind: 'drill', pitch: 1 }).map(({ field }) => field)).toEqual(['diameter', 'pitch']);
    });
});

describe('shapesOf', () => {
    it('draws a drill with its point, shank and holder one above the other', () => {
        const shapes = shapesOf({
            kind: 'drill',
            diameter: 10,
            pointAngle: 90,
            fluteLength: 40,
            stickout: 60,
            holder: [{ diameter: 20, length: 30 }, { diameter: 40 }],
        });
        expect(shapes.map(({ what }) => what)).toEqual(['cutting', 'shank', 'holder', 'holder']);
        expect(shapes[0]?.side[1]?.[0]).toBe(5);
        expect(shapes[0]?.side[1]?.[1]).toBeCloseTo(5);
        expect(shapes[2]?.side).toEqual([[10, 60], [10, 90]]);
        expect(shapes[3]?.side).toEqual([[20, 90], [20, 110]]);
    });

    it('rounds a ball, and a corner no more than it is', () => {
        expect(shapesOf({ kind: 'ball-mill', diameter: 8 })[0]?.side[0]).toEqual([0, 0]);
        expect(shapesOf({ kind: 'bull-mill', diameter: 8, cornerRadius: 1 })[0]?.side[0]).toEqual([3, 0]);
        expect(shapesOf({ kind: 'end-mill', diameter: 8 })[0]?.side).toEqual([[4, 0], [4, 24]]);
    });

    it('draws nothing of a tool without a diameter', () => {
        expect(shapesOf({ kind: 'drill' })).toEqual([]);
    });
});

it('says what is usual, by the diameter where it goes by that', () => {
    expect(usualWords({ value: 118, ofDiameter: null }, undefined)).toBe('usual: 118');
    expect(usualWords({ value: null, ofDiameter: 1.5 }, 8)).toBe('usual: 12');
    expect(usualWords({ value: null, ofDiameter: 1.5 }, undefined)).toBe('');
    expect(usualWords(undefined, 8)).toBe('');
});

it('takes one step of a holder or many', () => {
    expect(stepsOf({ diameter: 40 })).toEqual([{ diameter: 40 }]);
    expect(stepsOf(undefined)).toEqual([]);
    expect(kindWords('center-drill')).toBe('centre drill');
});
