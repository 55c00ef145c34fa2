import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Mark } from '../../shared/Mark';
import { short } from '../../shared/numbers';
import { send } from '../../shared/server';
import { keyOf } from '../textKey';

export interface OffsetMistake {
    offset: string;
    axis: string;
    what: string;
    right: number;
    wrong: number;
    meets: 'limit' | 'stock' | 'below-stock' | 'obstacle' | 'nothing';
    line: number | null;
    text: string;
}

interface Props {
    program: number;
    setupVersion: number;
    text: string;
    decimals: number;
    units: string;
    onShow: (line: number) => void;
}

/** What would happen if an entry of the offset tables were wrong: what is met first, where, and from what height. */
export function OffsetMistakes({ program, setupVersion, text, decimals, units, onShow }: Props) {
    const { data, error } = useQuery({
        queryKey: ['offsets', program, setupVersion, keyOf(text)],
        queryFn: ({ signal }) => send<OffsetMistake[]>('POST', `/programs/${program}/offsets`, { text }, signal),
        gcTime: 60_000,
    });
    if (error !== null) return <Box role="alert" sx={{ color: 'error.main' }}>{error.message}</Box>;
    if (data === undefined) return <Box role="status">Simulating…</Box>;
    if (data.length === 0) return <Box>The program uses no offset of the setup.</Box>;
    const entries = new Map<string, OffsetMistake[]>();
    for (const row of data) entries.set(`${row.offset} ${row.axis}`, [...(entries.get(`${row.offset} ${row.axis}`) ?? []), row]);
    return (
        <Box component="section" aria-label="What if an offset is wrong">
            <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem', mb: 0.5 }}>What happens first if an entry is wrong, {units}.</Box>
            {[...entries].map(([entry, rows]) => (
                <Box key={entry} sx={{ borderTop: '1px solid var(--hair)', py: 0.5 }}>
                    <Box component="h3" sx={{ m: 0, fontSize: '0.875rem' }}>
                        {entry}{' '}
                        <Box component="span" sx={{ fontWeight: 400 }}>
                            is {short(rows[0]?.right ?? 0, decimals)}
                        </Box>
                    </Box>
                    {rows.map((row) => (
                        <Box
                            key={row.what} component="button" type="button" disabled={row.line === null} onClick={() => row.line !== null && onShow(row.line)}
                            sx={{
                                all: 'unset',
                                boxSizing: 'border-box',
                                width: '100%',
                                cursor: row.line === null ? 'default' : 'pointer',
                                display: 'grid',
                                gridTemplateColumns: '16px 1fr',
                                columnGap: 0.75,
                                py: 0.25,
                                fontSize: '0.8125rem',
                                lineHeight: 1.35,
                                '&:focus-visible': { outline: '2px solid var(--oak)' },
                            }}
                        >
                            <Mark kind={row.meets === 'nothing' ? 'note' : row.meets === 'limit' ? 'caution' : 'stop'} />
                            <Box><b>{row.what}</b> ({short(row.wrong, decimals)}): {row.text}</Box>
                        </Box>
                    ))}
                </Box>
            ))}
        </Box>
    );
}
