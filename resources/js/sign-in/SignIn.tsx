import { Head, Link, useForm, usePage } from '@inertiajs/react';
import { Box, Button, TextField } from '@mui/material';
import type { FormEvent } from 'react';
import { Reminder } from '../shared/Reminder';

/** A drawing sheet with its title block; the title block is the form. */
export default function SignIn() {
    const { notice } = usePage<{ notice: string | null }>().props;
    const form = useForm({ email: '', password: '' });
    const submit = (event: FormEvent) => {
        event.preventDefault();
        form.post('/sign-in', { onError: () => form.reset('password') });
    };
    return (
        <Box sx={{ height: '100%', p: 3, display: 'grid' }}>
            <Head title="Sign in" />
            <Box
                component="main"
                sx={{
                    border: '2px solid var(--frame)',
                    background: 'var(--sheet)',
                    display: 'grid',
                    gridTemplateRows: 'minmax(0, 1fr) auto',
                    minHeight: 560,
                }}
            >
                <Box sx={{ position: 'relative', overflow: 'hidden' }}>
                    <SheetDrawing />
                </Box>
                <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 420px' }, borderTop: '2px solid var(--frame)' }}>
                    <Box
                        sx={{
                            p: 3,
                            display: 'flex',
                            flexDirection: 'column',
                            justifyContent: 'space-between',
                            gap: 3,
                            borderRight: '1px solid var(--frame)',
                        }}
                    >
                        <Box>
                            <Box component="h1" sx={{ m: 0, fontSize: '2.125rem', fontWeight: 700 }}>
                                Oak{' '}
                                <Box component="span" sx={{ color: 'primary.main' }}>
                                    Trace
                                </Box>
                            </Box>
                            <Box component="p" sx={{ m: 0, mt: 0.5, fontSize: '1.125rem' }}>Where every axis really goes, before the green button.</Box>
                        </Box>
                        <Reminder />
                    </Box>
                    <Box component="form" onSubmit={submit} sx={{ p: 3, display: 'grid', gap: 2.5, alignContent: 'start' }}>
                        <TextField
                            label="E-mail" type="email" name="email" autoComplete="username" autoFocus required value={form.data.email}
                            onChange={(event) => form.setData('email', event.target.value)}
                            error={form.errors.email !== undefined} helperText={form.errors.email}
                        />
                        <TextField
                            label="Password" type="password" name="password" autoComplete="current-password" required value={form.data.password}
                            onChange={(event) => form.setData('password', event.target.value)}
                            error={form.errors.password !== undefined} helperText={form.errors.password}
                        />
                        <Button type="submit" variant="contained" disabled={form.processing} sx={{ minHeight: 44, fontSize: '1rem' }}>Sign in</Button>
                        <Link href="/forgotten-password" style={{ justifySelf: 'start' }}>Forgotten password</Link>
                        {notice !== null && <Box role="status">{notice}</Box>}
                    </Box>
                </Box>
            </Box>
        </Box>
    );
}

/** A hub in plan and elevation, with the height the tool keeps above it: what the product is about. */
function SheetDrawing() {
    const holes = Array.from({ length: 6 }, (_, i) => ((30 + 60 * i) * Math.PI) / 180);
    return (
        <svg viewBox="0 0 1200 330" width="100%" height="100%" preserveAspectRatio="xMidYMid meet" aria-hidden style={{ position: 'absolute', inset: 0 }}>
            <g fill="none" stroke="var(--frame)" strokeWidth="1">
                <circle cx="300" cy="165" r="118" strokeWidth="2" />
                <circle cx="300" cy="165" r="38" strokeWidth="2" />
                <circle cx="300" cy="165" r="84" stroke="var(--soft)" strokeDasharray="14 4 3 4" />
                <path d="M160 165h280M300 25v280" stroke="var(--soft)" strokeDasharray="14 4 3 4" />
                {holes.map((angle) => (
                    <circle key={angle} cx={300 + 84 * Math.cos(angle)} cy={165 - 84 * Math.sin(angle)} r="12" strokeWidth="2" />
                ))}
                <path d={`M560 70h60V210M620 210v0M620 70L${620} 210`} stroke="none" />
                <rect x="640" y="190" width="420" height="80" fill="var(--stock)" stroke="var(--stockEdge)" strokeWidth="2" />
                <path d="M620 168h470" stroke="var(--moss)" strokeDasharray="2 5" strokeWidth="2" />
                <path d="M640 60h90v108" stroke="var(--ink)" strokeDasharray="7 5" />
                <path d="M730 168v60" stroke={`rgb(150 100 40)`} strokeWidth="4" />
                <path d="M730 228h220" stroke="rgb(96 56 24)" strokeWidth="4" />
                <path d="M950 228V60h110" stroke="var(--ink)" strokeDasharray="7 5" />
                <path d="M1120 168v22M1112 168h16M1112 190h16" stroke="var(--frame)" />
            </g>
            <g fill="var(--ink)" fontSize="17" fontFamily="Source Sans 3">
                <text x="1134" y="186">2.0</text>
                <text x="1134" y="236">−6.0</text>
                <text x="392" y="60">Ø56 · 6 × M8</text>
            </g>
        </svg>
    );
}
