import { router } from '@inertiajs/react';
import { Box, Button, Dialog, FormControlLabel, Radio, RadioGroup, Tooltip } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { send } from '../shared/server';
import { useAltKeys } from '../shared/useAltKeys';
import { useAppearance } from '../theme/Appearance';
import { LOOKS, REM, SIZES, UNITS, type Settings } from './settings';

/** What a person sets for themselves, on every screen and every computer they sign in on. */
export function SettingsSheet({ settings }: { settings: Settings }) {
    const { setAppearance } = useAppearance();
    const [open, setOpen] = useState(false);
    useAltKeys({ KeyA: () => setOpen(true) });
    useEffect(() => setAppearance(settings.look), [settings.look, setAppearance]);
    useEffect(() => {
        document.documentElement.style.fontSize = REM[settings.size];
    }, [settings.size]);
    const store = useMutation({
        mutationFn: (changed: Partial<Settings>) => send('PUT', '/settings', changed),
        onSuccess: () => router.reload({ only: ['user'] }),
    });
    const choice = <Name extends keyof Settings>(name: Name, title: string, words: Record<Settings[Name], string>) => (
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
            <Box component="legend" sx={{ fontWeight: 700, p: 0 }}>{title}</Box>
            <RadioGroup name={name} value={settings[name]} onChange={(_, value) => store.mutate({ [name]: value } as Partial<Settings>)}>
                {(Object.entries(words) as [string, string][]).map(([value, label]) => (
                    <FormControlLabel key={value} value={value} control={<Radio size="small" sx={{ py: 0.25 }} />} label={label} />
                ))}
            </RadioGroup>
        </Box>
    );
    return (
        <>
            <Tooltip title="Units, light or dark, text size (Alt+A)">
                <Button onClick={() => setOpen(true)} aria-label="Settings" sx={{ px: 0.75 }}>
                    <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden>
                        <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="1.5" />
                        <path d="M8 2a6 6 0 0 1 0 12z" fill="currentColor" />
                    </svg>
                </Button>
            </Tooltip>
            <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="settings-title" maxWidth={false}>
                <Box sx={{ p: 2.5, width: 460, display: 'grid', gap: 1.5 }}>
                    <Box component="h2" id="settings-title" sx={{ m: 0, fontSize: '1.125rem' }}>Settings</Box>
                    {choice('units', 'Units', UNITS)}
                    {choice('look', 'Screen', LOOKS)}
                    {choice('size', 'Text size', SIZES)}
                    {store.error !== null && <Box role="alert" sx={{ color: 'error.main' }}>{store.error.message}</Box>}
                    <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}><Button autoFocus onClick={() => setOpen(false)}>Close</Button></Box>
                </Box>
            </Dialog>
        </>
    );
}
