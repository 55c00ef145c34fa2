import { TextField } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { numberProblem, typedNumber } from './typed';

interface Props {
    label: string;
    /** Dotted path of the field in the setup; links from findings come here. */
    path: string;
    value: number | undefined;
    unit?: string | undefined;
    error?: string | undefined;
    required?: boolean;
    readOnly: boolean;
    onChange: (value: number | undefined) => void;
}

/** A number of the setup. It counts when the field is left or Enter is pressed, so that half a number never does. */
export function NumberField({ label, path, value, unit, error, required = false, readOnly, onChange }: Props) {
    const [text, setText] = useState(value === undefined ? '' : String(value));
    const [typing, setTyping] = useState(false);
    useEffect(() => {
        if (!typing) setText(value === undefined ? '' : String(value));
    }, [value, typing]);
    const number = typedNumber(text);
    const wrong = text.trim() !== '' ? number === null : required;
    const take = () => {
        setTyping(false);
        if (wrong) return setTyping(true);
        const next = number ?? undefined;
        if (next !== value) onChange(next);
    };
    // What was typed counts too when the page is left with the field still open.
    const open = useRef<(() => void) | null>(null);
    useEffect(() => {
        open.current = typing && !wrong ? take : null;
    });
    useEffect(() => () => open.current?.(), []);
    return (
        <TextField
            size="small" id={path} value={text} disabled={readOnly} error={wrong || error !== undefined}
            helperText={wrong ? numberProblem(text, value) : error}
            onChange={(event) => { setText(event.target.value); setTyping(true); }}
            onBlur={take} onKeyDown={(event) => event.key === 'Enter' && take()}
            slotProps={{
                htmlInput: {
                    'aria-label': unit === undefined ? label : `${label}, ${unit}`,
                    inputMode: 'text',
                    style: { textAlign: 'right', fontVariantNumeric: 'tabular-nums' },
                },
                formHelperText: { sx: { mx: 0 } },
            }}
            sx={{ width: '100%' }}
        />
    );
}
