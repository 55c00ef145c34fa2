import { isValidElement } from 'react';
import { describe, expect, it } from 'vitest';
import { Sentence } from './Sentence';

/** What is kept together, and what is not. */
const kept = (text: string) => Sentence({ text }).map((part) => (isValidElement<{ children: string }>(part) ? [part.props.children] : part));

describe('a sentence', () => {
    it('keeps the words of a program whole', () => {
        expect(kept('It rounds to X-12.346; Z-.5 and Z-5. stay.')).toEqual(['It rounds to ', ['X-12.346'], '; ', ['Z-.5'], ' and ', ['Z-5'], '. stay.']);
        expect(kept('A T-slot cutter, G54 and X −5.000 mm.')).toEqual(['A T-slot cutter, G54 and X −5.000 mm.']);
    });
});
