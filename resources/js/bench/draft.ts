import { createStore, del, get, set } from 'idb-keyval';

/** What a person has typed into a program and not saved, kept on this computer through reload and crash. */
export interface Draft {
    text: string;
    /** The revision the typing began from. */
    base: number;
    at: string;
}

/** A longer text does not fit the storage that is written at once, and goes to the one that is written a moment later. */
const LONG = 1_000_000;

const key = (person: number, program: number) => `oak-draft:${person}:${program}`;

let opened: ReturnType<typeof createStore> | null = null;
const longOnes = () => (opened ??= createStore('oak-drafts', 'drafts'));

/** Marks in the quick storage that the text itself is in the other one. */
const ELSEWHERE = '"elsewhere"';

export async function keepDraft(person: number, program: number, text: string, base: number): Promise<void> {
    const draft: Draft = { text, base, at: new Date().toISOString() };
    if (text.length <= LONG) {
        localStorage.setItem(key(person, program), JSON.stringify(draft));
        return;
    }
    await set(key(person, program), draft, longOnes());
    localStorage.setItem(key(person, program), ELSEWHERE);
}

export async function dropDraft(person: number, program: number): Promise<void> {
    const isElsewhere = localStorage.getItem(key(person, program)) === ELSEWHERE;
    localStorage.removeItem(key(person, program));
    if (isElsewhere) await del(key(person, program), longOnes());
}

/** The draft of a program; null where there is none, or what is there is none. */
export async function readDraft(person: number, program: number): Promise<Draft | null> {
    const kept = localStorage.getItem(key(person, program));
    if (kept === null) return null;
    try {
        const draft = (kept === ELSEWHERE ? await get(key(person, program), longOnes()) : JSON.parse(kept)) as Partial<Draft>;
        return typeof draft.text === 'string' && typeof draft.base === 'number' ? { text: draft.text, base: draft.base, at: draft.at ?? '' } : null;
    } catch {
        return null;
    }
}
