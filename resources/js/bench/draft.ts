/** What a person has typed into a program and not saved, kept on this computer through reload and crash. */
export interface Draft {
    text: string;
    /** The revision the typing began from. */
    base: number;
    at: string;
}

const key = (person: number, program: number) => `oak-draft:${person}:${program}`;

export function keepDraft(person: number, program: number, text: string, base: number): void {
    localStorage.setItem(key(person, program), JSON.stringify({ text, base, at: new Date().toISOString() } satisfies Draft));
}

export function dropDraft(person: number, program: number): void {
    localStorage.removeItem(key(person, program));
}

export function readDraft(person: number, program: number): Draft | null {
    const kept = localStorage.getItem(key(person, program));
    if (kept === null) return null;
    try {
        const draft = JSON.parse(kept) as Partial<Draft>;
        return typeof draft.text === 'string' && typeof draft.base === 'number' ? { text: draft.text, base: draft.base, at: draft.at ?? '' } : null;
    } catch {
        return null;
    }
}
