import { Link } from '@inertiajs/react';
import { Box, Button, LinearProgress, Tooltip } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Edit } from '../contracts/oak-check-1';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { Reminder } from '../shared/Reminder';
import { Verdict } from '../shared/Verdict';
import { throttle } from '../shared/throttle';
import { when } from '../shared/numbers';
import { ask } from '../shared/server';
import { useAltKeys } from '../shared/useAltKeys';
import { cutInk } from '../theme/inks';
import { useAppearance } from '../theme/Appearance';
import { heightsOf, placeOf, rowAtLine, type Moment } from './answer';
import { dropDraft, keepDraft, readDraft, type Draft } from './draft';
import { ChangeText } from './ChangeText';
import type { TextTransform } from './changes';
import { Drawing } from './drawing/Drawing';
import { ShortcutHelp } from './ShortcutHelp';
import { GoTo } from './GoTo';
import type { CodeMeaning } from './listing/codes';
import { Listing, type ListingHandle } from './listing/Listing';
import type { MarginData } from './listing/margin';
import { Positions } from './Positions';
import { Review } from './review/Review';
import { RunCursor } from './runCursor';
import { Revisions, type Proof } from './Revisions';
import { SavedSince } from './SavedSince';
import type { RevisionRow } from './revision';
import { SaveButton } from './SaveButton';
import { StateAtCursor } from './StateAtCursor';
import { LineExplained } from './LineExplained';
import { HeightStrip } from './strip/HeightStrip';
import { Player } from './strip/Player';
import { useCheck } from './useCheck';
import type { StockOf } from './drawing/useStock';
import { keyOf } from './textKey';
import { useEditSession } from './useEditSession';

interface Props {
    /** A long text is not sent along but fetched, see `text`. */
    program: { id: number; name: string; text: string | null; revision: number; proof: Proof | null };
    setup: { id: number; operation: number; name: string; machine: string; part: string; version: number; mayLower: boolean };
    revisions: RevisionRow[];
    transforms: TextTransform[];
    codes: CodeMeaning[];
}

/** Between two lines the listing goes to while the run is scrubbed, milliseconds. */
const FOLLOW = 160;

/** What lies on the bench when it is opened: the saved text, and what was typed and not saved. */
interface Opened {
    text: string;
    kept: Draft | null;
}

/** Fetches what is to lie on the bench, and opens it. */
export default function Bench(props: Props) {
    const { program } = props;
    const person = usePerson();
    const opened = useQuery({
        queryKey: ['open', person.id, program.id],
        queryFn: async (): Promise<Opened> => ({
            text: program.text ?? (await (await ask('GET', `/programs/${program.id}/revisions/${program.revision}`)).text()),
            kept: await readDraft(person.id, program.id),
        }),
        gcTime: 0,
        structuralSharing: false,
    });
    if (opened.data !== undefined) return <OpenBench {...props} opened={opened.data} />;
    return (
        <Frame title={program.name} where={<b>{program.name}</b>}>
            <Box role={opened.error === null ? 'status' : 'alert'} sx={{ p: 2 }}>
                {opened.error?.message ?? 'Opening the program…'}
            </Box>
        </Frame>
    );
}

/** One program in one setup: the listing and the drawing face each other, and the answer stands above both. */
function OpenBench({ opened: { text: opened, kept }, ...props }: Props & { opened: Opened }) {
    const { program, setup } = props;
    const person = usePerson();
    const { inks } = useAppearance();
    const [text, setText] = useState(kept?.text ?? opened);
    const [saved, setSaved] = useState({ text: opened, revision: program.revision });
    const [base, setBase] = useState(kept?.base ?? program.revision);
    const [revisions, setRevisions] = useState(props.revisions);
    const [restored, setRestored] = useState(kept !== null && kept.text !== opened);
    const [run] = useState(() => new RunCursor());
    const [selected, setSelected] = useState<number | null>(null);
    /** Whether what is typed could not be kept on this computer. */
    const [unkept, setUnkept] = useState(false);
    const listing = useRef<ListingHandle>(null);
    const calledListing = useRef<ListingHandle>(null);
    /** Which text is shown: 0 the program itself, 1 and on those it calls. */
    const [shown, setShown] = useState(0);
    const [explaining, setExplaining] = useState(false);
    const { checked, current, error, share, waits, stop, again, whole, isWhole } = useCheck(program.id, setup.version, text, saved, person.settings.units);
    const changed = text !== saved.text;
    const editing = useEditSession(program.id, changed);
    const newer = editing !== null && editing.latest.number > (changed ? base : saved.revision) ? editing.latest : null;

    useEffect(() => {
        if (!changed) {
            void dropDraft(person.id, program.id);
            setUnkept(false);
            return;
        }
        keepDraft(person.id, program.id, text, base).then(() => setUnkept(false), () => setUnkept(true));
    }, [changed, text, base, person.id, program.id]);

    /** Typing and a revision saved under it, brought together: one step in the listing, to be saved as any other. */
    const takeMerged = (merged: string, on: number) => {
        listing.current?.replaceAll(merged);
        setBase(on);
    };
    const motion = checked?.motion ?? null;
    const units = person.settings.units;
    const stockOf = useMemo((): StockOf | null => (checked?.answer.result.summary.stock === undefined ? null : {
        program: program.id, key: [setup.version, units, keyOf(checked.text), String(isWhole)],
        what: checked.text === saved.text ? { revision: saved.revision } : { text: checked.text },
    }), [checked, program.id, setup.version, units, saved, isWhole]);
    const findings = useMemo(() => checked?.answer.result.findings ?? [], [checked]);
    const texts = useMemo(() => checked?.answer.texts ?? [], [checked]);
    const inText = Math.min(shown, texts.length);
    const called = texts[inText - 1];
    const cursor = useRef({ line: 1, text: 0 });
    /** While the listing follows the run, it does not lead it. */
    const follows = useRef(false);
    const toLine = useCallback((at: number, text = 0) => {
        cursor.current = { line: at, text };
        if (text === 0) run.atLine(at);
        if (motion !== null && !follows.current) run.to({ row: rowAtLine(motion, at, text), share: 1 });
    }, [motion, run]);
    // A new trace: the tool stands where the cursor is in it.
    useEffect(() => toLine(cursor.current.line, cursor.current.text), [toLine]);

    /** The listing goes along with the run: at once where one is asked for, throttled where many are. */
    const follow = useCallback((row: number) => {
        if (motion === null || row < 0 || row >= motion.rows) return;
        const place = placeOf(motion, row);
        setShown(place.text);
        const go = (handle: ListingHandle | null, line: number) => {
            follows.current = true;
            handle?.goTo(line);
            follows.current = false;
        };
        go(listing.current, motion.line[row] ?? 1);
        // The listing of a called program comes in with the next drawing.
        if (place.text > 0) setTimeout(() => go(calledListing.current, place.line));
        setSelected(null);
    }, [motion]);
    const followThrottled = useMemo(() => throttle(follow, FOLLOW), [follow]);
    const toRow = useCallback((row: number) => {
        run.to({ row, share: 1 });
        follow(row);
    }, [run, follow]);
    const toMoment = useCallback((at: Moment) => {
        run.to(at);
        followThrottled(at.row);
    }, [run, followThrottled]);
    /** The finding the next step goes to: that after the picked one, or the one that has moved up where one was put right. */
    const upcoming = useRef(0);
    const select = useCallback((index: number) => {
        const finding = findings[index];
        if (finding === undefined) return;
        setSelected(index);
        upcoming.current = index + 1;
        const text = 1 + texts.findIndex((other) => other.name === finding.program);
        setShown(text);
        listing.current?.goTo(finding.at ?? finding.line, text > 0 ? 1 : finding.column);
        if (text > 0) setTimeout(() => calledListing.current?.goTo(finding.line, finding.column));
        toLine(finding.line, text);
    }, [findings, texts, toLine]);

    const next = useCallback(() => {
        if (findings.length > 0) select(upcoming.current % findings.length);
    }, [findings, select]);
    const apply = useCallback((edit: Edit, index: number) => {
        if (!current) return; // The finding is about the text as it was; in a moment there will be one about this one.
        listing.current?.apply(edit);
        setSelected(null);
        upcoming.current = index;
    }, [current]);

    useAltKeys({
        KeyN: next,
        KeyE: () => setExplaining(!explaining),
        KeyP: () => {
            const edit = selected === null ? undefined : findings[selected]?.edit;
            if (edit !== undefined && selected !== null) apply(edit, selected);
        },
    });
    useEffect(() => {
        // Taking back works wherever nothing else has something to take back.
        const key = (event: KeyboardEvent) => {
            if (
                !(event.ctrlKey || event.metaKey) ||
                event.code !== 'KeyZ' ||
                (event.target instanceof Element && event.target.closest('.cm-editor, input, textarea'))
            )
                return;
            listing.current?.undo();
            event.preventDefault();
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, []);

    const [margin, calledMargin] = useMemo((): [MarginData | null, MarginData | null] => {
        if (checked === null) return [null, null];
        const { columns, result, scene, texts: others } = checked.answer;
        const top = scene.stock?.max[2] ?? 0;
        const depth = scene.stock ? top - scene.stock.min[2] : 20;
        const look = { decimals: scene.decimals, top, ink: (z: number) => cutInk(inks, (top - z) / depth) };
        const other = others[inText - 1];
        const own = result.findings.filter((finding) => !others.some(({ name }) => name === finding.program));
        return [
            { ...look, heights: heightsOf(columns, 0), findings: own },
            other === undefined
                    ? null
                    : { ...look, heights: heightsOf(columns, inText), findings: result.findings.filter((finding) => finding.program === other.name) },
        ];
    }, [checked, inks, inText]);

    const count = (severity: string) => findings.filter((finding) => finding.severity === severity).length;
    const picked = selected === null ? undefined : findings[selected];
    const mark = useMemo(
        () =>
            picked === undefined || picked.severity === 'note'
                ? null
                : {
                      text:
                              `line ${picked.line}${picked.program === undefined ? '' : ` of ${picked.program}`}: ` +
                              picked.check.replace(/.*\./, '').replaceAll('-', ' '),
                      stop: picked.severity === 'stop',
                  },
        [picked],
    );

    return (
        <Frame
            title={`${program.name}, ${setup.part}`}
            where={
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minWidth: 0, whiteSpace: 'nowrap' }}>
                    <Box
                        sx={{
                            overflow: 'hidden',
                            textOverflow: 'ellipsis',
                            lineHeight: 1.25,
                            fontSize: { xs: '0.875rem', lg: '1rem' },
                            '& > span': { display: { xs: 'block', lg: 'inline' } },
                        }}
                    >
                        <span><b>{setup.part}</b> · op {setup.operation} · {setup.machine}</span> <Link href={`/setups/${setup.id}`}>{setup.name}</Link>
                    </Box>
                    <Revisions
                        program={program}
                        base={base}
                        changed={changed}
                        revisions={revisions}
                        mayProve={person.mayChange && !changed && base === saved.revision}
                    />
                    <ChangeText
                        program={program.id}
                        setupVersion={setup.version}
                        text={text}
                        transforms={props.transforms}
                        selectedLines={() => listing.current?.selectedLines() ?? null}
                        onApply={(edit) => listing.current?.apply(edit)}
                    />
                    {person.mayChange && (
                        <SaveButton
                            program={program.id} base={base} text={text} changed={changed}
                            onSaved={(revision, savedText) => {
                                setSaved({ text: savedText, revision: revision.number });
                                setBase(revision.number);
                                setRevisions((before) => [revision, ...before]);
                                setRestored(false);
                            }}
                            onBase={setBase} onMerged={takeMerged}
                        />
                    )}
                </Box>
            }
            tools={<ShortcutHelp />}
            answer={<Box sx={{ opacity: current ? 1 : 0.6 }}>
                {checked === null ? (
                    <span>Checking…</span>
                ) : (
                    <Verdict large verdict={checked.answer.result.verdict} stops={count('stop')} cautions={count('caution')} notes={count('note')} />
                )}
            </Box>}
        >
            <Box
                sx={{
                    height: '100%',
                    display: 'grid',
                    gridTemplateColumns: { xs: '340px minmax(0, 1fr) 288px', lg: '416px minmax(0, 1fr) 316px' },
                    gridTemplateRows: 'auto minmax(0, 1fr) auto 12rem',
                }}
            >
                <Box sx={{ gridColumn: '1 / -1' }}>
                    {restored && (
                        <Notice>
                            Your typing on revision {base}{kept?.at ? ` of ${when(kept.at)}` : ''} was kept and is shown, not saved.
                            <Button
                                onClick={() => {
                                    listing.current?.replaceAll(saved.text);
                                    setBase(saved.revision);
                                    setRestored(false);
                                }}
                            >
                                Put it aside, show revision {saved.revision}
                            </Button>
                            <Button onClick={() => setRestored(false)}>Go on with it</Button>
                        </Notice>
                    )}
                    {unkept && (
                        <Notice>
                            The storage of this browser is full: what you type is not kept if the page is closed. Save a revision now, or take a copy.
                        </Notice>
                    )}
                    {editing !== null && editing.others.length > 0 && (
                        <Notice>
                            {editing.others.map(({ name, since }) => `${name} is changing this program too, since ${when(since)}`).join('; ')}. Nobody’s
                            text is overwritten: whoever saves second is shown the difference.
                        </Notice>
                    )}
                    {newer !== null && (
                        <Notice>
                            {newer.by} saved revision {newer.number}, {when(newer.at)}{newer.reason === '' ? '' : `: ${newer.reason}`}. You are
                            on revision {base}.
                            {changed
                                ? <SavedSince program={program.id} text={text} base={base} latest={newer.number} onBase={setBase} onMerged={takeMerged} />
                                : <>
                                    <Button component="a" href={`/programs/${program.id}/compare?from=${base}&to=${newer.number}`} target="_blank">
                                        See the difference
                                    </Button>
                                    <Button onClick={() => window.location.reload()}>Open revision {newer.number}</Button>
                                </>}
                        </Notice>
                    )}
                    {share !== null && (
                        <Notice>
                            {share === 0
                                ? `A long check. ${waits === '' ? 'It waits for its turn.' : waits}`
                                : `A long check: ${Math.round(share * 100)} % done.`}
                            <LinearProgress variant="determinate" value={share * 100} aria-label="Share checked" sx={{ width: 220 }} />
                            <Button onClick={stop}>Stop the check</Button>
                        </Notice>
                    )}
                    {error !== null && share === null && <Notice alert>{error.message}<Button onClick={again}>Check again</Button></Notice>}
                </Box>
                <Box
                    sx={{
                        gridRow: '2 / 4',
                        borderRight: '1px solid var(--frame)',
                        minHeight: 0,
                        display: 'grid',
                        gridTemplateColumns: 'minmax(0, 1fr)',
                        gridTemplateRows: 'auto minmax(0, 1fr)',
                    }}
                >
                    <Box sx={{ display: 'flex', alignItems: 'start', borderBottom: '1px solid var(--hair)', background: 'var(--margin)' }}>
                        <Box sx={{ flex: 1, minWidth: 0 }}>
                            {texts.length > 0 && <Texts names={[program.name, ...texts.map(({ name }) => name)]} shown={inText} onShow={setShown} />}
                        </Box>
                        <Box sx={{ p: 0.5 }}><GoTo
                            operations={checked?.answer.result.summary.operations ?? []} programs={texts.map(({ name }) => name)} text={text}
                            onLine={(at) => { setShown(0); listing.current?.goTo(at, 1, true); toLine(at); }} onProgram={(n) => setShown(n + 1)}
                        /></Box>
                    </Box>
                    <Box sx={{ minHeight: 0, display: inText === 0 ? 'block' : 'none' }}>
                        <Listing
                            ref={listing}
                            codes={props.codes}
                            text={kept?.text ?? opened}
                            margin={margin}
                            outline={checked?.answer.result.summary.operations}
                            onText={setText}
                            onLine={toLine}
                        />
                    </Box>
                    {called !== undefined && (
                        <Box sx={{ minHeight: 0 }}>
                            <Listing
                                key={called.name}
                                codes={props.codes}
                                ref={calledListing}
                                called={called.name}
                                text={called.text}
                                margin={calledMargin}
                                onLine={(at) => toLine(at, inText)}
                            />
                        </Box>
                    )}
                </Box>
                <Box sx={{ gridRow: 2, gridColumn: 2, minHeight: 0, minWidth: 0 }}>
                    {checked !== null && motion !== null && (
                        <Drawing
                            motion={motion} scene={checked.answer.scene} states={checked.answer.states}
                            operations={checked.answer.result.summary.operations} run={run} mark={mark}
                            title={`${program.name} rev ${base}${changed ? ", not saved" : ""} · ${setup.part} · op ${setup.operation} · ${setup.machine}`}
                            setup={person.mayChange ? setup : null} stockOf={stockOf} onPick={toRow}
                        />
                    )}
                </Box>
                <Box sx={{ gridRow: 3, gridColumn: 2, borderTop: '1px solid var(--hair)', minWidth: 0 }}>
                    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', alignItems: 'start' }}>
                        {explaining && inText === 0
                            ? <LineExplained program={program.id} setupVersion={setup.version} text={text} run={run} />
                            : checked !== null && motion !== null && (
                                <StateAtCursor motion={motion} scene={checked.answer.scene} states={checked.answer.states} run={run} called={called?.name} />
                            )}
                        <Tooltip title={explaining ? 'Back to what is in force (Alt+E)' : 'What this line does, word by word (Alt+E)'}>
                            <Button onClick={() => setExplaining(!explaining)} aria-pressed={explaining} sx={{ m: 0.5 }}>
                                {explaining ? 'In force' : 'Explain'}
                            </Button>
                        </Tooltip>
                    </Box>
                </Box>
                <Box
                    sx={{
                        gridRow: '2 / 4',
                        gridColumn: 3,
                        borderLeft: '1px solid var(--frame)',
                        minHeight: 0,
                        display: 'grid',
                        gridTemplateRows: 'minmax(0, 1fr) auto',
                    }}
                >
                    <Review
                        answer={checked?.answer ?? null} program={program} setup={setup} text={checked?.text ?? text} selected={selected} run={run}
                        onSelect={select} onNext={next} onApply={apply} onWhole={isWhole ? null : whole} onRow={toRow} onLine={(at) => {
                            setShown(0);
                            listing.current?.goTo(at);
                            toLine(at);
                        }}
                    />
                    <Box sx={{ px: 1.5, py: 0.75, borderTop: '1px solid var(--hair)' }}><Reminder /></Box>
                </Box>
                <Box
                    sx={{
                        gridRow: 4,
                        gridColumn: 1,
                        minWidth: 0,
                        borderTop: '1px solid var(--frame)',
                        borderRight: '1px solid var(--frame)',
                        background: 'var(--margin)',
                    }}
                >
                    {checked !== null && motion !== null && (
                        <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gridTemplateRows: 'minmax(0, 1fr) auto' }}>
                            <Positions motion={motion} scene={checked.answer.scene} states={checked.answer.states} run={run} />
                            <Box sx={{ px: 1, pb: 0.75 }}>
                                <Player
                                    motion={motion}
                                    states={checked.answer.states}
                                    holds={checked.answer.result.holdPoints}
                                    run={run}
                                    onMoment={toMoment}
                                />
                            </Box>
                        </Box>
                    )}
                </Box>
                <Box sx={{ gridRow: 4, gridColumn: '2 / 4', borderTop: '1px solid var(--frame)', minWidth: 0 }}>
                    {checked !== null && motion !== null && (
                        <HeightStrip
                            motion={motion}
                            scene={checked.answer.scene}
                            states={checked.answer.states}
                            findings={findings}
                            holds={checked.answer.result.holdPoints}
                            run={run}
                            onMoment={toMoment}
                        />
                    )}
                </Box>
            </Box>
        </Frame>
    );
}

function Notice({ alert = false, children }: { alert?: boolean; children: ReactNode }) {
    return (
        <Box
            role={alert ? 'alert' : 'status'}
            sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'center',
                gap: 1,
                px: 2,
                py: 0.5,
                borderBottom: '1px solid var(--frame)',
                background: 'var(--pick)',
                color: alert ? 'error.main' : 'text.primary',
                fontWeight: 600,
            }}
        >
            {children}
        </Box>
    );
}

/** The program and those it calls; one of them is shown. */
function Texts({ names, shown, onShow }: { names: string[]; shown: number; onShow: (text: number) => void }) {
    return (
        <Box role="tablist" aria-label="Program and the programs it calls" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, px: 0.5, py: 0.5 }}>
            {names.map((name, i) => (
                <Button
                    key={name}
                    role="tab"
                    aria-selected={i === shown}
                    onClick={() => onShow(i)}
                    sx={{ background: i === shown ? 'var(--pick)' : 'transparent', fontWeight: i === shown ? 700 : 400 }}
                >
                    <span className="mono">{name}</span>{i > 0 && <Box component="span" sx={{ ml: 0.5, color: 'text.secondary', fontWeight: 400 }}>called</Box>}
                </Button>
            ))}
        </Box>
    );
}
