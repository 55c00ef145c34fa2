import { Box, Button, Checkbox, FormControlLabel, MenuItem, Select, TextField } from '@mui/material';
import { useState, type ReactNode } from 'react';
import type { Feature } from '../contracts/oak-setup-1';
import { inUnits, type SetupDocument } from './document';
import { solidOf } from './files';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';
import { DeviationField } from './DeviationField';
import { FromFile, Remove, Sheet } from '../shared/Sheet';

/** A feature to begin with, in round figures of the setup's units. */
function newFeature(kind: Feature['kind'], unit: string): Feature {
    const size = inUnits(unit);
    return {
        hole: { kind: 'hole', at: [0, 0], diameter: size(10), through: true },
        pocket: { kind: 'pocket', at: [0, 0], length: size(30), width: size(20), corner: size(5), depth: size(5) },
        slot: { kind: 'slot', from: [size(-10), 0], to: [size(10), 0], width: size(8), depth: size(5) },
        boss: { kind: 'boss', at: [0, 0], diameter: size(20), height: size(5) },
    }[kind] as Feature;
}

const KINDS: Feature['kind'][] = ['hole', 'pocket', 'slot', 'boss'];

/** What the setup is to make of its stock: a plate with features, each with its sizes and tolerances, or a solid from a file. */
export function WantedSheet({ document, fields }: { document: SetupDocument; fields: Fields }) {
    const { unit, mayChange, change, field } = fields;
    const { target } = document;
    const [problem, setProblem] = useState<string | null>(null);
    const solid = async (file: File) => {
        const solid = await solidOf(file);
        setProblem(typeof solid === 'string' ? solid : null);
        if (typeof solid !== 'string') change('target', { ...(target?.tolerance === undefined ? {} : { tolerance: target.tolerance }), ...solid });
    };
    const says = problem ?? fields.errors['target.stl'] ?? Object.entries(fields.errors).find(([at]) => at.startsWith('target.'))?.[1];
    return (
        <Sheet title="Drawing sizes" id="target" note={`in ${unit}; the cut stock is compared with them`}>
            {says !== undefined && <Box role="alert" sx={{ color: 'error.main', mb: 1 }}>{says}</Box>}
            <FieldNotes notes={notesOf(fields.notes, 'target', true)} />
            {target !== undefined && (
                <Box sx={{ display: 'grid', gridTemplateColumns: 'auto 100px auto 100px auto 100px minmax(0, 1fr)', gap: 1, alignItems: 'center', mb: 1 }}>
                    {target.stl === undefined
                        ? <><span>Face of the plate, Z</span>{field('Face of the plate', 'target.top', target.top)}</>
                        : <><Box sx={{ gridColumn: 'span 2' }}>{target.name ?? 'A solid'}, in the coordinates of the stock</Box></>}
                    <span>General tolerance, ±</span>{field('Tolerance', 'target.tolerance', target.tolerance)}
                    {target.stl === undefined ? (
                        <>
                            <span>Edges broken to</span>
                            {field('Edges broken to', 'target.edges', target.edges)}
                        </>
                    ) : (
                        <Box sx={{ gridColumn: 'span 2' }} />
                    )}
                    <Box sx={{ textAlign: 'right' }}>{mayChange && <Button onClick={() => change('target', undefined)}>Remove all</Button>}</Box>
                </Box>
            )}
            {target !== undefined && target.stl === undefined && (
                <FormControlLabel
                    label="The drawing is complete: nothing else may be cut"
                    control={<Checkbox
                        size="small"
                        checked={target.whole === true}
                        disabled={!mayChange}
                        onChange={(event) => change('target.whole', event.target.checked ? true : undefined)}
                    />}
                />
            )}
            {target !== undefined && target.stl === undefined && <PlateOutline outline={target.outline} fields={fields} />}
            {(target?.features ?? []).map((feature, n) => <FeatureRow key={n} feature={feature} n={n} fields={fields} />)}
            {mayChange && (
                <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mt: 1 }}>
                    {target?.stl === undefined && KINDS.map((kind) => (
                        <Button key={kind} onClick={() => change('target', { ...target, features: [...(target?.features ?? []), newFeature(kind, unit)] })}>
                            Add a {kind}
                        </Button>
                    ))}
                    <FromFile label="Solid (STL)" accept=".stl,model/stl" onFile={(file) => void solid(file)} />
                </Box>
            )}
        </Sheet>
    );
}

/** What of the stock is the plate: outside of it nothing is wanted. */
function PlateOutline({ outline, fields }: { outline: NonNullable<SetupDocument['target']>['outline']; fields: Fields }) {
    const shape = outline === undefined ? 'stock' : outline.diameter === undefined ? 'sides' : 'round';
    const choose = (next: string) =>
        fields.change(
            'target.outline',
            {
                stock: undefined,
                round: { at: [0, 0], diameter: inUnits(fields.unit)(50) },
                sides: { at: [0, 0], length: inUnits(fields.unit)(80), width: inUnits(fields.unit)(50) },
            }[next],
        );
    const one = (label: string, key: string, value: number | undefined, required = true): ReactNode => (
        <Box key={key} sx={{ width: 84 }}>
            <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{label}</Box>
            {fields.field(`Plate ${label}`, `target.outline.${key}`, value, { required })}
        </Box>
    );
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'end', pb: 0.75 }}>
            <Select
                size="small"
                value={shape}
                disabled={!fields.mayChange}
                inputProps={{ 'aria-label': 'Outline of the plate' }}
                onChange={(event) => choose(event.target.value)}
                sx={{ width: 240 }}
            >
                <MenuItem value="stock">plate: the whole stock</MenuItem>
                <MenuItem value="round">plate: round</MenuItem>
                <MenuItem value="sides">plate: four sides</MenuItem>
            </Select>
            {outline !== undefined && [one('X', 'at.0', outline.at[0]), one('Y', 'at.1', outline.at[1])]}
            {outline?.diameter !== undefined && one('Ø', 'diameter', outline.diameter)}
            {outline !== undefined &&
                outline.diameter === undefined && [
                    one('length', 'length', outline.length),
                    one('width', 'width', outline.width),
                    one('corner R', 'corner', outline.corner, false),
                    one('angle', 'angle', outline.angle, false),
                ]}
        </Box>
    );
}

function FeatureRow({ feature, n, fields }: { feature: Feature; n: number; fields: Fields }) {
    const { mayChange, change, field, errors } = fields;
    const at = `target.features.${n}`;
    const called = feature.name ?? `${feature.kind} ${n + 1}`;
    const one = (label: string, key: string, value: number | undefined, required = true): ReactNode => (
        <Box key={key} sx={{ width: 84 }}>
            <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{label}</Box>
            {field(`${called} ${label}`, `${at}.${key}`, value, { required })}
        </Box>
    );
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'end', py: 0.75, borderTop: '1px solid var(--hair)' }}>
            <Box sx={{ width: 150 }}>
                <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{feature.kind}</Box>
                <TextField
                    size="small"
                    defaultValue={feature.name ?? ''}
                    placeholder={called}
                    disabled={!mayChange}
                    slotProps={{ htmlInput: { 'aria-label': `Name of feature ${n + 1}`, maxLength: 80 } }}
                    onBlur={(event) =>
                        event.target.value !== (feature.name ?? '') && change(`${at}.name`, event.target.value === '' ? undefined : event.target.value)
                    }
                />
            </Box>
            {feature.kind === 'slot'
                ? [
                    one('from X', 'from.0', feature.from?.[0]),
                    one('from Y', 'from.1', feature.from?.[1]),
                    one('to X', 'to.0', feature.to?.[0]),
                    one('to Y', 'to.1', feature.to?.[1]),
                    one('width', 'width', feature.width),
                ]
                : [one('X', 'at.0', feature.at?.[0]), one('Y', 'at.1', feature.at?.[1])]}
            {(feature.kind === 'hole' || (feature.kind === 'boss' && feature.diameter !== undefined)) && one('Ø', 'diameter', feature.diameter)}
            {(feature.kind === 'pocket' || (feature.kind === 'boss' && feature.diameter === undefined)) && [
                one('length', 'length', feature.length),
                one('width', 'width', feature.width),
                one('corner R', 'corner', feature.corner, false),
                one('angle', 'angle', feature.angle, false),
            ]}
            <DeviationField label="size ±" path={`${at}.tolerance`} called={called} value={feature.tolerance} fields={fields} />
            {feature.kind === 'boss'
                ? one('height', 'height', feature.height)
                : (
                    <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'end' }}>
                        <Select
                            size="small"
                            value={feature.through === true ? 'through' : 'deep'}
                            disabled={!mayChange}
                            inputProps={{ 'aria-label': `${called} goes through` }}
                            onChange={(event) =>
                                change(
                                    at,
                                    event.target.value === 'through'
                                        ? { ...without(feature, 'depth'), through: true }
                                        : { ...without(feature, 'through'), depth: inUnits(fields.unit)(5) },
                                )
                            }
                        >
                            <MenuItem value="through">through</MenuItem><MenuItem value="deep">deep</MenuItem>
                        </Select>
                        {feature.through !== true && one('depth', 'depth', feature.depth)}
                    </Box>
                )}
            {feature.through !== true && (
                <DeviationField
                    label={feature.kind === 'boss' ? 'height ±' : 'depth ±'}
                    path={`${at}.depthTolerance`}
                    called={called}
                    value={feature.depthTolerance}
                    fields={fields}
                />
            )}
            {feature.kind === 'hole' && feature.through !== true && (
                <Box>
                    <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>below it</Box>
                    <Select
                        size="small"
                        value={feature.floor ?? 'cone'}
                        disabled={!mayChange}
                        inputProps={{ 'aria-label': `${called} below its depth` }}
                        onChange={(event) => change(`${at}.floor`, event.target.value === 'cone' ? undefined : event.target.value)}
                    >
                        <MenuItem value="cone">drill point</MenuItem><MenuItem value="flat">flat floor</MenuItem><MenuItem value="open">anything</MenuItem>
                    </Select>
                </Box>
            )}
            {one('chamfer', 'chamfer', feature.chamfer, false)}
            {one('position', 'placeTolerance', feature.placeTolerance, false)}
            <Remove label={`Remove ${called}`} show={mayChange} onClick={() => change(at, undefined)} />
            {errors[`${at}.depth`] !== undefined && <Box role="alert" sx={{ color: 'error.main' }}>{errors[`${at}.depth`]}</Box>}
        </Box>
    );
}

function without(feature: Feature, key: 'depth' | 'through'): Feature {
    return Object.fromEntries(Object.entries(feature).filter(([name]) => name !== key)) as unknown as Feature;
}
