import { Box } from '@mui/material';
import { short } from '../shared/numbers';
import { holeLines, type HoleStrokes } from './hole';

const WIDTH = 220;
const HEIGHT = 150;
/** Where the strokes begin and end across the picture; to the left of them stand the levels, to the right the words. */
const LEFT = 66;
const RIGHT = 200;

/** A canned cycle at one hole, drawn from its own values: every stroke beside the one before it. */
export function HoleDrawing({ hole, decimals }: { hole: HoleStrokes; decimals: number }) {
    const { levels, strokes, y } = holeLines(hole, LEFT, RIGHT, 12, HEIGHT - 22);
    return (
        <Box component="figure" aria-label="The cycle" sx={{ m: 0, flex: 'none' }}>
            <svg width={WIDTH} height={HEIGHT} role="img" aria-label={`${hole.words}; down to ${short(hole.bottom, decimals)}`}>
                {levels.map(({ name, z }) => (
                    <g key={name}>
                        <line x1={LEFT - 6} x2={RIGHT} y1={y(z)} y2={y(z)} stroke="var(--hair)" strokeDasharray={name === 'Z' ? undefined : '3 3'} />
                        <text x={LEFT - 10} y={y(z) + 4} fontSize="11" textAnchor="end" fill="var(--ink)">{name} {short(z, decimals)}</text>
                    </g>
                ))}
                {strokes.map(({ kind, x, from, to }, i) =>
                    kind === 'rapid' || kind === 'feed'
                        ? (
                            <g key={i} stroke={kind === 'rapid' ? 'var(--ink)' : 'var(--oak)'} fill="none">
                                <line
                                    x1={x}
                                    x2={x}
                                    y1={y(from)}
                                    y2={y(to)}
                                    strokeWidth={kind === 'rapid' ? 1 : 2.4}
                                    strokeDasharray={kind === 'rapid' ? '4 3' : undefined}
                                />
                                <path d={`M${x - 3} ${y(to) + (to < from ? -5 : 5)}L${x} ${y(to)}L${x + 3} ${y(to) + (to < from ? -5 : 5)}`} />
                            </g>
                        )
                        : <text key={i} x={x} y={y(to) + 13} fontSize="10" textAnchor="middle" fill="var(--soft)">
                            {kind === 'dwell' ? `${short(from, 2)} s` : kind}
                        </text>)}
                <text x={8} y={HEIGHT - 4} fontSize="11" fill="var(--soft)">{hole.words}</text>
            </svg>
        </Box>
    );
}
