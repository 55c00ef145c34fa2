import { expect, it } from 'vitest';
import { targetOf } from './targets';

const text = '%\nO1305 (HUB)\nN10 G21\n/N20 X1.\n(T2 DRILL)\nT2 M6\nN030 X5.\nO0077\nM99';

it.each([
    ['3', { line: 3 }], ['999', { line: 9 }], ['0', null], ['n20', { line: 4 }], ['N30', { line: 7 }], ['N3', null], ['t2', { line: 6 }], ['T9', null],
    ['O1305', { line: 2 }], ['o77', { line: 8 }], ['O8100', { program: 1 }], ['drill', { line: 5 }], ['', null], ['nothing', null],
] as const)('finds %s', (typed, target) => {
    expect(targetOf(typed, text, ['O9', 'O8100'])).toEqual(target);
});
