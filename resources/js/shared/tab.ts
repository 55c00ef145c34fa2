/** Which tab of the browser this is: the same through a reload, another for every tab, a doubled one too. */

const KEY = 'oak-tab';
const ALIVE = 'oak-tab:';

/** A tab says so often that it is there; one that has been silent for longer than `GONE` is closed, or has crashed. */
const SAY = 4_000;
const GONE = 15_000;

function begin(): string {
    const kept = sessionStorage.getItem(KEY);
    const navigation = performance.getEntriesByType('navigation')[0] as PerformanceNavigationTiming | undefined;
    // A tab that was doubled brings its double's name along; one that is loaded again is alone with it.
    if (kept !== null && navigation !== undefined && navigation.type !== 'navigate') return kept;
    if (kept !== null && !isThere(kept)) return kept;
    const name = Math.random().toString(36).slice(2, 12);
    sessionStorage.setItem(KEY, name);
    return name;
}

/** Whether a tab of this name is open. */
export function isThere(name: string): boolean {
    const seen = Number(localStorage.getItem(ALIVE + name));
    return Number.isFinite(seen) && Date.now() - seen < GONE;
}

let own: string | null = null;

export function tab(): string {
    if (own !== null) return own;
    try {
        own = begin();
    } catch {
        return (own = 'only'); // no storage at all
    }
    const say = () => {
        try {
            localStorage.setItem(ALIVE + own, String(Date.now()));
        } catch {
            // A storage that is full is told where something would be lost by it.
        }
    };
    say();
    setInterval(say, SAY);
    window.addEventListener('pagehide', () => localStorage.removeItem(ALIVE + own));
    return own;
}
