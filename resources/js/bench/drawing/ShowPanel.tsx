import { Box, Button, Checkbox, MenuItem, Select, TextField } from '@mui/material';
import { useState } from 'react';
import type { OakCheck } from '../../contracts/oak-check-1';
import { typedNumber } from '../../shared/typed';
import type { Scene } from '../answer';
import { everything, type Shows } from './shows';

interface Props {
    shows: Shows;
    scene: Scene;
    operations: OakCheck['summary']['operations'];
    lastLine: number;
    onShows: (shows: Shows) => void;
    onClose: () => void;
}

/** What of the run is drawn: by tool, operation, kind of move, and height. */
export function ShowPanel({ shows, scene, operations, lastLine, onShows, onClose }: Props) {
    const [height, setHeight] = useState(shows.rule === null ? '' : String(shows.rule.z));
    const chosen = operations.findIndex((operation) => shows.lines?.[0] === operation.line);
    const kinds = [['rapids', 'Rapids'], ['air', 'Feed in air'], ['cuts', 'Cuts']] as const;
    const rule = (text: string, dims: 'above' | 'below') => {
        setHeight(text);
        const z = typedNumber(text);
        onShows({ ...shows, rule: z === null ? null : { z, dims } });
    };
    return (
        <Box
            role="group"
            aria-label="What is drawn"
            sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'center',
                gap: 0.75,
                background: 'var(--margin)',
                borderTop: '1px solid var(--hair)',
                p: 0.75,
                fontSize: '0.875rem',
                '& .MuiSelect-select, & input': { py: 0.25, fontSize: '0.875rem' },
            }}
        >
            <Select
                size="small"
                value={shows.tool ?? 0}
                onChange={(event) => onShows({ ...shows, tool: Number(event.target.value) || null })}
                inputProps={{ 'aria-label': 'Tool shown' }}
            >
                <MenuItem value={0}>all tools</MenuItem>
                {Object.entries(scene.tools).map(([number, { name }]) => <MenuItem key={number} value={Number(number)}>T{number} {name}</MenuItem>)}
            </Select>
            <Select
                size="small" value={chosen} sx={{ maxWidth: 190 }} inputProps={{ 'aria-label': 'Operation shown' }}
                onChange={(event) => {
                    const n = Number(event.target.value);
                    const operation = operations[n];
                    onShows({ ...shows, lines: operation === undefined ? null : [operation.line, (operations[n + 1]?.line ?? lastLine + 1) - 1] });
                }}
            >
                <MenuItem value={-1}>all operations</MenuItem>
                {operations.map((operation, i) => (
                    <MenuItem key={operation.line} value={i}>
                        {operation.line}: {operation.name === '' ? 'before the first comment' : operation.name}
                    </MenuItem>
                ))}
            </Select>
            {kinds.map(([kind, words]) => (
                <Box key={kind} component="label" sx={{ display: 'flex', alignItems: 'center' }}>
                    <Checkbox
                        size="small"
                        sx={{ p: 0.25 }}
                        checked={shows[kind]}
                        onChange={(event) => onShows({ ...shows, [kind]: event.target.checked })}
                    />{words}
                </Box>
            ))}
            <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
                dim
                <Select
                    size="small"
                    value={shows.rule?.dims ?? 'above'}
                    onChange={(event) => rule(height, event.target.value)}
                    inputProps={{ 'aria-label': 'Dimmed above or below' }}
                >
                    <MenuItem value="above">above</MenuItem>
                    <MenuItem value="below">below</MenuItem>
                </Select>
                Z
                <TextField
                    size="small" value={height} sx={{ width: 76 }} onChange={(event) => rule(event.target.value, shows.rule?.dims ?? 'above')}
                    slotProps={{ htmlInput: { 'aria-label': `Height, ${scene.units}`, inputMode: 'decimal', style: { textAlign: 'right' } } }}
                />
                {scene.units}
            </Box>
            <Button onClick={() => { setHeight(''); onShows(everything); }}>Show all</Button>
            <Button onClick={onClose}>Close</Button>
        </Box>
    );
}
