import { IconButton, Menu, MenuItem } from '@mui/material';
import { useRef, useState } from 'react';

export interface Action {
    label: string;
    act: () => void;
}

/** What else can be done with a thing; nothing is shown where nothing can. */
export function MoreMenu({ of, actions }: { of: string; actions: Action[] }) {
    const button = useRef<HTMLButtonElement>(null);
    const [isOpen, setOpen] = useState(false);
    if (actions.length === 0) return null;
    return (
        <>
            <IconButton
                ref={button} size="small" aria-label={`More for ${of}`} aria-haspopup="menu" aria-expanded={isOpen} onClick={() => setOpen(true)}
                sx={{ borderRadius: 0, color: 'text.primary', width: 32, height: 28 }}
            >
                <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden><path d="M2.5 8h2M7 8h2M11.5 8h2" stroke="currentColor" strokeWidth="2.2" /></svg>
            </IconButton>
            <Menu open={isOpen} anchorEl={() => button.current} onClose={() => setOpen(false)} slotProps={{ list: { 'aria-label': `More for ${of}` } }}>
                {actions.map(({ label, act }) => (
                    <MenuItem
                        key={label}
                        onClick={() => {
                            setOpen(false);
                            act();
                        }}
                    >
                        {label}
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}
