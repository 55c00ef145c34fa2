/** A number as somebody typed it: a comma will do for a point, a real minus sign for a hyphen. Null where it is none, or could be two. */
export function typedNumber(text: string): number | null {
    const clean = text.trim().replace('−', '-').replace(',', '.');
    return isTwoNumbers(text) ? null :  /^[-+]?(\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
}

/** Whether a comma may stand for a point or between thousands: 1,250. */
export function isTwoNumbers(text: string): boolean {
    return /^[-−+]?[1-9]\d{0,2},\d{3}$/.test(text.trim());
}

/** What is wrong with a number that was typed, and which counts meanwhile. */
export function numberProblem(text: string, value: number | undefined): string {
    const counts = value === undefined ? 'it counts as empty' : `${value} counts`;
    if (!isTwoNumbers(text)) return `Not a number; ${counts}.`;
    const [whole = '', thousands = ''] = text.trim().replace('−', '-').split(',');
    return `${whole}.${thousands} or ${whole}${thousands}? Write it without the comma; ${counts}.`;
}
