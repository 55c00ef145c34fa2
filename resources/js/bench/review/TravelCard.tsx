import { Box, Tooltip } from '@mui/material';
import { Fragment } from 'react';
import type { OakCheck } from '../../contracts/oak-check-1';
import { short } from '../../shared/numbers';

/** Used and spare travel on each axis, and how far each work offset may move. */
export function TravelCard(
    { summary, decimals, units, diameters = [], onLine }: {
        summary: OakCheck['summary'];
        decimals: number;
        units: string;
        /** Axes whose figures are diameters. */
        diameters?: string[];
        onLine: (line: number) => void;
    },
) {
    const write = (value: number | null) => (value === null ? 'open' : short(value, decimals));
    return (
        <Box component="section" aria-label="Travel" sx={{ fontSize: '0.875rem' }}>
            <Box component="h2" sx={{ m: 0, mb: 0.5, fontSize: '0.9375rem' }}>
                Travel{' '}
                <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.8125rem' }}>
                    spare to − and + limit, {units}
                </Box>
            </Box>
            {Object.entries(summary.reach).map(([axis, { limit, used, spare, lines }]) => {
                const [low, high] = limit;
                const span = low !== null && high !== null ? high - low : null;
                const place = (value: number) => (span === null || low === null ? 0 : Math.min(100, Math.max(0, ((value - low) / span) * 100)));
                const over = (spare[0] ?? 0) < 0 || (spare[1] ?? 0) < 0;
                return (
                    <Box key={axis} sx={{ display: 'grid', gridTemplateColumns: '22px 1fr 132px', alignItems: 'center', gap: 1, minHeight: 24 }}>
                        <Box sx={{ fontWeight: 700, color: 'primary.main' }}>{axis}{diameters.includes(axis) && 'Ø'}</Box>
                        <svg viewBox="0 0 100 10" preserveAspectRatio="none" height="12" width="100%" aria-hidden style={{ overflow: 'visible' }}>
                            <rect x="0" y="2" width="100" height="6" fill="var(--hair)" />
                            {used[0] !== null && used[1] !== null && (
                                <rect
                                    x={place(used[0])}
                                    y="0"
                                    width={Math.max(0.8, place(used[1]) - place(used[0]))}
                                    height="10"
                                    fill={over ? 'var(--clay)' : 'var(--moss)'}
                                />
                            )}
                            {(spare[1] ?? 0) < 0 && <rect x="98.5" y="-3" width="3" height="16" fill="var(--clay)" />}
                            {(spare[0] ?? 0) < 0 && <rect x="-1.5" y="-3" width="3" height="16" fill="var(--clay)" />}
                        </svg>
                        <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap', color: over ? 'error.main' : undefined, fontWeight: over ? 700 : 400 }}>
                            {([0, 1] as const).map((end) => {
                                const line = lines[end];
                                const side = end === 0 ? '−' : '+';
                                return (
                                    <Fragment key={end}>
                                        {end === 1 && ' / '}
                                        {line == null ? write(spare[end]) : (
                                            <Tooltip title={`Line ${line} comes closest to the ${axis}${side} limit`}>
                                                <Box
                                                    component="button"
                                                    type="button"
                                                    aria-label={`${write(spare[end])} ${units} spare to ${axis}${side}, on line ${line}`}
                                                    onClick={() => onLine(line)}
                                                    sx={{
                                                        all: 'unset',
                                                        cursor: 'pointer',
                                                        '&:hover': { textDecoration: 'underline' },
                                                        '&:focus-visible': { outline: '2px solid var(--oak)' },
                                                    }}
                                                >
                                                    {write(spare[end])}
                                                </Box>
                                            </Tooltip>
                                        )}
                                    </Fragment>
                                );
                            })}
                        </Box>
                    </Box>
                );
            })}
            {Object.entries(summary.fit).map(([work, ranges]) => (
                <Box key={work} sx={{ mt: 0.75 }}>
                    <Box sx={{ fontWeight: 600 }}>{work} may be set to</Box>
                    {Object.entries(ranges).map(([axis, range]) => (
                        <Box key={axis} sx={{ display: 'flex', gap: 1 }}>
                            <Box sx={{ width: 22, fontWeight: 700, color: 'primary.main' }}>{axis}{diameters.includes(axis) && 'Ø'}</Box>
                            <Box sx={range === null ? { color: 'error.main', fontWeight: 700 } : undefined}>
                                {range === null ? 'nothing: needs more travel than there is' : `${write(range[0])} to ${write(range[1])}`}
                            </Box>
                        </Box>
                    ))}
                </Box>
            ))}
            {summary.tools.some(({ lengthFit }) => lengthFit !== null) && (
                <Box sx={{ mt: 0.75 }}>
                    <Box sx={{ fontWeight: 600 }}>Length offsets may be</Box>
                    {summary.tools.flatMap(({ number, lengthFit }) => (lengthFit === null ? [] : [
                        <Box key={number} sx={{ display: 'flex', gap: 1 }}>
                            <Box sx={{ width: 34, fontWeight: 700, color: 'primary.main' }}>H{lengthFit.number}</Box>
                            <Box sx={lengthFit.range === null ? { color: 'error.main', fontWeight: 700 } : undefined}>
                                {lengthFit.range === null
                                    ? 'nothing: needs more travel than there is'
                                    : `${write(lengthFit.range[0] ?? null)} to ${write(lengthFit.range[1] ?? null)}`}
                            </Box>
                        </Box>,
                    ]))}
                </Box>
            )}
        </Box>
    );
}
