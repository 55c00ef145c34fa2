import type { OakSetup } from '../contracts/oak-setup-1';
import { withValue } from '../shared/path';

/** A setup file without its machine, which is chosen from the shop's list. */
export type SetupDocument = Omit<OakSetup, 'machine'>;
export type ToolRow = NonNullable<SetupDocument['tools']>[number];

/** Whether a stock is a bar, by whatever name: with a bore a tube, across flats a hexagon, turned before a profile. */
export function isBar(stock: { shape: string } | undefined): boolean {
    return ['cylinder', 'bar', 'tube', 'hexagon', 'profile'].includes(stock?.shape ?? '');
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
    return ['H', 'D', 'T'].reduce((next, table) => withValue(next, `offsets.${table}.${number ?? ''}`, undefined), without);
}

/** A length or cutter offset by its number, however it is written. */
export function offsetOf(document: SetupDocument, letter: 'H' | 'D', number: number): { geometry?: number; wear?: number } {
    const offset = document.offsets?.[letter]?.[String(number)];
    return typeof offset === 'number' ? { geometry: offset, wear: 0 } : (offset ?? {});
}

/** The document with one figure of an offset changed; without a value there is no offset. */
export function withOffset(document: SetupDocument, letter: 'H' | 'D', number: number, part: 'geometry' | 'wear', value: number | undefined): SetupDocument {
    const path = `offsets.${letter}.${number}`;
    if (part === 'geometry' && value === undefined) return withValue(document, path, undefined);
    const { geometry = 0, wear = 0 } = offsetOf(document, letter, number);
    return withValue(document, path, { geometry, wear, [part]: value ?? 0 });
}

export type TurningFigure = 'X' | 'Z' | 'R';

/** A figure of a lathe's offset by its number, however it is written. */
export function turningOffsetOf(document: SetupDocument, number: number, figure: TurningFigure): { geometry?: number; wear?: number } {
    const offset = document.offsets?.T?.[String(number)]?.[figure];
    return typeof offset === 'number' ? { geometry: offset, wear: 0 } : (offset ?? {});
}

/** The document with one figure of a lathe's offset changed. */
export function withTurningOffset(
    document: SetupDocument, number: number, figure: TurningFigure, part: 'geometry' | 'wear', value: number | undefined,
): SetupDocument {
    const path = `offsets.T.${number}.${figure}`;
    if (part === 'geometry' && value === undefined) return withValue(document, path, undefined);
    const { geometry = 0, wear = 0 } = turningOffsetOf(document, number, figure);
    return withValue(document, path, { geometry, wear, [part]: value ?? 0 });
}

/** Offsets whose number is no tool's own. */
export function otherOffsets(document: SetupDocument): { letter: 'H' | 'D'; number: number }[] {
    const own = new Set((document.tools ?? []).map(({ number }) => String(number)));
    return (['H', 'D'] as const).flatMap((letter) =>
        Object.keys(document.offsets?.[letter] ?? {}).filter((number) => !own.has(number)).map((number) => ({ letter, number: Number(number) })));
}

/** The document with a tool under another number; its own offsets go with it, unless that number has some. */
export function renumbered(document: SetupDocument, index: number, number: number): SetupDocument {
    const was = document.tools?.[index]?.number;
    const next = withValue(document, `tools.${index}.number`, number);
    if (was === undefined || was === number) return next;
    return (['H', 'D', 'T'] as const).reduce((now, letter) => {
        const offset = now.offsets?.[letter]?.[String(was)];
        return offset === undefined || now.offsets?.[letter]?.[String(number)] !== undefined
            ? now
            : withValue(withValue(now, `offsets.${letter}.${was}`, undefined), `offsets.${letter}.${number}`, offset);
    }, next);
}

/** Why an offset is not trusted, in words; null where it is. */
export function notTrustedWords(document: SetupDocument, offset: string): string | null {
    const untrusted = document.notTrusted?.[offset];
    if (untrusted === undefined) return null;
    return untrusted.why === 'begun'
        ? `${offset}: touching off was begun${untrusted.at === undefined ? '' : ` at ${untrusted.at}`} and not finished.`
        : `${offset}: copied${untrusted.from === undefined ? '' : ` from ${untrusted.from}`}, not touched off here.`;
}

/** The next work offset that is not in the setup yet, or null where all six stand. */
export function nextWorkOffset(document: SetupDocument): string | null {
    return ['G54', 'G55', 'G56', 'G57', 'G58', 'G59'].find((name) => document.workOffsets?.[name] === undefined) ?? null;
}
