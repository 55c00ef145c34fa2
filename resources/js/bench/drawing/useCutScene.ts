import { useMemo, useSyncExternalStore } from 'react';
import { rowAtLine, type Motion, type Scene } from '../answer';
import type { RunCursor } from '../runCursor';
import { useTurnedStock, type StockOf } from './useStock';

interface CutScene {
    scene: Scene;
    /** Whether the stock is still being cut: until then it is that of the end. */
    isWaiting: boolean;
    error: Error | null;
}

/** What a lathe's drawing shows with its stock as cut up to the cursor; the scene as it is, of the end, where none is asked for. */
export function useCutScene(scene: Scene, motion: Motion, of: StockOf | null, run: RunCursor): CutScene {
    const { at, error } = useTurnedStock(of, run);
    const rowOf = () => run.moment?.row ?? -1;
    const stands = useSyncExternalStore(run.subscribe, () => (of === null ? null : at(rowOf())));
    const cutIn = useMemo(() => scene.turned?.threads.map(([, , , , line]) => rowAtLine(motion, line)) ?? [], [scene, motion]);
    // Threads come and go one by one; only a change of their number draws anew.
    const threads = useSyncExternalStore(run.subscribe, () => cutIn.filter((row) => row <= rowOf()).length);
    const shown = useMemo(
        () => (stands === null || scene.turned === null ? scene
            : { ...scene, turned: { ...scene.turned, stands, threads: scene.turned.threads.slice(0, threads) } }),
        [scene, stands, threads],
    );
    return { scene: shown, isWaiting: of !== null && stands === null && error === null, error };
}
