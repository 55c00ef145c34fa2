import { Box } from '@mui/material';
import { placeOf, type Motion } from '../answer';
import { useOfMoment, type RunCursor } from '../runCursor';

const HATCH = 'repeating-linear-gradient(135deg, transparent 0 11px, color-mix(in srgb, var(--ochre) 26%, transparent) 11px 12px)';

interface Props {
    motion: Motion;
    run: RunCursor;
    atEnd: boolean;
    incomplete: string | null;
}

/** How far the stock that is shown has been cut, and what of it is not simulated. */
export function CutAt({ motion, run, atEnd, incomplete }: Props) {
    const row = useOfMoment(run, (moment) => moment?.row ?? -1);
    const words = atEnd || row >= motion.rows - 1 ? 'at the end' : row < 0 ? 'before the first cut' : `at line ${placeOf(motion, row).line}`;
    return (
        <>
            {/* A picture that is not all of it is hatched. */}
            {incomplete !== null && <Box aria-hidden sx={{ position: 'absolute', inset: 0, pointerEvents: 'none', background: HATCH }} />}
            <Box
                role="status" data-testid="cut-at"
                sx={{
                    position: 'absolute', right: 6, bottom: 6, px: 1, py: 0.25, fontSize: '0.8125rem', pointerEvents: 'none', textAlign: 'right',
                    background: 'var(--sheet)', border: '1px solid var(--hair)', maxWidth: '70%',
                }}
            >
                Cut stock <b>{words}</b>
                {incomplete !== null && <Box sx={{ color: 'warning.main', fontWeight: 600 }}>{incomplete}</Box>}
            </Box>
        </>
    );
}
