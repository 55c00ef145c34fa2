/** A file in base64, as a setup holds it. */
export async function base64Of(file: File): Promise<string> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    let text = '';
    for (let from = 0; from < bytes.length; from += 0x8000) text += String.fromCharCode(...bytes.subarray(from, from + 0x8000));
    return btoa(text);
}

/** The largest file of a solid, bytes: as base64 it has to go into a setup. */
const LARGEST = 6_000_000;

/** A solid from an STL file as a setup holds it, or what is wrong with it. */
export async function solidOf(file: File): Promise<{ name: string; stl: string } | string> {
    if (file.size > LARGEST) return `${file.name} is larger than ${LARGEST / 1e6} MB. Save it with fewer triangles.`;
    return { name: file.name, stl: await base64Of(file) };
}

/**
 * Rows of heights from a text: one row a line from the front to the back, the figures apart by commas, semicolons or white
 * space; `-` where there is nothing. Null where something is no figure.
 */
export function heightsOf(text: string): (number | null)[][] | null {
    const rows = text.trim().split(/\r?\n/).map((line) => line.trim().split(/[\s,;]+/).map((figure) => (figure === '-' ? null : Number(figure))));
    return rows.every((row) => row.every((figure) => figure === null || Number.isFinite(figure))) && rows[0]?.[0] !== undefined && text.trim() !== ''
        ? rows
        : null;
}
