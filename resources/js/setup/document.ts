import type { OakSetup } from '../contracts/oak-setup-1';

/** A setup file without its machine, which is chosen from the shop's list. */
export type SetupDocument = Omit<OakSetup, 'machine'>;
export type ToolRow = NonNullable<SetupDocument['tools']>[number];
type Json = string | number | boolean | null | Json[] | { [key: string]: Json | undefined };

/** The document with the value at a dotted path changed; `undefined` takes the field out. Nothing else is touched. */
export function withValue(document: SetupDocument, path: string, value: unknown): SetupDocument {
    return change(document as unknown as Json, path.split('.'), value as Json) as unknown as SetupDocument;
}

function change(node: Json | undefined, [key, ...rest]: string[], value: Json | undefined): Json {
    if (key === undefined) return value ?? null;
    if (Array.isArray(node)) {
        const next = [...node];
        if (rest.length === 0 && value === undefined) next.splice(Number(key), 1);
        else next[Number(key)] = change(next[Number(key)], rest, value);
        return next;
    }
    const fields = (node ?? {}) as Record<string, Json | undefined>;
    if (rest.length === 0 && value === undefined) return Object.fromEntries(Object.entries(fields).filter(([name]) => name !== key));
    return { ...fields, [key]: change(fields[key], rest, value) };
}

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

/** A usual length in millimetres as a round figure of the setup's units. */
export function inUnits(unit: string): (millimetres: number) => number {
    return (millimetres) => (unit === 'mm' ? millimetres : Math.round((millimetres / 25) * 8) / 8);
}

/** A number no tool has, and no length offset either: a new tool begins without a length. */
export function nextToolNumber(document: SetupDocument): number {
    return Math.max(0, ...(document.tools ?? []).map((tool) => tool.number), ...Object.keys(document.offsets?.H ?? {}).map(Number)) + 1;
}

/** The document without a tool, and without its own length and diameter offsets. */
export function withoutTool(document: SetupDocument, index: number): SetupDocument {
    const number = document.tools?.[index]?.number;
    const without = withValue(document, `tools.${index}`, undefined);
    return ['H', 'D'].reduce((next, table) => withValue(next, `offsets.${table}.${number ?? ''}`, undefined), without);
}

/** The length offset of a tool number as the page shows it. */
export function lengthOf(document: SetupDocument, number: number): { geometry?: number; wear?: number } {
    const offset = document.offsets?.H?.[String(number)];
    return typeof offset === 'number' ? { geometry: offset, wear: 0 } : (offset ?? {});
}

/** The next work offset that is not in the setup yet, or null where all six stand. */
export function nextWorkOffset(document: SetupDocument): string | null {
    return ['G54', 'G55', 'G56', 'G57', 'G58', 'G59'].find((name) => document.workOffsets?.[name] === undefined) ?? null;
}
