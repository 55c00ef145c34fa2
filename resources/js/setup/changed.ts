import type { SetupDocument } from './document';

export interface Changes {
    /** Fields of the document that are other than before, whole. */
    changes: Record<string, unknown>;
    /** Those that are gone. */
    removed: string[];
}

/** What of a document is other than in an earlier one, by its outermost fields; those that were not touched are the same objects. */
export function changesBetween(was: SetupDocument, is: SetupDocument): Changes {
    const [before, after] = [was as unknown as Record<string, unknown>, is as unknown as Record<string, unknown>];
    return {
        changes: Object.fromEntries(Object.entries(after).filter(([name, value]) => before[name] !== value)),
        removed: Object.keys(before).filter((name) => !(name in after)),
    };
}
