import { Box, Button, Tooltip } from '@mui/material';
import { useEffect, useMemo, useRef, useState, type PointerEvent, type WheelEvent } from 'react';
import { useLook } from '../../theme/Look';
import type { Moment, Motion, Scene, StateRow } from '../answer';
import { useSize } from '../useSize';
import { ZeroBar } from './ZeroBar';
import { paintCursor, paintMovedZero, paintSheet } from './paint';
import { grasps, planAt, type PlanPoint } from './zero';
import { fit, jobBounds, panned, pick, travelBounds, zoomed, type View } from './view';

interface Props {
    motion: Motion;
    scene: Scene;
    states: StateRow[];
    moment: Moment | null;
    mark: { text: string; stop: boolean } | null;
    /** The setup whose zero may be moved from here; null for those who may not. */
    setup: { id: number; version: number } | null;
    onPick: (row: number) => void;
}

type Aim = 'job' | 'travel' | 'own';

/** Plan above elevation on one sheet. Wheel zooms, dragging pans, a click picks a move. */
export function Drawing({ motion, scene, states, moment, mark, setup, onPick }: Props) {
    const { inks } = useLook();
    const [box, size] = useSize();
    const sheet = useRef<HTMLCanvasElement>(null);
    const cursor = useRef<HTMLCanvasElement>(null);
    const drag = useRef<{ x: number; y: number; inPlan: boolean; moved: boolean; zero: boolean } | null>(null);
    const [moved, setMoved] = useState<PlanPoint | null>(null);
    const [aim, setAim] = useState<Aim>('job');
    const [own, setOwn] = useState<View | null>(null);
    const limits = states[motion.state[moment?.row ?? motion.rows - 1] ?? 0]?.limits;
    const [low, high] = [limits?.[0] ?? null, limits?.[1] ?? null];

    const job = useMemo(() => jobBounds(motion, scene), [motion, scene]);
    const view = useMemo((): View => {
        if (aim === 'own' && own !== null) return { ...own, width: size.width, height: size.height, split: Math.min(own.split, size.height - 60) };
        return fit(aim === 'travel' ? travelBounds(scene, [low, high], job) : job, size.width, size.height);
    }, [aim, own, size, scene, job, low, high]);

    useEffect(() => {
        const context = ready(sheet.current, view);
        if (context) paintSheet(context, inks, view, motion, scene, [low, high]);
    }, [view, inks, motion, scene, low, high]);
    useEffect(() => {
        const context = ready(cursor.current, view);
        if (!context) return;
        paintCursor(context, inks, view, motion, scene, states, moment, mark);
        if (moved !== null) paintMovedZero(context, inks, view, scene, moved);
    }, [view, inks, motion, scene, states, moment, mark, moved]);

    const change = (next: View) => {
        setOwn(next);
        setAim('own');
    };
    const at = (event: PointerEvent | WheelEvent): [number, number] => {
        const rect = event.currentTarget.getBoundingClientRect();
        return [event.clientX - rect.left, event.clientY - rect.top];
    };
    const move = (event: PointerEvent) => {
        const from = drag.current;
        if (from === null) return;
        const [x, y] = at(event);
        if (!from.moved && Math.hypot(x - from.x, y - from.y) < 4) return;
        if (from.zero) setMoved(planAt(view, scene, x, y));
        else change(panned(view, x - from.x, y - from.y, from.inPlan));
        drag.current = { ...from, x, y, moved: true };
    };
    const release = (event: PointerEvent) => {
        const from = drag.current;
        drag.current = null;
        if (from === null || from.moved) return;
        const row = pick(motion, view, ...at(event));
        if (row >= 0) onPick(row);
    };

    return (
        <Box
            ref={box} data-testid="drawing" sx={{ position: 'relative', width: '100%', height: '100%', overflow: 'hidden', touchAction: 'none', cursor: 'crosshair' }}
            onWheel={(event) => change(zoomed(view, Math.exp(-event.deltaY * 0.0015), ...at(event)))}
            onPointerDown={(event) => {
                const [x, y] = at(event);
                event.currentTarget.setPointerCapture(event.pointerId);
                drag.current = { x, y, inPlan: y < view.split, moved: false, zero: setup !== null && grasps(view, x, y) };
            }}
            onPointerMove={move}
            onPointerUp={release}
        >
            <canvas ref={sheet} role="img" aria-label="Plan and elevation of the program's motion" style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }} />
            <canvas ref={cursor} aria-hidden style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }} />
            <Box sx={{ position: 'absolute', top: 6, right: 6, display: 'flex', gap: 0.5 }} onPointerDown={(event) => event.stopPropagation()}>
                <Tooltip title="Fit the sheet to the job (Alt+J)"><Button accessKey="j" aria-pressed={aim === 'job'} onClick={() => setAim('job')} sx={{ background: aim === 'job' ? 'var(--pick)' : 'var(--sheet)' }}>Job</Button></Tooltip>
                <Tooltip title="Fit the sheet to the machine’s travel (Alt+T)"><Button accessKey="t" aria-pressed={aim === 'travel'} onClick={() => setAim('travel')} sx={{ background: aim === 'travel' ? 'var(--pick)' : 'var(--sheet)' }}>Travel</Button></Tooltip>
                {setup !== null && <Tooltip title={`Move the zero of ${scene.work}: drag its mark in the plan, or type where it is to stand (Alt+M)`}><Button accessKey="m" aria-pressed={moved !== null} onClick={() => setMoved(moved === null ? [0, 0] : null)} sx={{ background: moved !== null ? 'var(--pick)' : 'var(--sheet)' }}>Zero</Button></Tooltip>}
            </Box>
            {setup !== null && moved !== null && (
                <Box sx={{ position: 'absolute', bottom: 6, left: 6, right: 6 }} onPointerDown={(event) => event.stopPropagation()} onWheel={(event) => event.stopPropagation()}>
                    <ZeroBar scene={scene} setup={setup} moved={moved} onMoved={setMoved} onClose={() => setMoved(null)} />
                </Box>
            )}
        </Box>
    );
}

/** The canvas made as large as the view in device pixels, ready to be drawn on in CSS pixels. */
function ready(canvas: HTMLCanvasElement | null, view: View): CanvasRenderingContext2D | null {
    if (canvas === null || view.width === 0) return null;
    const ratio = window.devicePixelRatio || 1;
    canvas.width = Math.round(view.width * ratio);
    canvas.height = Math.round(view.height * ratio);
    const context = canvas.getContext('2d');
    context?.setTransform(ratio, 0, 0, ratio, 0, 0);
    return context;
}
