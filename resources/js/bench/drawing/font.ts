import address from '@fontsource/source-sans-3/files/source-sans-3-latin-600-normal.woff2?url';

let font: Promise<string> | null = null;

/** The letters of the drawing as a style for a file that has to show them anywhere; empty where they cannot be fetched. */
export function fontStyle(): Promise<string> {
    return (font ??= fetch(address)
        .then(async (response) => {
            const bytes = new Uint8Array(await response.arrayBuffer());
            const letters = Array.from(bytes, (byte) => String.fromCharCode(byte)).join('');
            return `@font-face{font-family:"Source Sans 3";font-weight:600;src:url(data:font/woff2;base64,${btoa(letters)}) format("woff2")}`;
        })
        .catch(() => {
            font = null;
            return '';
        }));
}
