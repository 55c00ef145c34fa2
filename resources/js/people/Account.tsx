import { router } from '@inertiajs/react';
import { Box, Button, TextField } from '@mui/material';
import { useState, type FormEvent } from 'react';
import { Frame } from '../frame/Frame';
import { ServerError, send } from '../shared/server';
import { when } from '../shared/numbers';
import { Sheet } from '../shared/Sheet';

interface SessionRow {
    name: string;
    from: string;
    with: string;
    seen: string;
    isThis: boolean;
}

interface Props {
    account: { name: string; email: string; role: string };
    sessions: SessionRow[];
}

/** One's own name, e-mail, password, and the computers one is signed in on. */
export default function Account({ account, sessions }: Props) {
    return (
        <Frame title="My account" where={<Box sx={{ color: 'text.secondary' }}>{account.role}</Box>}>
            <Box sx={{ height: '100%', overflow: 'auto', p: 3, pt: 2 }}>
                <Box sx={{ display: 'grid', gap: 2, maxWidth: '44rem' }}>
                    <Box component="h1" className="hidden-label">My account</Box>
                    <OwnForm
                        title="Name and e-mail" url="/account" submit="Save" done="Saved."
                        fields={[
                            ['name', 'Name', 'text', account.name], ['email', 'E-mail', 'email', account.email],
                            ['password', 'Password, where the e-mail changes', 'password', ''],
                        ]}
                    />
                    <OwnForm
                        title="Password" url="/account/password" submit="Change the password" done="Changed. Every other session has ended."
                        fields={[
                            ['current', 'Password of now', 'password', ''], ['password', 'New password', 'password', ''],
                            ['password_confirmation', 'New password again', 'password', ''],
                        ]}
                    />
                    <Sheet title="Signed in on">
                        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                            {sessions.map((session) => (
                                <Box
                                    component="li" key={session.name}
                                    sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: 2, alignItems: 'center', py: 0.75 }}
                                >
                                    <Box>
                                        <b>{session.isThis ? 'This computer' : session.from}</b>, last seen {when(session.seen)}
                                        <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', overflowWrap: 'anywhere' }}>{session.with}</Box>
                                    </Box>
                                    {!session.isThis && (
                                        <Button onClick={() => void send('DELETE', `/account/sessions/${session.name}`).then(() => router.reload())}>
                                            End it
                                        </Button>
                                    )}
                                </Box>
                            ))}
                        </Box>
                    </Sheet>
                </Box>
            </Box>
        </Frame>
    );
}

interface OwnFormProps {
    title: string;
    url: string;
    submit: string;
    done: string;
    fields: [string, string, 'text' | 'email' | 'password', string][];
}

function OwnForm({ title, url, submit, done, fields }: OwnFormProps) {
    const [values, setValues] = useState<Record<string, string>>(() => Object.fromEntries(fields.map(([name, , , value]) => [name, value])));
    const [refusal, setRefusal] = useState<ServerError | null>(null);
    const [isDone, setDone] = useState(false);
    const take = async (event: FormEvent) => {
        event.preventDefault();
        setRefusal(null);
        setDone(false);
        try {
            await send('PUT', url, values);
            setDone(true);
            setValues((before) => Object.fromEntries(fields.map(([name, , type]) => [name, type === 'password' ? '' : (before[name] ?? '')])));
            router.reload();
        } catch (error) {
            if (!(error instanceof ServerError)) throw error;
            setRefusal(error);
        }
    };
    return (
        <Sheet title={title}>
            <Box component="form" noValidate onSubmit={(event: FormEvent) => void take(event)} sx={{ display: 'grid', gap: 1.5, maxWidth: '26rem', pt: 0.5 }}>
                {fields.map(([name, label, type]) => (
                    <TextField
                        key={name} size="small" label={label} type={type} name={name} value={values[name] ?? ''} error={refusal?.fields[name] !== undefined}
                        helperText={refusal?.fields[name]}
                        autoComplete={type === 'password' ? (name === 'current' ? 'current-password' : 'new-password') : 'on'}
                        onChange={(event) => setValues((before) => ({ ...before, [name]: event.target.value }))}
                    />
                ))}
                {refusal !== null && Object.keys(refusal.fields).length === 0 && <Box role="alert" sx={{ color: 'error.main' }}>{refusal.message}</Box>}
                <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                    <Button type="submit" variant="contained">{submit}</Button>
                    <Box role="status" sx={{ color: 'text.secondary' }}>{isDone && done}</Box>
                </Box>
            </Box>
        </Sheet>
    );
}
