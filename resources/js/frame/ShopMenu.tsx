import { Link } from '@inertiajs/react';
import { Button, Menu, MenuItem, Tooltip } from '@mui/material';
import { useRef, useState } from 'react';
import { useAltKeys } from '../shared/useAltKeys';

export const ROOMS = [
    ['Parts', '/'],
    ['Machines', '/machines'],
    ['Tool crib', '/tools'],
    ['Controls', '/profiles'],
    ['People', '/people'],
    ['Logbook', '/logbook'],
    ['Bin', '/bin'],
] as const;

/** The one way between the rooms of the shop, the same on every screen. */
export function ShopMenu() {
    const button = useRef<HTMLButtonElement>(null);
    const [isOpen, setOpen] = useState(false);
    useAltKeys({ Digit0: () => setOpen(true) });
    const here = window.location.pathname;
    return (
        <>
            <Tooltip title="Parts, machines, tools, controls, people (Alt+0)">
                <Button ref={button} variant="text" aria-haspopup="menu" aria-expanded={isOpen} onClick={() => setOpen(true)}>Shop ▾</Button>
            </Tooltip>
            <Menu open={isOpen} anchorEl={() => button.current} onClose={() => setOpen(false)} slotProps={{ list: { 'aria-label': 'Shop' } }}>
                {ROOMS.map(([name, path]) => (
                    <MenuItem
                        key={path} component={Link} href={path} selected={path === '/' ? here === '/' : here.startsWith(path)}
                        sx={{ minWidth: '11rem', color: 'text.primary' }}
                    >
                        {name}
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}
