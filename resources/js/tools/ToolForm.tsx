import { Box, Button } from '@mui/material';
import type { ReactNode } from 'react';
import { Choice } from '../shared/Choice';
import { NumberField } from '../shared/NumberField';
import { Labelled, Remove } from '../shared/Sheet';
import { fieldsFor, stepsOf, usualWords, type Definition, type FieldRow, type Step, type Usuals } from './tool';

interface Props {
    tool: Partial<Definition>;
    /** What is said before the name of each field: T3. */
    called: string;
    /** Dotted path of the tool; findings lead to its fields. */
    path: string;
    fields: FieldRow[];
    usuals: Usuals;
    unit: 'mm' | 'in';
    readOnly: boolean;
    errors: Record<string, string>;
    onChange: (field: string, value: unknown) => void;
}

/** Every field of a tool that matters for its kind, each with what is usual. */
export function ToolForm({ tool, called, path, fields, usuals, unit, readOnly, errors, onChange }: Props) {
    const speed = unit === 'mm' ? 'm/min' : 'ft/min';
    const units: Record<FieldRow['is'], string> = {
        length: unit, 'length-range': unit, angle: '°', count: '', yes: '', choice: '', rpm: 'rev/min', 'surface-speed': speed,
    };
    const number = (label: string, field: string, value: number | undefined, unitWords: string, change: (value: number | undefined) => void) => (
        <NumberField
            label={`${called} ${label}`} path={`${path}.${field}`} value={value} unit={unitWords === '' ? undefined : unitWords} readOnly={readOnly}
            error={errors[field]} onChange={change}
        />
    );
    const entry = ({ field, words, is, choices }: FieldRow): ReactNode => {
        const value = tool[field as keyof Definition];
        if (is === 'yes' || choices !== null) {
            const all: [string, string][] = is === 'yes' ? [['', 'usual for its kind'], ['true', 'yes'], ['false', 'no']]
                : [['', 'not specified'], ...Object.entries(choices ?? {})];
            return (
                <Choice
                    label={`${called} ${words.toLowerCase()}`} id={`${path}.${field}`} value={value === undefined ? '' : String(value)} choices={all}
                    readOnly={readOnly} onChange={(next) => onChange(field, next === '' ? undefined : is === 'yes' ? next === 'true' : next)}
                />
            );
        }
        if (is === 'surface-speed' || is === 'length-range') {
            const range = Array.isArray(value) ? (value as number[]) : [];
            const take = (n: 0 | 1) => (next: number | undefined) =>
                onChange(field, next === undefined ? undefined : n === 0 ? [next, range[1] ?? next] : [range[0] ?? next, next]);
            return (
                <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.5 }}>
                    {number(`${words}, least`, `${field}.0`, range[0], units[is], take(0))}
                    {number(`${words}, greatest`, `${field}.1`, range[1], units[is], take(1))}
                </Box>
            );
        }
        return number(words.toLowerCase(), field, typeof value === 'number' ? value : undefined, units[is], (next) => onChange(field, next));
    };
    const usual = usuals[tool.kind ?? 'end-mill'] ?? {};
    return (
        <Box sx={{ display: 'grid', gap: 1.5 }}>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(9rem, 1fr))', gap: 1, alignItems: 'start' }}>
                {fieldsFor(fields, tool).map((row) => (
                    <Box key={row.field}>
                        <Labelled label={row.words + (units[row.is] === '' ? '' : `, ${units[row.is]}`)}>{entry(row)}</Labelled>
                        <Box sx={{ fontSize: '0.75rem', color: 'text.secondary', minHeight: '1.1em' }}>
                            {tool[row.field as keyof Definition] === undefined && usualWords(usual[row.field], tool.diameter)}
                        </Box>
                    </Box>
                ))}
            </Box>
            <HolderSteps steps={stepsOf(tool.holder)} called={called} path={path} unit={unit} readOnly={readOnly} error={errors.holder} onChange={onChange} />
        </Box>
    );
}

interface StepsProps extends Pick<Props, 'called' | 'path' | 'unit' | 'readOnly' | 'onChange'> {
    steps: Step[];
    error: string | undefined;
}

/** The holder from the tool's end on, step by step. */
function HolderSteps({ steps, called, path, unit, readOnly, error, onChange }: StepsProps) {
    const take = (next: Step[]) => onChange('holder', next.length === 0 ? undefined : next);
    const change = (n: number, key: keyof Step, value: number | undefined) =>
        take(steps.map((step, i) => (i !== n ? step : key === 'diameter' ? { ...step, diameter: value ?? step.diameter } : lengthOf(step, value))));
    return (
        <Box id={`${path}.holder`} tabIndex={-1}>
            {error !== undefined && <Box role="alert" sx={{ color: 'error.main' }}>{error}</Box>}
            {steps.length > 0 && (
                <Box sx={{ display: 'grid', gridTemplateColumns: '5rem repeat(2, 7rem) 2.5rem', gap: 0.75, alignItems: 'center' }}>
                    {['Holder', `Ø, ${unit}`, `Length, ${unit}`, ''].map((head) => (
                        <Box key={head} sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{head}</Box>
                    ))}
                    {steps.flatMap((step, n) => [
                        <Box key={`${n}s`}>{n === 0 ? 'at the tool' : `step ${n + 1}`}</Box>,
                        <NumberField
                            key={`${n}d`} label={`${called} holder diameter ${n + 1}`} path={`${path}.holder.${n}.diameter`} unit={unit} value={step.diameter}
                            required readOnly={readOnly} onChange={(value) => change(n, 'diameter', value)}
                        />,
                        <NumberField
                            key={`${n}l`} label={`${called} holder length ${n + 1}`} path={`${path}.holder.${n}.length`} unit={unit} value={step.length}
                            readOnly={readOnly} onChange={(value) => change(n, 'length', value)}
                        />,
                        <Remove
                            key={`${n}x`}
                            label={`Remove holder step ${n + 1} of ${called}`}
                            show={!readOnly}
                            onClick={() => take(steps.filter((_, i) => i !== n))}
                        />,
                    ])}
                </Box>
            )}
            {!readOnly && (
                <Button sx={{ mt: 0.5 }} onClick={() => take([...steps, { diameter: unit === 'mm' ? 40 : 1.5, length: unit === 'mm' ? 40 : 1.5 }])}>
                    {steps.length === 0 ? 'Add a holder' : 'Add a holder step'}
                </Button>
            )}
        </Box>
    );
}

function lengthOf(step: Step, length: number | undefined): Step {
    return length === undefined ? { diameter: step.diameter } : { diameter: step.diameter, length };
}
