import { Box } from '@mui/material';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Difference } from '../difference';
import { useAppearance } from '../../theme/Appearance';
import type { Motion, Scene, StateRow } from '../answer';
import type { RunCursor } from '../runCursor';
import { paintCursor } from './cursor';
import { paintMeasure, snapAt, type Snap } from './measure';
import { paintMovedZero } from './sheet';
import { SheetPainter, ready } from './SheetPainter';
import { wheelOf } from './wheel';
import { paneAt, panned, pick, zoomed, type Pane, type View } from './view';
import { grasps, planAt, type PlanPoint } from './zero';

export interface FlatSheetProps {
    view: View;
    motion: Motion;
    scene: Scene;
    states: StateRow[];
    limits: StateRow['limits'];
    mask: Uint8Array | null;
    difference?: Difference | undefined;
    own: Uint8Array | null;
    run: RunCursor;
    mark: { text: string; stop: boolean } | null;
    /** The points measured; null while nothing is. */
    measured: Snap[] | null;
    moved: PlanPoint | null;
    mayMoveZero: boolean;
    onFit: () => void;
    onView: (view: View) => void;
    onPick: (row: number) => void;
    onSnap: (snap: Snap) => void;
    onMoved: (moved: PlanPoint) => void;
}

/** Plan, elevation and end view on one sheet. Wheel zooms, dragging pans, a click picks a move or a point to measure from. */
export function FlatSheet(
    {
        view, motion, scene, states, limits, mask, difference, own, run, mark, measured, moved, mayMoveZero, onFit, onView, onPick, onSnap, onMoved,
    }: FlatSheetProps,
) {
    const { inks } = useAppearance();
    const host = useRef<HTMLDivElement>(null);
    const sheet = useRef<HTMLCanvasElement>(null);
    const cursor = useRef<HTMLCanvasElement>(null);
    const painter = useRef<SheetPainter | null>(null);
    const drag = useRef<{ x: number; y: number; pane: Pane | undefined; moved: boolean; zero: boolean } | null>(null);
    const [low, high] = limits;

    useEffect(() => {
        if (sheet.current === null) return;
        painter.current ??= new SheetPainter(sheet.current);
        painter.current.show(view, { motion, scene, limits: [low, high], mask, inks, difference, own });
    }, [view, inks, motion, scene, low, high, mask, difference, own]);
    useEffect(() => () => painter.current?.stop(), []);
    useEffect(() => {
        const paint = () => {
            const pen = ready(cursor.current, view);
            if (pen === null) return;
            paintCursor(pen, inks, view, motion, scene, states, run.moment, mark);
            if (moved !== null) paintMovedZero(pen, inks, view, scene, moved);
            if (measured !== null) paintMeasure(pen, inks, view, motion, scene, measured);
        };
        paint();
        return run.subscribe(paint);
    }, [view, inks, motion, scene, states, run, mark, moved, measured]);

    const latest = useRef({ view, onView });
    useEffect(() => {
        latest.current = { view, onView };
    });
    // Not by React, which cannot keep the page from zooming with it.
    useEffect(() => {
        const box = host.current;
        if (box === null) return undefined;
        const wheel = (event: WheelEvent) => {
            event.preventDefault();
            const { view: now, onView: tell } = latest.current;
            const rect = box.getBoundingClientRect();
            const [x, y] = [event.clientX - rect.left, event.clientY - rect.top];
            const turn = wheelOf(event);
            const pane = paneAt(now, x, y);
            if ('zoom' in turn) tell(zoomed(now, turn.zoom, x, y));
            else if (pane !== undefined) tell(panned(now, turn.pan[0], turn.pan[1], pane));
        };
        box.addEventListener('wheel', wheel, { passive: false });
        return () => box.removeEventListener('wheel', wheel);
    }, []);

    const at = (event: PointerEvent): [number, number] => {
        const rect = event.currentTarget.getBoundingClientRect();
        return [event.clientX - rect.left, event.clientY - rect.top];
    };
    const move = (event: PointerEvent) => {
        const from = drag.current;
        if (from === null) return;
        const [x, y] = at(event);
        if (!from.moved && Math.hypot(x - from.x, y - from.y) < 4) return;
        if (from.zero) onMoved(planAt(view, scene, x, y));
        else if (from.pane !== undefined) onView(panned(view, x - from.x, y - from.y, from.pane));
        drag.current = { ...from, x, y, moved: true };
    };
    const release = (event: PointerEvent) => {
        const from = drag.current;
        drag.current = null;
        if (from === null || from.moved) return;
        if (measured !== null) {
            const snap = snapAt(motion, view, ...at(event), mask);
            if (snap !== null) onSnap(snap);
            return;
        }
        const row = pick(motion, view, ...at(event), mask);
        if (row >= 0) onPick(row);
    };
    const key = (event: KeyboardEvent) => {
        if (event.key === '0' && !event.altKey && !event.ctrlKey) return onFit();
        const pane = view.panes[event.shiftKey ? 1 : 0];
        const pan = { ArrowLeft: [40, 0], ArrowRight: [-40, 0], ArrowUp: [0, 40], ArrowDown: [0, -40] }[event.key];
        const zoom = { '+': 1.25, '=': 1.25, '-': 0.8 }[event.key];
        if (event.altKey || event.ctrlKey || pane === undefined || (pan === undefined && zoom === undefined)) return;
        event.preventDefault();
        onView(
            pan === undefined ? zoomed(view, zoom ?? 1, pane.left + pane.width / 2, pane.top + pane.height / 2) : panned(view, pan[0] ?? 0, pan[1] ?? 0, pane),
        );
    };
    return (
        <Box
            ref={host} role="group" tabIndex={0} aria-label="Flat views; arrow keys pan the plan, with Shift the elevation, plus and minus zoom, 0 fits"
            sx={{
                position: 'absolute',
                inset: 0,
                touchAction: 'none',
                cursor: 'crosshair',
                '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' },
            }}
            onKeyDown={key}
            onPointerDown={(event) => {
                const [x, y] = at(event);
                event.currentTarget.setPointerCapture(event.pointerId);
                drag.current = { x, y, pane: paneAt(view, x, y), moved: false, zero: mayMoveZero && grasps(view, x, y) };
            }}
            onPointerMove={move}
            onPointerUp={release}
        >
            <canvas
                ref={sheet}
                role="img"
                aria-label={`${view.panes.length > 2 ? 'Plan, elevation and end view' : 'Plan and elevation'} of the program's motion`}
                style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
            />
            <canvas ref={cursor} aria-hidden style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }} />
        </Box>
    );
}
