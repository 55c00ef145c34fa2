import { typedNumber } from '../shared/typed';

/** Z and diameter of each point. */
export type Points = [number, number][];

/** One point to a line. */
export function pointsText(points: Points | undefined): string {
    return (points ?? []).map((point) => point.join(' ')).join('\n');
}

/** What was typed; undefined where nothing was, or what is wrong with it. */
export function pointsOf(text: string): Points | undefined | string {
    const points: Points = [];
    for (const line of text.split('\n').filter((each) => each.trim() !== '')) {
        const [z, diameter, ...more] = line.trim().split(/[\s;]+/).map(typedNumber);
        const isPoint = z !== undefined && z !== null && diameter !== undefined && diameter !== null && more.length === 0;
        if (!isPoint) return `“${line.trim()}” is not a Z and a diameter.`;
        points.push([z, diameter]);
    }
    if (points.length === 0) return undefined;
    return points.length === 1 ? 'A shape needs two points or more.' : points;
}
