import { Box, Button, Dialog } from '@mui/material';
import { useState } from 'react';
import type { RevisionRow } from '../bench/revision';
import { when } from '../shared/numbers';

interface Props {
    revision: RevisionRow | undefined;
    latest: number;
    /** Of the revision that would come back; null where it is not known. */
    verdict: 'stop' | 'caution' | 'clear' | null;
    pending: boolean;
    onRestore: () => void;
}

/** Brings an earlier revision back as a new one, after saying what comes back. */
export function Restore({ revision, latest, verdict, pending, onRestore }: Props) {
    const [open, setOpen] = useState(false);
    if (revision === undefined) return null;
    const { number, by, at, reason } = revision;
    return (
        <>
            <Button onClick={() => setOpen(true)}>Restore rev {number}</Button>
            <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="restore-title">
                <Box sx={{ p: 2.5, display: 'grid', gap: 1.5, width: 440 }}>
                    <Box component="h2" id="restore-title" sx={{ m: 0, fontSize: '1.125rem' }}>Restore revision {number}?</Box>
                    <Box>
                        The text of revision {number} ({by}, {when(at)}{reason === '' ? '' : `: ${reason}`}) is saved as revision {latest + 1}.
                        Revision {latest} stays in the list.
                    </Box>
                    {verdict === 'stop' && (
                        <Box role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>Revision {number} has errors: its verdict is stop.</Box>
                    )}
                    <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                        <Button onClick={() => setOpen(false)}>Cancel</Button>
                        <Button variant="contained" autoFocus={verdict !== 'stop'} disabled={pending} onClick={onRestore}>
                            {verdict === 'stop' ? 'Restore with its errors' : `Restore as revision ${latest + 1}`}
                        </Button>
                    </Box>
                </Box>
            </Dialog>
        </>
    );
}
