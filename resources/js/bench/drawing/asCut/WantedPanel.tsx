import { Box } from '@mui/material';
import { Mark } from '../../../shared/Mark';
import type { Wanted } from './wanted';

/** What comes out beside what is wanted, size by size, and what the map shows. */
export function WantedPanel({ wanted, error, onPlace }: { wanted: Wanted | null; error: Error | null; onPlace: (place: [number, number]) => void }) {
    if (error !== null) return <Box role="alert" sx={{ p: 1 }}>{error.message}</Box>;
    if (wanted === null) return <Box role="status" sx={{ p: 1 }}>Comparing…</Box>;
    // Of a feature that opens into another a size may have no wall to be measured from.
    const there = new Set(wanted.sizes.flatMap(({ feature, got }) => (got === null ? [] : [feature])));
    const worst = [
        ['gouged', wanted.gouged, 'stop', 'gouged', 'in', 'no gouge'],
        ['left', wanted.left, 'caution', 'material left', 'out', 'no material left'],
    ] as const;
    return (
        <Box
            role="group"
            aria-label="Against the drawing sizes"
            sx={{ height: '100%', overflow: 'auto', p: 0.75, fontSize: '0.875rem', fontVariantNumeric: 'tabular-nums' }}
        >
            <Box sx={{ display: 'flex', columnGap: 2, flexWrap: 'wrap' }}>
                {worst.map(([name, difference, kind, words, way, none]) => (
                    <Box key={name} data-testid={name} sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
                        <Mark kind={difference === null ? 'clear' : kind} />
                        {difference === null ? none : (
                            <Box
                                component="button"
                                type="button"
                                onClick={() => onPlace([difference.x, difference.y])}
                                sx={{
                                    all: 'unset',
                                    cursor: 'pointer',
                                    textDecoration: 'underline',
                                    '&:focus-visible': { outline: '2px solid var(--oak)' },
                                }}
                            >
                                {difference.wall === null ? `${difference.by} ${words}` : `a wall ${difference.wall} too far ${way}`},
                                {' '}{difference.volume} in all
                            </Box>
                        )}
                    </Box>
                ))}
                <Box sx={{ color: 'text.secondary' }}>red: gouged; blue: material left</Box>
            </Box>
            {wanted.sizes.length > 0 && (
                <Box
                    component="table"
                    sx={{
                        mt: 0.5,
                        width: '100%',
                        borderCollapse: 'collapse',
                        '& td, & th': { textAlign: 'right', py: 0.125, px: 0.75, fontWeight: 400, borderTop: '1px solid var(--hair)' },
                        '& td:nth-of-type(-n+2), & th:nth-of-type(-n+2)': { textAlign: 'left' },
                    }}
                >
                    <thead>
                        <tr>
                            <th scope="col">Feature</th>
                            <th scope="col">Size</th>
                            <th scope="col">drawing</th>
                            <th scope="col">comes out</th>
                            <th scope="col" />
                        </tr>
                    </thead>
                    <tbody>
                        {wanted.sizes.map(({ feature, what, wanted: size, got, within }, n) => (
                            <tr key={`${feature}${what}`}>
                                <td>{wanted.sizes[n - 1]?.feature === feature ? '' : feature}</td><td>{what}</td><td>{size}</td><td>
                                    <b>{got ?? (there.has(feature) ? 'open' : 'missing')}</b>
                                </td>
                                <td style={{ whiteSpace: 'nowrap' }}>
                                    {got === null && there.has(feature) ? (
                                        'not measured'
                                    ) : (
                                        <>
                                            <Mark kind={within ? 'clear' : 'caution'} /> {within ? 'within' : 'off'}
                                        </>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </Box>
            )}
        </Box>
    );
}
