import { expect, it } from 'vitest';
import { pointsOf, pointsText } from './points';

it('reads a shape as it is typed, and writes it so again', () => {
    const points = pointsOf('0 30\n\n -20; 30 \n-20 42.5');
    expect(points).toEqual([[0, 30], [-20, 30], [-20, 42.5]]);
    expect(typeof points === 'object' ? pointsText(points) : null).toBe('0 30\n-20 30\n-20 42.5');
    expect(pointsOf('  ')).toBeUndefined();
});

it.each([
    ['0 30 4', '“0 30 4” is not a Z and a diameter.'], ['0', '“0” is not a Z and a diameter.'], ['0 x', '“0 x” is not a Z and a diameter.'],
    ['0 30', 'A shape needs two points or more.'],
])('says what is wrong with %s', (text, says) => {
    expect(pointsOf(text)).toBe(says);
});
