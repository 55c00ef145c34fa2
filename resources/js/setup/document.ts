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

/** A number as somebody typed it: a comma will do for a point, a real minus sign for a hyphen. Null where it is none. */
export function typedNumber(text: string): number | null {
    const clean = text.trim().replace('−', '-').replace(',', '.');
    return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
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
