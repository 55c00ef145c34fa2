import { describe, expect, it } from 'vitest';
import { defaults, isComplete, type TextTransform } from './changes';

const transform: TextTransform = {
    name: 'change-words', title: 'Change words', fields: [
        { name: 'letter', label: 'Every', default: 'F', choices: { F: 'F', S: 'S' }, isOptional: false },
        { name: 'tool', label: 'of tool', default: null, choices: [], isOptional: true },
        { name: 'by', label: 'by', default: 0.8, choices: [], isOptional: false },
    ],
};

describe('a change of text', () => {
    it('begins with what is usual', () => {
        expect(defaults(transform)).toEqual({ letter: 'F', tool: '', by: '0.8' });
    });

    it('is asked for when all that must be said is a number', () => {
        expect(isComplete(transform, defaults(transform))).toBe(true);
        expect(isComplete(transform, { ...defaults(transform), tool: '3' })).toBe(true);
        expect(isComplete(transform, { ...defaults(transform), by: '' })).toBe(false);
        expect(isComplete(transform, { ...defaults(transform), by: '0.8x' })).toBe(false);
        expect(isComplete(transform, { ...defaults(transform), tool: 'three' })).toBe(false);
    });
});
