import { Head, Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import type { ReactNode } from 'react';
import { SettingsSheet } from '../settings/SettingsSheet';
import { usePerson } from './person';
import { PersonMenu } from './PersonMenu';
import { ShopMenu } from './ShopMenu';

/** The frame of every screen behind the sign-in: name, where we are, what the screen has to say, who is here. */
export function Frame(
    { title, where, answer, tools, children }: { title: string; where: ReactNode; answer?: ReactNode; tools?: ReactNode; children: ReactNode },
) {
    const person = usePerson();
    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: '3rem minmax(0, 1fr)' }}>
            <Head title={title} />
            <Box
                component="header"
                sx={{ display: 'flex', alignItems: 'center', gap: { xs: 1, lg: 2 }, px: 2, borderBottom: '1px solid var(--frame)', minWidth: 0 }}
            >
                <Link href="/" style={{ textDecoration: 'none', fontWeight: 700, fontSize: '1.125rem', color: 'var(--ink)', whiteSpace: 'nowrap' }}>
                    Oak <span style={{ color: 'var(--oak)' }}>Trace</span>
                </Link>
                <ShopMenu />
                <Box sx={{ flex: 1, minWidth: 0, display: 'flex', alignItems: 'center', gap: 1 }}>{where}</Box>
                {answer}
                {tools}
                <SettingsSheet settings={person.settings} />
                <PersonMenu />
            </Box>
            <Box component="main" sx={{ minHeight: 0, minWidth: 0 }}>{children}</Box>
        </Box>
    );
}
