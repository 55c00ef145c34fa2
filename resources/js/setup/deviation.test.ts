import { expect, it } from 'vitest';
import { deviationOf, deviationText } from './deviation';

it.each([
    ['0.1', 0.1], ['± 0,05', 0.05], ['0 / 0.021', [0, 0.021]], ['+0.03 / −0.01', [-0.01, 0.03]], ['', undefined], ['-0.1', null], ['h7', null],
    ['0/1/2', null], ['0 /', null],
])('reads %s', (text, value) => expect(deviationOf(text)).toEqual(value));

it('writes what it reads', () => {
    expect([deviationText([0, 0.021]), deviationText(0.1), deviationText(undefined)]).toEqual(['0 / 0.021', '0.1', '']);
});
