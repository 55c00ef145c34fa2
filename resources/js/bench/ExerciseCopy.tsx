import { Box, Button, Tooltip } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { when } from '../shared/numbers';
import { ServerError, send } from '../shared/server';

interface Exercise {
    text?: string;
    base?: number;
    at?: string;
}

/** What a learner, who saves no revisions, can keep of a program: a copy of their own, which nobody else sees. */
export function ExerciseCopy({ program, base, text, onOpen }: { program: number; base: number; text: string; onOpen: (text: string) => void }) {
    const queries = useQueryClient();
    const [refusal, setRefusal] = useState<string | null>(null);
    const key = ['exercise', program];
    const { data } = useQuery({ queryKey: key, queryFn: () => send<Exercise>('GET', `/programs/${program}/exercise`) });
    const kept = data?.text;
    const keep = async () => {
        setRefusal(null);
        try {
            await send('PUT', `/programs/${program}/exercise`, { text, base });
            await queries.invalidateQueries({ queryKey: key });
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'The copy was not kept.');
        }
    };
    return (
        <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
            <Tooltip title="As a learner you do not save revisions. What you try can be kept as a copy of your own, which nobody else sees.">
                <span><Button disabled={kept === text} onClick={() => void keep()}>{kept === text ? 'Kept for you' : 'Keep an exercise copy'}</Button></span>
            </Tooltip>
            {kept !== undefined && kept !== text && (
                <Tooltip title={data?.at === undefined ? '' : `Kept ${when(data.at)}`}><Button onClick={() => onOpen(kept)}>Open my copy</Button></Tooltip>
            )}
            {refusal !== null && <Box role="alert" sx={{ color: 'error.main' }}>{refusal}</Box>}
        </Box>
    );
}
