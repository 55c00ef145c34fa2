import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import { Choice } from '../shared/Choice';
import { short } from '../shared/numbers';
import { Labelled, Sheet } from '../shared/Sheet';
import { TextEntry } from '../shared/TextEntry';
import { inUnits, type SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';
import { UnitsChoice } from './UnitsChoice';

export interface MachineChoice {
    id: number;
    name: string;
    definition: {
        kind: string;
        axes: Record<string, { min?: number; max?: number; xIs?: string }>;
        places?: Record<string, Record<string, number>>;
        rotaryCenters?: Record<string, unknown>;
        lowered?: SetupDocument['lowered'];
    };
}

const SCHOOLS = [
    ['', 'not specified'], ['touch-off', 'touched off from home (−)'], ['gauge-line', 'from the gauge line (+)'],
    ['master-tool', 'relative to a master tool (±)'],
] as const;

const HOLDINGS = [['', 'not specified'], ['jaws', 'jaws'], ['dovetail', 'a dovetail']] as const;

interface Props {
    setup: number;
    document: SetupDocument;
    fields: Fields;
    machines: MachineChoice[];
    machineId: number;
    onMachine: (id: number) => void;
    onDocument: (next: SetupDocument) => void;
}

/** The machine, how its tools are measured, the material, and how the part is held. */
export function HoldingSheet({ setup, document, fields, machines, machineId, onMachine, onDocument }: Props) {
    const { mayChange, change, notes } = fields;
    const machine = machines.find(({ id }) => id === machineId);
    // On a lathe the chuck says how it is held, and every tool has its offset on each axis.
    const isLathe = machine?.definition.kind === 'lathe';
    return (
        <Sheet title="Machine and holding" id="grip">
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(11rem, 1fr))', gap: 1.5, alignItems: 'start' }}>
                <Labelled label="Machine">
                    <Choice
                        label="Machine" id="machine" readOnly={!mayChange} value={String(machineId)} onChange={(id) => onMachine(Number(id))}
                        choices={machines.map(({ id, name }) => [String(id), name])}
                    />
                    <FieldNotes notes={notesOf(notes, 'machine')} />
                </Labelled>
                {!isLathe && (
                    <Labelled label="Tool lengths">
                        <Choice<string>
                            label="Tool lengths" id="lengthSchool" readOnly={!mayChange} value={document.lengthSchool ?? ''} choices={SCHOOLS}
                            onChange={(school) => change('lengthSchool', school === '' ? undefined : school)}
                        />
                        <FieldNotes notes={notesOf(notes, 'lengthSchool')} />
                    </Labelled>
                )}
                <Labelled label="Material">
                    <TextEntry
                        label="Material" id="material" readOnly={!mayChange} value={document.material ?? ''}
                        onChange={(material) => change('material', material === '' ? undefined : material)}
                    />
                    <FieldNotes notes={notesOf(notes, 'material')} />
                </Labelled>
                <Labelled label="Units of this setup">
                    <UnitsChoice setup={setup} document={document} readOnly={!mayChange} onDocument={onDocument} />
                    <FieldNotes notes={notesOf(notes, 'units')} />
                </Labelled>
                {!isLathe && <GripFields document={document} fields={fields} />}
            </Box>
            <Box sx={{ mt: 1, display: 'flex', flexWrap: 'wrap', columnGap: 2, color: 'text.secondary', fontSize: '0.875rem' }}>
                Travel, mm:
                {Object.entries(machine?.definition.axes ?? {}).map(([axis, range]) => (
                    <Box component="span" key={axis} sx={{ whiteSpace: 'nowrap' }}>
                        <b>{axis}{isLathe && axis === 'X' && range.xIs !== 'radius' && 'Ø'}</b>{' '}
                        {range.min === undefined ? 'open' : short(range.min, 3)} to {range.max === undefined ? 'open' : short(range.max, 3)}
                    </Box>
                ))}
                <Link href="/machines">Machines</Link>
            </Box>
        </Sheet>
    );
}

/** What the part is clamped in on a mill, how deep, and with what force. */
function GripFields({ document: { grip }, fields: { unit, mayChange, change, field, notes } }: { document: SetupDocument; fields: Fields }) {
    return (
        <>
            <Labelled label="Workholding">
                <Choice<string>
                    label="Workholding" readOnly={!mayChange} value={grip?.kind ?? ''} choices={HOLDINGS}
                    onChange={(kind) => change('grip', kind === '' ? undefined : { depth: inUnits(unit)(5), ...grip, kind })}
                />
                <FieldNotes notes={notesOf(notes, 'grip', true)} />
            </Labelled>
            <Labelled label={`${grip?.kind === 'dovetail' ? 'Dovetail depth' : 'Jaw engagement'}, ${unit}`}>
                {field('Jaw engagement', 'grip.depth', grip?.depth, { unit, required: grip !== undefined, readOnly: grip === undefined || !mayChange })}
            </Labelled>
            <Labelled label={`Clamping force, ${unit === 'mm' ? 'N' : 'lbf'}`}>
                {field('Clamping force', 'grip.force', grip?.force, { unit: unit === 'mm' ? 'N' : 'lbf', readOnly: grip === undefined || !mayChange })}
            </Labelled>
        </>
    );
}
