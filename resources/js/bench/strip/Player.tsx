import { Box, Button, MenuItem, Select, Tooltip } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import type { HoldPoint } from '../../contracts/oak-check-1';
import type { Moment, Motion, StateRow } from '../answer';
import { useAltKeys } from '../../shared/useAltKeys';
import type { RunCursor } from '../runCursor';
import { FEED_OVERRIDES, RAPID_OVERRIDES, SPEEDS, played, stepped, type Pace, type Rest, type Stride } from './play';

/** Quick enough for the eye, slow enough for the listing to follow. */
const FRAME_SECONDS = 1 / 15;

const RESTS: Record<Rest, string> = { holds: 'at hold points', blocks: 'each block', nothing: 'never' };
const STRIDES: Record<Stride, string> = { move: 'move', block: 'block', tool: 'tool', hold: 'hold' };
const percent = (share: number) => `${Math.round(share * 100)} %`;

interface Props {
    motion: Motion;
    states: StateRow[];
    holds: HoldPoint[];
    run: RunCursor;
    onMoment: (moment: Moment) => void;
}

/** Plays the run: so many times as fast as the machine, with its overrides, resting where it should; and steps through it. */
export function Player({ motion, states, holds, run, onMoment }: Props) {
    const [plays, setPlays] = useState(false);
    const [pace, setPace] = useState<Pace>({ speed: 20, rapid: 1, feed: 1, rests: 'holds' });
    const [stride, setStride] = useState<Stride>('block');
    const call = useRef(onMoment);
    const step = (by: 1 | -1) => {
        setPlays(false);
        if (motion.rows > 0) onMoment(stepped(motion, states, run.moment, by, stride, holds));
    };
    useEffect(() => {
        call.current = onMoment;
    });
    // Another trace, or none: the run does not go on by itself.
    useEffect(() => setPlays(false), [motion]);
    useAltKeys({ KeyR: () => setPlays(!plays), Period: () => step(1), Comma: () => step(-1) });
    useEffect(() => {
        if (!plays || motion.rows === 0) return;
        let last = performance.now();
        const timer = setInterval(() => {
            const time = performance.now();
            const { moment, ends } = played(motion, run.moment, (time - last) / 1000, pace, holds);
            last = time;
            // No tick may come between the end and the clearing of the clock.
            if (ends) clearInterval(timer);
            call.current(moment);
            if (ends) setPlays(false);
        }, FRAME_SECONDS * 1000);
        return () => clearInterval(timer);
    }, [plays, motion, run, holds, pace]);
    const start = () => {
        // At the end it begins again.
        const { moment } = run;
        if (!plays && moment !== null && moment.row >= motion.rows - 1 && moment.share >= 1) onMoment({ row: 0, share: 0 });
        setPlays(!plays);
    };
    const small = {
        fontSize: '0.8125rem',
        '& .MuiSelect-select.MuiSelect-select': { py: 0.25, pl: 0.5, pr: 2 },
        '& .MuiSelect-icon': { right: -2, fontSize: '1.125rem' },
    };
    return (
        <Box sx={{ display: 'grid', gap: 0.5 }}>
            <Box role="group" aria-label="Play the run" sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
                <Tooltip title="Play or pause (Alt+R)">
                    <Button onClick={start} aria-pressed={plays} disabled={motion.rows === 0} sx={{ minWidth: 56 }}>
                        {plays ? 'Pause' : 'Play'}
                    </Button>
                </Tooltip>
                <Select<number>
                    size="small"
                    value={pace.speed}
                    onChange={(event) => setPace({ ...pace, speed: event.target.value })}
                    inputProps={{ 'aria-label': 'Speed of playing' }}
                    sx={small}
                >
                    {SPEEDS.map((times) => <MenuItem key={times} value={times}>{times} ×</MenuItem>)}
                </Select>
                <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.5, fontSize: '0.8125rem', whiteSpace: 'nowrap' }}>
                    pause
                    <Select
                        size="small"
                        value={pace.rests}
                        onChange={(event) => setPace({ ...pace, rests: event.target.value })}
                        inputProps={{ 'aria-label': 'Pause' }}
                        sx={small}
                    >
                        {Object.entries(RESTS).map(([rest, words]) => <MenuItem key={rest} value={rest}>{words}</MenuItem>)}
                    </Select>
                </Box>
            </Box>
            <Box
                role="group"
                aria-label="Steps and overrides"
                sx={{ display: 'flex', gap: { xs: 0.375, lg: 0.5 }, alignItems: 'center', fontSize: '0.8125rem' }}
            >
                <Tooltip title="Step back (Alt+,)"><Button onClick={() => step(-1)} aria-label="Step back" sx={{ px: 0.75 }}>◁</Button></Tooltip>
                <Select size="small" value={stride} onChange={(event) => setStride(event.target.value)} inputProps={{ 'aria-label': 'Step by' }} sx={small}>
                    {Object.entries(STRIDES).map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
                </Select>
                <Tooltip title="Step forward (Alt+.)"><Button onClick={() => step(1)} aria-label="Step forward" sx={{ px: 0.75 }}>▷</Button></Tooltip>
                <Tooltip title="Rapid override, for playing">
                    <Select<number>
                        size="small"
                        value={pace.rapid}
                        onChange={(event) => setPace({ ...pace, rapid: event.target.value })}
                        inputProps={{ 'aria-label': 'Rapid override' }}
                        renderValue={(value) => `rapid ${percent(value)}`}
                        sx={small}
                    >
                        {RAPID_OVERRIDES.map((share) => <MenuItem key={share} value={share}>{percent(share)}</MenuItem>)}
                    </Select>
                </Tooltip>
                <Tooltip title="Feed override, for playing">
                    <Select<number>
                        size="small"
                        value={pace.feed}
                        onChange={(event) => setPace({ ...pace, feed: event.target.value })}
                        inputProps={{ 'aria-label': 'Feed override' }}
                        renderValue={(value) => `feed ${percent(value)}`}
                        sx={small}
                    >
                        {FEED_OVERRIDES.map((share) => <MenuItem key={share} value={share}>{percent(share)}</MenuItem>)}
                    </Select>
                </Tooltip>
            </Box>
        </Box>
    );
}
