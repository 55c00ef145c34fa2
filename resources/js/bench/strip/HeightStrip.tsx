import { Box } from '@mui/material';
import { useEffect, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Difference } from '../difference';
import type { Finding, HoldPoint } from '../../contracts/oak-check-1';
import { clock } from '../../shared/numbers';
import { useAppearance } from '../../theme/Appearance';
import { momentAt, rowAtLine, secondsAt, type Moment, type Motion, type Scene, type StateRow } from '../answer';
import { ready } from '../drawing/SheetPainter';
import { useOfMoment, type RunCursor } from '../runCursor';
import { useSize } from '../../shared/useSize';
import { layStrip, paintNow, paintStrip, paintStripDifference, paintStripOwn, type OwnOnStrip } from './paintStrip';

export interface StripProps {
    motion: Motion;
    scene: Scene;
    states: StateRow[];
    findings: Finding[];
    holds: HoldPoint[];
    run: RunCursor;
    /** What has changed from another text, where two are compared. */
    difference?: Difference;
    /** The operation of a sheet that is at hand. */
    own?: OwnOnStrip | null;
    onMoment: (moment: Moment) => void;
}

/** Z against time along the bottom of the bench: drag along it to move through the run. */
export function HeightStrip({ motion, scene, states, findings, holds, run, difference, own = null, onMoment }: StripProps) {
    const { inks } = useAppearance();
    const [box, size] = useSize();
    const canvas = useRef<HTMLCanvasElement>(null);
    const over = useRef<HTMLCanvasElement>(null);
    const total = motion.endSeconds[motion.rows - 1] ?? 0;
    const pins = useMemo(
        () =>
            findings
                .filter((finding) => finding.severity !== 'note')
                .map((finding) => ({ row: rowAtLine(motion, finding.line), stop: finding.severity === 'stop' }))
                .filter((pin) => pin.row >= 0),
        [findings, motion],
    );
    const layout = useMemo(() => layStrip(motion, scene, size.width, size.height), [motion, scene, size]);

    useEffect(() => {
        const pen = ready(canvas.current, size);
        if (pen === null) return;
        paintStrip(pen, inks, layout, motion, scene, states, pins, holds);
        if (difference !== undefined) paintStripDifference(pen, inks, layout, motion, difference);
        if (own !== null && own.rows.length === motion.rows) paintStripOwn(pen, inks, layout, motion, own);
    }, [inks, layout, motion, scene, states, pins, holds, size, difference, own]);
    useEffect(() => {
        const paint = () => {
            const pen = ready(over.current, size);
            if (pen !== null) paintNow(pen, inks, layout, motion, run.moment);
        };
        paint();
        return run.subscribe(paint);
    }, [inks, layout, motion, run, size]);

    const scrub = (event: PointerEvent) => {
        if (motion.rows === 0 || event.buttons === 0) return;
        const share = (event.clientX - event.currentTarget.getBoundingClientRect().left - layout.left) / (layout.right - layout.left);
        onMoment(momentAt(motion, Math.min(1, Math.max(0, share)) * total));
    };
    const step = (event: KeyboardEvent) => {
        const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -10, PageDown: 10 }[event.key];
        const row = event.key === 'Home' ? 0 : event.key === 'End' ? motion.rows - 1 : by === undefined ? undefined : (run.moment?.row ?? -1) + by;
        if (row === undefined || motion.rows === 0) return;
        event.preventDefault();
        onMoment({ row: Math.min(motion.rows - 1, Math.max(0, row)), share: 1 });
    };
    const now = useOfMoment(run, (moment) => (moment === null || moment.row < 0 ? 0 : Math.round(secondsAt(motion, moment))));

    return (
        <Box
            ref={box} role="slider" tabIndex={0} aria-label="Height strip: moment of the run" aria-valuemin={0} aria-valuemax={Math.round(total)}
            aria-valuenow={now}
            aria-valuetext={`${clock(now)} of ${clock(total)}`} data-testid="strip"
            sx={{ position: 'relative', height: '100%', width: '100%', overflow: 'hidden', cursor: 'ew-resize', touchAction: 'none' }}
            onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                scrub(event);
            }}
            onPointerMove={scrub}
            onKeyDown={step}
        >
            <canvas ref={canvas} aria-hidden style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }} />
            <canvas ref={over} aria-hidden style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }} />
        </Box>
    );
}
