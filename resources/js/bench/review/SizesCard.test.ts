import { expect, it } from 'vitest';
import { sizeWords } from './SizesCard';

it.each([
    [{ sign: 'Ø', got: 36, severity: 'clear' }, 'Ø36.000'],
    [{ sign: 'Ø', got: 36.1, severity: 'stop' }, 'Ø36.100, wanted Ø36.000'],
    [{ sign: 'Z', got: -29.5, severity: 'caution' }, 'Z−29.500, wanted Z36.000'],
    [{ sign: 'Ø', got: null, severity: 'caution' }, 'not there'],
] as const)('says what a size comes out as: %o', (size, says) => {
    expect(sizeWords({ name: 'journal', wanted: 36, line: 1, ...size }, 3)).toBe(says);
});
