import { Box, Button, Dialog, TextField, Tooltip } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState, type FormEvent } from 'react';
import type { RevisionRow } from './revision';
import type { SheetState } from '../sheet/useSheet';
import { SavedSince } from './SavedSince';
import { ServerError, send } from '../shared/server';

interface Props {
    program: number;
    base: number;
    text: string;
    changed: boolean;
    /** The operation sheet the text goes with. */
    sheet: SheetState | null;
    onSaved: (revision: RevisionRow, text: string) => void;
    /** Somebody else has saved since: what they saved is taken for what the typing goes on from, after it has been looked at. */
    onBase: (base: number) => void;
    /** Somebody else's revision and the typing have been brought together. */
    onMerged: (text: string, base: number) => void;
}

/** Saves the text as a new revision, with a word why. */
export function SaveButton({ program, base, text, changed, sheet, onSaved, onBase, onMerged }: Props) {
    const [open, setOpen] = useState(false);
    const [reason, setReason] = useState('');
    const save = useMutation({
        mutationFn: (saved: string) =>
            send<{ revision: RevisionRow }>('POST', `/programs/${program}/revisions`, { text: saved, base, reason, ...(sheet === null ? {} : { sheet }) }),
        onSuccess: ({ revision }, saved) => {
            setOpen(false);
            setReason('');
            onSaved(revision, saved);
        },
    });
    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 's') {
                event.preventDefault();
                if (changed) setOpen(true);
            }
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, [changed]);
    const since =
        save.error instanceof ServerError && save.error.status === 409 ? ((save.error.body as { latest?: RevisionRow }).latest?.number ?? null) : null;
    const submit = (event: FormEvent) => {
        event.preventDefault();
        save.mutate(text);
    };
    return (
        <>
            <Tooltip title={changed ? 'Save as a new revision (Ctrl+S)' : 'No changes to save'}>
                <span><Button variant={changed ? 'contained' : 'outlined'} disabled={!changed} onClick={() => setOpen(true)}>Save</Button></span>
            </Tooltip>
            <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="save-title">
                <Box component="form" onSubmit={submit} sx={{ p: 2.5, display: 'grid', gap: 2, width: 420 }}>
                    <Box component="h2" id="save-title" sx={{ m: 0, fontSize: '1.125rem' }}>Save as revision {base + 1}</Box>
                    <TextField
                        label="Reason for the change"
                        value={reason}
                        autoFocus
                        onChange={(event) => setReason(event.target.value)}
                        slotProps={{ htmlInput: { maxLength: 200 } }}
                    />
                    {save.error !== null && <Box role="alert" sx={{ color: 'error.main' }}>{save.error.message}</Box>}
                    {since !== null && (
                        <SavedSince
                            program={program} text={text} base={base} latest={since}
                            onBase={(to) => { onBase(to); save.reset(); }} onMerged={(merged, to) => { onMerged(merged, to); save.reset(); }}
                        />
                    )}
                    <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                        <Button onClick={() => setOpen(false)}>Keep editing</Button>
                        <Button type="submit" variant="contained" disabled={save.isPending}>Save revision {base + 1}</Button>
                    </Box>
                </Box>
            </Dialog>
        </>
    );
}
