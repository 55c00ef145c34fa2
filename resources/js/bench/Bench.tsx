import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Finding } from '../contracts/oak-check-1';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { REMINDER, Reminder } from '../shared/Reminder';
import { verdictOf } from '../shared/Verdict';
import { today } from '../shared/numbers';
import { throttle } from '../shared/throttle';
import { ask } from '../shared/server';
import { useAltKeys } from '../shared/useAltKeys';
import { cutInk } from '../theme/inks';
import { useAppearance } from '../theme/Appearance';
import { turnedLines } from './listing/turnedLines';
import { heightsOf, placeOf, rowAtLine, type Moment } from './answer';
import { dropDraft, keepDraft, readDraft, type Draft } from './draft';
import { ChangeText } from './ChangeText';
import { ExerciseCopy } from './ExerciseCopy';
import type { TextTransform } from './changes';
import { Drawing } from './drawing/Drawing';
import type { SheetTitle } from './drawing/titleBlock';
import { ShortcutHelp } from './ShortcutHelp';
import { Divider } from './layout/Divider';
import { Rail } from './layout/Folding';
import { isMarginWide, sheetWidth, sizesOf, type Fold } from './layout/layout';
import { useLayout } from './layout/useLayout';
import { ListingPane } from './ListingPane';
import type { CodeMeaning } from './listing/codes';
import type { ListingHandle } from './listing/Listing';
import type { MarginData } from './listing/margin';
import { NextStep } from './NextStep';
import { Notices } from './Notices';
import { Review, type ReviewSheet } from './review/Review';
import { RunCursor } from './runCursor';
import { Revisions, type Proof } from './Revisions';
import type { RevisionRow } from './revision';
import { SaveButton } from './SaveButton';
import { StateBar } from './StateBar';
import { RunTray } from './RunTray';
import { useCheck } from './useCheck';
import { useFindings } from './useFindings';
import { useSize } from '../shared/useSize';
import type { StockOf } from './drawing/useStock';
import { SheetPane } from '../sheet/SheetPane';
import { useSheet, type SheetState } from '../sheet/useSheet';
import { operationOf, type OpenedSheet } from '../sheet/sheet';
import { rowsOf, tookOf } from './sheetLines';
import type { OwnOnStrip } from './strip/paintStrip';
import { keyOf } from './textKey';
import { useEditSession } from './useEditSession';

interface Props {
    /** A long text is not sent along but fetched, see `text`. */
    program: { id: number; name: string; text: string | null; revision: number; proof: Proof | null; calledBy: string[] };
    setup: { id: number; operation: number; name: string; machine: string; part: string; drawingNumber: string; version: number; mayLower: boolean };
    revisions: RevisionRow[];
    transforms: TextTransform[];
    codes: CodeMeaning[];
    /** The operation sheet it is written from, null where it is typed. */
    sheet: OpenedSheet | null;
}

/** Between two lines the listing goes to while the run is scrubbed, milliseconds. */
const FOLLOW = 160;

/** The revision that was saved last. */
interface Saved {
    text: string;
    revision: number;
    sheet: SheetState | null;
}

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
    const [saved, setSaved] = useState<Saved>({ text: opened, revision: program.revision, sheet: props.sheet });
    const [base, setBase] = useState(kept?.base ?? program.revision);
    const [revisions, setRevisions] = useState(props.revisions);
    const [restored, setRestored] = useState(kept !== null && kept.text !== opened);
    const [run] = useState(() => new RunCursor());
    /** Whether what is typed could not be kept on this computer. */
    const [unkept, setUnkept] = useState(false);
    const listing = useRef<ListingHandle>(null);
    const calledListing = useRef<ListingHandle>(null);
    /** Which text is shown: 0 the program itself, 1 and on those it calls. */
    const [shown, setShown] = useState(0);
    const { layout, change, fold } = useLayout(person.id, props.sheet !== null);
    const writeSheet = useCallback((made: string) => listing.current?.replaceAll(made), []);
    const operation = useSheet(program.id, setup.version, props.sheet === null ? null : (kept?.sheet ?? props.sheet), text, writeSheet);
    /** What of the operation sheet is at hand. */
    const [atOperation, setAtOperation] = useState(props.sheet?.document.operations[0]?.id ?? 'header');
    const [outer, outerSize] = useSize();
    const [sheet, setSheet] = useState<ReviewSheet>('findings');
    const [isFull, setFull] = useState(false);
    const [box, size] = useSize();
    const check = useCheck(program.id, setup.version, text, saved, person.settings.units, operation?.answer?.text);
    const { checked, current, whole, isWhole } = check;
    const sheetState = operation?.state ?? null;
    const changed = text !== saved.text || !isSameSheet(sheetState, saved.sheet);
    const editing = useEditSession(program.id, changed);
    const newer = editing !== null && editing.latest.number > (changed ? base : saved.revision) ? editing.latest : null;

    useEffect(() => {
        if (!changed) {
            void dropDraft(person.id, program.id);
            setUnkept(false);
            return;
        }
        keepDraft(person.id, program.id, text, base, sheetState ?? undefined).then(() => setUnkept(false), () => setUnkept(true));
    }, [changed, text, base, sheetState, person.id, program.id]);

    /** Typing and a revision saved under it, brought together: one step in the listing, to be saved as any other. */
    const takeMerged = (merged: string, on: number) => {
        listing.current?.replaceAll(merged);
        setBase(on);
    };
    const motion = checked?.motion ?? null;
    const units = person.settings.units;
    const stockOf = useMemo((): StockOf | null => (checked?.answer.result.summary.stock === undefined ? null : {
        program: program.id, key: [checked.asOf, units, keyOf(checked.text), String(isWhole)],
        what: checked.text === saved.text ? { revision: saved.revision } : { text: checked.text },
    }), [checked, program.id, units, saved, isWhole]);
    const findings = useMemo(() => checked?.answer.result.findings ?? [], [checked]);
    const texts = useMemo(() => checked?.answer.texts ?? [], [checked]);
    const inText = Math.min(shown, texts.length);
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

    const show = useCallback((finding: Finding) => {
        const text = 1 + texts.findIndex((other) => other.name === finding.program);
        setShown(text);
        listing.current?.goTo(finding.at ?? finding.line, text > 0 ? 1 : finding.column);
        if (text > 0) setTimeout(() => calledListing.current?.goTo(finding.line, finding.column));
        toLine(finding.line, text);
    }, [texts, toLine]);
    const { selected, settled, select, deselect, step, apply, undo, acted } = useFindings(findings, current, {
        show,
        change: useCallback((edit) => listing.current?.apply(edit), []),
        takeBack: useCallback(() => listing.current?.undo(), []),
    });

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
        deselect();
    }, [motion, deselect]);
    const followThrottled = useMemo(() => throttle(follow, FOLLOW), [follow]);
    const toRow = useCallback((row: number) => {
        run.to({ row, share: 1 });
        follow(row);
    }, [run, follow]);
    const toMoment = useCallback((at: Moment) => {
        run.to(at);
        followThrottled(at.row);
    }, [run, followThrottled]);
    const toOwnLine = useCallback((line: number) => {
        setShown(0);
        listing.current?.goTo(line);
        toLine(line);
    }, [toLine]);
    const isReviewFolded = layout.folded.includes('review');
    const toSheet = useCallback((wanted: ReviewSheet) => {
        setSheet(wanted);
        setFull(false);
        if (isReviewFolded) fold('review');
    }, [isReviewFolded, fold]);
    const toPane = (pane: Fold, focus: () => void) => {
        setFull(false);
        if (layout.folded.includes(pane)) fold(pane);
        // It can take the focus once it is open.
        setTimeout(focus);
    };
    // A finding that is picked, by whatever key, is shown.
    useEffect(() => {
        if (selected !== null) setSheet('findings');
    }, [selected]);

    /** What the next step is about: what was just settled, the picked finding, or the first, which is the worst. */
    const at = selected ?? 0;
    const now = settled?.finding ?? findings[at] ?? null;
    const put = useCallback(() => {
        if (settled === null && now?.edit !== undefined) apply(now.edit, at);
    }, [settled, now, apply, at]);
    const showNow = useCallback(() => select(at), [select, at]);
    const toHoldPoints = useCallback(() => toSheet('holds'), [toSheet]);
    const turnFull = useCallback(() => setFull((before) => !before), []);
    const foldReview = useCallback(() => fold('review'), [fold]);
    const foldTray = useCallback(() => fold('tray'), [fold]);
    useAltKeys({
        KeyN: (event) => step(event.shiftKey ? -1 : 1),
        KeyP: put,
        KeyF: turnFull,
        KeyB: () => toSheet('findings'),
        KeyH: () => toSheet('holds'),
        KeyO: () => toSheet('offsets'),
        Digit1: () => toPane('listing', () => listing.current?.focus()),
        Digit2: () => focusOn('[data-testid=drawing] [tabindex]'),
        Digit3: () => toPane('review', () => focusOn('#review-sheet')),
        Digit4: () => toPane('tray', () => focusOn('[data-testid=strip]')),
    });
    useEffect(() => {
        // Undo works wherever nothing else has something to undo.
        const key = (event: KeyboardEvent) => {
            if (
                !(event.ctrlKey || event.metaKey) ||
                event.code !== 'KeyZ' ||
                (event.target instanceof Element && event.target.closest('.cm-editor, input, textarea'))
            )
                return;
            if (event.shiftKey) listing.current?.redo();
            else listing.current?.undo();
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
        const linesOf = (text: number) => {
            const heights = heightsOf(columns, text);
            return { heights, turned: turnedLines(checked.motion, scene, text, heights.z.length) };
        };
        const other = others[inText - 1];
        const own = result.findings.filter((finding) => !others.some(({ name }) => name === finding.program));
        return [
            { ...look, ...linesOf(0), findings: own },
            other === undefined
                    ? null
                    : { ...look, ...linesOf(inText), findings: result.findings.filter((finding) => finding.program === other.name) },
        ];
    }, [checked, inks, inText]);

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
    const sizes = sizesOf(layout, size.width, size.height, parseFloat(getComputedStyle(document.documentElement).fontSize) / 16);
    /** What of the cut was not simulated; cells that are coarse for a while are no gap. */
    const incomplete = checked?.answer.result.summary.stock?.complete !== false
        ? null
        : (findings.find(({ check }) => check === 'cutting.not-followed')?.text ?? 'Not all of the cut is simulated.');
    const { name: by } = person;
    const { calledBy } = program;
    const title = useMemo((): SheetTitle => ({
        part: setup.part, drawingNumber: setup.drawingNumber, operation: `op ${setup.operation} · ${setup.machine} · ${setup.name}`,
        program: `${program.name} rev ${base}${changed ? ', not saved' : ''}`, date: today(), name: by,
        verdict: checked === null ? '' : calledBy.length > 0 ? `Subprogram of ${calledBy.join(', ')}` : verdictOf(checked.answer.result), reminder: REMINDER,
    }), [setup, program.name, calledBy, base, changed, by, checked]);
    const sections = useMemo(() => (operation?.answer?.text === text ? (operation.answer.sections ?? []) : []), [operation?.answer, text]);
    const took = useMemo(() => (motion === null || !current || checked === null ? {} : tookOf(motion, checked.answer.scene.units, sections)),
        [motion, current, checked, sections]);
    const own = useMemo(() => (motion === null || !current || sections.length === 0 ? null : rowsOf(motion, sections, atOperation)),
        [motion, current, sections, atOperation]);
    const ownOnStrip = useMemo((): OwnOnStrip | null => {
        const heights = operation?.answer?.operations?.find(({ id }) => id === atOperation)?.figure?.heights ?? [];
        const isInch = checked?.answer.scene.units === 'inch';
        const toShown = props.sheet?.units === 'in' ? (isInch ? 1 : 25.4) : isInch ? 1 / 25.4 : 1;
        return own === null ? null : { rows: own, passes: heights.slice(1).map((z) => z * toShown) };
    }, [own, operation?.answer, atOperation, props.sheet?.units, checked]);
    /** An operation of the sheet that is picked has its lines in the listing. */
    const toOperation = (id: string) => {
        setAtOperation(id);
        const first = sections.find(({ key }) => operationOf(key) === id);
        if (first !== undefined) toOwnLine(headingIn(text, first.lines));
    };
    const width = sheetWidth(layout, outerSize.width, parseFloat(getComputedStyle(document.documentElement).fontSize) / 16);
    const hasSheet = operation !== null && !isFull;
    const isFolded = (pane: Fold) => layout.folded.includes(pane);

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
                    {!person.mayChange && (
                        <ExerciseCopy program={program.id} base={base} text={text} onOpen={(kept) => listing.current?.replaceAll(kept)} />
                    )}
                    {person.mayChange && (
                        <SaveButton
                            program={program.id} base={base} text={text} changed={changed} sheet={sheetState}
                            onSaved={(revision, savedText) => {
                                setSaved({ text: savedText, revision: revision.number, sheet: sheetState });
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
        >
            <Box sx={{ height: '100%', overflow: 'auto' }}>
                <Box sx={{ height: '100%', minHeight: '34rem', display: 'grid', gridTemplateRows: 'auto auto minmax(0, 1fr) auto' }}>
                    <Box>
                        <Notices
                            program={program.id} text={text} changed={changed} base={base} savedRevision={saved.revision}
                            restoredOf={restored ? (kept?.at ?? '') : null}
                            unkept={unkept} editing={editing} newer={newer} check={check}
                            onDiscard={() => {
                                listing.current?.replaceAll(saved.text);
                                if (saved.sheet !== null) operation?.reset(saved.sheet);
                                setBase(saved.revision);
                                setRestored(false);
                            }}
                            onKeep={() => setRestored(false)} onBase={setBase} onMerged={takeMerged}
                        />
                    </Box>
                    <NextStep
                        result={checked?.answer.result ?? null} current={current} finding={now} index={at} settled={settled !== null} setup={setup.id}
                        calledBy={program.calledBy}
                        onShow={showNow} onStep={step} onApply={put} onUndo={undo} onWhole={isWhole ? null : whole} onHoldPoints={toHoldPoints}
                    />
                    <Box ref={outer} sx={{ minHeight: 0, display: 'grid', gridTemplateColumns: `${hasSheet ? `${width}px 1px ` : ''}minmax(0, 1fr)` }}>
                        {hasSheet && operation !== null && props.sheet !== null && (
                            <>
                                <Box sx={{ minHeight: 0, minWidth: 0 }}>
                                    {isFolded('sheet') ? <Rail name="sheet" onOpen={() => fold('sheet')} /> : (
                                        <SheetPane
                                            opened={props.sheet} sheet={operation} setup={setup.id} decimals={props.sheet.units === 'mm' ? 3 : 4}
                                            readOnly={!person.mayChange} at={atOperation} took={took} onAt={toOperation} onFold={() => fold('sheet')}
                                            onLines={({ lines: [from] }) => toOwnLine(from)}
                                        />
                                    )}
                                </Box>
                                <Divider
                                    label="Width of the sheet" along="x" pane="before" size={width}
                                    onSize={(sheet) => change({ sheet })} onUsual={() => change({ sheet: null })}
                                />
                            </>
                        )}
                    <Box
                        ref={box}
                        sx={{
                            minHeight: 0,
                            display: 'grid',
                            gridTemplateColumns: isFull ? '0 0 minmax(0, 1fr) 0 0' : `${sizes.listing}px 1px minmax(0, 1fr) 1px ${sizes.review}px`,
                            gridTemplateRows: `minmax(0, 1fr) auto 1px ${sizes.tray}px`,
                            '& > *': { minWidth: 0, minHeight: 0, overflow: 'hidden' },
                            '& > [role=separator]': { overflow: 'visible' },
                        }}
                    >
                        <Box sx={{ gridRow: 1, gridColumn: 1, visibility: isFull ? 'hidden' : undefined }}>
                            {isFolded('listing') && <Rail name="listing" onOpen={() => fold('listing')} />}
                            <Box sx={{ height: '100%', display: isFolded('listing') ? 'none' : undefined }}>
                                <ListingPane
                                    program={program} text={text} first={kept?.text ?? opened} checked={checked} codes={props.codes}
                                    listing={listing} calledListing={calledListing} shown={inText} margin={margin} calledMargin={calledMargin}
                                    isWide={isMarginWide(layout, size.width)} onWide={(wide) => change({ wideMargin: wide })} onFold={() => fold('listing')}
                                    onShow={setShown} onText={setText} onTyped={acted} onLine={toLine}
                                />
                            </Box>
                        </Box>
                        <Divider
                            label="Width of the listing" along="x" pane="before" size={sizes.listing}
                            onSize={(listing) => change({ listing })} onUsual={() => change({ listing: null })}
                        />
                        <Box sx={{ gridRow: 1, gridColumn: 3 }}>
                            {checked !== null && motion !== null && (
                                <Drawing
                                    motion={motion} scene={checked.answer.scene} states={checked.answer.states}
                                    operations={checked.answer.result.summary.operations} run={run} mark={mark}
                                    title={title} own={own}
                                    setup={person.mayChange ? setup : null} stockOf={stockOf}
                                    incomplete={incomplete}
                                    isFull={isFull} onFull={turnFull} onPick={toRow}
                                />
                            )}
                        </Box>
                        <Divider
                            rows="1 / 3" label="Width of the review" along="x" pane="after" size={sizes.review}
                            onSize={(review) => change({ review })} onUsual={() => change({ review: null })}
                        />
                        <Box sx={{ gridRow: '1 / 3', gridColumn: 5, visibility: isFull ? 'hidden' : undefined }}>
                            {isFolded('review')
                                ? <Rail name="review" onOpen={() => fold('review')} />
                                : (
                                    <Review
                                        answer={checked?.answer ?? null} program={program} setup={setup} text={checked?.text ?? text} sheet={sheet}
                                        selected={selected} settled={settled} run={run} onSheet={setSheet} onFold={foldReview}
                                        onSelect={select} onApply={apply} onUndo={undo} onWhole={isWhole ? null : whole} onRow={toRow} onLine={toOwnLine}
                                    />
                                )}
                        </Box>
                        <Box sx={{ gridRow: 2, gridColumn: '1 / 4' }}>
                            <StateBar program={program.id} setupVersion={setup.version} text={text} checked={checked} run={run} shown={inText} />
                        </Box>
                        <Box sx={{ gridRow: 3, gridColumn: '1 / -1', display: 'grid' }}>
                            <Divider
                                label="Height of the run" along="y" pane="after" size={sizes.tray}
                                onSize={(tray) => change({ tray })} onUsual={() => change({ tray: null })}
                            />
                        </Box>
                        <Box sx={{ gridRow: 4, gridColumn: '1 / -1', position: 'relative' }}>
                            {isFolded('tray')
                                ? <Rail level name="positions and heights" onOpen={() => fold('tray')} />
                                : checked !== null && motion !== null && (
                                    <RunTray
                                        motion={motion} scene={checked.answer.scene} states={checked.answer.states} findings={findings}
                                        holds={checked.answer.result.holdPoints} run={run} own={ownOnStrip} onMoment={toMoment} onFold={foldTray}
                                    />
                                )}
                        </Box>
                    </Box>
                    </Box>
                    <Box sx={{ px: 2, py: 0.25, borderTop: '1px solid var(--frame)' }}><Reminder /></Box>
                </Box>
            </Box>
        </Frame>
    );
}

/** The line an operation is headed by, N30 (SEAT); its first one where there is none. */
function headingIn(text: string, [from, to]: [number, number]): number {
    const at = text.split('\n').slice(from - 1, to).findIndex((line) => /^N\d+ \(/.test(line));
    return at < 0 ? from : from + at;
}

function isSameSheet(one: SheetState | null, other: SheetState | null): boolean {
    return one?.document === other?.document || JSON.stringify(one?.document) === JSON.stringify(other?.document);
}

/** How many pictures of the screen a panel that opens may take until it can have the focus. */
const FRAMES = 60;

function focusOn(what: string, frames = FRAMES): void {
    const found = document.querySelector<HTMLElement>(what);
    if (found !== null) found.focus();
    else if (frames > 0) requestAnimationFrame(() => focusOn(what, frames - 1));
}
