import { expect, it } from 'vitest';
import { fieldWords } from './fieldWords';

it.each([
    ['workOffsets.G54.Y', undefined, 'G54 Y'],
    ['offsets.H.3', undefined, 'H 3'],
    ['tools.2.fluteLength', 5, 'T5 flute length'],
])('calls %s what a machinist would', (path, tool, words) => expect(fieldWords(path, tool)).toBe(words));
