import { MenuItem, Select } from '@mui/material';

interface Props<Value extends string> {
    label: string;
    value: Value;
    choices: readonly (readonly [Value, string])[];
    readOnly: boolean;
    /** Links from findings come here. */
    id?: string;
    onChange: (value: Value) => void;
}

/** One of a few, in a field. */
export function Choice<Value extends string>({ label, value, choices, readOnly, id, onChange }: Props<Value>) {
    return (
        <Select<string>
            size="small" displayEmpty value={value} disabled={readOnly} inputProps={{ 'aria-label': label }} sx={{ width: '100%' }}
            SelectDisplayProps={id === undefined ? {} : { id }} onChange={(event) => onChange(event.target.value as Value)}
        >
            {choices.map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
        </Select>
    );
}
