import { useCallback, useEffect, useState } from 'react';
import { folded, layoutFrom, plainLayout, sheetLayout, type Fold, type Layout } from './layout';

export interface BenchLayout {
    layout: Layout;
    change: (part: Partial<Layout>) => void;
    fold: (fold: Fold) => void;
}

/** A person's layout of the bench, with an operation sheet or without, remembered on this computer: another screen has another size. */
export function useLayout(person: number, hasSheet: boolean): BenchLayout {
    const key = `oak-bench${hasSheet ? '-sheet' : ''}:${person}`;
    const [layout, setLayout] = useState(() => layoutFrom(localStorage.getItem(key), hasSheet ? sheetLayout : plainLayout));
    useEffect(() => {
        try {
            localStorage.setItem(key, JSON.stringify(layout));
        } catch {
            // The storage is full: the layout holds until the page is closed.
        }
    }, [key, layout]);
    return {
        layout,
        change: useCallback((part: Partial<Layout>) => setLayout((before) => ({ ...before, ...part })), []),
        fold: useCallback((fold: Fold) => setLayout((before) => folded(before, fold)), []),
    };
}
