import { TextField } from '@mui/material';
import { useEffect, useState } from 'react';

interface Props {
    label: string;
    value: string;
    readOnly: boolean;
    id?: string;
    error?: string | undefined;
    onChange: (value: string) => void;
}

/** A short text, which counts when the field is left or Enter is pressed. */
export function TextEntry({ label, value, readOnly, id, error, onChange }: Props) {
    const [text, setText] = useState(value);
    useEffect(() => setText(value), [value]);
    const take = () => {
        if (text.trim() !== value) onChange(text.trim());
    };
    return (
        <TextField
            size="small" id={id ?? ''} value={text} disabled={readOnly} sx={{ width: '100%' }} error={error !== undefined} helperText={error}
            slotProps={{ htmlInput: { 'aria-label': label, maxLength: 80 }, formHelperText: { sx: { mx: 0 } } }}
            onChange={(event) => setText(event.target.value)} onBlur={take} onKeyDown={(event) => event.key === 'Enter' && take()}
        />
    );
}
