import { Box } from '@mui/material';
import type { Sketch } from './list';

/** The plan of a program at a thumb's size; an empty sheet where nothing is cut yet. */
export function PlanSketch({ sketch, of }: { sketch: Sketch | null; of: string }) {
    const [x = 0, y = 0, width = 0, height = 0] = sketch?.stock ?? [];
    return (
        <Box
            component="svg" viewBox="0 0 96 64" role="img" aria-label={sketch === null ? `No drawing of ${of} yet` : `Plan of ${of}`}
            sx={{ width: '6rem', height: '4rem', background: 'var(--paper)', border: '1px solid var(--hair)', flex: 'none' }}
        >
            {sketch?.stock && <rect x={x} y={y} width={width} height={height} fill="var(--stock)" stroke="var(--stockEdge)" strokeWidth="1" />}
            {sketch !== null && <path d={sketch.cuts} fill="none" stroke="var(--oak)" strokeWidth="1" strokeLinecap="round" />}
        </Box>
    );
}
