import { Link, router } from '@inertiajs/react';
import { Box, Button, Menu, MenuItem } from '@mui/material';
import { useRef, useState } from 'react';
import { usePerson } from './person';

/** Who is here: their account, and the way out. */
export function PersonMenu() {
    const person = usePerson();
    const button = useRef<HTMLButtonElement>(null);
    const [isOpen, setOpen] = useState(false);
    return (
        <>
            <Button ref={button} aria-haspopup="menu" aria-expanded={isOpen} onClick={() => setOpen(true)} sx={{ whiteSpace: 'nowrap' }}>{person.name}</Button>
            <Menu open={isOpen} anchorEl={() => button.current} onClose={() => setOpen(false)} slotProps={{ list: { 'aria-label': person.name } }}>
                <Box component="li" role="presentation" sx={{ px: 2, py: 0.5, color: 'text.secondary', fontSize: '0.875rem' }}>{person.role}</Box>
                <MenuItem component={Link} href="/account" sx={{ color: 'text.primary' }}>My account</MenuItem>
                <MenuItem onClick={() => router.post('/sign-out')}>Sign out</MenuItem>
            </Menu>
        </>
    );
}
