import { useEffect, useRef } from 'react';

/** What is done when a key is pressed with Alt held, by the code of the key, wherever the focus is. */
export function useAltKeys(keys: Record<string, (event: KeyboardEvent) => void>): void {
    const now = useRef(keys);
    useEffect(() => {
        now.current = keys;
    });
    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            const act = event.altKey && !event.ctrlKey && !event.metaKey ? now.current[event.code] : undefined;
            if (act === undefined) return;
            event.preventDefault();
            act(event);
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, []);
}
