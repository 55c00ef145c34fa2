import { Box, Button, Checkbox, FormControlLabel } from '@mui/material';
import type { ReactNode } from 'react';
import { Labelled, Sheet } from '../shared/Sheet';
import type { SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';

type Tailstock = NonNullable<SetupDocument['tailstock']>;
type Steady = NonNullable<SetupDocument['steady']>;
type Second = NonNullable<SetupDocument['secondSpindle']>;

const TAILSTOCK: [keyof Tailstock & string, string][] = [
    ['mouth', 'Centre hole Ø'], ['quillDiameter', 'Quill Ø'], ['quillReach', 'Face to body'], ['bodyDiameter', 'Body Ø'], ['faceZ', 'Face Z'],
];
const STEADY: [keyof Steady & string, string][] = [['z', 'Steady Z'], ['width', 'Width'], ['diameter', 'Ø over the ring']];
const SECOND: [keyof Second & string, string][] = [
    ['jawFaceZ', 'Jaw face Z'], ['jawOuter', 'Jaws turn in Ø'], ['faceZ', 'Chuck face Z'], ['bodyDiameter', 'Chuck Ø'], ['gripDiameter', 'Grips Ø'],
];
const STEADY_AT: Steady = { z: -50, width: 20, diameter: 100 };

function Group({ name, children }: { name: string; children: ReactNode }) {
    return (
        <Box role="group" aria-label={name} sx={{ mb: 1.5 }}>
            <Box sx={{ fontWeight: 600, fontSize: '0.875rem', mb: 0.5 }}>{name}</Box>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(9rem, 1fr))', gap: 1.5, alignItems: 'start' }}>{children}</Box>
        </Box>
    );
}

/** What holds the free end of a long part, or takes the part. */
export function SupportSheet({ document, fields }: { document: SetupDocument; fields: Fields }) {
    const { tailstock, steady, secondSpindle } = document;
    const { unit, mayChange, change, field, notes } = fields;
    const row = <Of extends object>(group: string, of: Of, names: [keyof Of & string, string][], required: boolean) =>
        names.map(([name, label]) => (
            <Labelled key={name} label={`${label}, ${unit}`}>
                {field(label, `${group}.${name}`, of[name] as number | undefined, { unit, required, readOnly: !mayChange })}
            </Labelled>
        ));
    const toggle = (group: 'tailstock' | 'steady' | 'secondSpindle', label: string, given: object) => (
        <Button
            id={group === 'tailstock' ? undefined : group} size="small" variant="outlined" disabled={!mayChange}
            onClick={() => change(group, document[group] === undefined ? given : undefined)}
        >
            {document[group] === undefined ? `Add a ${label}` : `Remove the ${label}`}
        </Button>
    );
    return (
        <Sheet title="Tailstock, steady, second spindle" id="tailstock" note={`Z in the work offset of the stock, ${unit}`}>
            <FieldNotes notes={[...notesOf(notes, 'tailstock', true), ...notesOf(notes, 'steady', true), ...notesOf(notes, 'secondSpindle', true)]} />
            {tailstock !== undefined && (
                <Group name="Tailstock">
                    {row('tailstock', tailstock, TAILSTOCK, false)}
                    <FormControlLabel
                        label="Retracted" disabled={!mayChange} sx={{ alignSelf: 'end' }}
                        control={<Checkbox checked={tailstock.retracted === true} onChange={(_, is) => change('tailstock.retracted', is ? true : undefined)} />}
                    />
                </Group>
            )}
            {steady !== undefined && <Group name="Steady">{row('steady', steady, STEADY, true)}</Group>}
            {secondSpindle !== undefined && (
                <Group name="Second spindle, where it takes the part">
                    {row('secondSpindle', secondSpindle, SECOND, false)}
                    <Labelled label="Chuck closes in, s">
                        {field('Second chuck closes in', 'secondSpindle.closeSeconds', secondSpindle.closeSeconds, { unit: 's', readOnly: !mayChange })}
                    </Labelled>
                    <FormControlLabel
                        label="There from the start" disabled={!mayChange} sx={{ alignSelf: 'end' }}
                        control={
                            <Checkbox
                                checked={secondSpindle.forward === true} onChange={(_, is) => change('secondSpindle.forward', is ? true : undefined)}
                            />
                        }
                    />
                </Group>
            )}
            <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
                {toggle('tailstock', 'tailstock', { pointAngle: 60 })}
                {toggle('secondSpindle', 'second spindle', {})}
                {toggle('steady', 'steady', unit === 'mm' ? STEADY_AT : { z: -2, width: 0.75, diameter: 4 })}
            </Box>
        </Sheet>
    );
}
