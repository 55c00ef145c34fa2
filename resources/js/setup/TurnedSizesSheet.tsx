import { Box, Button, TextField } from '@mui/material';
import type { ReactNode } from 'react';
import { Choice } from '../shared/Choice';
import { Remove, Sheet } from '../shared/Sheet';
import { DeviationField } from './DeviationField';
import { inUnits, isBar, type SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';
import { PointsEntry } from './PointsEntry';
import type { Points } from './points';
import { asBroken, asKind, figuresOf, hasSide, KINDS, type Figure, type TurnedSize } from './turnedSizes';

/** The sizes of a turned part as the drawing gives them. */
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
    const { unit, mayChange, change, field } = fields;
    const at = `target.turned.${n}`;
    const called = size.name ?? `${size.kind} ${n + 1}`;
    const figure = ({ key, label, required = false, unit: own }: Figure): ReactNode => (
        <Box key={key} sx={{ width: 84 }}>
            <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{label}</Box>
            {field(`${called} ${label}`, `${at}.${key}`, size[key], own === undefined ? { required } : { required, unit: own })}
        </Box>
    );
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'end', py: 0.75, borderTop: '1px solid var(--hair)' }}>
            <Box sx={{ width: 120 }}>
                <Choice<TurnedSize['kind']>
                    label={`Kind of size ${n + 1}`} readOnly={!mayChange} value={size.kind} choices={KINDS}
                    onChange={(kind) => change(at, asKind(size, kind, unit))}
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
            {figuresOf(size).map(figure)}
            {size.kind === 'corner' && <Corner size={size} at={at} n={n} fields={fields} />}
            {size.kind === 'profile' && (
                <PointsEntry
                    label={`Points, Z Ø R ${unit}`} path={`${at}.points`} value={size.points as Points | undefined} readOnly={!mayChange}
                    onChange={(points) => points !== undefined && change(`${at}.points`, points)}
                />
            )}
            {hasSide(size) && (
                <Box sx={{ width: 112 }}>
                    <Choice
                        label={`Side of size ${n + 1}`} readOnly={!mayChange} value={size.side ?? 'outside'}
                        choices={[['outside', 'outside'], ['bore', 'in the bore']]}
                        onChange={(side) => change(`${at}.side`, side === 'outside' ? undefined : side)}
                    />
                </Box>
            )}
            <DeviationField label="size ±" path={`${at}.tolerance`} called={called} value={size.tolerance} fields={fields} />
            {size.kind === 'groove' && (
                <DeviationField label="width ±" path={`${at}.widthTolerance`} called={called} value={size.widthTolerance} fields={fields} />
            )}
            <Remove label={`Remove ${called}`} show={mayChange} onClick={onRemove} />
        </Box>
    );
}

/** How a corner is broken, and which one it is. */
function Corner({ size, at, n, fields: { mayChange, change } }: { size: TurnedSize; at: string; n: number; fields: Fields }) {
    return (
        <>
            <Box sx={{ width: 112 }}>
                <Choice<'chamfer' | 'radius'>
                    label={`Corner of size ${n + 1}`} readOnly={!mayChange} value={size.radius === undefined ? 'chamfer' : 'radius'}
                    choices={[['chamfer', 'chamfer'], ['radius', 'rounding']]} onChange={(how) => change(at, asBroken(size, how))}
                />
            </Box>
            <Box sx={{ width: 132 }}>
                <Choice<'edge' | 'hollow'>
                    label={`Which corner, size ${n + 1}`} readOnly={!mayChange} value={size.hollow === true ? 'hollow' : 'edge'}
                    choices={[['edge', 'an edge'], ['hollow', 'inside corner']]}
                    onChange={(which) => change(`${at}.hollow`, which === 'hollow' ? true : undefined)}
                />
            </Box>
            <Box sx={{ width: 132 }}>
                <Choice<'plus' | 'minus'>
                    label={`Face of size ${n + 1} looks`} readOnly={!mayChange} value={size.towards ?? 'plus'}
                    choices={[['plus', 'face to Z+'], ['minus', 'face to Z−']]} onChange={(way) => change(`${at}.towards`, way === 'plus' ? undefined : way)}
                />
            </Box>
        </>
    );
}
