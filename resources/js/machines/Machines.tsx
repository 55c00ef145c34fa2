import { router } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useCallback, useState } from 'react';
import type { Machine } from '../contracts/oak-setup-1';
import { AskForm } from '../frame/AskForm';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { UndoBar, remove, type Done } from '../frame/UndoBar';
import { ChoiceRail } from '../shared/ChoiceRail';
import { Entry } from '../shared/Entry';
import { ServerError, send } from '../shared/server';
import type { MachineRow, ProfileChoice } from './machine';
import { MachineSheet } from './MachineSheet';

interface Props {
    machines: MachineRow[];
    profiles: ProfileChoice[];
    units: 'mm' | 'inch';
}

interface Draft {
    id: number;
    machine: Machine;
    profile: number;
}

const program = (count: number) => (count === 1 ? '1 program' : `${count} programs`);
const setup = (count: number) => (count === 1 ? '1 setup' : `${count} setups`);

/** The shop's machines: made, copied, changed; a change is saved as a whole, and checks every setup on the machine again. */
export default function Machines({ machines, profiles, units }: Props) {
    const person = usePerson();
    const [chosen, setChosen] = useState(machines[0]?.id ?? 0);
    const [draft, setDraft] = useState<Draft | null>(null);
    const [asked, setAsked] = useState<'new' | 'copy' | null>(() =>
        new URLSearchParams(window.location.search).has('new') && person.mayChange ? 'new' : null,
    );
    const [refusal, setRefusal] = useState<ServerError | null>(null);
    const [done, setDone] = useState<Done | null>(null);
    const gone = useCallback(() => setDone(null), []);
    const row = machines.find(({ id }) => id === chosen) ?? machines[0];
    const now = draft !== null && draft.id === row?.id ? draft : row === undefined ? null : { id: row.id, machine: row.definition, profile: row.profile };
    const isChanged = draft !== null && draft.id === row?.id;
    const fail = (error: unknown) => setRefusal(error instanceof ServerError ? error : new ServerError('The machine was not saved.', 0, {}));
    const save = async () => {
        if (draft === null) return;
        setRefusal(null);
        try {
            const { rechecked } = await send<{ rechecked: number }>('PUT', `/machines/${draft.id}`, {
                units,
                profile: draft.profile,
                definition: draft.machine,
            });
            setDraft(null);
            setDone({ words: `${draft.machine.name} saved. ${rechecked === 0 ? 'No program runs on it yet.' : `${program(rechecked)} checked again.`}` });
            router.reload();
        } catch (error) {
            fail(error);
        }
    };
    const drop = async (machine: MachineRow) => {
        setRefusal(null);
        try {
            setDone(await remove('machine', machine.id, machine.name));
            setDraft(null);
            router.reload();
        } catch (error) {
            fail(error);
        }
    };
    return (
        <Frame title="Machines" where={<Box sx={{ color: 'text.secondary' }}>Travel, rapids, spindle and control of each</Box>}>
            <Box
                sx={{
                    height: '100%', display: 'grid', gridTemplateColumns: { xs: '9.5rem minmax(0, 1fr)', md: 'minmax(12rem, 16rem) minmax(0, 1fr)' },
                    gridTemplateRows: 'minmax(0, 1fr)',
                }}
            >
                <ChoiceRail label="Machines">
                    <Box component="h1" className="hidden-label">Machines</Box>
                    {machines.map((machine) => (
                        <Entry
                            key={machine.id} title={machine.name} chosen={machine.id === row?.id}
                            note={`${Object.keys(machine.definition.axes).join(' ')}, ${setup(machine.setups.length)}`} onChoose={() => setChosen(machine.id)}
                        />
                    ))}
                    {machines.length === 0 && <Box>No machine yet.</Box>}
                    {person.mayChange && (
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, pt: 1.5 }}>
                            <Button variant={machines.length === 0 ? 'contained' : 'outlined'} onClick={() => setAsked('new')}>New machine</Button>
                            {row !== undefined && <Button onClick={() => setAsked('copy')}>Copy</Button>}
                            {row !== undefined && <Button onClick={() => void drop(row)}>Delete</Button>}
                        </Box>
                    )}
                </ChoiceRail>
                <Box sx={{ display: 'grid', gridTemplateRows: 'minmax(0, 1fr) auto', minHeight: 0 }}>
                    <Box sx={{ overflow: 'auto', p: 2 }}>
                        {row === undefined || now === null ? (
                            <Box sx={{ fontSize: '1.0625rem' }}>
                                A machine says how far each axis goes, how its control reads a program, and what its spindle can do.
                            </Box>
                        ) : (
                            <MachineSheet
                                key={row.id} row={row} machine={now.machine} profile={now.profile} profiles={profiles} unit={units === 'mm' ? 'mm' : 'in'}
                                readOnly={!person.mayChange} errors={refusal?.fields ?? {}}
                                onChange={(machine, profile = now.profile) => setDraft({ id: row.id, machine, profile })}
                            />
                        )}
                    </Box>
                    {(isChanged || refusal !== null) && row !== undefined && (
                        <Box
                            sx={{
                                display: 'flex',
                                gap: 1.5,
                                alignItems: 'center',
                                px: 2,
                                py: 1,
                                borderTop: '1px solid var(--frame)',
                                background: 'var(--sheet)',
                            }}
                        >
                            {refusal !== null
                                ? <Box role="alert" sx={{ color: 'error.main', flex: 1 }}>{refusal.message}</Box>
                                : <Box sx={{ flex: 1 }}>Changed, not saved. {setup(row.setups.length)} on this machine will be checked again.</Box>}
                            {isChanged && (
                                <>
                                    <Button
                                        onClick={() => {
                                            setDraft(null);
                                            setRefusal(null);
                                        }}
                                    >
                                        Discard
                                    </Button>
                                    <Button variant="contained" onClick={() => void save()}>Save</Button>
                                </>
                            )}
                        </Box>
                    )}
                </Box>
            </Box>
            {asked !== null && (
                <AskForm<{ id: number }>
                    title={asked === 'new' ? 'New machine' : `Copy ${row?.name ?? ''}`} submit={asked === 'new' ? 'Create' : 'Copy'} method="POST"
                    url="/machines"
                    fields={[{
                        name: 'name', label: 'Name', value: asked === 'new' ? '' : `${row?.name ?? ''} copy`,
                        ...(asked === 'new' && { help: 'It begins as a usual mill; set its figures from its papers.' }),
                    }]}
                    also={asked === 'copy' && row !== undefined ? { copyOf: row.id } : {}} onClose={() => setAsked(null)}
                    onDone={({ id }) => {
                        setAsked(null);
                        router.reload({ onSuccess: () => setChosen(id) });
                    }}
                />
            )}
            <UndoBar done={done} onGone={gone} />
        </Frame>
    );
}
