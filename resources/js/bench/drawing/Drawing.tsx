import { Box } from '@mui/material';
import { memo, Suspense, lazy, useEffect, useMemo, useState } from 'react';
import type { OakCheck } from '../../contracts/oak-check-1';
import type { Difference } from '../difference';
import { keepFile } from '../../shared/files';
import { onPart, type Motion, type Scene, type StateRow } from '../answer';
import { useOfMoment, type RunCursor } from '../runCursor';
import { useSize } from '../../shared/useSize';
import { CutAt } from './CutAt';
import { DrawingTools, type Tray } from './DrawingTools';
import { FlatSheet } from './FlatSheet';
import { fontStyle } from './font';
import { MeasureBar } from './MeasureBar';
import type { Snap } from './measure';
import { print, svgOf } from './paper';
import { ShowPanel } from './ShowPanel';
import { everything, maskOf, type Shows } from './shows';
import type { SheetTitle } from './titleBlock';
import { fit, jobBounds, laidOut, travelBounds, type Layout, type View } from './view';
import { ZeroBar } from './ZeroBar';
import { useCutScene } from './useCutScene';
import type { StockOf } from './useStock';
import type { PlanPoint } from './zero';

const Turned = lazy(() => import('./Turned'));

interface Props {
    motion: Motion;
    scene: Scene;
    states: StateRow[];
    operations: OakCheck['summary']['operations'];
    run: RunCursor;
    mark: { text: string; stop: boolean } | null;
    /** What has changed from another text, where two are compared. */
    difference?: Difference;
    /** What stands on everything that is printed, and what a file of it is called. */
    title: SheetTitle;
    /** 1 for each row of the operation at hand. */
    own?: Uint8Array | null;
    /** The setup whose zero may be moved from here; null for those who may not. */
    setup: { id: number; version: number } | null;
    /** Whose stock can be shown as it is cut; null where none can. */
    stockOf?: StockOf | null;
    /** What of the cut was not simulated, to be said on the picture; null where all was. */
    incomplete?: string | null;
    /** Whether it fills the window, and the way there and back; undefined where it cannot. */
    isFull?: boolean;
    onFull?: (() => void) | undefined;
    onPick: (row: number) => void;
}

/** The drawing of a run: flat views on one sheet, or in 3D, with what can be done to either. */
export const Drawing = memo(function Drawing(
    {
        motion: asMoved, scene, states, operations, run, mark, difference, own = null, title, setup, stockOf = null, incomplete = null, isFull = false,
        onFull, onPick,
    }: Props,
) {
    const [box, size] = useSize();
    const [aim, setAim] = useState<'job' | 'travel' | 'own'>('job');
    const [ownView, setOwnView] = useState<View | null>(null);
    const [withEnd, setWithEnd] = useState(false);
    const [is3d, setIs3d] = useState(false);
    const [tray, setTray] = useState<Tray | null>(null);
    const [moved, setMoved] = useState<PlanPoint>([0, 0]);
    const [points, setPoints] = useState<Snap[]>([]);
    const [shows, setShows] = useState<Shows>(everything);
    const [isOnPart, setOnPart] = useState(true);
    // In the travel it is the moves of the machine that count.
    const laid = useMemo(() => onPart(asMoved), [asMoved]);
    const motion = isOnPart && aim !== 'travel' ? laid : asMoved;
    // Only the heights of the limits are wanted of the moment, and they change with the tool.
    const state = useOfMoment(run, (moment) => motion.state[moment !== null && moment.row >= 0 ? moment.row : motion.rows - 1] ?? 0);
    const [low, high] = states[state]?.limits ?? [null, null];
    const job = useMemo(() => jobBounds(motion, scene), [motion, scene]);
    const mask = useMemo(() => maskOf(motion, scene, states, shows), [motion, scene, states, shows]);
    const [asCut, setAsCut] = useState(false);
    const [isOver, setOver] = useState<boolean | null>(null);
    const isLathe = scene.turned !== null;
    const shown = useCutScene(scene, motion, asCut && isLathe ? stockOf : null, run);
    const layout: Layout = scene.turned !== null ? 'half-section' : withEnd ? 'three' : 'two';
    const over = isOver ?? scene.turned?.isFront === true;
    const view = useMemo((): View => {
        if (aim === 'own' && ownView !== null) return { ...laidOut(ownView, size.width, size.height, layout), isOver: over };
        return fit(aim === 'travel' ? travelBounds(scene, [low, high], job) : job, size.width, size.height, layout, over);
    }, [aim, ownView, size, scene, job, low, high, layout, over]);
    // Points of another trace are none of this one.
    useEffect(() => setPoints([]), [motion]);
    const open = (wanted: Tray) => {
        setTray(tray === wanted ? null : wanted);
        if (wanted === 'zero') setMoved([0, 0]);
        if (wanted !== 'show') setIs3d(false);
    };
    const close = () => {
        document.querySelector<HTMLElement>(`[data-opens="${tray ?? ''}"]`)?.focus();
        setTray(null);
    };
    const paper = async () => svgOf(view, motion, shown.scene, [low, high], mask, difference, tray === 'measure' ? points : [], title, await fontStyle());
    const snap = (next: Snap) => setPoints((before) => (before.length > 1 ? [next] : [...before, next]));

    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr) auto' }}>
            <DrawingTools
                aim={is3d ? '3d' : aim} withEnd={withEnd && !is3d}
                lathe={isLathe ? { isOver: over, onOver: () => setOver(!over), asCut, onCut: stockOf === null ? null : () => setAsCut(!asCut) } : null}
                tray={tray} shows={mask !== null} work={setup === null || scene.turned !== null ? null : scene.work}
                onAim={(to) => {
                    setAim(to);
                    setIs3d(false);
                }}
                onEnd={() => {
                    setWithEnd(!withEnd);
                    setIs3d(false);
                }}
                on3d={() => {
                    setIs3d(!is3d);
                    if (tray !== 'show') setTray(null);
                }}
                onPart={asMoved.onPart === null ? null : isOnPart && aim !== 'travel'} onOnPart={() => setOnPart(!isOnPart)}
                onTray={open} onPrint={() => void paper().then(print)} full={onFull === undefined ? null : { isFull, onFull }}
                onFile={() => void paper().then((svg) => keepFile(`${title.program} ${title.part}.svg`.replace(/[^\w.-]+/g, '-'), 'image/svg+xml', svg))}
            />
            <Box ref={box} data-testid="drawing" sx={{ position: 'relative', overflow: 'hidden', minHeight: 0 }}>
                {is3d
                    ? <Suspense fallback={<Box sx={{ p: 2 }}>Opening the 3D view…</Box>}>
                        <Turned
                            motion={motion}
                            scene={shown.scene}
                            states={states}
                            mask={mask}
                            run={run}
                            bounds={job}
                            stockOf={isLathe ? null : stockOf}
                            incomplete={incomplete}
                            onPick={onPick}
                        />
                    </Suspense>
                    : (
                        <FlatSheet
                            view={view} motion={motion} scene={shown.scene} states={states} limits={[low, high]} mask={mask} difference={difference} own={own}
                            run={run} mark={mark}
                            measured={tray === 'measure' ? points : null} moved={tray === 'zero' ? moved : null} mayMoveZero={setup !== null}
                            onFit={() => setAim('job')} onView={(next) => { setOwnView(next); setAim('own'); }} onPick={onPick} onSnap={snap}
                            onMoved={(to) => { setTray('zero'); setMoved(to); }}
                        />
                    )}
                {shown.isWaiting && (
                    <Box role="status" sx={{ p: 1.5, position: 'absolute', left: 6, bottom: 6, background: 'var(--sheet)' }}>Cutting the stock…</Box>
                )}
                {isLathe && asCut && !shown.isWaiting && shown.error === null && <CutAt motion={motion} run={run} atEnd={false} incomplete={incomplete} />}
                {shown.error !== null && (
                    <Box role="alert" sx={{ p: 1.5, position: 'absolute', left: 6, bottom: 6, background: 'var(--sheet)' }}>{shown.error.message}</Box>
                )}
                {/* Over the sheet, which must not move under a zero that is being dragged. */}
                {tray === 'zero' && setup !== null && (
                    <Box sx={{ position: 'absolute', bottom: 6, left: 6, right: 6 }}>
                        <ZeroBar scene={scene} setup={setup} moved={moved} onMoved={setMoved} onClose={close} />
                    </Box>
                )}
            </Box>
            <Box onKeyDown={(event) => event.key === 'Escape' && close()}>
                {tray === 'show' && (
                    <ShowPanel
                        shows={shows}
                        scene={scene}
                        operations={operations}
                        lastLine={motion.line[motion.rows - 1] ?? 0}
                        onShows={setShows}
                        onClose={close}
                    />
                )}
                {tray === 'measure' && (
                    <MeasureBar
                        motion={motion}
                        scene={scene}
                        run={run}
                        points={points}
                        onSnap={snap}
                        onClear={() => setPoints([])}
                        onClose={close}
                    />
                )}
            </Box>
        </Box>
    );
});
