import { Box, TextField } from '@mui/material';
import { useState } from 'react';
import type { Feature } from '../contracts/oak-setup-1';
import { deviationOf, deviationText } from './deviation';
import type { Fields } from './fields';

/** A tolerance: one figure either way, or the lower and the upper deviation with a slash between them. */
export function DeviationField(
    { label, path, called, value, fields }: { label: string; path: string; called: string; value: Feature['tolerance']; fields: Fields },
) {
    const [wrong, setWrong] = useState(false);
    return (
        <Box sx={{ width: 104 }}>
            <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{label}</Box>
            <TextField
                key={deviationText(value)} size="small" defaultValue={deviationText(value)} disabled={!fields.mayChange} error={wrong}
                helperText={wrong ? 'Such as 0.1 or 0 / 0.021' : undefined}
                slotProps={{ htmlInput: { 'aria-label': `${called} ${label}`, id: path, style: { textAlign: 'right' } }, formHelperText: { sx: { mx: 0 } } }}
                onBlur={(event) => {
                    const next = deviationOf(event.target.value);
                    setWrong(next === null);
                    if (next !== null && deviationText(next) !== deviationText(value)) fields.change(path, next);
                }}
            />
        </Box>
    );
}
