import { Box } from '@mui/material';
import { useEffect, useState } from 'react';
import { typedNumber } from '../../../shared/typed';
import { short } from '../../../shared/numbers';

/** One coordinate of a place in plan, typed. It counts when the field is left or Enter is pressed. */
export function PlanField({ label, axis, value, onChange }: { label: string; axis: string; value: number | undefined; onChange: (value: number) => void }) {
    const shown = value === undefined ? '' : short(value, 3);
    const [text, setText] = useState(shown);
    useEffect(() => setText(shown), [shown]);
    const take = () => {
        const number = typedNumber(text);
        if (number !== null && text !== shown) onChange(number);
    };
    return (
        <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.25, fontSize: '0.875rem' }}>
            {axis}
            <Box
                component="input" aria-label={label} value={text} onChange={(event) => setText(event.target.value)} onBlur={take} onKeyDown={(event) => {
                    event.stopPropagation();
                    if (event.key === 'Enter') take();
                }}
                sx={{
                    width: 62,
                    font: 'inherit',
                    fontVariantNumeric: 'tabular-nums',
                    textAlign: 'right',
                    border: '1px solid var(--hair)',
                    background: 'var(--sheet)',
                    color: 'var(--ink)',
                    px: 0.5,
                    py: 0.25,
                }}
            />
        </Box>
    );
}
