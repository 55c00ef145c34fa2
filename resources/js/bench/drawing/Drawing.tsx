import { Box, Button, Tooltip } from '@mui/material';
import { Suspense, lazy, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { OakCheck } from '../../contracts/oak-check-1';
import type { Difference } from '../difference';
import { keepFile } from '../../shared/files';
import type { Motion, Scene, StateRow } from '../answer';
import { useOfMoment, type RunCursor } from '../runCursor';
import { useSize } from '../useSize';
import { FlatSheet } from './FlatSheet';
import { MeasureBar } from './MeasureBar';
import type { Snap } from './measure';
import { print, svgOf } from './paper';
import { ShowPanel } from './ShowPanel';
import { everything, maskOf, type Shows } from './shows';
import { fit, jobBounds, laidOut, travelBounds, type View } from './view';
import { ZeroBar } from './ZeroBar';
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
    /** What the sheet is called on paper. */
    title: string;
    /** The setup whose zero may be moved from here; null for those who may not. */
    setup: { id: number; version: number } | null;
    /** Whose stock can be shown as it is cut; null where none can. */
    stockOf?: StockOf | null;
    onPick: (row: number) => void;
}

type Aim = 'job' | 'travel' | 'own';

/** What is opened below the drawing. */
type Tray = 'zero' | 'show' | 'measure' | null;

/** The drawing of a run: flat views on one sheet, or turned in depth, with what can be done to either. */
export function Drawing({ motion, scene, states, operations, run, mark, difference, title, setup, stockOf = null, onPick }: Props) {
    const [box, size] = useSize();
    const [aim, setAim] = useState<Aim>('job');
    const [own, setOwn] = useState<View | null>(null);
    const [withEnd, setWithEnd] = useState(false);
    const [turned, setTurned] = useState(false);
    const [tray, setTray] = useState<Tray>(null);
    const [moved, setMoved] = useState<PlanPoint>([0, 0]);
    const [points, setPoints] = useState<Snap[]>([]);
    const [shows, setShows] = useState<Shows>(everything);
    // Only the heights of the limits are wanted of the moment, and they change with the tool.
    const state = useOfMoment(run, (moment) => motion.state[moment !== null && moment.row >= 0 ? moment.row : motion.rows - 1] ?? 0);
    const [low, high] = states[state]?.limits ?? [null, null];
    const job = useMemo(() => jobBounds(motion, scene), [motion, scene]);
    const mask = useMemo(() => maskOf(motion, scene, states, shows), [motion, scene, states, shows]);
    const view = useMemo((): View => {
        if (aim === 'own' && own !== null) return laidOut(own, size.width, size.height, withEnd);
        return fit(aim === 'travel' ? travelBounds(scene, [low, high], job) : job, size.width, size.height, withEnd);
    }, [aim, own, size, scene, job, low, high, withEnd]);
    // Points of another trace are none of this one.
    useEffect(() => setPoints([]), [motion]);
    const open = (wanted: Tray) => {
        setTray(tray === wanted ? null : wanted);
        if (wanted === 'zero') setMoved([0, 0]);
        if (wanted !== 'show') setTurned(false);
    };
    const paper = () => svgOf(view, motion, scene, [low, high], mask, difference, tray === 'measure' ? points : [], title);
    const snap = (next: Snap) => setPoints((before) => (before.length > 1 ? [next] : [...before, next]));

    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr) auto' }}>
            <Box
                role="toolbar"
                aria-label="Drawing"
                sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, p: 0.5, borderBottom: '1px solid var(--hair)', background: 'var(--margin)' }}
            >
                <Tool
                    title="Fit the sheet to the job (Alt+J)"
                    access="j"
                    pressed={aim === 'job' && !turned}
                    onClick={() => {
                        setAim('job');
                        setTurned(false);
                    }}
                >
                    Job
                </Tool>
                <Tool
                    title="Fit the sheet to the machine’s travel (Alt+T)"
                    access="t"
                    pressed={aim === 'travel' && !turned}
                    onClick={() => {
                        setAim('travel');
                        setTurned(false);
                    }}
                >
                    Travel
                </Tool>
                <Tool
                    title="The view from the right beside the elevation (Alt+V)"
                    access="v"
                    pressed={withEnd && !turned}
                    onClick={() => {
                        setWithEnd(!withEnd);
                        setTurned(false);
                    }}
                >
                    End view
                </Tool>
                <Tool
                    title="The run in depth, to be turned about (Alt+D)"
                    access="d"
                    pressed={turned}
                    onClick={() => {
                        setTurned(!turned);
                        if (tray !== 'show') setTray(null);
                    }}
                >
                    Turned
                </Tool>
                <Box sx={{ flex: 1 }} />
                <Tool
                    title="What is drawn: by tool, operation, kind of move and height (Alt+W)"
                    access="w"
                    pressed={tray === 'show'}
                    marked={mask !== null}
                    onClick={() => open('show')}
                >
                    {mask === null ? 'Show' : 'Show: part'}
                </Tool>
                <Tool title="Measure a move, or between two points (Alt+U)" access="u" pressed={tray === 'measure'} onClick={() => open('measure')}>
                    Measure
                </Tool>
                {setup !== null && (
                    <Tool
                        title={`Move the zero of ${scene.work}: drag its mark in the plan, or type where it is to stand (Alt+M)`}
                        access="m"
                        pressed={tray === 'zero'}
                        onClick={() => open('zero')}
                    >
                        Zero
                    </Tool>
                )}
                <Tool title="The flat sheet as it is here, on paper (Alt+L)" access="l" onClick={() => print(paper())}>Print</Tool>
                <Tool
                    title="The flat sheet as it is here, as a drawing file, SVG (Alt+Q)"
                    access="q"
                    onClick={() => keepFile(`${title.replace(/[^\w-]+/g, '-')}.svg`, 'image/svg+xml', paper())}
                >
                    SVG
                </Tool>
            </Box>
            <Box ref={box} data-testid="drawing" sx={{ position: 'relative', overflow: 'hidden', minHeight: 0 }}>
                {turned
                    ? <Suspense fallback={<Box sx={{ p: 2 }}>Opening the turned view…</Box>}>
                        <Turned motion={motion} scene={scene} states={states} mask={mask} run={run} bounds={job} stockOf={stockOf} onPick={onPick} />
                    </Suspense>
                    : (
                        <FlatSheet
                            view={view} motion={motion} scene={scene} states={states} limits={[low, high]} mask={mask} difference={difference}
                            run={run} mark={mark}
                            measured={tray === 'measure' ? points : null} moved={tray === 'zero' ? moved : null} mayMoveZero={setup !== null}
                            onView={(next) => { setOwn(next); setAim('own'); }} onPick={onPick} onSnap={snap}
                            onMoved={(to) => { setTray('zero'); setMoved(to); }}
                        />
                    )}
                {/* Over the sheet, which must not move under a zero that is being dragged. */}
                {tray === 'zero' && setup !== null && (
                    <Box sx={{ position: 'absolute', bottom: 6, left: 6, right: 6 }}>
                        <ZeroBar scene={scene} setup={setup} moved={moved} onMoved={setMoved} onClose={() => setTray(null)} />
                    </Box>
                )}
            </Box>
            <Box>
                {tray === 'show' && (
                    <ShowPanel
                        shows={shows}
                        scene={scene}
                        operations={operations}
                        lastLine={motion.line[motion.rows - 1] ?? 0}
                        onShows={setShows}
                        onClose={() => setTray(null)}
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
                        onClose={() => setTray(null)}
                    />
                )}
            </Box>
        </Box>
    );
}

function Tool({
    title, access, pressed, marked = false, onClick, children,
}: {
    title: string; access?: string; pressed?: boolean; marked?: boolean; onClick: () => void; children: ReactNode;
}) {
    return (
        <Tooltip title={title}>
            <Button
                accessKey={access}
                aria-pressed={pressed}
                onClick={onClick}
                sx={{ background: pressed === true || marked ? 'var(--pick)' : 'var(--sheet)', px: 1 }}
            >
                {children}
            </Button>
        </Tooltip>
    );
}
