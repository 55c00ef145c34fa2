import { Box, Button, TextField } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { typedNumber } from '../../shared/typed';
import { clock } from '../../shared/numbers';
import { keepFile } from '../../shared/files';
import { send } from '../../shared/server';

interface Answer {
    text: string;
    seconds: number;
    rapidPercent: number;
    overruns: string[];
    /** The greatest lift that fits, in the units asked in; null where there is none. */
    most: number | null;
}

/** The program lifted clear of the part, for a run with nothing to cut: whether that fits the travel, and the file. */
export function DryRun({ program, name, text, units }: { program: number; name: string; text: string; units: 'mm' | 'inch' }) {
    const [lift, setLift] = useState(units === 'mm' ? '150' : '6');
    const number = typedNumber(lift);
    const ask = useMutation({ mutationFn: (by: number | null) => send<Answer>('POST', `/programs/${program}/dry-run`, { text, lift: by, units }) });
    const answer = ask.data;
    return (
        <Box component="section" aria-label="Dry run" sx={{ borderTop: '1px solid var(--frame)', pt: 1, display: 'grid', gap: 0.75, fontSize: '0.875rem' }}>
            <Box component="h3" sx={{ m: 0, fontSize: '0.9375rem' }}>Dry run</Box>
            <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
                raised by
                <TextField
                    size="small"
                    value={lift}
                    error={number === null}
                    sx={{ width: 84 }}
                    onChange={(event) => {
                        setLift(event.target.value);
                        ask.reset();
                    }}
                    slotProps={{ htmlInput: { 'aria-label': `Raised by, ${units}`, style: { textAlign: 'right' } } }}
                />
                {units === 'mm' ? 'mm' : 'in'}
                <Button disabled={number === null || number <= 0 || ask.isPending} onClick={() => ask.mutate(number)}>Create</Button>
            </Box>
            {ask.error !== null && <Box role="alert" sx={{ color: 'error.main' }}>{ask.error.message}</Box>}
            {answer !== undefined &&
                answer.overruns.map((overrun) => (
                    <Box key={overrun} role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>
                        {overrun}
                    </Box>
                ))}
            {answer !== undefined && answer.most !== null && answer.most > 0 && (
                <Box>
                    <Button
                        variant="outlined"
                        onClick={() => {
                            setLift(String(answer.most));
                            ask.mutate(answer.most);
                        }}
                    >
                        Raise by {answer.most} {units === 'mm' ? 'mm' : 'in'}, the most within travel
                    </Button>
                </Box>
            )}
            {answer !== undefined && answer.overruns.length === 0 && (
                <Box role="status">
                    Within travel; takes {clock(answer.seconds)} with rapid at {answer.rapidPercent} %.{' '}
                    <Button variant="contained" onClick={() => keepFile(`${name}-dry.nc`, 'text/plain', answer.text)}>Download</Button>
                </Box>
            )}
        </Box>
    );
}
