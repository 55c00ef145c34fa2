import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { send } from '../shared/server';
import { changesBetween } from './changed';
import type { SetupDocument } from './document';
import { JoinedSaves, type SavesState } from './JoinedSaves';

export interface Standing {
    document: SetupDocument;
    machineId: number;
}

export interface SetupRecord {
    id: number;
    operation: number;
    name: string;
    part: string;
    machineId: number;
    version: number;
    document: SetupDocument;
}

interface SetupState {
    now: Standing;
    version: number;
    saving: SavesState;
    canUndo: boolean;
    /** Changes the setup as it stands at that moment. */
    change: (next: (standing: Standing) => Standing) => void;
    undo: () => void;
}

/** A setup that is being changed: every change is on its way to the server, can be undone, and is waited for by whoever leaves the page. */
export function useSetup(setup: SetupRecord): SetupState {
    const [now, setNow] = useState<Standing>({ document: setup.document, machineId: setup.machineId });
    const [before, setBefore] = useState<Standing[]>([]);
    const [saving, setSaving] = useState<SavesState>({ waiting: 0, refusal: null });
    const [version, setVersion] = useState(setup.version);
    const stored = useRef({ version: setup.version, document: setup.document });
    const saves = useRef<JoinedSaves<Standing>>(undefined);
    saves.current ??= new JoinedSaves<Standing>(
        now,
        async ({ document, machineId }) => {
            const changes = changesBetween(stored.current.document, document);
            const answer = await send<{ version: number }>('PUT', `/setups/${setup.id}`, { ...changes, machineId, version: stored.current.version });
            stored.current = { version: answer.version, document };
            setVersion(answer.version);
        },
        setSaving,
    );
    const current = saves.current;
    useEffect(() => {
        const ask = (event: BeforeUnloadEvent) => {
            if (current.state.waiting > 0) event.preventDefault();
        };
        window.addEventListener('beforeunload', ask);
        const forget = router.on('before', (event) => {
            const { url, method } = event.detail.visit;
            if (current.state.waiting === 0 || method !== 'get') return;
            event.preventDefault();
            void current.settled().then((isStored) => {
                if (isStored || window.confirm('The last change is not saved. Leave anyway?')) {
                    forget();
                    router.visit(url);
                }
            });
        });
        return () => {
            window.removeEventListener('beforeunload', ask);
            forget();
        };
    }, [current]);
    const store = (next: Standing) => {
        setNow(next);
        current.change(next);
    };
    return {
        now, version, saving, canUndo: before.length > 0,
        change: (next) => {
            setBefore((list) => [...list, current.current]);
            store(next(current.current));
        },
        undo: () => {
            const last = before.at(-1);
            if (last === undefined) return;
            setBefore((list) => list.slice(0, -1));
            store(last);
        },
    };
}

/** How far the changes are, counted. */
export function savedWords({ waiting, refusal }: SavesState): string {
    if (waiting === 0) return 'All changes saved.';
    const changes = waiting === 1 ? 'The last change is' : `The last ${waiting} changes are`;
    return refusal === null ? `${changes} being saved…` : `${changes} not saved.`;
}
