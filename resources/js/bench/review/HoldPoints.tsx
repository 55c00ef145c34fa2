import { Box, Button } from '@mui/material';
import { useMemo, useState } from 'react';
import type { HoldPoint } from '../../contracts/oak-check-1';
import { clock, figure } from '../../shared/numbers';
import { useOfMoment, type RunCursor } from '../runCursor';

interface Props {
    points: HoldPoint[];
    decimals: number;
    units: string;
    run: RunCursor;
    onShow: (row: number) => void;
}

/** What to watch in the first run: each moment with its reasons, and what the position display must show there. Numbered by risk. */
export function HoldPoints({ points, decimals, units, run, onShow }: Props) {
    const row = useOfMoment(run, (moment) => moment?.row ?? -1);
    const [byRisk, setByRisk] = useState(false);
    const inOrder = useMemo(() => {
        const numbered = points.map((point, i) => ({ point, number: i + 1 }));
        return byRisk ? numbered : numbered.sort((a, b) => a.point.row - b.point.row);
    }, [points, byRisk]);
    if (points.length === 0) return <Box>The program moves nothing yet.</Box>;
    return (
        <Box component="section" aria-label="Hold points">
            <Box sx={{ display: 'flex', alignItems: 'start', gap: 1, mb: 0.5 }}>
                <Box sx={{ flex: 1, color: 'text.secondary', fontSize: '0.8125rem' }}>
                    Stop at the end of each block and compare the display, {units}. Number 1 is the greatest risk.
                </Box>
                <Button aria-pressed={byRisk} onClick={() => setByRisk(!byRisk)} sx={{ flex: 'none' }}>{byRisk ? 'In run order' : 'By risk'}</Button>
            </Box>
            <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {inOrder.map(({ point, number }) => (
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
                                {number}
                            </Box>
                            <Box>
                                <b>
                                    Line {point.line}
                                    {point.program === undefined ? '' : ` of ${point.program}`}
                                </b>{point.tool > 0 && ` · T${point.tool}`} · {clock(point.seconds)}
                                <Box>{sentence(point.reasons)}</Box>
                                <Box className="mono" sx={{ fontSize: '0.8125rem' }}>
                                    {Object.entries(point.position)
                                        .map(([axis, value]) => `${axis} ${value === null ? '–' : figure(value, decimals)}`)
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
