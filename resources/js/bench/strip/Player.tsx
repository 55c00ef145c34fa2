import { Box, Button, MenuItem, Select, Tooltip } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import type { HoldPoint } from '../../contracts/oak-check-1';
import type { Moment, Motion } from '../answer';
import { SPEEDS, played } from './play';

/** Quick enough for the eye, slow enough for the listing to follow. */
const FRAME_SECONDS = 1 / 15;

interface Props {
    motion: Motion;
    holds: HoldPoint[];
    moment: Moment | null;
    onMoment: (moment: Moment) => void;
}

/** Plays the run: so many times as fast as the machine, resting at the hold points if wanted. */
export function Player({ motion, holds, moment, onMoment }: Props) {
    const [plays, setPlays] = useState(false);
    const [speed, setSpeed] = useState<number>(20);
    const [rests, setRests] = useState(true);
    const now = useRef({ moment, onMoment });
    useEffect(() => {
        now.current = { moment, onMoment };
    });
    // Another trace, or none: the run does not go on by itself.
    useEffect(() => setPlays(false), [motion]);
    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            if (!event.altKey || event.code !== 'KeyR') return;
            event.preventDefault();
            setPlays((before) => !before);
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, []);
    useEffect(() => {
        if (!plays || motion.rows === 0) return;
        let last = performance.now();
        const timer = setInterval(() => {
            const time = performance.now();
            const { moment: next, ends } = played(motion, now.current.moment, (time - last) / 1000, speed, rests ? holds : []);
            last = time;
            now.current.onMoment(next);
            if (ends) setPlays(false);
        }, FRAME_SECONDS * 1000);
        return () => clearInterval(timer);
    }, [plays, motion, holds, speed, rests]);
    const start = () => {
        // At the end it begins again.
        if (!plays && moment !== null && moment.row >= motion.rows - 1 && moment.share >= 1) onMoment({ row: 0, share: 0 });
        setPlays(!plays);
    };
    return (
        <Box role="group" aria-label="Play the run" sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
            <Tooltip title="Play or rest (Alt+R)"><Button onClick={start} aria-pressed={plays} disabled={motion.rows === 0} sx={{ minWidth: 64 }}>{plays ? 'Rest' : 'Play'}</Button></Tooltip>
            <Select<number> size="small" value={speed} onChange={(event) => setSpeed(event.target.value)} inputProps={{ 'aria-label': 'Speed of playing' }} sx={{ fontSize: 14 }}>
                {SPEEDS.map((times) => <MenuItem key={times} value={times}>{times} ×</MenuItem>)}
            </Select>
            <Tooltip title="Rest at the end of every hold point"><Button onClick={() => setRests(!rests)} aria-pressed={rests} sx={{ background: rests ? 'var(--pick)' : undefined }}>Holds</Button></Tooltip>
        </Box>
    );
}
