/** Where something typed leads: a line of the program, or one of the programs it calls. */
export type Target = { line: number } | { program: number };

/**
 * Finds what is typed: 120 is a line, N120 a block number, T3 where the tool is first changed to, O8100 a program of the text or one
 * it calls; anything else the first line that has it. Null where there is none.
 */
export function targetOf(typed: string, text: string, programs: string[]): Target | null {
    const wanted = typed.trim().toUpperCase();
    if (wanted === '') return null;
    const lines = text.split('\n');
    if (/^\d+$/.test(wanted)) return Number(wanted) >= 1 ? { line: Math.min(Number(wanted), lines.length) } : null;
    const [, letter, number] = /^([NTO])0*(\d+)$/.exec(wanted) ?? [];
    if (letter === 'O') {
        const called = programs.findIndex((name) => name.toUpperCase().replace(/^O0*/, '') === number);
        if (called >= 0) return { program: called };
    }
    const mark = letter === undefined
        ? (line: string) => line.toUpperCase().includes(wanted)
        : (line: string) =>
            new RegExp(letter === 'T' ? `(^|[^A-Z(])T0*${number}(?!\\d)` : `^\\s*/?\\d?\\s*[${letter === 'O' ? 'O:' : 'N'}]0*${number}(?!\\d)`, 'i').test(
                line.replace(/\([^)]*\)/g, ''),
            );
    const at = lines.findIndex(mark);
    return at < 0 ? null : { line: at + 1 };
}
