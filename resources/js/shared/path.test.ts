import { expect, it } from 'vitest';
import { withValue } from './path';

const setup: Record<string, unknown> & { workOffsets?: Record<string, Record<string, number>>; tools?: { number: number }[] } = {
    workOffsets: { G54: { X: 1 } }, tools: [{ number: 1 }, { number: 2 }],
};

it('changes one value and leaves the rest and the original alone', () => {
    const next = withValue(setup, 'workOffsets.G54.X', -5);
    expect(next.workOffsets?.G54?.X).toBe(-5);
    expect(setup.workOffsets?.G54?.X).toBe(1);
    expect(next.tools).toBe(setup.tools);
});
it('makes what is missing on the way, and takes fields and rows out', () => {
    expect(withValue(setup, 'workOffsets.G55.Y', 2).workOffsets?.G55).toEqual({ Y: 2 });
    expect(withValue(setup, 'tools.0', undefined).tools).toEqual([{ number: 2 }]);
    expect('workOffsets' in withValue(setup, 'workOffsets', undefined)).toBe(false);
});

it('knows the further work offsets, whose names have a point', () => {
    const further = { workOffsets: { 'G54.1P3': { X: 1 } } };
    expect(withValue(further, 'workOffsets.G54.1P3.X', 2)).toEqual({ workOffsets: { 'G54.1P3': { X: 2 } } });
    expect(withValue(further, 'workOffsets.G54.1P3', undefined)).toEqual({ workOffsets: {} });
});
