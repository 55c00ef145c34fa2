import { router } from '@inertiajs/react';
import { Box, Button, MenuItem, Select, TextField } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { send } from '../../shared/server';

type On = 'setup' | 'machine';

/** The page's setup is asked for again, so that the next check is that of the new policy. */
const refresh = () => router.reload({ only: ['setup'] });

/** A lead makes a note of a caution, for a setup or its machine, and says why. */
export function LowerCaution({ setup, check }: { setup: number; check: string }) {
    const [open, setOpen] = useState(false);
    const [reason, setReason] = useState('');
    const [on, setOn] = useState<On>('setup');
    const lower = useMutation({ mutationFn: () => send<{ version: number }>('POST', `/setups/${setup}/lowered`, { check, reason, on }), onSuccess: refresh });
    const form = useRef<HTMLFormElement>(null);
    useEffect(() => {
        form.current?.scrollIntoView({ block: 'nearest' });
    }, [open]);
    if (!open) return <Button onClick={() => setOpen(true)}>Lower to a note…</Button>;
    const submit = (event: FormEvent) => {
        event.preventDefault();
        lower.mutate();
    };
    return (
        <Box component="form" ref={form} onSubmit={submit} sx={{ width: '100%', display: 'grid', gap: 0.75, pt: 0.5 }}>
            <TextField
                size="small"
                autoFocus
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                placeholder="Reason"
                slotProps={{ htmlInput: { 'aria-label': 'Reason', maxLength: 200 } }}
            />
            <Box sx={{ display: 'flex', gap: 0.75 }}>
                <Select<On>
                    size="small"
                    value={on}
                    onChange={(event) => setOn(event.target.value)}
                    inputProps={{ 'aria-label': 'Lower it' }}
                    sx={{ flex: 1 }}
                >
                    <MenuItem value="setup">in this setup</MenuItem>
                    <MenuItem value="machine">on this machine</MenuItem>
                </Select>
                <Button type="submit" variant="contained" disabled={reason.trim().length < 3 || lower.isPending}>Lower</Button>
                <Button onClick={() => setOpen(false)}>Cancel</Button>
            </Box>
            {lower.error !== null && <Box role="alert" sx={{ color: 'error.main' }}>{lower.error.message}</Box>}
        </Box>
    );
}

export function RaiseAgain({ setup, check, on }: { setup: number; check: string; on: On }) {
    const raise = useMutation({ mutationFn: () => send('DELETE', `/setups/${setup}/lowered`, { check, on }), onSuccess: refresh });
    return <Button disabled={raise.isPending} onClick={() => raise.mutate()}>Raise to a caution</Button>;
}
