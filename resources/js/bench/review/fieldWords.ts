const NAMED: Record<string, string> = { target: 'drawing sizes', grip: 'the clamping', thinnest: 'thinnest wall', rotaryCenters: 'the rotary centres' };

/** A field of the setup in words, by its dotted path: G54 Y, H 3, T2 flute length. */
export function fieldWords(path: string, tool: unknown): string {
    const words = path.replace('workOffsets.', '').replace('offsets.', '').split('.');
    const named = NAMED[path];
    if (named !== undefined) return named;
    if (words[0] !== 'tools') return words.join(' ');
    return `T${String(tool)} ${words.slice(2).join(' ').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)}`;
}
