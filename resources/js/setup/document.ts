import type { OakSetup } from '../contracts/oak-setup-1';
import { withValue } from '../shared/path';

/** A setup file without its machine, which is chosen from the shop's list. */
export type SetupDocument = Omit<OakSetup, 'machine'>;
export type ToolRow = NonNullable<SetupDocument['tools']>[number];

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
