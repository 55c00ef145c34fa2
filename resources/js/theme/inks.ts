/** The colours of the house, by what they stand for. Screens, drawings and paper use the same ones. */
export interface Inks {
    dark: boolean;
    paper: string;
    sheet: string;
    margin: string;
    ink: string;
    soft: string;
    hair: string;
    frame: string;
    pick: string;
    oak: string;
    moss: string;
    clay: string;
    ochre: string;
    /** Material left standing, where a drawing says it should be gone. */
    slate: string;
    stock: string;
    stockEdge: string;
    /** Cutting moves from the top of the stock (first) to its bottom (last). */
    straw: [number, number, number];
    darkOak: [number, number, number];
}

export const light: Inks = {
    dark: false,
    paper: '#f3ecdf',
    sheet: '#fbf8ef',
    margin: '#f1ebdd',
    ink: '#1d2822',
    soft: '#5b6055',
    hair: '#d3c9b3',
    frame: '#34403a',
    pick: '#d9e1d3',
    oak: '#7f501f',
    moss: '#4f6b38',
    clay: '#a8391f',
    ochre: '#a04a00',
    slate: '#2e5a78',
    stock: '#efe4c9',
    stockEdge: '#a8935f',
    straw: [201, 156, 66],
    darkOak: [64, 34, 16],
};

export const dark: Inks = {
    dark: true,
    paper: '#1b211d',
    sheet: '#222a25',
    margin: '#283029',
    ink: '#ece6d6',
    soft: '#adb0a0',
    hair: '#414a42',
    frame: '#7f887d',
    pick: '#323d36',
    oak: '#d9a763',
    moss: '#9ab97f',
    clay: '#f08a6c',
    ochre: '#f0a04b',
    slate: '#7fb2d6',
    stock: '#37382c',
    stockEdge: '#847c57',
    straw: [236, 205, 130],
    darkOak: [176, 104, 54],
};

/** Ink of a cutting move: `depth` is 0 at the top of the stock and 1 at its bottom or below. */
export function cutInk(inks: Inks, depth: number): string {
    const share = Math.min(1, Math.max(0, depth));
    const mix = inks.straw.map((from, i) => Math.round(from + ((inks.darkOak[i] ?? from) - from) * share));
    return `rgb(${mix.join(' ')})`;
}
