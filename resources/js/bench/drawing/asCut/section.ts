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

const EDGE = 20;

/** Room for the heights beside it. */
const SIDE = 52;

/** Room for the words below. */
const FOOT = 16;

export function layout({ length, top, bottom }: Pick<Section, 'length' | 'top' | 'bottom'>, width: number, height: number): Layout {
    const scale = Math.max(1e-9, Math.min((width - 2 * SIDE) / length, (height - FOOT - 2 * EDGE) / (top - bottom)));
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

/** The heights worth reading beside a section: its top and bottom, and every floor; those nearer than `gap` to one before are left out. */
export function floorsOf({ top, bottom, cut, length }: Pick<Section, 'top' | 'bottom' | 'cut' | 'length'>, gap: number): number[] {
    const floors = new Map<number, number>();
    for (let n = 1; n < cut.length; n++) {
        const [from, to] = [cut[n - 1], cut[n]];
        if (from === undefined || to === undefined || Math.abs(from[1] - to[1]) > 1e-6) continue;
        const z = Math.round(to[1] * 1e6) / 1e6;
        floors.set(z, (floors.get(z) ?? 0) + to[0] - from[0]);
    }
    const wide = [...floors].filter(([, width]) => width > length / 200).sort((a, b) => b[1] - a[1]).map(([z]) => z);
    const kept: number[] = [];
    for (const z of [top, bottom, ...wide]) if (kept.every((other) => Math.abs(other - z) >= gap)) kept.push(z);
    return kept;
}
