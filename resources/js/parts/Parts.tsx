import { Link, router } from '@inertiajs/react';
import { Box } from '@mui/material';
import { useEffect, type ReactNode } from 'react';
import { BringIn } from '../frame/BringIn';
import { Frame } from '../frame/Frame';
import { Reminder } from '../shared/Reminder';
import { Verdict } from '../shared/Verdict';
import { clock, when } from '../shared/numbers';

interface ProgramRow {
    id: number;
    name: string;
    verdict: 'stop' | 'caution' | 'clear' | null;
    stops: number;
    notes: number;
    cautions: number;
    seconds: number;
    revision: number;
    savedBy: string;
    savedAt: string;
}

interface SetupRow {
    id: number;
    operation: number;
    name: string;
    machine: string;
    programs: ProgramRow[];
}

interface PartRow {
    id: number;
    name: string;
    drawingNumber: string;
    material: string | null;
    units: string;
    setups: SetupRow[];
}

const columns = '72px minmax(0, 1.3fr) minmax(0, 1fr) 96px minmax(300px, 1.5fr) 72px minmax(190px, 1fr)';

/** Verdicts are worked out on the side; while some are on the way, the list is asked for again. */
const LOOK_AGAIN = 1_000;

export default function Parts({ parts }: { parts: PartRow[] }) {
    const programs = parts.flatMap((part) => part.setups.flatMap((setup) => setup.programs));
    const isOnTheWay = programs.some((program) => program.verdict === null);
    useEffect(() => {
        if (!isOnTheWay) return;
        const timer = setInterval(() => router.reload({ only: ['parts'] }), LOOK_AGAIN);
        return () => clearInterval(timer);
    }, [isOnTheWay]);
    const stopped = programs.filter((program) => program.verdict === 'stop').length;
    return (
        <Frame
            title="Parts"
            where={<Box sx={{ color: 'text.secondary' }}>{programs.length} programs, {stopped === 0 ? 'none stopped' : `${stopped} stopped`}</Box>}
        >
            <Box sx={{ height: '100%', overflow: 'auto', p: 3, pt: 2, display: 'flex', flexDirection: 'column', gap: 2.5 }}>
                <Box component="h1" className="hidden-label">Parts and setups</Box>
                {parts.length === 0 && (
                    <Box sx={{ fontSize: '1.0625rem' }}>
                        There are no parts yet. Run <code>./oak demo --fresh</code> for the demo shop, or add a part to begin.
                    </Box>
                )}
                {parts.map((part) => (
                    <PartSheet key={part.id} part={part} />
                ))}
                <Box sx={{ mt: 'auto', maxWidth: 900 }}><Reminder /></Box>
            </Box>
        </Frame>
    );
}

function PartSheet({ part }: { part: PartRow }) {
    return (
        <Box component="section" aria-label={part.name} sx={{ background: 'var(--sheet)', border: '1px solid var(--frame)' }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 2, px: 2, py: 1, borderBottom: '1px solid var(--frame)' }}>
                <Box component="h2" sx={{ m: 0, fontSize: '1.125rem' }}>{part.name}</Box>
                <Box className="mono" sx={{ fontSize: '0.875rem' }}>{part.drawingNumber}</Box>
                <Box sx={{ color: 'text.secondary' }}>{part.material ?? 'material not specified'}, drawn in {part.units}</Box>
                <Box sx={{ ml: 'auto' }}>
                    <BringIn url={`/parts/${part.id}/setups`} label="Import a setup" accept=".json,application/json" />
                </Box>
            </Box>
            {part.setups.length === 0 && <Box sx={{ px: 2, py: 1.5 }}>No setup yet. Import a setup file to begin.</Box>}
            {part.setups.map((setup) => (
                <Box key={setup.id} sx={{ '& + &': { borderTop: '1px solid var(--hair)' } }}>
                    {setup.programs.length === 0 && (
                        <Row setup={setup}>
                            <Box sx={{ gridColumn: 'span 4' }}>
                                <BringIn url={`/setups/${setup.id}/programs`} label="Import a program" accept=".nc,.txt,.tap,.ngc,text/plain" />
                            </Box>
                        </Row>
                    )}
                    {setup.programs.map((program) => (
                        <Row key={program.id} setup={setup}>
                            <Link href={`/programs/${program.id}`} className="mono" style={{ fontWeight: 600 }}>{program.name}</Link>
                            <Link href={`/programs/${program.id}`} style={{ textDecoration: 'none' }}><Verdict {...program} /></Link>
                            <Box sx={{ textAlign: 'right' }} title="Estimated running time, minutes and seconds">{clock(program.seconds)}</Box>
                            <Box sx={{ color: 'text.secondary', textAlign: 'right', fontSize: '0.8125rem', lineHeight: 1.25 }}>
                                rev {program.revision}, {program.savedBy}
                                <br />
                                {when(program.savedAt)}
                            </Box>
                        </Row>
                    ))}
                </Box>
            ))}
        </Box>
    );
}

function Row({ setup, children }: { setup: SetupRow; children: ReactNode }) {
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: columns, alignItems: 'center', gap: 1.5, px: 2, minHeight: 52 }}>
            <Box sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>op {setup.operation}</Box>
            <Link href={`/setups/${setup.id}`}>{setup.name}</Link>
            <Box>{setup.machine}</Box>
            {children}
        </Box>
    );
}
