import { router } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { UndoBar, remove, type Done } from '../frame/UndoBar';
import { Reminder } from '../shared/Reminder';
import { ServerError, send } from '../shared/server';
import { FilterBar } from './FilterBar';
import { Forms, type Asked } from './forms';
import { ALL, listed, type Filter, type PartRow } from './list';
import { PartSheet } from './PartSheet';

/** Verdicts are worked out on the side; while some are on the way, the list is asked for again. */
const LOOK_AGAIN = 1_000;

/** Everything there is to make, what may run, and the way to begin something new. */
export default function Parts({ parts, machines }: { parts: PartRow[]; machines: { id: number; name: string }[] }) {
    const person = usePerson();
    const [filter, setFilter] = useState<Filter>(ALL);
    const [asked, setAsked] = useState<Asked | null>(null);
    const [done, setDone] = useState<Done | null>(null);
    const gone = useCallback(() => setDone(null), []);
    const shown = useMemo(() => listed(parts, filter, person.id), [parts, filter, person.id]);
    const programs = parts.filter(({ isArchived }) => !isArchived).flatMap((part) => part.setups.flatMap((setup) => setup.programs));
    const isOnTheWay = programs.some((program) => program.verdict === null);
    useEffect(() => {
        if (!isOnTheWay) return;
        const timer = setInterval(() => router.reload({ only: ['parts'] }), LOOK_AGAIN);
        return () => clearInterval(timer);
    }, [isOnTheWay]);
    const act = async (doing: () => Promise<Done>) => {
        try {
            setDone(await doing());
        } catch (error) {
            setDone({ words: error instanceof ServerError ? error.message : 'Nothing was changed.' });
        }
        router.reload();
    };
    const archive = (part: PartRow) => act(async () => {
        await send('PUT', `/parts/${part.id}/archived`, { archived: !part.isArchived });
        return {
            words: `${part.name} ${part.isArchived ? 'taken out of the archive' : 'archived'}.`,
            undo: () => send('PUT', `/parts/${part.id}/archived`, { archived: part.isArchived }),
        };
    });
    const copy = (part: PartRow) => act(async () => {
        await send('POST', `/parts/${part.id}/copy`, {});
        return { words: `${part.name} copied. Its offsets are not trusted until they are touched off.` };
    });
    const stopped = programs.filter(({ verdict, calledBy }) => verdict === 'stop' && calledBy === null).length;
    return (
        <Frame
            title="Parts"
            where={<Box sx={{ color: 'text.secondary' }}>{programs.length} programs, {stopped === 0 ? 'none stopped' : `${stopped} stopped`}</Box>}
        >
            <Box sx={{ height: '100%', overflow: 'auto', p: 3, pt: 2, display: 'flex', flexDirection: 'column', gap: 2 }}>
                <Box component="h1" className="hidden-label">Parts and setups</Box>
                {parts.length > 0 && (
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', pt: 0.5 }}>
                        <FilterBar filter={filter} machines={machines} onChange={(changed) => setFilter((before) => ({ ...before, ...changed }))} />
                        {person.mayChange && <Button variant="contained" sx={{ ml: 'auto' }} onClick={() => setAsked({ what: 'new-part' })}>New part</Button>}
                    </Box>
                )}
                {parts.length === 0 && (
                    <Box sx={{ fontSize: '1.0625rem', display: 'grid', gap: 1.5, justifyItems: 'start' }}>
                        There are no parts yet. A part has setups, one for each clamping, and a setup has the programs it runs.
                        {person.mayChange && <Button variant="contained" autoFocus onClick={() => setAsked({ what: 'new-part' })}>New part</Button>}
                    </Box>
                )}
                {parts.length > 0 && shown.length === 0 && (
                    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                        {filter.archived ? 'Nothing archived fits.' : 'Nothing fits what is asked for.'}
                        <Button onClick={() => setFilter(ALL)}>Show all</Button>
                    </Box>
                )}
                {shown.map((part) => (
                    <PartSheet
                        key={part.id} part={part} onAsk={setAsked} onCopy={() => void copy(part)} onArchive={() => void archive(part)}
                        onDelete={(kind, id, name) => void act(() => remove(kind, id, name))}
                    />
                ))}
                <Box sx={{ mt: 'auto', maxWidth: 900 }}><Reminder /></Box>
            </Box>
            {asked !== null && <Forms key={asked.what} asked={asked} parts={parts} machines={machines} onAsk={setAsked} />}
            <UndoBar done={done} onGone={gone} />
        </Frame>
    );
}
