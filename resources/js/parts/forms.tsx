import { router } from '@inertiajs/react';
import { Box, Button, Dialog } from '@mui/material';
import { AskForm, type AskField } from '../frame/AskForm';
import { nextOperation, type PartRow, type ProgramRow, type SetupRow } from './list';
import { NewProgram } from './NewProgram';
import { NewSheet } from './NewSheet';

/** The dialog that is open, and what it is about. */
export type Asked =
    | { what: 'new-part' }
    | { what: 'edit-part'; part: PartRow }
    | { what: 'new-setup'; part: PartRow }
    | { what: 'edit-setup'; part: PartRow; setup: SetupRow }
    | { what: 'copy-setup'; part: PartRow; setup: SetupRow }
    | { what: 'new-program'; setup: SetupRow }
    | { what: 'new-sheet'; setup: SetupRow }
    | { what: 'edit-program'; setup: SetupRow; program: ProgramRow }
    | { what: 'copy-program'; setup: SetupRow; program: ProgramRow };

interface Props {
    asked: Asked;
    parts: PartRow[];
    machines: { id: number; name: string }[];
    onAsk: (asked: Asked | null) => void;
}

const partFields = (part?: PartRow): AskField[] => [
    { name: 'name', label: 'Name', value: part?.name ?? '' },
    { name: 'drawing_number', label: 'Drawing number', value: part?.drawingNumber ?? '' },
    { name: 'material', label: 'Material', value: part?.material ?? '', help: 'Brass, aluminium, steel… decides how loads are reckoned.' },
    {
        name: 'units', label: 'Drawn in', value: part?.units ?? 'mm',
        choices: [{ value: 'mm', label: 'millimetres' }, { value: 'inch', label: 'inches' }],
    },
];

/** What is asked of somebody who begins, renames, moves or copies something. */
export function Forms({ asked, parts, machines, onAsk }: Props) {
    const close = () => onAsk(null);
    const again = () => {
        close();
        router.reload();
    };
    const open = (path: string) => router.visit(path);
    const partChoice = (value: number): AskField => ({
        name: 'part', label: 'Part', value, choices: parts.map(({ id, name, drawingNumber }) => ({ value: id, label: `${name} ${drawingNumber}` })),
    });
    const setupChoice = (value: number): AskField => ({
        name: 'setup', label: 'Setup', value,
        choices: parts.flatMap((part) => part.setups.map((setup) => ({ value: setup.id, label: `${part.name}, op ${setup.operation} ${setup.name}` }))),
    });
    switch (asked.what) {
        case 'new-part':
            return (
                <AskForm<{ id: number }>
                    title="New part" submit="Create" method="POST" url="/parts" fields={partFields()} onClose={close}
                    onDone={({ id }) => router.reload({
                        // A part is nothing without a setup, so that is asked next.
                        onSuccess: ({ props }) => {
                            const part = (props as unknown as { parts: PartRow[] }).parts.find((one) => one.id === id);
                            onAsk(part === undefined ? null : { what: 'new-setup', part });
                        },
                    })}
                />
            );
        case 'edit-part':
            return (
                <AskForm
                    title="Edit part" submit="Save" method="PUT" url={`/parts/${asked.part.id}`} fields={partFields(asked.part)} onClose={close} onDone={again}
                />
            );
        case 'new-setup':
            return machines.length === 0 ? <NoMachine onClose={close} /> : (
                <AskForm<{ id: number }>
                    title={`New setup of ${asked.part.name}`} submit="Create" method="POST" url={`/parts/${asked.part.id}/new-setup`}
                    fields={[
                        { name: 'operation', label: 'Operation', value: nextOperation(asked.part), whole: true },
                        { name: 'name', label: 'Name', value: '', help: 'How it is held: Vice on parallels, Soft jaws, Fixture plate…' },
                        {
                            name: 'machine', label: 'Machine', value: machines[0]?.id ?? '',
                            choices: machines.map(({ id, name }) => ({ value: id, label: name })),
                        },
                    ]}
                    onClose={close} onDone={({ id }) => open(`/setups/${id}`)}
                />
            );
        case 'edit-setup':
            return (
                <AskForm
                    title="Rename, renumber or move the setup" submit="Save" method="PUT" url={`/setups/${asked.setup.id}/record`}
                    fields={[
                        { name: 'operation', label: 'Operation', value: asked.setup.operation, whole: true },
                        { name: 'name', label: 'Name', value: asked.setup.name }, partChoice(asked.part.id),
                    ]}
                    onClose={close} onDone={again}
                />
            );
        case 'copy-setup':
            return (
                <AskForm<{ id: number }>
                    title={`Copy ${asked.setup.name}`} submit="Copy" method="POST" url={`/setups/${asked.setup.id}/copy`} fields={[partChoice(asked.part.id)]}
                    onClose={close} onDone={({ id }) => open(`/setups/${id}`)}
                >
                    <Box sx={{ color: 'text.secondary' }}>
                        Its programs come along. Its offsets do too, and each is a stop until it is touched off anew.
                    </Box>
                </AskForm>
            );
        case 'new-program':
            return <NewProgram setup={asked.setup.id} title={`New program for op ${asked.setup.operation} ${asked.setup.name}`} onClose={close} />;
        case 'new-sheet':
            return <NewSheet setup={asked.setup.id} title={`New operation sheet for op ${asked.setup.operation} ${asked.setup.name}`} onClose={close} />;
        case 'edit-program':
            return (
                <AskForm
                    title="Rename or move the program" submit="Save" method="PUT" url={`/programs/${asked.program.id}`}
                    fields={[{ name: 'name', label: 'Name', value: asked.program.name }, setupChoice(asked.setup.id)]} onClose={close} onDone={again}
                />
            );
        case 'copy-program':
            return (
                <AskForm<{ id: number }>
                    title={`Copy ${asked.program.name}`} submit="Copy" method="POST" url={`/programs/${asked.program.id}/copy`}
                    fields={[setupChoice(asked.setup.id)]} onClose={close} onDone={({ id }) => open(`/programs/${id}`)}
                />
            );
    }
}

function NoMachine({ onClose }: { onClose: () => void }) {
    return (
        <Dialog open onClose={onClose} aria-labelledby="no-machine">
            <Box sx={{ p: 2.5, width: '26rem', maxWidth: '100%', display: 'grid', gap: 1.5 }}>
                <Box component="h2" id="no-machine" sx={{ m: 0, fontSize: '1.125rem' }}>No machine yet</Box>
                <Box>A setup is a clamping on a machine. Make the machine first.</Box>
                <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                    <Button onClick={onClose}>Cancel</Button>
                    <Button variant="contained" autoFocus onClick={() => router.visit('/machines?new=1')}>New machine</Button>
                </Box>
            </Box>
        </Dialog>
    );
}
