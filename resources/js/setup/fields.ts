import type { ReactNode } from 'react';

/** How the sheets of a setup show and change its fields. */
export interface Fields {
    unit: string;
    mayChange: boolean;
    /** What the server refused, by field. */
    errors: Record<string, string>;
    /** Stores a new value at a dotted path; `undefined` takes it out. */
    change: (path: string, value: unknown) => void;
    /** A number of the setup. */
    field: (label: string, path: string, value: number | undefined, options?: { unit?: string; required?: boolean; readOnly?: boolean }) => ReactNode;
}
