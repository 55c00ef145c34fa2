import { Link, router } from '@inertiajs/react';
import { Box, MenuItem, Select } from '@mui/material';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { rowAtLine, type Moment } from '../bench/answer';
import { Drawing } from '../bench/drawing/Drawing';
import { readDraft } from '../bench/draft';
import { RunCursor } from '../bench/runCursor';
import type { RevisionRow } from '../bench/revision';
import { HeightStrip } from '../bench/strip/HeightStrip';
import { keyOf } from '../bench/textKey';
import { unpack } from '../shared/columns';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { today, when } from '../shared/numbers';
import { REMINDER } from '../shared/Reminder';
import { ask, send } from '../shared/server';
import { Figures } from './Figures';
import { Restore } from './Restore';
import { differenceOf, type CompareAnswer } from '../bench/difference';
import { TextDifference } from './TextDifference';

interface Props {
    program: { id: number; name: string };
    setup: { id: number; operation: number; name: string; machine: string; part: string; drawingNumber: string };
    revisions: RevisionRow[];
}

/** The text that is typed and not saved, beside the revisions. */
const TYPED = 'typed';

/** Two revisions of a program as text, as motion and in figures. */
export default function Compare({ program, setup, revisions }: Props) {
    const person = usePerson();
    const asked = new URLSearchParams(window.location.search);
    const latest = revisions[0]?.number ?? 1;
    const [to, setTo] = useState<string>(asked.get('to') ?? String(latest));
    const [from, setFrom] = useState<string>(asked.get('from') ?? String(to === TYPED ? latest : Math.max(1, latest - 1)));
    const draft = useQuery({
        queryKey: ['draft', person.id, program.id],
        queryFn: () => readDraft(person.id, program.id),
        structuralSharing: false,
    });
    const textOf = async (which: string): Promise<string> =>
        which === TYPED ? (draft.data?.text ?? '') : (await ask('GET', `/programs/${program.id}/revisions/${which}`)).text();
    const texts = useQuery({
        queryKey: ['texts', program.id, from, to, keyOf(draft.data?.text ?? '')],
        queryFn: async () => ({ was: await textOf(from), is: await textOf(to) }),
        enabled: !draft.isPending,
    });
    const motion = useQuery({
        queryKey: ['compare', program.id, person.settings.units, from, to, keyOf(draft.data?.text ?? '')],
        queryFn: async ({ signal }) => {
            const response = await ask(
                'POST',
                `/programs/${program.id}/compare`,
                { from: Number(from), ...(to === TYPED ? { text: await textOf(TYPED) } : { to: Number(to) }) },
                signal,
            );
            const answer = unpack<CompareAnswer>(await response.arrayBuffer());
            return { answer, ...differenceOf(answer) };
        },
        enabled: !draft.isPending, structuralSharing: false,
    });
    const restore = useMutation({
        mutationFn: () => send('POST', `/programs/${program.id}/revisions/${from}/restore`, { base: latest }),
        onSuccess: () => router.visit(`/programs/${program.id}`),
    });
    const [run] = useState(() => new RunCursor());
    const data = motion.data;
    useEffect(() => run.to(null), [run, data]);
    const toLine = useMemo(() => (line: number) => {
        if (data !== undefined) run.to({ row: rowAtLine(data.motion, line), share: 1 });
    }, [data, run]);
    const toMoment = (moment: Moment) => run.to(moment);
    const named = (which: string) => (which === TYPED ? 'unsaved changes' : `rev ${which}`);
    const choices = [
        ...(draft.data == null ? [] : [{ value: TYPED, words: 'unsaved changes' }]),
        ...revisions.map(({ number, by, at, reason }) => ({
            value: String(number),
            words: `rev ${number} · ${by}, ${when(at)}${reason === '' ? '' : ` · ${reason}`}`,
        })),
    ];
    const error = motion.error ?? texts.error ?? restore.error;
    return (
        <Frame
            title={`${program.name} compared`}
            where={
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minWidth: 0, whiteSpace: 'nowrap' }}>
                    <Box sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}>
                        <b>{setup.part}</b> · op {setup.operation} · <Link href={`/programs/${program.id}`}>{program.name}</Link>
                    </Box>
                    <Select
                        size="small"
                        value={from}
                        onChange={(event) => setFrom(event.target.value)}
                        inputProps={{ 'aria-label': 'Compare' }}
                        renderValue={named}
                    >
                        {choices.filter(({ value }) => value !== TYPED).map(({ value, words }) => <MenuItem key={value} value={value}>{words}</MenuItem>)}
                    </Select>
                    with
                    <Select
                        size="small"
                        value={to}
                        onChange={(event) => setTo(event.target.value)}
                        inputProps={{ 'aria-label': 'with' }}
                        renderValue={named}
                    >
                        {choices.map(({ value, words }) => <MenuItem key={value} value={value}>{words}</MenuItem>)}
                    </Select>
                    {person.mayChange && Number(from) < latest && (
                        <Restore
                            revision={revisions.find(({ number }) => number === Number(from))} latest={latest} verdict={data?.answer.was.verdict ?? null}
                            pending={restore.isPending} onRestore={() => restore.mutate()}
                        />
                    )}
                </Box>
            }
        >
            <Box
                sx={{
                    height: '100%',
                    display: 'grid',
                    gridTemplateColumns: 'minmax(0, 1.15fr) minmax(0, 1fr)',
                    gridTemplateRows: 'auto minmax(0, 1fr) 10.75rem',
                }}
            >
                <Box sx={{ gridColumn: '1 / -1', borderBottom: '1px solid var(--frame)' }}>
                    {error !== null && <Box role="alert" sx={{ p: 1, color: 'error.main', fontWeight: 600 }}>{error.message}</Box>}
                    {data === undefined ? (
                        <Box role="status" sx={{ p: 1 }}>
                            {error === null ? 'Comparing…' : ''}
                        </Box>
                    ) : (
                        <Figures answer={data.answer} onRow={(row) => run.to({ row, share: 1 })} />
                    )}
                </Box>
                <Box sx={{ gridRow: '2 / 4', borderRight: '1px solid var(--frame)', minHeight: 0 }}>
                    {texts.data !== undefined && <TextDifference was={texts.data.was} is={texts.data.is} names={[named(from), named(to)]} onLine={toLine} />}
                </Box>
                <Box sx={{ minHeight: 0, minWidth: 0 }}>
                    {data !== undefined && (
                        <Drawing
                            motion={data.motion} scene={data.answer.is.scene} states={data.answer.is.states} operations={[]} run={run} mark={null}
                            difference={data.difference}
                            title={{
                                part: setup.part, drawingNumber: setup.drawingNumber, operation: `op ${setup.operation} · ${setup.machine} · ${setup.name}`,
                                program: `${program.name} ${named(from)} and ${named(to)}`, date: today(), name: person.name,
                                verdict: `${data.answer.was.verdict} → ${data.answer.is.verdict}`, reminder: REMINDER,
                            }}
                            setup={null}
                            onPick={(row) => run.to({ row, share: 1 })}
                        />
                    )}
                </Box>
                <Box sx={{ borderTop: '1px solid var(--frame)', minWidth: 0 }}>
                    {data !== undefined && (
                        <HeightStrip
                            motion={data.motion}
                            scene={data.answer.is.scene}
                            states={data.answer.is.states}
                            findings={[]}
                            holds={[]}
                            difference={data.difference}
                            run={run}
                            onMoment={toMoment}
                        />
                    )}
                </Box>
            </Box>
        </Frame>
    );
}
