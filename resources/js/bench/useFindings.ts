import { useCallback, useMemo, useRef, useState } from 'react';
import type { Edit, Finding } from '../contracts/oak-check-1';
import { isSame, type Settled } from './review/settled';

interface Findings {
    selected: number | null;
    settled: Settled | null;
    select: (index: number) => void;
    deselect: () => void;
    /** To the finding after the picked one or before it; where one was settled, to the one that has moved up. */
    step: (by: 1 | -1) => void;
    apply: (edit: Edit, index: number) => void;
    undo: () => void;
    /** The next act: what was settled leaves the list. */
    acted: () => void;
}

interface Doing {
    show: (finding: Finding) => void;
    change: (edit: Edit) => void;
    takeBack: () => void;
}

/** Which finding is picked, and which was just settled. `current` is whether the findings are about the text as it is. */
export function useFindings(findings: Finding[], current: boolean, { show, change, takeBack }: Doing): Findings {
    const [picked, setPicked] = useState<Finding | null>(null);
    const [settled, setSettled] = useState<Settled | null>(null);
    const upcoming = useRef(0);
    // In the next answer the picked finding may have another place, or none.
    const selected = useMemo(() => {
        const index = picked === null ? -1 : findings.findIndex((finding) => isSame(finding, picked));
        return index < 0 ? null : index;
    }, [findings, picked]);
    const select = useCallback((index: number) => {
        const finding = findings[index];
        if (finding === undefined) return;
        setPicked(finding);
        setSettled(null);
        upcoming.current = index + 1;
        show(finding);
    }, [findings, show]);
    return {
        selected, settled, select,
        deselect: useCallback(() => setPicked(null), []),
        step: useCallback((by) => {
            const to = upcoming.current - (by === 1 ? 0 : selected === null ? 1 : 2);
            if (findings.length > 0) select((to + findings.length) % findings.length);
        }, [findings, selected, select]),
        apply: useCallback((edit, index) => {
            const finding = findings[index];
            if (!current || finding === undefined) return; // In a moment there will be a finding about this text.
            change(edit);
            setPicked(null);
            setSettled({ finding, index, of: findings });
            upcoming.current = index;
        }, [findings, current, change]),
        undo: useCallback(() => {
            takeBack();
            setSettled(null);
        }, [takeBack]),
        acted: useCallback(() => setSettled(null), []),
    };
}
