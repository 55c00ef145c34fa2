import { useEffect, useRef, type DependencyList, type RefObject } from 'react';

/** Where what had the focus has gone from the page after a change, something near takes it, so that the keyboard goes on from there. */
export function useKeptFocus(near: RefObject<HTMLElement | null>, changes: DependencyList): void {
    const had = useRef(false);
    useEffect(() => {
        const note = () => { had.current = true; };
        document.addEventListener('focusin', note);
        return () => document.removeEventListener('focusin', note);
    }, []);
    useEffect(() => {
        // Not on a page that has just been opened, where nobody has been anywhere yet.
        if (had.current && document.activeElement === document.body) near.current?.focus();
        // What counts as a change is for the caller to say.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, changes);
}
