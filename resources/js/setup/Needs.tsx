import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { send } from '../shared/server';
import type { Definition } from '../tools/tool';
import type { SetupDocument } from './document';

interface NeedsAnswer {
    tools: { number: number; definition: Definition; from: string }[];
    workOffsets: { name: string; from: string }[];
    notes: string[];
}

interface Props {
    setup: number;
    /** Changes when the setup or a program does. */
    version: string;
    axes: string[];
    onDocument: (next: (document: SetupDocument) => SetupDocument) => void;
}

/** What the programs seem to need that is not here yet, read from their texts: offered, never put in unasked. */
export function Needs({ setup, version, axes, onDocument }: Props) {
    const { data } = useQuery({
        queryKey: ['needs', setup, version], queryFn: ({ signal }) => send<NeedsAnswer>('GET', `/setups/${setup}/needs`, undefined, signal),
        placeholderData: (before) => before,
    });
    if (data === undefined || data.tools.length + data.workOffsets.length + data.notes.length === 0) return null;
    const addTools = () => onDocument((now) => ({
        ...now,
        tools: [
            ...(now.tools ?? []),
            ...data.tools.filter(({ number }) => !(now.tools ?? []).some((tool) => tool.number === number))
                .map(({ number, definition }) => ({ ...definition, number })),
        ].sort((a, b) => a.number - b.number),
    }));
    const addOffsets = () => onDocument((now) => ({
        ...now,
        workOffsets: {
            ...Object.fromEntries(data.workOffsets.map(({ name }) => [name, Object.fromEntries(axes.map((axis) => [axis, 0]))])), ...now.workOffsets,
        },
    }));
    return (
        <Box
            component="section"
            aria-label="What the programs need"
            sx={{ border: '1px dashed var(--oak)', background: 'var(--sheet)', p: 2, display: 'grid', gap: 1 }}
        >
            {data.tools.length > 0 && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'start' }}>
                    <Box sx={{ flex: 1 }}>
                        The programs call tools that are not in this setup:{' '}
                        {data.tools.map(({ number, definition, from }) => `T${number} ${definition.name ?? ''} (${from})`).join(', ')}.
                    </Box>
                    <Button variant="contained" onClick={addTools}>Add {data.tools.length === 1 ? 'this tool' : 'these tools'}</Button>
                </Box>
            )}
            {data.workOffsets.length > 0 && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'start' }}>
                    <Box sx={{ flex: 1 }}>They use {data.workOffsets.map(({ name, from }) => `${name} (${from})`).join(', ')}, not set here.</Box>
                    <Button onClick={addOffsets}>Add {data.workOffsets.map(({ name }) => name).join(', ')}</Button>
                </Box>
            )}
            {data.notes.map((note) => <Box key={note}>{note}</Box>)}
        </Box>
    );
}
