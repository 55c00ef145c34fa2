import { Box, Button, TextField } from '@mui/material';
import type { ReactNode } from 'react';
import { Choice } from '../shared/Choice';
import { Remove, Sheet } from '../shared/Sheet';
import { DeviationField } from './DeviationField';
import { inUnits, isBar, type SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';

type TurnedSize = NonNullable<NonNullable<SetupDocument['target']>['turned']>[number];

const KINDS: [TurnedSize['kind'], string][] = [['diameter', 'diameter'], ['bore', 'bore'], ['face', 'face']];

/** The sizes of a turned part as the drawing gives them: diameters and bores over a length, and where faces lie. */
export function TurnedSizesSheet({ document, fields }: { document: SetupDocument; fields: Fields }) {
    const { unit, mayChange, change, field } = fields;
    const sizes = document.target?.turned ?? [];
    const says = Object.entries(fields.errors).find(([at]) => at.startsWith('target'))?.[1];
    const put = (turned: TurnedSize[]) => change('target', turned.length === 0 ? undefined : { ...document.target, turned });
    return (
        <Sheet title="Drawing sizes" id="target" note={`Z in the work offset of the stock, ${unit}; the turned part is measured against them`}>
            {says !== undefined && <Box role="alert" sx={{ color: 'error.main', mb: 1 }}>{says}</Box>}
            <FieldNotes notes={notesOf(fields.notes, 'target', true)} />
            {sizes.length > 0 && (
                <Box sx={{ display: 'grid', gridTemplateColumns: 'auto 100px auto 100px 1fr', gap: 1, alignItems: 'center', mb: 1 }}>
                    <span>General tolerance, ±</span>{field('Tolerance', 'target.tolerance', document.target?.tolerance)}
                    <span>Edges broken to</span>{field('Edges broken to', 'target.edges', document.target?.edges)}
                </Box>
            )}
            {sizes.map((size, n) => <SizeRow key={n} size={size} n={n} fields={fields} onRemove={() => put(sizes.filter((_, each) => each !== n))} />)}
            {mayChange && <Button sx={{ mt: 1 }} onClick={() => put([...sizes, newSize(document, unit)])}>Add a size</Button>}
        </Sheet>
    );
}

/** A size to begin with: the whole of the bar, at its end. */
function newSize(document: SetupDocument, unit: string): TurnedSize {
    const diameter = isBar(document.stock) ? document.stock?.diameter : undefined;
    return { kind: 'diameter', from: inUnits(unit)(-10), to: 0, diameter: diameter ?? inUnits(unit)(20) } as TurnedSize;
}

function SizeRow({ size, n, fields, onRemove }: { size: TurnedSize; n: number; fields: Fields; onRemove: () => void }) {
    const { mayChange, change, field } = fields;
    const at = `target.turned.${n}`;
    const called = size.name ?? `${size.kind} ${n + 1}`;
    const one = (label: string, key: string, value: number | undefined, required = true, unit?: string): ReactNode => (
        <Box sx={{ width: 84 }}>
            <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{label}</Box>
            {field(`${called} ${label}`, `${at}.${key}`, value, unit === undefined ? { required } : { required, unit })}
        </Box>
    );
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'end', py: 0.75, borderTop: '1px solid var(--hair)' }}>
            <Box sx={{ width: 120 }}>
                <Choice<TurnedSize['kind']>
                    label={`Kind of size ${n + 1}`} readOnly={!mayChange} value={size.kind} choices={KINDS}
                    onChange={(kind) => change(at, kind === 'face'
                        ? { ...named(size), kind, at: size.from ?? 0, diameter: size.diameter }
                        : { ...named(size), kind, from: size.from ?? (size.at ?? 0) - 10, to: size.to ?? size.at ?? 0, diameter: size.diameter })}
                />
            </Box>
            <Box sx={{ width: 130 }}>
                <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>name</Box>
                <TextField
                    size="small" defaultValue={size.name ?? ''} placeholder={called} disabled={!mayChange}
                    slotProps={{ htmlInput: { 'aria-label': `Name of size ${n + 1}`, maxLength: 80 } }}
                    onBlur={({ target }) => target.value !== (size.name ?? '') && change(`${at}.name`, target.value === '' ? undefined : target.value)}
                />
            </Box>
            {size.kind === 'face' ? one('Z', 'at', size.at) : <>{one('from Z', 'from', size.from)}{one('to Z', 'to', size.to)}</>}
            {one(size.kind === 'face' ? 'at Ø' : 'Ø', 'diameter', size.diameter)}
            <DeviationField label="size ±" path={`${at}.tolerance`} called={called} value={size.tolerance} fields={fields} />
            {size.kind !== 'face' && one('Ra, µm', 'ra', size.ra, false, '')}
            <Remove label={`Remove ${called}`} show={mayChange} onClick={onRemove} />
        </Box>
    );
}

function named(size: TurnedSize): Partial<TurnedSize> {
    return size.name === undefined ? {} : { name: size.name };
}
