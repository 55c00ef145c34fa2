import { Link, router } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useCallback, useRef, useState } from 'react';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { Reminder } from '../shared/Reminder';
import { ServerError, send } from '../shared/server';
import { when } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';
import type { TouchRow } from './row';
import { TouchLine } from './TouchLine';

interface HistoryRow {
    id: number;
    by: string;
    at: string;
    field: string;
    was: string | null;
    is: string | null;
    why: string | null;
    /** Not where the setup was in other units then. */
    mayTakeBack: boolean;
}

interface Props {
    setup: { id: number; part: string; operation: number; name: string; machine: string; school: 'touch-off' | 'gauge-line' | 'master-tool' };
    units: 'mm' | 'inch';
    decimals: number;
    rows: TouchRow[];
    /** Bores that were measured first of a row, and are to be measured again. */
    again: string[];
    history: HistoryRow[];
}

const SCHOOLS = {
    'touch-off': 'touched off from home: H is negative', 'gauge-line': 'from the gauge line: H is the true length', 'master-tool': 'relative to a master tool',
} as const;

/** Every offset the programs of a setup use, a worksheet each. Enter goes to the next reading. */
export default function TouchingOff({ setup, units, decimals, rows, again, history }: Props) {
    const person = usePerson();
    const unit = units === 'mm' ? 'mm' : 'in';
    const last = useRef<Record<string, string>>({});
    const [refusal, setRefusal] = useState<string | null>(null);
    const [all, setAll] = useState(false);
    const shown = rows.filter(({ isUsed, isTrusted }) => all || isUsed || !isTrusted);
    const next = useCallback((from: number) => (field: 'reading' | 'typed') => {
        const following = shown[from + 1];
        if (following !== undefined) document.getElementById(`${field === 'reading' ? 'read' : 'typed'} ${following.subject}`)?.focus();
    }, [shown]);
    const stored = useCallback(() => router.reload({ only: ['rows', 'again', 'history'] }), []);
    const takeBack = async (entry: HistoryRow) => {
        setRefusal(null);
        try {
            await send('POST', `/setups/${setup.id}/touching-off/take-back`, { entry: entry.id });
            stored();
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'It was not taken back.');
        }
    };
    const open = shown.filter(({ isTrusted, value }) => !isTrusted || value === null).length;
    const group = (title: string, note: string, isIn: (row: TouchRow) => boolean) => shown.some(isIn) && (
        <Box component="section" aria-label={title} sx={{ background: 'var(--sheet)', border: '1px solid var(--frame)' }}>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', px: 2, py: 1, borderBottom: '1px solid var(--frame)' }}>
                <Box component="h2" sx={{ m: 0, fontSize: '1rem' }}>{title}</Box>
                <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>{note}</Box>
            </Box>
            {shown.map((row, i) => isIn(row) && (
                <TouchLine
                    key={row.subject} row={row} setup={setup.id} unit={unit} decimals={decimals} mayChange={person.mayChange} last={last} onNext={next(i)}
                    onStored={stored}
                />
            ))}
        </Box>
    );
    return (
        <Frame
            title={`Touching off ${setup.name}`}
            where={<Box><b>{setup.part}</b> · op {setup.operation} · <Link href={`/setups/${setup.id}`}>{setup.name}</Link> · {setup.machine}</Box>}
        >
            <Box sx={{ height: '100%', overflow: 'auto', p: 2, display: 'grid', gap: 2, alignContent: 'start' }}>
                <Box component="h1" className="hidden-label">Touching off</Box>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
                    <Box role="status" sx={{ fontWeight: 600 }}>
                        {open === 0 ? 'Every offset in use is trusted.' : `${open} of ${shown.length} still to be touched off.`}
                    </Box>
                    <Box sx={{ color: 'text.secondary' }}>Type a reading and press Enter; then type each figure back as the control shows it.</Box>
                    {rows.length > shown.length || all ? (
                        <Button sx={{ ml: 'auto' }} onClick={() => setAll(!all)}>{all ? 'Only those in use' : 'All offsets'}</Button>
                    ) : null}
                </Box>
                {again.length > 0 && <Box role="note">A row of bores: measure {again.join(' and ')}, again. It shows whether anything moved meanwhile.</Box>}
                {rows.length === 0 && <Box>No program of this setup uses an offset yet. Write or import one, then come back.</Box>}
                {group('Work offsets', `part zero in machine coordinates, ${unit}`, ({ axis }) => axis !== null)}
                {group('Tool lengths', `${SCHOOLS[setup.school]}, ${unit}`, ({ axis }) => axis === null)}
                {history.length > 0 && (
                    <Sheet title="History" note="who set what, from what to what">
                        {refusal !== null && <Box role="alert" sx={{ color: 'error.main' }}>{refusal}</Box>}
                        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                            {history.map((entry) => (
                                <Box
                                    component="li" key={entry.id}
                                    sx={{
                                        display: 'grid', gridTemplateColumns: '5rem minmax(10rem, 1fr) minmax(8rem, 1.2fr) minmax(10rem, 1fr) auto', gap: 1.5,
                                        alignItems: 'center', py: 0.5, '& + &': { borderTop: '1px solid var(--hair)' },
                                    }}
                                >
                                    <Box className="mono" sx={{ fontWeight: 600 }}>{entry.field}</Box>
                                    <Box>{entry.was ?? 'empty'} → {entry.is ?? 'empty'}</Box>
                                    <Box sx={{ color: 'text.secondary' }}>{entry.why ?? 'on the setup page'}</Box>
                                    <Box sx={{ color: 'text.secondary', fontSize: '0.875rem' }}>{entry.by}, {when(entry.at)}</Box>
                                    {person.mayChange && entry.was !== null && entry.mayTakeBack
                                        ? <Button onClick={() => void takeBack(entry)}>Put {entry.field} back to {entry.was}</Button> : <span />}
                                </Box>
                            ))}
                        </Box>
                    </Sheet>
                )}
                <Box sx={{ maxWidth: 900 }}><Reminder /></Box>
            </Box>
        </Frame>
    );
}
