/** What can have the focus by keyboard. */
const FOCUSABLE = 'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])';

/** How far up it is remembered what had the focus, and at which place among the others there. */
const LEVELS = 8;

/**
 * Keeps the focus where it was when what had it is taken away or hidden, as by its own Close, Fold or Remove: whatever now stands nearest to its place has
 * it next. Without it the focus is nowhere, and Tab begins at the top of the page.
 */
export function keepFocus(root: HTMLElement): () => void {
    let last: HTMLElement | null = null;
    let path: { within: HTMLElement; index: number }[] = [];
    let page = '';
    const controls = (within: HTMLElement) => [...within.querySelectorAll<HTMLElement>(FOCUSABLE)];
    const remember = (event: FocusEvent) => {
        if (!(event.target instanceof HTMLElement) || event.target === root) return;
        last = event.target;
        page = location.pathname;
        path = [];
        for (let within = last.parentElement; within !== null && path.length < LEVELS; within = within.parentElement)
            path.push({ within, index: controls(within).indexOf(last) });
    };
    const look = () => {
        const gone = last;
        if (gone === null || (gone.isConnected && gone.checkVisibility())) return;
        // What is hidden keeps the focus until the next frame.
        if (![null, document.body, gone].includes(document.activeElement as HTMLElement | null)) return;
        last = null;
        if (page !== location.pathname) return; // another screen begins at its top
        for (const { within, index } of path) {
            if (!within.isConnected) continue;
            const those = controls(within).filter((control) => control.checkVisibility());
            const next = those[Math.min(Math.max(0, index), those.length - 1)];
            if (next === undefined) continue;
            next.focus();
            return;
        }
    };
    // Whoever clicks beside everything has put the focus down: nothing is to be handed on then. What is removed loses it too, and is told apart by
    // being gone a moment later.
    const putDown = () => {
        setTimeout(() => {
            if (last?.isConnected === true && last.checkVisibility() && document.activeElement === document.body) last = null;
        });
    };
    const observer = new MutationObserver(look);
    root.addEventListener('focusin', remember);
    root.addEventListener('focusout', putDown);
    observer.observe(root, { childList: true, subtree: true });
    return () => {
        root.removeEventListener('focusin', remember);
        root.removeEventListener('focusout', putDown);
        observer.disconnect();
    };
}
