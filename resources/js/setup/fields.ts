import type { ReactNode } from 'react';
import type { MarkKind } from '../shared/Mark';

/** What a check has to say of a field. */
export interface FieldNote {
    severity: Exclude<MarkKind, 'clear'>;
    text: string;
    field: string;
    program: string;
}

/** How the sheets of a setup show and change its fields. */
export interface Fields {
    unit: 'mm' | 'in';
    mayChange: boolean;
    /** What the server refused, by field. */
    errors: Record<string, string>;
    /** What the checks say of fields. */
    notes: FieldNote[];
    /** Stores a new value at a dotted path; `undefined` takes it out. */
    change: (path: string, value: unknown) => void;
    /** A number of the setup. */
    field: (label: string, path: string, value: number | undefined, options?: { unit?: string; required?: boolean; readOnly?: boolean }) => ReactNode;
}

/** What is said of a field itself, or of something below it where `deep`. */
export function notesOf(notes: FieldNote[], path: string, deep = false): FieldNote[] {
    return notes.filter(({ field }) => field === path || (deep && field.startsWith(`${path}.`)));
}

/** The id of the field a link names, or of the nearest thing above it that is on the page: tools.2.pitch, tools.2, tools. */
export function nearestField(path: string, has: (id: string) => boolean): string | null {
    for (let at = path; at !== ''; at = at.includes('.') ? at.slice(0, at.lastIndexOf('.')) : '') {
        if (has(at)) return at;
    }
    return null;
}
