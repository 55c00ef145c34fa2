import { Box } from '@mui/material';
import { Choice } from '../shared/Choice';
import { Labelled, Sheet } from '../shared/Sheet';
import type { SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';

type Chuck = NonNullable<SetupDocument['chuck']>;

const KINDS: [string, string][] = [
    ['', 'not specified'], ['jaws', 'jaws'], ['collet', 'a collet'], ['faceplate', 'a faceplate'], ['between-centres', 'centres'],
];

/** Lengths of the chuck and what each is called; Z as the program counts it. */
const LENGTHS: [keyof Chuck & string, string][] = [
    ['jawFaceZ', 'Jaw face Z'], ['jawOuter', 'Ø over the jaws'], ['jawInner', 'Ø gripped'], ['faceZ', 'Body face Z'], ['bodyDiameter', 'Body Ø'],
];

/** What holds the part on a lathe. */
export function ChuckSheet({ document, fields }: { document: SetupDocument; fields: Fields }) {
    const { unit, mayChange, change, field, notes } = fields;
    const chuck = document.chuck;
    const readOnly = chuck === undefined || !mayChange;
    return (
        <Sheet title="Chuck" id="chuck" note={`Z in the work offset of the stock, ${unit}`}>
            <FieldNotes notes={notesOf(notes, 'chuck', true)} />
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(9rem, 1fr))', gap: 1.5, alignItems: 'start' }}>
                <Labelled label="Held by">
                    <Choice<string>
                        label="Held by" readOnly={!mayChange} value={chuck?.kind ?? ''} choices={KINDS}
                        onChange={(kind) => change('chuck', kind === '' ? undefined : { ...chuck, kind })}
                    />
                </Labelled>
                <Labelled label="Max RPM">{field('Max RPM of the chuck', 'chuck.maxRpm', chuck?.maxRpm, { unit: '', readOnly })}</Labelled>
                {LENGTHS.map(([name, label]) => (
                    <Labelled key={name} label={`${label}, ${unit}`}>
                        {field(label, `chuck.${name}`, chuck?.[name] as number | undefined, { unit, readOnly })}
                    </Labelled>
                ))}
                {chuck?.kind === 'jaws' && (
                    <>
                        <Labelled label="Number of jaws">{field('Number of jaws', 'chuck.jaws', chuck.jaws, { unit: '', readOnly })}</Labelled>
                        <Labelled label="A jaw weighs, kg">{field('A jaw weighs', 'chuck.jawMass', chuck.jawMass, { unit: 'kg', readOnly })}</Labelled>
                        <Labelled label={`Its middle from the axis, ${unit}`}>
                            {field('Its middle from the axis', 'chuck.jawCentreRadius', chuck.jawCentreRadius, { unit, readOnly })}
                        </Labelled>
                    </>
                )}
                {chuck !== undefined && (
                    <Labelled label={`Grip force at rest, ${unit === 'mm' ? 'N' : 'lbf'}`}>
                        {field('Grip force at rest', 'chuck.gripForce', chuck.gripForce, { unit: unit === 'mm' ? 'N' : 'lbf', readOnly })}
                    </Labelled>
                )}
            </Box>
        </Sheet>
    );
}
