import { Box, Button, MenuItem, MenuList, Popover, TextField, Tooltip } from '@mui/material';
import { useRef, useState, type FormEvent } from 'react';
import type { OakCheck } from '../contracts/oak-check-1';
import { clock } from '../shared/numbers';
import { useAltKeys } from '../shared/useAltKeys';
import { targetOf } from './targets';

interface Props {
    operations: OakCheck['summary']['operations'];
    /** The programs that are called, by name. */
    programs: string[];
    text: string;
    onLine: (line: number) => void;
    onProgram: (program: number) => void;
}

/** The outline of the program, its tools and operations with line and time; and a place to type where to go. */
export function GoTo({ operations, programs, text, onLine, onProgram }: Props) {
    const button = useRef<HTMLButtonElement>(null);
    const [open, setOpen] = useState(false);
    const [typed, setTyped] = useState('');
    useAltKeys({ KeyG: () => setOpen(true) });
    const target = open ? targetOf(typed, text, programs) : null;
    const close = () => {
        setOpen(false);
        setTyped('');
    };
    const go = (event: FormEvent) => {
        event.preventDefault();
        if (target === null) return;
        close();
        if ('line' in target) onLine(target.line);
        else onProgram(target.program);
    };
    return (
        <>
            <Tooltip title="Go to a line, block, tool, program or operation (Alt+G)"><Button ref={button} onClick={() => setOpen(true)}>Go to</Button></Tooltip>
            <Popover anchorEl={() => button.current} open={open} onClose={close} anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}>
                <Box component="form" onSubmit={go} sx={{ p: 1, display: 'flex', gap: 1, alignItems: 'center', borderBottom: '1px solid var(--hair)' }}>
                    <TextField
                        size="small"
                        autoFocus
                        value={typed}
                        onChange={(event) => setTyped(event.target.value)}
                        placeholder="120  N120  T3  O8100  words"
                        error={typed !== '' && target === null}
                        slotProps={{ htmlInput: { 'aria-label': 'Line, block number, tool, program or words to go to' } }}
                        sx={{ flex: 1, minWidth: 260 }}
                    />
                    <Button type="submit" disabled={target === null}>Go</Button>
                </Box>
                <MenuList sx={{ maxHeight: 420, overflow: 'auto' }} aria-label="Operations">
                    {operations.map((operation, i) => (
                        <MenuItem
                            key={`${operation.line}-${i}`} sx={{ gap: 1.5, maxWidth: 520 }}
                            onClick={() => {
                                close();
                                onLine(operation.line);
                            }}
                        >
                            <Box component="span" sx={{ width: 34, textAlign: 'right', color: 'text.secondary' }}>{operation.line}</Box>
                            <Box component="span" sx={{ width: 30, fontWeight: 600, color: 'primary.main' }}>
                                {operation.tool > 0 && operations[i - 1]?.tool !== operation.tool ? `T${operation.tool}` : ''}
                            </Box>
                            <Box component="span" sx={{ flex: 1, overflow: 'hidden', textOverflow: 'ellipsis' }}>
                                {operation.name === '' ? 'before the first comment' : operation.name}
                            </Box>
                            <Box component="span" sx={{ color: 'text.secondary' }}>{clock(operation.seconds)}</Box>
                        </MenuItem>
                    ))}
                </MenuList>
            </Popover>
        </>
    );
}
