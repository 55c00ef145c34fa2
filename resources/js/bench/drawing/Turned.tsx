import { Box, Button, MenuItem, Select, Tooltip } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useAppearance } from '../../theme/Appearance';
import { keepFile } from '../../shared/files';
import { figure } from '../../shared/numbers';
import { ask } from '../../shared/server';
import { tipAt, type Motion, type Scene, type StateRow, type Vector } from '../answer';
import type { RunCursor } from '../runCursor';
import { useSize } from '../../shared/useSize';
import { CutAt } from './CutAt';
import { STANDS, TurnedSpace, type Stand } from './turned';
import { useStock, type StockOf } from './useStock';
import { deepestOf, sideAt, sidesOf, type Standing } from './stock';
import { MeasuredPanel } from './asCut/MeasuredPanel';
import { SectionPanel } from './asCut/SectionPanel';
import { WantedPanel } from './asCut/WantedPanel';
import { offOf, useWanted } from './asCut/wanted';
import { around, type Bounds } from './view';

interface Props {
    motion: Motion;
    scene: Scene;
    states: StateRow[];
    mask: Uint8Array | null;
    run: RunCursor;
    bounds: Bounds;
    /** Whose stock can be shown as it is cut; null where none can. */
    stockOf: StockOf | null;
    /** Why the cut stock is not all of it: what was not simulated; null where all was. */
    incomplete: string | null;
    onPick: (row: number) => void;
}

/** What is done with the stock as it is cut. */
type AsCut = 'section' | 'measure' | 'wanted';

const AS_CUT: Record<AsCut, [string, string, string]> = {
    section: ['Section', 'x', 'Cut the stock along a line (Alt+X)'],
    measure: ['Sizes', 'z', 'Measure the cut stock: holes, pockets, slots, bosses (Alt+Z)'],
    wanted: ['Compare', 'y', 'The finished stock against the drawing sizes (Alt+Y)'],
};

const NAMES: Record<Stand, string> = { corner: 'Corner', above: 'Above', front: 'Front', right: 'Right' };

/** The run in depth: dragging turns it, the wheel zooms, a click picks a move; arrow keys turn it, + and − zoom. */
export default function Turned({ motion, scene, states, mask, run, bounds, stockOf, incomplete, onPick }: Props) {
    const { inks } = useAppearance();
    const [box, size] = useSize();
    const space = useRef<TurnedSpace | null>(null);
    const pressed = useRef<[number, number] | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const [asCut, setAsCut] = useState(false);
    const [under, setUnder] = useState<Vector | null>(null);
    const solid = useMutation({
        mutationFn: async (of: StockOf) =>
            keepFile('as-cut.stl', 'model/stl', await (await ask('POST', `/programs/${of.program}/solid`, of.what)).arrayBuffer()),
    });
    const [tool, setTool] = useState<AsCut | null>(null);
    const [points, setPoints] = useState<[number, number][]>([]);
    /** The side of a turned part that is shown; null for the one that faces the tool. */
    const [side, setSide] = useState<string | null>(null);
    const { stands, at, settled, error } = useStock(asCut ? stockOf : null, run);
    const { wanted, error: wantedError } = useWanted(asCut && tool === 'wanted' ? stockOf : null);
    const deepest = useMemo(() => (stands === null ? 1 : deepestOf(stands)), [stands]);
    const sides = useMemo(() => (stands === null ? [] : sidesOf(stands)), [stands]);
    const chosen = sides.find(({ name }) => name === side)?.fields ?? null;
    const off = useMemo(() => (wanted === null ? null : offOf(wanted)), [wanted]);
    const moment = run.moment;
    // As it is cut the stock fills the view; the ways of the tool around it do not count.
    const near = useMemo(
        (): Bounds => (asCut && scene.stock !== null ? around([scene.stock, ...scene.moreStock]) : bounds),
        [asCut, scene.stock, scene.moreStock, bounds],
    );
    useEffect(() => {
        if (box.current === null) return;
        try {
            space.current = new TurnedSpace(box.current);
        } catch {
            setProblem('This browser cannot draw in 3D (WebGL is off or missing). The flat views show the same run.');
            return;
        }
        return () => {
            space.current?.close();
            space.current = null;
        };
    }, [box]);
    useEffect(() => space.current?.resize(size.width, size.height), [size]);
    useEffect(() => space.current?.show(motion, scene, inks, mask, near), [motion, scene, inks, mask, near]);
    useEffect(() => space.current?.look('corner'), [near]);
    useEffect(() => {
        const draw = () => space.current?.at(run.moment, motion, scene, states, inks);
        draw();
        return run.subscribe(draw);
    }, [run, motion, scene, states, inks, bounds]);
    useEffect(() => {
        let shown: Standing[] | null | undefined;
        const draw = () => {
            if (scene.turned !== null) return;
            // What is wanted is wanted at the end.
            const row = tool === 'wanted' ? Infinity : (run.moment?.row ?? -1);
            const next = !asCut ? null : chosen === null || stands === null ? at(row) : sideAt(stands, chosen, row);
            if (next !== shown) space.current?.stock(next, deepest, inks, tool === 'wanted' ? off : null);
            shown = next;
        };
        draw();
        return asCut ? run.subscribe(draw) : undefined;
        // What at() gives changes with these.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [asCut, stands, settled, run, inks, motion, bounds, tool, off, deepest, chosen]);
    useEffect(() => {
        if (scene.turned !== null) space.current?.revolve(scene.turned.stands, scene, inks);
    }, [scene, inks]);
    useEffect(
        () => space.current?.mark(asCut && tool !== null ? points : [], scene.stock?.max[2] ?? 0, inks, tool === 'section'),
        [asCut, tool, points, scene, inks],
    );
    const release = (event: PointerEvent) => {
        const from = pressed.current;
        pressed.current = null;
        if (from === null || Math.hypot(event.clientX - from[0], event.clientY - from[1]) > 4) return;
        const rect = event.currentTarget.getBoundingClientRect();
        if (asCut && (tool === 'section' || tool === 'measure')) {
            const place = space.current?.under(event.clientX - rect.left, event.clientY - rect.top) ?? null;
            if (place !== null) setPoints((before) => (before.length > 1 ? [[place[0], place[1]]] : [...before, [place[0], place[1]]]));
            return;
        }
        const row = space.current?.pick(motion, mask, event.clientX - rect.left, event.clientY - rect.top) ?? -1;
        if (row >= 0) onPick(row);
    };
    const point = (event: PointerEvent) => {
        if (event.buttons !== 0) return setUnder(null);
        const rect = event.currentTarget.getBoundingClientRect();
        setUnder(space.current?.under(event.clientX - rect.left, event.clientY - rect.top) ?? null);
    };
    const key = (event: KeyboardEvent) => {
        if (event.altKey || event.ctrlKey) return;
        const turn = { ArrowLeft: [-10, 0], ArrowRight: [10, 0], ArrowUp: [0, 10], ArrowDown: [0, -10] }[event.key];
        const zoom = { '+': 1.25, '=': 1.25, '-': 0.8 }[event.key];
        if (turn !== undefined) space.current?.turn(turn[0] ?? 0, turn[1] ?? 0);
        else if (zoom !== undefined) space.current?.zoom(zoom);
        else return;
        event.preventDefault();
    };
    return (
        <Box
            sx={{
                position: 'absolute',
                inset: 0,
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr)',
                // A section is drawn as large as it may be; the others are no taller than what they say.
                gridTemplateRows: !asCut || tool === null ? 'minmax(0, 1fr)' : tool === 'section' ? 'minmax(0, 1fr) 44%' : 'minmax(0, 1fr) fit-content(44%)',
            }}
        >
            <Box sx={{ position: 'relative', minHeight: 0 }}>
                <Box
                    ref={box} data-testid="turned" role="img" tabIndex={0} aria-label="3D view; arrow keys turn it, plus and minus zoom"
                    sx={{ position: 'absolute', inset: 0, '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' } }}
                    onPointerDown={(event) => { pressed.current = [event.clientX, event.clientY]; }} onPointerUp={release} onKeyDown={key}
                    onPointerMove={asCut && tool === 'measure' ? point : undefined} onPointerLeave={() => setUnder(null)}
                />
                {asCut && tool === 'measure' && under !== null && (
                    <Box
                        data-testid="under"
                        sx={{
                            px: 1,
                            py: 0.5,
                            position: 'absolute',
                            left: 6,
                            bottom: 6,
                            fontSize: '0.875rem',
                            background: 'var(--sheet)',
                            border: '1px solid var(--hair)',
                            pointerEvents: 'none',
                        }}
                    >
                        X {figure(under[0], scene.decimals - 1)} Y {figure(under[1], scene.decimals - 1)} <b>Z {figure(under[2], scene.decimals)}</b>{' '}
                        {scene.units === 'mm' ? 'mm' : 'in'}
                        {scene.stock !== null && under[2] < scene.stock.max[2]
                            ? `, ${figure(scene.stock.max[2] - under[2], scene.decimals)} below the top of the stock`
                            : ''}
                    </Box>
                )}
                {solid.error !== null && (
                    <Box role="alert" sx={{ p: 1.5, position: 'absolute', left: 6, bottom: 6, background: 'var(--sheet)' }}>
                        {solid.error.message}
                    </Box>
                )}
                {asCut && error !== null && (
                    <Box role="alert" sx={{ p: 1.5, position: 'absolute', left: 6, bottom: 6, background: 'var(--sheet)' }}>
                        {error.message}
                    </Box>
                )}
                {asCut && error === null && stands === null && (
                    <Box role="status" sx={{ p: 1.5, position: 'absolute', left: 6, bottom: 6, background: 'var(--sheet)' }}>
                        Cutting the stock…
                    </Box>
                )}
                {asCut && stands !== null && <CutAt motion={motion} run={run} atEnd={tool === 'wanted'} incomplete={incomplete} />}
                {problem !== null && <Box role="alert" sx={{ p: 2, position: 'absolute' }}>{problem}</Box>}
                {asCut && stockOf !== null && (
                    <Box role="group" aria-label="With the stock" sx={{ position: 'absolute', left: 6, top: 6, display: 'grid', gap: 0.5 }}>
                        {(Object.keys(AS_CUT) as AsCut[]).map((name) => (
                            <Tooltip key={name} title={AS_CUT[name][2]} placement="right">
                                <Button
                                    accessKey={AS_CUT[name][1]}
                                    aria-pressed={tool === name}
                                    onClick={() => {
                                        setTool(tool === name ? null : name);
                                        setPoints([]);
                                    }}
                                    sx={{ background: tool === name ? 'var(--pick)' : 'var(--sheet)' }}
                                >
                                    {AS_CUT[name][0]}
                                </Button>
                            </Tooltip>
                        ))}
                        <Tooltip title="Download the cut stock as STL" placement="right">
                            <Button disabled={solid.isPending} onClick={() => solid.mutate(stockOf)} sx={{ background: 'var(--sheet)' }}>
                                STL
                            </Button>
                        </Tooltip>
                    </Box>
                )}
                {asCut && sides.length > 1 && (
                    <Box
                        component="label"
                        sx={{ position: 'absolute', left: 6, bottom: 6, display: 'flex', gap: 0.75, alignItems: 'center', fontSize: '0.8125rem' }}
                    >
                        Side
                        <Select
                            size="small" value={side ?? ''} displayEmpty onChange={(event) => setSide(event.target.value === '' ? null : event.target.value)}
                            inputProps={{ 'aria-label': 'Side of the part' }}
                            sx={{ background: 'var(--sheet)', fontSize: '0.8125rem', '& .MuiSelect-select': { py: 0.25 } }}
                        >
                            <MenuItem value="">facing the tool</MenuItem>
                            {sides.map(({ name }) => <MenuItem key={name} value={name}>{name}</MenuItem>)}
                        </Select>
                    </Box>
                )}
                <Box role="group" aria-label="View from" sx={{ position: 'absolute', right: 6, top: 6, display: 'flex', gap: 0.5 }}>
                    {stockOf !== null && (
                        <Tooltip title="The stock as cut up to the cursor (Alt+S)" placement="bottom-end">
                            <Button
                                accessKey="s"
                                aria-pressed={asCut}
                                onClick={() => setAsCut(!asCut)}
                                sx={{ background: asCut ? 'var(--pick)' : 'var(--sheet)' }}
                            >
                                Cut stock
                            </Button>
                        </Tooltip>
                    )}
                    {(Object.keys(STANDS) as Stand[]).map((stand) => (
                        <Button key={stand} onClick={() => space.current?.look(stand)} sx={{ background: 'var(--sheet)' }}>
                            {NAMES[stand]}
                        </Button>
                    ))}
                </Box>
            </Box>
            {asCut && tool !== null && stockOf !== null && (
                <Box sx={{ minHeight: 0, background: 'var(--margin)', borderTop: '1px solid var(--frame)' }}>
                    {tool === 'section' && (
                        <SectionPanel
                            of={stockOf}
                            row={settled >= 0 ? settled : (moment?.row ?? motion.rows - 1)}
                            scene={scene}
                            points={points}
                            tip={moment === null || moment.row < 0 ? null : tipAt(motion, moment)}
                            onPoints={setPoints}
                        />
                    )}
                    {tool === 'measure' && (
                        <MeasuredPanel of={stockOf} row={settled >= 0 ? settled : (moment?.row ?? motion.rows - 1)} points={points} onPoints={setPoints} />
                    )}
                    {tool === 'wanted' && <WantedPanel wanted={wanted} error={wantedError} onPlace={(place) => setPoints([place])} />}
                </Box>
            )}
        </Box>
    );
}
