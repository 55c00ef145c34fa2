import { router } from '@inertiajs/react';
import { Box, Button, Dialog, TextField } from '@mui/material';
import { useState } from 'react';
import { AskForm } from '../frame/AskForm';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { Choice } from '../shared/Choice';
import { ServerError, send } from '../shared/server';

type Role = 'lead' | 'machinist' | 'learner';

interface PersonRow {
    id: number;
    name: string;
    role: Role;
    isClosed: boolean;
    email: string | null;
}

const ROLES: readonly (readonly [Role, string])[] = [['lead', 'lead'], ['machinist', 'machinist'], ['learner', 'learner']];

const MAY: Record<Role, string> = {
    lead: 'everything; lowers cautions, invites people, empties the bin', machinist: 'changes programs, setups, machines and tools',
    learner: 'looks and tries, keeps exercise copies, saves nothing',
};

/** Who is in the shop, and as what. */
export default function People({ people, mayChange }: { people: PersonRow[]; mayChange: boolean }) {
    const me = usePerson();
    const [invites, setInvites] = useState(false);
    const [given, setGiven] = useState<{ name: string; link: string } | null>(null);
    const [refusal, setRefusal] = useState<string | null>(null);
    const act = async (doing: () => Promise<unknown>) => {
        setRefusal(null);
        try {
            await doing();
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'Nothing was changed.');
        }
        router.reload();
    };
    return (
        <Frame title="People" where={<Box sx={{ color: 'text.secondary' }}>{people.filter(({ isClosed }) => !isClosed).length} in the shop</Box>}>
            <Box sx={{ height: '100%', overflow: 'auto', p: 3, pt: 2, display: 'grid', gap: 2, alignContent: 'start', maxWidth: '64rem' }}>
                <Box component="h1" className="hidden-label">People</Box>
                {mayChange && <Box><Button variant="contained" onClick={() => setInvites(true)}>Invite somebody</Button></Box>}
                {refusal !== null && <Box role="alert" sx={{ color: 'error.main' }}>{refusal}</Box>}
                <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, background: 'var(--sheet)', border: '1px solid var(--frame)' }}>
                    {people.map((person) => (
                        <Box
                            component="li" key={person.id} aria-label={person.name}
                            sx={{
                                display: 'grid', gridTemplateColumns: 'minmax(8rem, 1.2fr) 9rem minmax(0, 1.6fr) auto', gap: 2, alignItems: 'center', px: 2,
                                py: 1,
                                '& + &': { borderTop: '1px solid var(--hair)' }, opacity: person.isClosed ? 0.65 : 1,
                            }}
                        >
                            <Box sx={{ minWidth: 0 }}>
                                <Box sx={{ fontWeight: 600 }}>{person.name}{person.id === me.id && ' (you)'}</Box>
                                <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', overflowWrap: 'anywhere' }}>{person.email}</Box>
                            </Box>
                            {mayChange && !person.isClosed ? (
                                <Choice
                                    label={`Role of ${person.name}`} value={person.role} choices={ROLES} readOnly={false}
                                    onChange={(role) => void act(() => send('PUT', `/people/${person.id}`, { role }))}
                                />
                            ) : <Box>{person.isClosed ? 'account closed' : person.role}</Box>}
                            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{!person.isClosed && MAY[person.role]}</Box>
                            <Box sx={{ display: 'flex', gap: 1 }}>
                                {mayChange && !person.isClosed && (
                                    <>
                                        <Button
                                            onClick={() => void act(async () => {
                                                const { link } = await send<{ link: string }>('POST', `/people/${person.id}/link`, {});
                                                setGiven({ name: person.name, link });
                                            })}
                                        >
                                            New password
                                        </Button>
                                        <Button onClick={() => void act(() => send('DELETE', `/people/${person.id}`))}>Close account</Button>
                                    </>
                                )}
                                {mayChange && person.isClosed && (
                                    <Button onClick={() => void act(() => send('POST', `/people/${person.id}/reopen`, {}))}>Open again</Button>
                                )}
                            </Box>
                        </Box>
                    ))}
                </Box>
            </Box>
            {invites && (
                <AskForm<{ link: string }>
                    title="Invite somebody" submit="Invite" method="POST" url="/people" onClose={() => setInvites(false)}
                    fields={[
                        { name: 'name', label: 'Name' }, { name: 'email', label: 'E-mail', type: 'email' },
                        {
                            name: 'role',
                            label: 'Role',
                            value: 'machinist',
                            choices: ROLES.map(([value, label]) => ({ value, label: `${label}: ${MAY[value]}` })),
                        },
                    ]}
                    onDone={({ link }) => {
                        setInvites(false);
                        setGiven({ name: 'whoever you invited', link });
                        router.reload();
                    }}
                />
            )}
            {given !== null && (
                <Dialog open onClose={() => setGiven(null)} aria-labelledby="given-title">
                    <Box sx={{ p: 2.5, width: '34rem', maxWidth: '100%', display: 'grid', gap: 1.5 }}>
                        <Box component="h2" id="given-title" sx={{ m: 0, fontSize: '1.125rem' }}>An address to choose a password under</Box>
                        <Box>It went by e-mail as well. It serves once, within an hour; give it to {given.name} and nobody else.</Box>
                        <TextField size="small" value={given.link} slotProps={{ htmlInput: { readOnly: true, 'aria-label': 'Address', className: 'mono' } }} />
                        <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}><Button autoFocus onClick={() => setGiven(null)}>Close</Button></Box>
                    </Box>
                </Dialog>
            )}
        </Frame>
    );
}
