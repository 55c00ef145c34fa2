import { Box, Button } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { send } from '../shared/server';
import type { RevisionRow } from './revision';

interface Merged {
    text: string;
    conflicts: { line: number; theirs: string }[];
    latest: RevisionRow;
}

interface Props {
    program: number;
    text: string;
    base: number;
    /** What has been saved since. */
    latest: number;
    /** Given the two brought together, and the revision they go on from. */
    onMerged: (text: string, base: number) => void;
    /** Told that the typing goes on from the latest revision as it is. */
    onBase: (base: number) => void;
}

/** What can be done where somebody else has saved a revision under one's typing: look, bring the two together, or go on with one's own. */
export function SavedSince({ program, text, base, latest, onMerged, onBase }: Props) {
    const merge = useMutation({
        mutationFn: () => send<Merged>('POST', `/programs/${program}/merge`, { text, base }),
        onSuccess: ({ text: merged, conflicts, latest: { number } }) => {
            if (conflicts.length === 0) onMerged(merged, number);
        },
    });
    const conflicts = merge.data?.conflicts ?? [];
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
            <Button component="a" href={`/programs/${program}/compare?from=${latest}&to=typed`} target="_blank">Compare</Button>
            <Button onClick={() => merge.mutate()} disabled={merge.isPending}>Merge rev {latest} into mine</Button>
            <Button onClick={() => onBase(latest)}>Keep mine, on top of rev {latest}</Button>
            {merge.error !== null && <Box role="alert" sx={{ color: 'error.main' }}>{merge.error.message}</Box>}
            {conflicts.length > 0 && merge.data !== undefined && (
                <Box role="alert" sx={{ width: '100%' }}>
                    Both have changed {conflicts.length === 1 ? 'line' : 'lines'} {conflicts.map(({ line }) => line).join(', ')}. Yours would
                    stay there; theirs {conflicts.length === 1 ? 'is' : 'are'}:
                    {conflicts.map(({ line, theirs }) => (
                        <Box key={line} className="mono" sx={{ whiteSpace: 'pre-wrap', fontSize: '0.8125rem' }}>
                            {line}: {theirs === '' ? '(removed)' : theirs}
                        </Box>
                    ))}
                    <Button onClick={() => onMerged(merge.data.text, merge.data.latest.number)}>Merge the rest, keep mine there</Button>
                </Box>
            )}
        </Box>
    );
}
