import { Box, TextField } from '@mui/material';
import { useEffect, useState } from 'react';
import { pointsOf, pointsText, type Points } from './points';

interface Props {
    label: string;
    path: string;
    value: Points | undefined;
    readOnly: boolean;
    onChange: (value: Points | undefined) => void;
}

/** A shape as points, one to a line: Z and diameter, and the radius of an arc. It counts when the field is left. */
export function PointsEntry({ label, path, value, readOnly, onChange }: Props) {
    const written = pointsText(value);
    const [text, setText] = useState(written);
    const [wrong, setWrong] = useState<string | null>(null);
    useEffect(() => setText(written), [written]);
    const take = () => {
        const points = pointsOf(text);
        setWrong(typeof points === 'string' ? points : null);
        if (typeof points !== 'string' && pointsText(points) !== written) onChange(points);
    };
    return (
        <Box sx={{ width: 190 }}>
            <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{label}</Box>
            <TextField
                multiline minRows={2} maxRows={8} size="small" id={path} value={text} disabled={readOnly} error={wrong !== null} helperText={wrong}
                placeholder={'0 30\n-20 30'} slotProps={{ htmlInput: { 'aria-label': label, maxLength: 8000 }, formHelperText: { sx: { mx: 0 } } }}
                sx={{ width: '100%' }} onChange={(event) => setText(event.target.value)} onBlur={take}
            />
        </Box>
    );
}
