import { Box, Button, Tooltip } from '@mui/material';
import type { Motion, Scene } from '../answer';
import { useMoment, type RunCursor } from '../runCursor';
import { factsBetween, factsOf, nameOf, snapsOf, type Fact, type Snap } from './measure';

interface Props {
    motion: Motion;
    scene: Scene;
    run: RunCursor;
    points: Snap[];
    onSnap: (snap: Snap) => void;
    onClear: () => void;
    onClose: () => void;
}

/** What is measured: of one move, or between two points. Points are picked in the drawing, or taken from the move at the cursor. */
export function MeasureBar({ motion, scene, run, points, onSnap, onClear, onClose }: Props) {
    const moment = useMoment(run);
    const here = moment === null ? [] : snapsOf(motion, moment.row);
    const [from, to] = points;
    const facts: Fact[] = from === undefined ? [] : to === undefined ? factsOf(motion, scene, from.row) : factsBetween(motion, scene, from, to);
    return (
        <Box
            role="group"
            aria-label="Measure"
            sx={{ background: 'var(--margin)', borderTop: '1px solid var(--hair)', p: 0.75, fontSize: '0.875rem', display: 'grid', gap: 0.5 }}
        >
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center' }}>
                <Box role="status" sx={{ flex: 1, minWidth: 180 }}>
                    {from === undefined
                        ? 'Pick an end, a midpoint or a centre.'
                        : to === undefined
                          ? `From the ${nameOf(motion, from)}. Pick a second point.`
                          : `From the ${nameOf(motion, from)} to the ${nameOf(motion, to)}.`}
                </Box>
                {here.map((snap) => (
                    <Tooltip key={snap.what} title={`The ${snap.what === 'begin' ? 'start' : snap.what} of the move at the cursor`}>
                        <Button onClick={() => onSnap(snap)}>
                            {snap.what === 'begin' ? 'Start' : snap.what.charAt(0).toUpperCase() + snap.what.slice(1)}
                        </Button>
                    </Tooltip>
                ))}
                <Button onClick={onClear} disabled={points.length === 0}>Clear</Button>
                <Button onClick={onClose}>Close</Button>
            </Box>
            {facts.length > 0 && (
                <Box component="dl" aria-label="Measured" sx={{ m: 0, display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
                    {facts.map(([name, value]) => (
                        <Box key={name} sx={{ display: 'flex', gap: 0.75 }}>
                            <Box component="dt" sx={{ color: 'text.secondary' }}>{name}</Box>
                            <Box component="dd" sx={{ m: 0, fontWeight: 600, fontVariantNumeric: 'tabular-nums' }}>{value}</Box>
                        </Box>
                    ))}
                </Box>
            )}
        </Box>
    );
}
