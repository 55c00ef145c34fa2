import { expect, it } from 'vitest';
import { keyOf } from './textKey';

it('knows a short text by itself, and a long one by a number, the same one for the same text', () => {
    const long = 'X1.\n'.repeat(20_000);
    expect(keyOf('G21')).toBe('G21');
    expect(keyOf(long)).toBe(keyOf(`${long} `.trimEnd().concat('\n')));
    expect(keyOf(long).length).toBeLessThan(20);
    expect(keyOf(`${long}X2.`)).not.toBe(keyOf(long));
});
