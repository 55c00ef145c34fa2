export interface Entry {
    id: number;
    kind: 'setup' | 'machine' | 'profile' | 'proof' | 'role' | 'sign-in' | 'refused' | 'sign-out';
    by: string;
    at: string;
    subject: string;
    field: string;
    was: string | null;
    is: string | null;
}

/** What an entry says was done, in words. */
export function changed({ kind, field, was, is }: Entry): string {
    if (kind === 'sign-in') return `signed in${is === null ? '' : ` from ${is}`}`;
    if (kind === 'sign-out') return 'signed out';
    if (kind === 'refused') return `sign-in refused${is === null ? '' : ` from ${is}`}`;
    if (kind === 'proof') return `${field} proven`;
    if (was === null) return `${field}: ${is ?? ''} (new)`;
    if (is === null) return `${field}: ${was} removed`;
    return `${field}: ${was} → ${is}`;
}
