import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import { MoreMenu, type Action } from '../frame/MoreMenu';
import { Verdict } from '../shared/Verdict';
import { clock, when } from '../shared/numbers';
import type { ProgramRow } from './list';

/** A program under its setup: its verdict in words, the finding to begin with, when it was changed. */
export function ProgramLine({ program, actions }: { program: ProgramRow; actions: Action[] }) {
    const { calledBy, worst } = program;
    return (
        <Box
            sx={{
                display: 'grid', gridTemplateColumns: 'minmax(4rem, 8rem) minmax(9rem, 1fr) minmax(0, auto) 3.5rem 2rem',
                columnGap: 1.5, alignItems: 'center', py: 0.5,
                '& + &': { borderTop: '1px solid var(--hair)' },
            }}
        >
            <Link href={`/programs/${program.id}`} className="mono" style={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{program.name}</Link>
            {calledBy === null ? <Verdict {...program} wraps /> : (
                <Box sx={{ color: 'text.secondary' }}>
                    {calledBy.length === 0 ? 'Subprogram; no program of this setup calls it' : `Subprogram, checked with ${calledBy.join(', ')}`}
                </Box>
            )}
            <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem', textAlign: 'right' }}>
                rev {program.revision}, {program.savedBy}, {when(program.savedAt)}
            </Box>
            <Box sx={{ textAlign: 'right', fontSize: '0.875rem', whiteSpace: 'nowrap' }} title="Estimated running time, minutes and seconds">
                {calledBy === null && clock(program.seconds)}
            </Box>
            <MoreMenu of={program.name} actions={actions} />
            {calledBy === null && worst !== null && (
                <Box sx={{ gridColumn: '2 / -1', fontSize: '0.8125rem', color: 'text.secondary' }}>Line {worst.line}: {worst.text}</Box>
            )}
        </Box>
    );
}
