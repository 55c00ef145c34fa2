/** A section through the stock: corners of it as it was, as it is cut, and as it is wanted; how far along and how high. */
export interface Section {
    length: number;
    top: number;
    bottom: number;
    cut: [number, number][];
    before: [number, number][];
    wanted: [number, number][] | null;
}

/** Where a section lies in a box of so many points: lengths and heights to one scale, the stock in the middle. */
export interface Layout {
    scale: number;
    x: (along: number) => number;
    y: (z: number) => number;
}

const EDGE = 10;

/** Room for the words below. */
const FOOT = 16;

export function layout({ length, top, bottom }: Pick<Section, 'length' | 'top' | 'bottom'>, width: number, height: number): Layout {
    const scale = Math.max(1e-9, Math.min((width - 2 * EDGE) / length, (height - FOOT - 2 * EDGE) / (top - bottom)));
    const [left, low] = [(width - length * scale) / 2, (height - FOOT + (top - bottom) * scale) / 2];
    return { scale, x: (along) => left + along * scale, y: (z) => low - (z - bottom) * scale };
}

/** The outline of what stands, closed along the bottom. */
export function outline(corners: readonly [number, number][], bottom: number, at: Layout): string {
    const last = corners[corners.length - 1];
    if (corners[0] === undefined || last === undefined) return '';
    const places = [[corners[0][0], bottom], ...corners, [last[0], bottom]];
    return `M${places.map(([along, z]) => `${at.x(along ?? 0).toFixed(2)} ${at.y(z ?? 0).toFixed(2)}`).join('L')}Z`;
}

/** How high it stands so far along. */
export function heightAt(corners: readonly [number, number][], along: number): number | null {
    for (let n = 1; n < corners.length; n++) {
        const [from, to] = [corners[n - 1], corners[n]];
        if (from !== undefined && to !== undefined && along >= from[0] && along <= to[0])
            return to[0] === from[0] ? to[1] : from[1] + ((to[1] - from[1]) * (along - from[0])) / (to[0] - from[0]);
    }
    return null;
}
