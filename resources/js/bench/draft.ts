import { createStore, del, get, set } from 'idb-keyval';
import type { SheetState } from '../sheet/useSheet';
import { isThere, tab } from '../shared/tab';

/** What a person has typed into a program and not saved, kept on this computer through reload and crash; of each tab its own. */
export interface Draft {
    text: string;
    /** The revision the typing began from. */
    base: number;
    at: string;
    /** The operation sheet the text goes with. */
    sheet?: SheetState | undefined;
}

/** A longer text does not fit the storage that is written at once, and goes to the one that is written a moment later. */
const LONG = 1_000_000;

const keysOf = (person: number, program: number) => `oak-draft:${person}:${program}`;
const key = (person: number, program: number) => `${keysOf(person, program)}:${tab()}`;

let opened: ReturnType<typeof createStore> | null = null;
const longOnes = () => (opened ??= createStore('oak-drafts', 'drafts'));

/** Marks in the quick storage that the text itself is in the other one. */
const ELSEWHERE = '"elsewhere"';

/** Keeps a draft in whichever storage takes it; rejects where none does, and then only the open page has it. */
export async function keepDraft(person: number, program: number, text: string, base: number, sheet?: SheetState): Promise<void> {
    const draft: Draft = { text, base, at: new Date().toISOString(), sheet };
    if (text.length <= LONG) {
        try {
            localStorage.setItem(key(person, program), JSON.stringify(draft));
            return;
        } catch {
            // Full: the other storage has more room.
        }
    }
    await set(key(person, program), draft, longOnes());
    localStorage.setItem(key(person, program), ELSEWHERE);
}

export async function dropDraft(person: number, program: number): Promise<void> {
    await drop(key(person, program));
}

async function drop(name: string): Promise<void> {
    const isElsewhere = localStorage.getItem(name) === ELSEWHERE;
    localStorage.removeItem(name);
    if (isElsewhere) await del(name, longOnes());
}

/** The draft of this tab, or else the newest of a tab that is gone, which becomes this one's; null where there is none. */
export async function readDraft(person: number, program: number): Promise<Draft | null> {
    const own = await read(key(person, program));
    if (own !== null) return own;
    let newest: { name: string; draft: Draft } | null = null;
    for (const name of Object.keys(localStorage)) {
        if (name !== keysOf(person, program) && !name.startsWith(`${keysOf(person, program)}:`)) continue;
        if (isThere(name.slice(keysOf(person, program).length + 1))) continue;
        const draft = await read(name);
        if (draft !== null && (newest === null || draft.at > newest.draft.at)) newest = { name, draft };
    }
    if (newest === null) return null;
    await keepDraft(person, program, newest.draft.text, newest.draft.base, newest.draft.sheet);
    await drop(newest.name);
    return newest.draft;
}

async function read(name: string): Promise<Draft | null> {
    const kept = localStorage.getItem(name);
    if (kept === null) return null;
    try {
        const draft = (kept === ELSEWHERE ? await get(name, longOnes()) : JSON.parse(kept)) as Partial<Draft>;
        if (typeof draft.text !== 'string' || typeof draft.base !== 'number') return null;
        return { text: draft.text, base: draft.base, at: draft.at ?? '', sheet: draft.sheet };
    } catch {
        return null;
    }
}
