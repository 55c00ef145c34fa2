import { useSyncExternalStore } from 'react';
import type { Moment } from './answer';

/**
 * The moment of the run every view shows. It stands outside of React's state, so that playing and scrubbing redraw what
 * shows the moment and nothing else, and so that whoever asks is told where the run is now, not where it was drawn last.
 */
export class RunCursor {
    #moment: Moment | null = null;

    #line = 1;

    readonly #listeners = new Set<() => void>();

    get moment(): Moment | null {
        return this.#moment;
    }

    /** The line of the program the cursor is on. */
    get line(): number {
        return this.#line;
    }

    atLine(line: number): void {
        this.#line = line;
        for (const listener of this.#listeners) listener();
    }

    to(moment: Moment | null): void {
        this.#moment = moment;
        for (const listener of this.#listeners) listener();
    }

    readonly subscribe = (listener: () => void): (() => void) => {
        this.#listeners.add(listener);
        return () => this.#listeners.delete(listener);
    };
}

export function useCursorLine(run: RunCursor): number {
    return useSyncExternalStore(run.subscribe, () => run.line);
}

export function useMoment(run: RunCursor): Moment | null {
    return useSyncExternalStore(run.subscribe, () => run.moment);
}

/** Something about the moment; only a change of it draws anew. */
export function useOfMoment<Value extends number | string | boolean | null>(run: RunCursor, select: (moment: Moment | null) => Value): Value {
    return useSyncExternalStore(run.subscribe, () => select(run.moment));
}
