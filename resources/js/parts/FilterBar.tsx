import { Box, Checkbox, FormControlLabel, MenuItem, TextField } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { Filter, Order, Standing } from './list';

const STANDINGS: Record<Standing, string> = {
    any: 'any verdict', ready: 'ready to run', stop: 'stop', caution: 'caution', clear: 'clear', unchecked: 'not checked yet',
};
const ORDERS: Record<Order, string> = { opened: 'last opened', name: 'name', drawing: 'drawing number', changed: 'last changed' };

interface Props {
    filter: Filter;
    machines: { id: number; name: string }[];
    onChange: (changed: Partial<Filter>) => void;
}

/** What is shown of the parts, and in which order. */
export function FilterBar({ filter, machines, onChange }: Props) {
    const search = useRef<HTMLInputElement>(null);
    useEffect(() => {
        // As everywhere: a slash goes to the search.
        const key = (event: KeyboardEvent) => {
            if (event.key !== '/' || (event.target instanceof Element && event.target.closest('input, textarea, [role=dialog]'))) return;
            event.preventDefault();
            search.current?.focus();
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, []);
    const choice = <Value extends string | number>(label: string, value: Value, choices: [Value, string][], take: (value: Value) => void) => (
        <TextField
            select label={label} size="small" value={value} sx={{ minWidth: '9rem' }}
            onChange={(event) => take(choices.find(([one]) => String(one) === String(event.target.value))?.[0] ?? value)}
        >
            {choices.map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
        </TextField>
    );
    const box = (label: string, checked: boolean, take: (checked: boolean) => void) => (
        <FormControlLabel
            label={label} sx={{ m: 0, whiteSpace: 'nowrap' }}
            control={<Checkbox size="small" checked={checked} onChange={(event) => take(event.target.checked)} sx={{ py: 0.25 }} />}
        />
    );
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
            <TextField
                inputRef={search} size="small" label="Find (/)" value={filter.text} sx={{ width: '15rem' }}
                onChange={(event) => onChange({ text: event.target.value })}
                onKeyDown={(event) => event.key === 'Escape' && onChange({ text: '' })}
            />
            {choice<Standing>('Verdict', filter.standing, Object.entries(STANDINGS) as [Standing, string][], (standing) => onChange({ standing }))}
            {choice<number>('Machine', filter.machine, [[0, 'any machine'], ...machines.map(({ id, name }): [number, string] => [id, name])],
                (machine) => onChange({ machine }))}
            {choice<Order>('Sort by', filter.order, Object.entries(ORDERS) as [Order, string][], (order) => onChange({ order }))}
            {box('saved by me', filter.mine, (mine) => onChange({ mine }))}
            {box('archived', filter.archived, (archived) => onChange({ archived }))}
        </Box>
    );
}
