import { Link, router } from '@inertiajs/react';
import { Box, Button, Divider, Menu, MenuItem, Tooltip } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { when } from '../shared/numbers';
import { send } from '../shared/server';
import { useAltKeys } from '../shared/useAltKeys';
import type { RevisionRow } from './revision';

/** When the program was last run in and found right, by whom, and which revision. */
export interface Proof {
    on: string;
    by: string;
    revision: number;
}

interface Props {
    program: { id: number; name: string; proof: Proof | null };
    base: number;
    changed: boolean;
    revisions: RevisionRow[];
    mayProve: boolean;
}

/** The revisions, and the proof: what it says is compared with everything that decides the motion from then on. */
export function Revisions({ program, base, changed, revisions, mayProve }: Props) {
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    const prove = useMutation({
        mutationFn: () => send('POST', `/programs/${program.id}/proof`, { revision: base }),
        onSuccess: () => {
            setAnchor(null);
            router.reload();
        },
    });
    const button = useRef<HTMLButtonElement>(null);
    useAltKeys({ KeyI: () => setAnchor(button.current) });
    const { proof } = program;
    return (
        <>
            <Tooltip title="Revisions, and whether one is proven (Alt+I)">
                <Button ref={button} onClick={(event) => setAnchor(event.currentTarget)} data-testid="revision" sx={{ flex: 'none' }}>
                    <span className="mono">{program.name}</span>&nbsp;rev {base}
                    {changed ? ', not saved' : proof?.revision === base ? ', proven' : ''}
                </Button>
            </Tooltip>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                {revisions.map((revision) => (
                    <MenuItem
                        key={revision.number}
                        component={Link}
                        href={`/programs/${program.id}/compare?from=${revision.number}&to=${changed ? 'typed' : base}`}
                        sx={{ gap: 2 }}
                    >
                        <b>rev {revision.number}</b> {revision.by}, {when(revision.at)} <Box component="span" sx={{ color: 'text.secondary' }}>
                            {revision.reason}
                        </Box>
                    </MenuItem>
                ))}
                <Divider component="li" />
                <MenuItem component={Link} href={`/programs/${program.id}/compare${changed ? '?to=typed' : ''}`}>
                    Compare{changed ? ' unsaved changes with the saved text' : ' revisions'}
                </MenuItem>
                <MenuItem component={Link} href={`/programs/${program.id}/machine`}>Show rev {revisions[0]?.number ?? base} at the machine</MenuItem>
                <Divider component="li" />
                <MenuItem disabled={!mayProve || prove.isPending} onClick={() => prove.mutate()}>Rev {base} has been proven on the machine</MenuItem>
                <Box component="li" sx={{ px: 2, py: 0.5, fontSize: '0.8125rem', color: 'text.secondary' }}>
                    {prove.error !== null
                        ? prove.error.message
                        : proof === null
                          ? 'Not proven yet.'
                          : `Rev ${proof.revision} proven on ${proof.on} by ${proof.by}.`}
                </Box>
            </Menu>
        </>
    );
}
