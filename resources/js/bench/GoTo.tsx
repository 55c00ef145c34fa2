import { Box, Button, Menu, MenuItem, Tooltip } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import type { OakCheck } from '../contracts/oak-check-1';
import { clock } from '../shared/numbers';

interface Props {
    operations: OakCheck['summary']['operations'];
    onLine: (line: number) => void;
}

/** The outline of the program: its operations with their tool, line and time, to go to. */
export function GoTo({ operations, onLine }: Props) {
    const button = useRef<HTMLButtonElement>(null);
    const [open, setOpen] = useState(false);
    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            if (!event.altKey || event.code !== 'KeyG') return;
            event.preventDefault();
            setOpen(true);
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, []);
    return (
        <>
            <Tooltip title="To an operation of the program (Alt+G)"><Button ref={button} onClick={() => setOpen(true)} disabled={operations.length === 0}>Go to</Button></Tooltip>
            <Menu anchorEl={() => button.current} open={open && operations.length > 0} onClose={() => setOpen(false)}>
                {operations.map((operation, i) => (
                    <MenuItem
                        key={`${operation.line}-${i}`} sx={{ gap: 1.5, maxWidth: 520 }}
                        onClick={() => {
                            setOpen(false);
                            onLine(operation.line);
                        }}
                    >
                        <Box component="span" sx={{ width: 34, textAlign: 'right', color: 'text.secondary' }}>{operation.line}</Box>
                        <Box component="span" sx={{ width: 30, fontWeight: 600, color: 'primary.main' }}>{operation.tool > 0 ? `T${operation.tool}` : ''}</Box>
                        <Box component="span" sx={{ flex: 1, overflow: 'hidden', textOverflow: 'ellipsis' }}>{operation.name === '' ? 'moves before the first comment' : operation.name}</Box>
                        <Box component="span" sx={{ color: 'text.secondary' }}>{clock(operation.seconds)}</Box>
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}
