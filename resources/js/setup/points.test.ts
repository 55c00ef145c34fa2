import { expect, it } from 'vitest';
import { pointsOf, pointsText } from './points';

it('reads a shape as it is typed, and writes it so again', () => {
    const points = pointsOf('0 30\n\n -20; 30 \n-20 42.5');
    expect(points).toEqual([[0, 30], [-20, 30], [-20, 42.5]]);
    expect(typeof points === 'object' ? pointsText(points) : null).toBe('0 30\n-20 30\n-20 42.5');
    expect(pointsOf('  ')).toBeUndefined();
});

it('reads the radius of an arc behind a point', () => {
    const points = pointsOf('0 0\n-20 40 20\n-60 40');
    expect(points).toEqual([[0, 0], [-20, 40, 20], [-60, 40]]);
    expect(typeof points === 'object' ? pointsText(points) : null).toBe('0 0\n-20 40 20\n-60 40');
});

const NO_POINT = 'is not a Z and a diameter, with the radius of an arc behind them or without.';

it.each([
    ['0 30 4 1', `“0 30 4 1” ${NO_POINT}`], ['0', `“0” ${NO_POINT}`], ['0 x', `“0 x” ${NO_POINT}`], ['0 1 x', `“0 1 x” ${NO_POINT}`],
    ['0 30', 'A shape needs two points or more.'],
])('says what is wrong with %s', (text, says) => {
    expect(pointsOf(text)).toBe(says);
});
