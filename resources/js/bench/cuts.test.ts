import { expect, it } from 'vitest';
import { cutWords } from './cuts';
import { testMotion } from './testing/motion.test.fixture';

const scene = { units: 'mm', decimals: 3 } as const;
const cutting = {
    ...testMotion(),
    kind: Uint8Array.of(0, 1, 1, 4),
    cuts: {
        depth: Float32Array.of(0, 4, 0, 0),
        width: Float32Array.of(0, 10, 0, 0),
        angle: Float32Array.of(0, 180, 0, 0),
        volume: Float32Array.of(0, 1234, 0, 0),
        air: Uint8Array.of(100, 12, 100, 100),
        marks: Uint8Array.of(2, 3, 2, 0),
        power: Float32Array.of(0, 0.75, 0, 0),
        chip: Float32Array.of(0, 0.05, NaN, 0),
    },
};

it('says what a move takes, and that it takes nothing', () => {
    expect(cutWords(cutting, 1, scene)).toBe(
        '4.0 mm deep, 10.0 mm wide, over 180°, 1234 mm³, about 0.75 kW, chips of 0.05 mm, 12 % of the way in air, its centre in material',
    );
    expect(cutWords(cutting, 2, scene)).toBe('nothing: in air');
    const small = { ...cutting, cuts: { ...cutting.cuts, volume: Float32Array.of(0, 0.025, 0, 0) } };
    expect(cutWords(small, 1, scene)).toContain(', 0.025 mm³, ');
});

it('says nothing of a rapid in air, of an event, and where the stock was not simulated', () => {
    expect([cutWords(cutting, 0, scene), cutWords(cutting, 3, scene), cutWords(testMotion(), 0, scene)]).toEqual([null, null, null]);
});
