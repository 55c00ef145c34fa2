import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Mark } from '../../shared/Mark';
import { figure } from '../../shared/numbers';
import { send } from '../../shared/server';
import { keyOf } from '../textKey';

export interface OffsetMistake {
    offset: string;
    axis: string;
    what: string;
    right: number;
    wrong: number;
    meets: 'limit' | 'stock' | 'below-stock' | 'too-deep' | 'obstacle' | 'nothing';
    line: number | null;
    text: string;
}

interface Props {
    program: number;
    setupVersion: number;
    text: string;
    decimals: number;
    units: string;
    isTurned: boolean;
    onShow: (line: number) => void;
}

/** What would happen if an entry of the offset tables were wrong: what is met first, where, and from what height. */
export function OffsetMistakes({ program, setupVersion, text, decimals, units, isTurned, onShow }: Props) {
    const { data, error } = useQuery({
        queryKey: ['offsets', program, setupVersion, keyOf(text)],
        queryFn: ({ signal }) => send<OffsetMistake[]>('POST', `/programs/${program}/offsets`, { text }, signal),
    });
    if (error !== null) return <Box role="alert" sx={{ color: 'error.main' }}>{error.message}</Box>;
    if (data === undefined) return <Box role="status">Simulating…</Box>;
    if (data.length === 0) return <Box>The program uses no offset of the setup{isTurned ? ', or makes more than 5000 moves' : ''}.</Box>;
    const list = (rows: OffsetMistake[]) => <Mistakes rows={rows} decimals={decimals} onShow={onShow} />;
    const { crashes, alarms, harmless } = byConsequence(data);
    return (
        <Box component="section" aria-label="What if an offset is wrong">
            <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem', mb: 0.5 }}>What happens first if an entry is wrong, {units}.</Box>
            {crashes.length === 0 ? <Box sx={{ fontWeight: 600 }}>None of the usual mistakes leads to a crash.</Box> : list(crashes)}
            <Folded name="Alarm, axis at its limit" count={alarms.length}>{list(alarms)}</Folded>
            <Folded name="No crash, wrong place or height" count={harmless.length}>{list(harmless)}</Folded>
        </Box>
    );
}

/** The mistakes by what they lead to: those that break something, those the control stops, and the rest. */
export function byConsequence(mistakes: OffsetMistake[]): Record<'crashes' | 'alarms' | 'harmless', OffsetMistake[]> {
    return {
        crashes: mistakes.filter(({ meets }) => meets !== 'limit' && meets !== 'nothing'),
        alarms: mistakes.filter(({ meets }) => meets === 'limit'),
        harmless: mistakes.filter(({ meets }) => meets === 'nothing'),
    };
}

function Folded({ name, count, children }: { name: string; count: number; children: ReactNode }) {
    if (count === 0) return null;
    return (
        <Box component="details" sx={{ mt: 1, borderTop: '1px solid var(--frame)', pt: 0.5 }}>
            <Box component="summary" sx={{ cursor: 'pointer', fontSize: '0.875rem', fontWeight: 600 }}>{name} ({count})</Box>
            {children}
        </Box>
    );
}

function Mistakes({ rows, decimals, onShow }: { rows: OffsetMistake[]; decimals: number; onShow: (line: number) => void }) {
    const entries = new Map<string, OffsetMistake[]>();
    for (const row of rows) entries.set(`${row.offset} ${row.axis}`, [...(entries.get(`${row.offset} ${row.axis}`) ?? []), row]);
    return [...entries].map(([entry, own]) => (
        <Box key={entry} sx={{ borderTop: '1px solid var(--hair)', py: 0.5 }}>
            <Box component="h3" sx={{ m: 0, fontSize: '0.875rem' }}>
                {entry} <Box component="span" sx={{ fontWeight: 400 }}>is {figure(own[0]?.right ?? 0, decimals)}</Box>
            </Box>
            {own.map((row) => (
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
                    <Box><b>{row.what}</b> ({figure(row.wrong, decimals)}): {row.text}</Box>
                </Box>
            ))}
        </Box>
    ));
}
