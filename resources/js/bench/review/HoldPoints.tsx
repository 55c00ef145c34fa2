import { Box } from '@mui/material';
import type { HoldPoint } from '../../contracts/oak-check-1';
import { clock, short } from '../../shared/numbers';
import { useOfMoment, type RunCursor } from '../runCursor';

interface Props {
    points: HoldPoint[];
    decimals: number;
    units: string;
    run: RunCursor;
    onShow: (row: number) => void;
}

/** What to watch in the first run: each moment with its reasons, and what the position display must show there. */
export function HoldPoints({ points, decimals, units, run, onShow }: Props) {
    const row = useOfMoment(run, (moment) => moment?.row ?? -1);
    if (points.length === 0) return <Box>The program moves nothing yet.</Box>;
    return (
        <Box component="section" aria-label="Hold points">
            <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem', mb: 0.5 }}>
                Stop at the end of each block and compare the display, {units}. The weightiest first.
            </Box>
            <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {points.map((point, i) => (
                    <Box component="li" key={point.row} sx={{ borderTop: '1px solid var(--hair)' }}>
                        <Box
                            component="button" type="button" onClick={() => onShow(point.row)} aria-current={point.row === row || undefined}
                            sx={{
                                all: 'unset',
                                boxSizing: 'border-box',
                                cursor: 'pointer',
                                width: '100%',
                                display: 'grid',
                                gridTemplateColumns: '22px 1fr',
                                columnGap: 1,
                                py: 0.6,
                                px: 0.5,
                                fontSize: '0.875rem',
                                lineHeight: 1.35,
                                background: point.row === row ? 'var(--pick)' : undefined,
                                '&:focus-visible': { outline: '2px solid var(--oak)' },
                            }}
                        >
                            <Box
                                sx={{
                                    border: '1px solid var(--frame)',
                                    height: 20,
                                    textAlign: 'center',
                                    fontWeight: 600,
                                    fontSize: '0.8125rem',
                                    lineHeight: '19px',
                                }}
                            >
                                {i + 1}
                            </Box>
                            <Box>
                                <b>
                                    Line {point.line}
                                    {point.program === undefined ? '' : ` of ${point.program}`}
                                </b>{point.tool > 0 && ` · T${point.tool}`} · {clock(point.seconds)}
                                <Box>{sentence(point.reasons)}</Box>
                                <Box className="mono" sx={{ fontSize: '0.8125rem' }}>
                                    {Object.entries(point.position)
                                        .map(([axis, value]) => `${axis} ${value === null ? '–' : short(value, decimals)}`)
                                        .join('  ')}
                                </Box>
                            </Box>
                        </Box>
                    </Box>
                ))}
            </Box>
        </Box>
    );
}

function sentence(reasons: string[]): string {
    const text = reasons.join('; ');
    return text.charAt(0).toUpperCase() + text.slice(1);
}
