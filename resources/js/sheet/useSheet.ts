import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { send } from '../shared/server';
import type { SheetAnswer, SheetDocument, WrittenSection } from './sheet';

/** What goes with a text that a sheet wrote. */
export interface SheetState {
    document: SheetDocument;
    written: WrittenSection[];
}

const NONE: SheetState = { document: { name: '', operations: [] }, written: [] };

/** Steps back that are kept. */
const STEPS = 100;

/** A text that is typed is asked about once it rests, milliseconds. */
const REST = 400;

export interface SheetHand {
    state: SheetState;
    answer: SheetAnswer | null;
    error: Error | null;
    /** Whether the answer is that of the sheet as it stands. */
    current: boolean;
    change: (next: (document: SheetDocument) => SheetDocument) => void;
    undo: (() => void) | null;
    redo: (() => void) | null;
    /** Has the lines of a section as the sheet writes them, whatever hands made of them. */
    take: (keys: string[]) => void;
    /** Lines the sheet would write otherwise by now, though nobody has changed it: the setup has changed since. Null where there are none. */
    rewrite: (() => void) | null;
    /** As another state: that of a saved revision. */
    reset: (state: SheetState) => void;
}

interface Edited extends SheetState {
    /** The text it is held against. */
    of: string;
    past: SheetDocument[];
    future: SheetDocument[];
    taken: string[];
    /** Whether what comes of it is still to be written into the text. */
    isDue: boolean;
    /** The answer, where it is known without asking: that of the text it has just made. */
    known: SheetAnswer | null;
}

/** What a text was made from. */
interface Made extends SheetState {
    known: SheetAnswer;
}

/** Keeps what a text was made from, of the last texts. */
function keep(made: Map<string, Made>, text: string, from: Made): void {
    made.delete(text);
    made.set(text, from);
    if (made.size > STEPS) made.delete(made.keys().next().value ?? '');
}

/** The operation sheet of a program, null where it has none: each change is worked out by the server, and the lines that follow from it go into the text. */
export function useSheet(program: number, setupVersion: number, opened: SheetState | null, text: string, write: (text: string) => void): SheetHand | null {
    const [edited, setEdited] = useState<Edited>({ ...(opened ?? NONE), of: text, past: [], future: [], taken: [], isDue: false, known: null });
    const { document, written, of, taken, isDue, known } = edited;
    const now = useRef({ text, write });
    useEffect(() => {
        now.current = { text, write };
    });
    const made = useRef(new Map<string, Made>());
    useEffect(() => {
        // Undone or redone in the listing: the sheet goes along.
        const then = made.current.get(text);
        if (then === undefined) return;
        setEdited((before) => (before.isDue || before.of === text ? before : {
            ...before, ...then, of: text, past: [...before.past.slice(-STEPS), before.document], future: [], taken: [],
        }));
    }, [text]);
    const rested = useRested(text);
    useEffect(() => {
        setEdited((before) => (before.isDue || before.of === rested ? before : { ...before, of: rested, known: null }));
    }, [rested]);
    const query = useQuery({
        queryKey: ['sheet', program, setupVersion, document, written, taken, of],
        queryFn: async ({ signal }) => ({
            of, document,
            answer: await send<SheetAnswer>('POST', `/programs/${program}/operation-sheet`, { document, written, text: of, taken }, signal),
        }),
        enabled: opened !== null && known === null, structuralSharing: false, retry: false, placeholderData: keepPreviousData,
    });
    const { data, isPlaceholderData } = query;
    useEffect(() => {
        if (isDue || data === undefined || isPlaceholderData || data.document !== document || data.answer.text !== data.of) return;
        keep(made.current, data.of, { document, written, known: data.answer });
    }, [isDue, data, isPlaceholderData, document, written]);
    useEffect(() => {
        if (!isDue || data === undefined || isPlaceholderData || data.document !== document || data.of !== of) return;
        const { answer } = data;
        if (now.current.text !== of) {
            // Typed meanwhile: it is held against that.
            setEdited((before) => ({ ...before, of: now.current.text }));
            return;
        }
        if (answer.text === null || answer.written === undefined) {
            setEdited((before) => ({ ...before, isDue: false }));
            return;
        }
        const { text: next, written: anew } = answer;
        keep(made.current, next, { document, written: anew, known: answer });
        setEdited((before) => (before.document === document ? { ...before, of: next, written: anew, taken: [], isDue: false, known: answer } : before));
        if (next !== of) now.current.write(next);
    }, [isDue, data, isPlaceholderData, document, of]);

    const due = (before: Edited, next: Partial<Edited>): Edited => ({ ...before, ...next, of: now.current.text, isDue: true, known: null });
    const change = useCallback((next: (document: SheetDocument) => SheetDocument) => setEdited((before) => {
        const changed = next(before.document);
        return changed === before.document ? before : due(before, {
            document: changed, past: [...before.past.slice(-STEPS), before.document], future: [],
        });
    }), []);
    const undo = useCallback(() => setEdited((before) => {
        const last = before.past.at(-1);
        return last === undefined ? before : due(before, { document: last, past: before.past.slice(0, -1), future: [before.document, ...before.future] });
    }), []);
    const redo = useCallback(() => setEdited((before) => {
        const [next, ...future] = before.future;
        return next === undefined ? before : due(before, { document: next, past: [...before.past, before.document], future });
    }), []);
    const take = useCallback((keys: string[]) => setEdited((before) => due(before, { taken: keys })), []);
    const reset = useCallback((state: SheetState) => setEdited((before) => ({
        ...before, ...state, past: [], future: [], taken: [], isDue: false, known: null,
    })), []);
    const answer = known ?? data?.answer ?? null;
    const current = known !== null || !isPlaceholderData;
    const isStale = !isDue && current && of === text && written.length > 0 && answer?.text != null && answer.text !== text;
    const rewrite = useCallback(() => take([]), [take]);
    const hand = useMemo((): SheetHand => ({
        state: { document, written }, answer, error: query.error, current: current && !isDue, change,
        undo: edited.past.length > 0 ? undo : null, redo: edited.future.length > 0 ? redo : null, take, rewrite: isStale ? rewrite : null, reset,
    }), [document, written, answer, query.error, current, isDue, change, edited.past, edited.future, undo, redo, take, isStale, rewrite, reset]);
    return opened === null ? null : hand;
}

/** A text once it has not changed for a while. */
function useRested(text: string): string {
    const [rested, setRested] = useState(text);
    useEffect(() => {
        const timer = setTimeout(() => setRested(text), REST);
        return () => clearTimeout(timer);
    }, [text]);
    return rested;
}
