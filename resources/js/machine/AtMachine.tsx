import { Head, Link } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Drawing } from '../bench/drawing/Drawing';
import { placeOf, type Motion, type Scene, type StateRow } from '../bench/answer';
import { Positions } from '../bench/Positions';
import { RunCursor, useOfMoment } from '../bench/runCursor';
import { stepped, type Stride } from '../bench/strip/play';
import { useCheck } from '../bench/useCheck';
import { usePerson } from '../frame/person';
import { REMINDER, Reminder } from '../shared/Reminder';
import { Verdict, verdictOf } from '../shared/Verdict';
import { clock, today } from '../shared/numbers';
import { ask } from '../shared/server';
import type { HoldPoint } from '../contracts/oak-check-1';

interface Props {
    program: { id: number; name: string; revision: number };
    setup: { operation: number; name: string; machine: string; part: string; drawingNumber: string; version: number };
}

/** The latest revision on a tablet at the machine: what to watch next, the block, and what the display must show, all of it large. */
export default function AtMachine({ program, setup }: Props) {
    const text = useQuery({
        queryKey: ['revision', program.id, program.revision],
        queryFn: async () => (await ask('GET', `/programs/${program.id}/revisions/${program.revision}`)).text(),
    });
    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
            <Head title={`${program.name} at the machine`} />
            <Box
                component="header"
                sx={{
                    display: 'flex',
                    alignItems: 'center',
                    gap: 2,
                    px: 2,
                    py: 1,
                    borderBottom: '1px solid var(--frame)',
                    fontSize: '1.25rem',
                    flexWrap: 'wrap',
                }}
            >
                <b>{setup.part}</b> op {setup.operation} · {setup.machine} · <span className="mono">{program.name}</span> rev {program.revision}
                <Box sx={{ flex: 1 }} />
                <Link href={`/programs/${program.id}`} style={{ color: 'var(--ink)', padding: '8px 4px' }}>To the bench</Link>
            </Box>
            <Box component="main" sx={{ minHeight: 0 }}>
                {text.data === undefined ? (
                    <Box role="status" sx={{ p: 2, fontSize: '1.25rem' }}>
                        {text.error?.message ?? 'Opening the program…'}
                    </Box>
                ) : (
                    <Large program={program} setup={setup} text={text.data} />
                )}
            </Box>
        </Box>
    );
}

function Large({ program, setup, text }: Props & { text: string }) {
    const person = usePerson();
    const { checked, error, share } = useCheck(program.id, setup.version, text, { text, revision: program.revision }, person.settings.units);
    const [run] = useState(() => new RunCursor());
    const [view, setView] = useState<'holds' | 'drawing'>('holds');
    const lines = useMemo(() => text.split('\n'), [text]);
    const motion = checked?.motion;
    const result = checked?.answer.result;
    const states = checked?.answer.states;
    useEffect(() => run.to(motion === undefined || motion.rows === 0 ? null : { row: 0, share: 0 }), [run, motion]);
    if (error !== null) return <Box role="alert" sx={{ p: 2, fontSize: '1.25rem', color: 'error.main' }}>{error.message}</Box>;
    if (checked === null || motion === undefined || result === undefined || states === undefined)
        return (
            <Box role="status" sx={{ p: 2, fontSize: '1.25rem' }}>
                {share === null ? 'Checking…' : `${Math.round(share * 100)} % checked…`}
            </Box>
        );
    const step = (by: 1 | -1, stride: Stride) => run.to(stepped(motion, states, run.moment, by, stride, result.holdPoints));
    const count = (severity: string) => result.findings.filter((finding) => finding.severity === severity).length;
    const big = { fontSize: '1.375rem', minHeight: 64, px: 2 };
    return (
        <Box
            sx={{
                height: '100%',
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
                gridTemplateRows: 'auto minmax(0, 1fr) auto auto',
                columnGap: 2,
                px: 2,
                py: 1,
            }}
        >
            <Box sx={{ gridColumn: '1 / -1', '& span': { fontSize: '1.25rem' } }}>
                <Verdict large verdict={result.verdict} stops={count('stop')} cautions={count('caution')} notes={count('note')} />
            </Box>
            <Box sx={{ minHeight: 0, display: 'grid', gridTemplateRows: 'minmax(0, 1fr) auto', zoom: { xs: 1.35, lg: 1.6 } }}>
                <Positions motion={motion} scene={checked.answer.scene} states={states} run={run} />
            </Box>
            <Box sx={{ minHeight: 0, display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
                <Box role="tablist" aria-label="Beside the positions" sx={{ display: 'flex', gap: 1, py: 1 }}>
                    {(
                        [
                            ['holds', 'Hold points'],
                            ['drawing', 'Drawing'],
                        ] as const
                    ).map(([name, words]) => (
                        <Button
                            key={name}
                            role="tab"
                            aria-selected={view === name}
                            onClick={() => setView(name)}
                            sx={{ ...big, minHeight: 48, fontSize: '1.125rem', background: view === name ? 'var(--pick)' : 'var(--sheet)' }}
                        >
                            {words}
                        </Button>
                    ))}
                </Box>
                {view === 'holds'
                    ? <Holds points={result.holdPoints} run={run} />
                    : <Drawing
                        motion={motion}
                        scene={checked.answer.scene}
                        states={states}
                        operations={result.summary.operations}
                        run={run}
                        mark={null}
                        title={{
                            part: setup.part, drawingNumber: setup.drawingNumber, operation: `op ${setup.operation} · ${setup.machine} · ${setup.name}`,
                            program: `${program.name} rev ${program.revision}`, date: today(), name: person.name, verdict: verdictOf(result),
                            reminder: REMINDER,
                        }}
                        setup={null}
                        onPick={(row) => run.to({ row, share: 1 })}
                    />}
            </Box>
            <Box sx={{ gridColumn: '1 / -1', borderTop: '1px solid var(--frame)', py: 1 }}>
                <Block motion={motion} states={states} scene={checked.answer.scene} run={run} lines={lines} />
            </Box>
            <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
                <Button sx={big} onClick={() => step(-1, 'block')}>◁ Block</Button>
                <Button sx={big} onClick={() => step(1, 'block')}>Block ▷</Button>
                <Button sx={big} variant="contained" onClick={() => step(1, 'hold')}>Next hold point ▷▷</Button>
                <Box sx={{ flex: 1, minWidth: 240 }}><Reminder /></Box>
            </Box>
        </Box>
    );
}

/** The block the run is in, and the one that comes. */
function Block({ motion, states, scene, run, lines }: { motion: Motion; states: StateRow[]; scene: Scene; run: RunCursor; lines: string[] }) {
    const row = useOfMoment(run, (moment) => moment?.row ?? -1);
    if (row < 0) return null;
    const place = placeOf(motion, row);
    const line = motion.line[row] ?? 1;
    const tool = states[motion.state[row] ?? 0]?.tool ?? 0;
    return (
        <Box aria-label="The block" role="group" sx={{ fontSize: '1.5rem' }}>
            <Box sx={{ fontSize: '1.125rem', color: 'text.secondary' }}>
                Line {line}
                {place.text > 0 && ', in the program it calls'}
                {tool > 0 && ` · T${tool} ${scene.tools[tool]?.name ?? ''}`} · {clock(motion.endSeconds[row] ?? 0)} of{' '}
                {clock(motion.endSeconds[motion.rows - 1] ?? 0)}
            </Box>
            <Box className="mono" data-testid="block" sx={{ fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
                {lines[line - 1]}
            </Box>
            <Box className="mono" sx={{ color: 'text.secondary', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', minHeight: '1.5em' }}>
                {lines[line]}
            </Box>
        </Box>
    );
}

/** The moments to watch in the order of the run, large enough for a gloved finger. */
function Holds({ points, run }: { points: HoldPoint[]; run: RunCursor }) {
    const row = useOfMoment(run, (moment) => moment?.row ?? -1);
    const inOrder = useMemo(() => [...points].sort((a, b) => a.row - b.row), [points]);
    return (
        <Box component="ol" aria-label="Hold points" sx={{ m: 0, p: 0, listStyle: 'none', overflow: 'auto' }}>
            {inOrder.map((point) => (
                <li key={point.row}>
                    <Box
                        component="button" type="button" aria-current={point.row === row || undefined} onClick={() => run.to({ row: point.row, share: 1 })}
                        sx={{
                            all: 'unset',
                            boxSizing: 'border-box',
                            cursor: 'pointer',
                            width: '100%',
                            minHeight: 64,
                            px: 1,
                            py: 1,
                            borderTop: '1px solid var(--hair)',
                            fontSize: '1.125rem',
                            lineHeight: 1.3,
                            background: point.row === row ? 'var(--pick)' : undefined,
                            color: point.row < row ? 'text.secondary' : undefined,
                            '&:focus-visible': { outline: '2px solid var(--oak)' },
                        }}
                    >
                        <b>Line {point.line}</b>{point.tool > 0 && ` · T${point.tool}`} · {clock(point.seconds)}: {point.reasons.join('; ')}
                    </Box>
                </li>
            ))}
        </Box>
    );
}
