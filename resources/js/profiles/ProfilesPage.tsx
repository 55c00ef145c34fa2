import { Box, Button, TextField, Tooltip } from '@mui/material';
import { useState } from 'react';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { ChoiceRail } from '../shared/ChoiceRail';
import { Entry } from '../shared/Entry';
import { ServerError, send } from '../shared/server';
import type { FunctionRow, Profile } from './profile';
import { ProfileSheet } from './ProfileSheet';

interface Props {
    house: Profile[];
    own: Profile[];
    machines: { id: number; name: string; profileId: number | null }[];
    functions: FunctionRow[];
    meanings: { meaning: string; words: string }[];
}

const keyOf = (profile: Profile) => profile.id ?? profile.name;

/** How the shop's controls read: the profiles of the house to look at and copy, the shop's own to change. */
export default function ProfilesPage(props: Props) {
    const person = usePerson();
    const [own, setOwn] = useState(props.own);
    const [machines, setMachines] = useState(props.machines);
    const [chosen, setChosen] = useState<string | number>(keyOf(props.own[0] ?? (props.house[0] as Profile)));
    const [title, setTitle] = useState('');
    const [refusal, setRefusal] = useState<string | null>(null);
    const profile = [...props.house, ...own].find((one) => keyOf(one) === chosen) ?? (props.house[0] as Profile);
    const base = props.house.find((one) => one.name === profile.name) ?? profile;

    const copy = async () => {
        setRefusal(null);
        try {
            const made = await send<Profile>('POST', '/profiles', { base: profile.name, title: title.trim() });
            setOwn((before) => [...before, { ...made, machines: made.machines ?? [] }]);
            setChosen(keyOf(made));
            setTitle('');
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'The profile could not be copied.');
        }
    };
    const stored = (next: Profile) => {
        setOwn((before) =>
            before.map((one) => (one.id === next.id ? next : { ...one, machines: (one.machines ?? []).filter((id) => !(next.machines ?? []).includes(id)) })),
        );
        setMachines((before) =>
            before.map((machine) =>
                (next.machines ?? []).includes(machine.id)
                    ? { ...machine, profileId: next.id }
                    : machine.profileId === next.id
                      ? { ...machine, profileId: null }
                      : machine,
            ),
        );
    };

    return (
        <Frame title="Control profiles" where={<Box sx={{ color: 'text.secondary' }}>How each control reads a program</Box>}>
            <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: '288px minmax(0, 1fr)' }}>
                <ChoiceRail label="Profiles">
                    <Box component="h1" className="hidden-label">Control profiles</Box>
                    <Heading>The shop’s own</Heading>
                    {own.length === 0 && <Box sx={{ color: 'text.secondary', mb: 1 }}>None yet. Copy one of those below and change it.</Box>}
                    {own.map((one) => (
                        <Entry
                            key={keyOf(one)}
                            title={one.title}
                            chosen={keyOf(one) === chosen}
                            onChoose={() => setChosen(keyOf(one))}
                            note={
                                machines
                                    .filter((machine) => machine.profileId === one.id)
                                    .map((machine) => machine.name)
                                    .join(', ') || 'no machine uses it'
                            }
                        />
                    ))}
                    <Heading>Built in</Heading>
                    {props.house.map((one) => (
                        <Entry key={keyOf(one)} title={one.title} chosen={keyOf(one) === chosen} onChoose={() => setChosen(keyOf(one))} note={one.name} />
                    ))}
                    {person.mayChange && (
                        <Box
                            component="form"
                            sx={{ mt: 'auto', pt: 2, display: 'flex', flexDirection: 'column', gap: 1 }}
                            onSubmit={(event) => {
                                event.preventDefault();
                                void copy();
                            }}
                        >
                            <TextField
                                size="small"
                                value={title}
                                onChange={(event) => setTitle(event.target.value)}
                                placeholder="Name of the copy"
                                slotProps={{ htmlInput: { 'aria-label': 'Name of the copy', maxLength: 80 } }}
                            />
                            <Tooltip title="Begins a profile of the shop’s own">
                                <span>
                                    <Button type="submit" variant="outlined" disabled={title.trim() === ''} sx={{ width: '100%' }}>
                                        Copy “{base.title}”
                                    </Button>
                                </span>
                            </Tooltip>
                            {refusal !== null && <Box role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>{refusal}</Box>}
                        </Box>
                    )}
                </ChoiceRail>
                <ProfileSheet
                    key={`${keyOf(profile)}`}
                    profile={profile}
                    base={base}
                    machines={machines}
                    functions={props.functions}
                    meanings={props.meanings}
                    mayChange={person.mayChange && profile.id !== null}
                    onStored={stored}
                />
            </Box>
        </Frame>
    );
}

function Heading({ children }: { children: string }) {
    return <Box component="h2" sx={{ m: 0, mt: 1.5, mb: 0.25, fontSize: '0.875rem', color: 'text.secondary', '&:first-of-type': { mt: 0 } }}>{children}</Box>;
}
