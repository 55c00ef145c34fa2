import { Link } from '@inertiajs/react';
import { Box, Button, Tooltip } from '@mui/material';
import { useState } from 'react';
import { BringIn } from '../frame/BringIn';
import { usePerson } from '../frame/person';
import { NewProgram } from '../parts/NewProgram';
import { NewSheet } from '../parts/NewSheet';
import { Reminder } from '../shared/Reminder';
import { Verdict } from '../shared/Verdict';
import type { FieldNote } from './fields';

export interface ProgramRow {
    id: number;
    name: string;
    revision: number;
    verdict: 'stop' | 'caution' | 'clear' | null;
    stops: number;
    notes: number;
    cautions: number;
    /** Of a text that is there to be called: the programs that do. */
    calledBy: string[] | null;
    /** What its check says of fields of the setup. */
    fields: Omit<FieldNote, 'program'>[];
}

interface Props {
    setup: { id: number };
    programs: ProgramRow[];
    refusal: string | null;
    saved: string;
    /** What a dry run is raised by, a hand's breadth. */
    lift: string;
    /** What is for mills alone is left out. */
    isLathe: boolean;
    canUndo: boolean;
    onUndo: () => void;
    children: React.ReactNode;
}

/** May it run? And what can be taken along to the machine. */
export function VerdictAside({ setup, programs, refusal, saved, lift, isLathe, canUndo, onUndo, children }: Props) {
    const { mayChange } = usePerson();
    const [asks, setAsks] = useState<'program' | 'sheet' | null>(null);
    return (
        <Box
            component="aside" aria-label="Verdicts"
            sx={{ borderLeft: '1px solid var(--frame)', p: 2, display: 'flex', flexDirection: 'column', gap: 1.5, overflow: 'auto' }}
        >
            <Box component="h2" sx={{ m: 0, fontSize: '1rem' }}>May it run?</Box>
            {programs.length === 0 && <Box>No program yet: write one, or import a file.</Box>}
            {programs.map((program) => (
                <Box
                    key={program.id}
                    sx={{
                        display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, borderTop: '1px solid var(--hair)', pt: 1,
                        opacity: program.verdict === null ? 0.6 : 1,
                    }}
                >
                    <Link href={`/programs/${program.id}`} className="mono" style={{ fontWeight: 600 }}>{program.name}</Link>
                    <Box component="span" sx={{ color: 'text.secondary' }}>rev {program.revision}</Box>
                    {program.calledBy === null || program.calledBy.length === 0
                        ? <Verdict {...program} wraps />
                        : <Box sx={{ color: 'text.secondary' }}>checked with {program.calledBy.join(', ')}</Box>}
                </Box>
            ))}
            {refusal !== null && <Box role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>{refusal}</Box>}
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                <Button disabled={!canUndo} onClick={onUndo}>Undo</Button>
                <Box role="status" sx={{ color: 'text.secondary', fontSize: '0.875rem' }}>{saved}</Box>
            </Box>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                {mayChange && <Button onClick={() => setAsks('program')}>New program</Button>}
                {mayChange && !isLathe && <Button onClick={() => setAsks('sheet')}>New operation sheet</Button>}
                <BringIn url={`/setups/${setup.id}/programs`} label="Import a program" />
                {!isLathe && <Button variant="contained" component={Link} href={`/setups/${setup.id}/touching-off`}>Touch off</Button>}
            </Box>
            {children}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                <Tooltip title="Title block, picture, offsets, tools, findings and hold points, as PDF">
                    <Button component="a" href={`/setups/${setup.id}/sheet`} target="_blank">Setup sheet</Button>
                </Tooltip>
                {!isLathe && (
                    <Tooltip title={`The same for a dry run, everything raised by ${lift}`}>
                        <Button component="a" href={`/setups/${setup.id}/sheet?lift=${parseFloat(lift)}`} target="_blank">Dry-run sheet</Button>
                    </Tooltip>
                )}
                <Tooltip title="Every program of the setup with its subprograms, as the control wants them">
                    <Button component="a" href={`/setups/${setup.id}/programs.zip`}>Programs</Button>
                </Tooltip>
                <Tooltip title="The setup as a file for the command line">
                    <Button component="a" href={`/setups/${setup.id}/file`}>Setup file</Button>
                </Tooltip>
                <Tooltip title="Who changed what here, and when">
                    <Button component={Link} href={`/setups/${setup.id}/logbook`}>Changes</Button>
                </Tooltip>
            </Box>
            <Box sx={{ mt: 'auto' }}><Reminder /></Box>
            {asks === 'program' && <NewProgram setup={setup.id} title="New program" onClose={() => setAsks(null)} />}
            {asks === 'sheet' && <NewSheet setup={setup.id} title="New operation sheet" onClose={() => setAsks(null)} />}
        </Box>
    );
}
