import { Box, Button, Menu, MenuItem, Tooltip } from '@mui/material';
import { useState, type RefObject } from 'react';
import { Icon, type IconName } from '../shared/Icon';
import type { Kind } from './sheet';
import type { SheetHand } from './useSheet';

interface Props {
    kinds: Kind[];
    sheet: SheetHand;
    /** Answers that are missing or wrong. */
    missing: number;
    readOnly: boolean;
    /** The button operations are added by. */
    adding: RefObject<HTMLButtonElement | null>;
    onFold: () => void;
    onNext: () => void;
    onAdd: (kind: string) => void;
}

/** What can be done with a sheet as a whole, and how much of it is still to be answered. */
export function SheetHead({ kinds, sheet, missing, readOnly, adding, onFold, onNext, onAdd }: Props) {
    const [isAdding, setAdding] = useState(false);
    return (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, p: 0.5, borderBottom: '1px solid var(--hair)', background: 'var(--margin)' }}>
            <Tooltip title="Fold the sheet away"><Button variant="text" aria-label="Fold the sheet" onClick={onFold} sx={{ px: 0.75 }}>‹</Button></Tooltip>
            <Box component="h2" sx={{ m: 0, fontSize: '0.9375rem', flex: 1, whiteSpace: 'nowrap' }}>Sheet</Box>
            {missing > 0 && (
                <Tooltip title="To the next answer that is missing (Alt+Enter)">
                    <Button onClick={onNext} sx={{ color: 'var(--clay)' }}>{missing} to answer</Button>
                </Tooltip>
            )}
            {!readOnly && (
                <>
                    <Back icon="undo" name="Undo in the sheet" keys="Ctrl+Z" act={sheet.undo} />
                    <Back icon="redo" name="Redo in the sheet" keys="Ctrl+Shift+Z" act={sheet.redo} />
                    <Tooltip title="Add an operation (Alt+6)">
                        <Button ref={adding} aria-haspopup="menu" onClick={() => setAdding(true)}>Add</Button>
                    </Tooltip>
                </>
            )}
            <Menu
                open={isAdding} anchorEl={() => adding.current} onClose={() => setAdding(false)}
                slotProps={{ list: { 'aria-label': 'Operations to add', dense: true } }}
            >
                {kinds.map(({ kind, words }, i) => (
                    <MenuItem
                        key={kind} autoFocus={i === 0}
                        onClick={() => {
                            setAdding(false);
                            onAdd(kind);
                        }}
                    >
                        {words}
                    </MenuItem>
                ))}
            </Menu>
        </Box>
    );
}

function Back({ icon, name, keys, act }: { icon: IconName; name: string; keys: string; act: (() => void) | null }) {
    return (
        <Tooltip title={`${name} (${keys})`}>
            <span><Button aria-label={name} disabled={act === null} onClick={() => act?.()} sx={{ px: 0.75 }}><Icon name={icon} /></Button></span>
        </Tooltip>
    );
}
