import { typedNumber } from '../shared/typed';

/** Z and diameter of each point, and the radius of an arc that leads there from the one before. */
export type Points = ([number, number] | [number, number, number])[];

/** One point to a line. */
export function pointsText(points: Points | undefined): string {
    return (points ?? []).map((point) => point.join(' ')).join('\n');
}

/** What was typed; undefined where nothing was, or what is wrong with it. */
export function pointsOf(text: string): Points | undefined | string {
    const points: Points = [];
    for (const line of text.split('\n').filter((each) => each.trim() !== '')) {
        const figures = line.trim().split(/[\s;]+/).map((word) => typedNumber(word) ?? Number.NaN);
        const [z, diameter, radius] = figures;
        if (z === undefined || diameter === undefined || figures.length > 3 || figures.some(Number.isNaN)) {
            return `“${line.trim()}” is not a Z and a diameter, with the radius of an arc behind them or without.`;
        }
        points.push(radius === undefined ? [z, diameter] : [z, diameter, radius]);
    }
    if (points.length === 0) return undefined;
    return points.length === 1 ? 'A shape needs two points or more.' : points;
}
