import { router } from '@inertiajs/react';
import { Box, Button, Dialog } from '@mui/material';
import { useState } from 'react';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { ServerError, send } from '../shared/server';
import { when } from '../shared/numbers';

interface Row {
    kind: 'part' | 'setup' | 'program' | 'machine' | 'tool';
    id: number;
    title: string;
    deletedAt: string;
}

/** What was deleted, to be restored; a lead may delete it for good. */
export default function Bin({ contents, mayEmpty }: { contents: Row[]; mayEmpty: boolean }) {
    const person = usePerson();
    const [refusal, setRefusal] = useState<string | null>(null);
    const [asked, setAsked] = useState<Row | null>(null);
    const act = async (method: 'POST' | 'DELETE', row: Row) => {
        setRefusal(null);
        setAsked(null);
        try {
            await send(method, `/bin/${row.kind}/${row.id}`);
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'Nothing was changed.');
        }
        router.reload();
    };
    return (
        <Frame title="Bin" where={<Box sx={{ color: 'text.secondary' }}>What was deleted</Box>}>
            <Box sx={{ height: '100%', overflow: 'auto', p: 3, pt: 2 }}>
                <Box component="h1" className="hidden-label">Bin</Box>
                {refusal !== null && <Box role="alert" sx={{ color: 'error.main', mb: 1.5 }}>{refusal}</Box>}
                {contents.length === 0 && <Box sx={{ fontSize: '1.0625rem' }}>Nothing is in the bin.</Box>}
                <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, maxWidth: '60rem', background: 'var(--sheet)', border: '1px solid var(--frame)',
                    ...(contents.length === 0 && { display: 'none' }) }}
                >
                    {contents.map((row) => (
                        <Box
                            component="li" key={`${row.kind}${row.id}`}
                            sx={{
                                display: 'grid', gridTemplateColumns: '6rem minmax(0, 1fr) auto auto', gap: 2, alignItems: 'center', px: 2, py: 1,
                                '& + &': { borderTop: '1px solid var(--hair)' },
                            }}
                        >
                            <Box sx={{ color: 'text.secondary' }}>{row.kind}</Box>
                            <Box sx={{ fontWeight: 600 }}>{row.title}</Box>
                            <Box sx={{ color: 'text.secondary', fontSize: '0.875rem' }}>{when(row.deletedAt)}</Box>
                            <Box sx={{ display: 'flex', gap: 1 }}>
                                {person.mayChange && <Button onClick={() => void act('POST', row)}>Restore</Button>}
                                {mayEmpty && <Button onClick={() => setAsked(row)}>Delete for good</Button>}
                            </Box>
                        </Box>
                    ))}
                </Box>
            </Box>
            {asked !== null && (
                <Dialog open onClose={() => setAsked(null)} aria-labelledby="for-good">
                    <Box sx={{ p: 2.5, maxWidth: '26rem', display: 'grid', gap: 1.5 }}>
                        <Box component="h2" id="for-good" sx={{ m: 0, fontSize: '1.125rem' }}>Delete {asked.title} for good?</Box>
                        <Box>All that belongs to it goes too: setups, programs and every revision. It cannot be undone.</Box>
                        <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                            <Button autoFocus onClick={() => setAsked(null)}>Cancel</Button>
                            <Button variant="contained" onClick={() => void act('DELETE', asked)}>Delete for good</Button>
                        </Box>
                    </Box>
                </Dialog>
            )}
        </Frame>
    );
}
