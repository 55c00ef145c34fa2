import { Box } from '@mui/material';
import { Mark } from '../../shared/Mark';
import { figure } from '../../shared/numbers';
import type { TurnedSizeRow } from '../answer';

/** The sizes of the drawing of a turned part, as they come out. */
export function SizesCard({ sizes, decimals, units, onLine }: { sizes: TurnedSizeRow[]; decimals: number; units: string; onLine: (line: number) => void }) {
    if (sizes.length === 0) return null;
    return (
        <Box component="section" aria-label="Drawing sizes" sx={{ fontSize: '0.875rem' }}>
            <Box component="h2" sx={{ m: 0, mb: 0.5, fontSize: '0.9375rem' }}>
                Drawing sizes{' '}
                <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.8125rem' }}>as they come out, {units}</Box>
            </Box>
            {sizes.map((size, n) => (
                <Box
                    key={n} component="button" type="button" disabled={size.line === null} onClick={() => size.line !== null && onLine(size.line)}
                    sx={{
                        all: 'unset', boxSizing: 'border-box', width: '100%', display: 'grid', gridTemplateColumns: '16px 1fr auto', columnGap: 0.75,
                        py: 0.25, borderTop: '1px solid var(--hair)', cursor: size.line === null ? 'default' : 'pointer',
                        '&:focus-visible': { outline: '2px solid var(--oak)' },
                    }}
                >
                    <Box sx={{ pt: '3px' }}><Mark kind={size.severity} /></Box>
                    <span>{size.name}</span>
                    <Box component="span" sx={{ fontVariantNumeric: 'tabular-nums' }}>{sizeWords(size, decimals)}</Box>
                </Box>
            ))}
        </Box>
    );
}

/** What it comes out as, and what is wanted where that is not it. */
export function sizeWords({ sign, got, wanted, severity }: TurnedSizeRow, decimals: number): string {
    const write = (value: number) => `${sign}${figure(value, decimals)}`;
    if (got === null) return 'not there';
    return severity === 'clear' ? write(got) : `${write(got)}, wanted ${write(wanted)}`;
}
