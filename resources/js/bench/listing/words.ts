/** A line with its comments blanked, every letter where it was. */
export function withoutComments(line: string): string {
    return line.replace(/\([^)]*\)?|;.*/g, (comment) => ' '.repeat(comment.length));
}

/** A word of a block: its letter and its number as written, and where the number stands in the line. */
export interface Word {
    letter: string;
    number: string;
    /** Where the letter stands. */
    from: number;
    /** Where the number begins and ends. */
    numberFrom: number;
    to: number;
}

/** The words of a line that have a number written out; none of its comments. */
export function wordsOf(line: string): Word[] {
    return [...withoutComments(line).matchAll(/([A-Z])\s*([-+]?(?:\d+\.?\d*|\.\d+))/gi)].map((match) => {
        const [all, letter = '', number = ''] = match;
        const to = match.index + all.length;
        return { letter: letter.toUpperCase(), number, from: match.index, numberFrom: to - number.length, to };
    });
}
