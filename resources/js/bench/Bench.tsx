import { Link } from '@inertiajs/react';
import { Box, Button, Tooltip } from '@mui/material';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Edit } from '../contracts/oak-check-1';
import { Frame, usePerson } from '../shared/Frame';
import { Reminder } from '../shared/Reminder';
import { Verdict } from '../shared/Verdict';
import { when } from '../shared/numbers';
import { cutInk } from '../theme/inks';
import { useLook } from '../theme/Look';
import { rowAtLine, type Moment } from './answer';
import { dropDraft, keepDraft, readDraft } from './draft';
import { ChangeText } from './ChangeText';
import type { TextTransform } from './changes';
import { Drawing } from './drawing/Drawing';
import { KeySheet } from './KeySheet';
import { GoTo } from './GoTo';
import type { CodeMeaning } from './listing/codes';
import { Listing, type ListingHandle } from './listing/Listing';
import type { MarginData } from './listing/margin';
import { Positions } from './Positions';
import { Review } from './review/Review';
import { Revisions, type Proof } from './Revisions';
import { SaveButton, type RevisionRow } from './SaveButton';
import { StateAtCursor } from './StateAtCursor';
import { LineExplained } from './LineExplained';
import { HeightStrip } from './strip/HeightStrip';
import { Player } from './strip/Player';
import { useCheck } from './useCheck';
import { useExplanation } from './useExplanation';

interface Props {
    program: { id: number; name: string; text: string; revision: number; proof: Proof | null };
    setup: { id: number; operation: number; name: string; machine: string; part: string; version: number; mayLower: boolean };
    revisions: RevisionRow[];
    transforms: TextTransform[];
    codes: CodeMeaning[];
}

/** One program in one setup: the listing and the drawing face each other, and the answer stands above both. */
export default function Bench(props: Props) {
    const { program, setup } = props;
    const person = usePerson();
    const { inks } = useLook();
    const [kept] = useState(() => readDraft(person.id, program.id));
    const [text, setText] = useState(kept?.text ?? program.text);
    const [saved, setSaved] = useState({ text: program.text, revision: program.revision });
    const [base, setBase] = useState(kept?.base ?? program.revision);
    const [revisions, setRevisions] = useState(props.revisions);
    const [restored, setRestored] = useState(kept !== null && kept.text !== program.text);
    const [moment, setMoment] = useState<Moment | null>(null);
    const [selected, setSelected] = useState<number | null>(null);
    const listing = useRef<ListingHandle>(null);
    const calledListing = useRef<ListingHandle>(null);
    /** Which text is shown: 0 the program itself, 1 and on those it calls. */
    const [shown, setShown] = useState(0);
    const [line, setLine] = useState(1);
    const [explaining, setExplaining] = useState(false);
    const { checked, current, error } = useCheck(program.id, setup.version, text);
    const changed = text !== saved.text;

    useEffect(() => {
        if (changed) keepDraft(person.id, program.id, text, base);
        else dropDraft(person.id, program.id);
    }, [changed, text, base, person.id, program.id]);

    const motion = checked?.motion ?? null;
    const findings = useMemo(() => checked?.answer.result.findings ?? [], [checked]);
    const texts = useMemo(() => checked?.answer.texts ?? [], [checked]);
    const inText = Math.min(shown, texts.length);
    const called = texts[inText - 1];
    const cursor = useRef({ line: 1, text: 0 });
    const toLine = useCallback((at: number, text = 0) => {
        cursor.current = { line: at, text };
        if (text === 0) setLine(at);
        if (motion !== null) setMoment({ row: rowAtLine(motion, at, text), share: 1 });
    }, [motion]);
    // A new trace: the tool stands where the cursor is in it.
    useEffect(() => toLine(cursor.current.line, cursor.current.text), [toLine]);
    const explained = useExplanation(program.id, setup.version, text, line, explaining && inText === 0);

    const toRow = (row: number, share = 1) => {
        if (motion === null) return;
        const text = motion.text[row] ?? 0;
        setShown(text);
        listing.current?.goTo(motion.line[row] ?? 1);
        if (text > 0) setTimeout(() => calledListing.current?.goTo(motion.textLine[row] ?? 1));
        setMoment({ row, share });
        setSelected(null);
    };
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

    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            const picked = selected === null ? undefined : findings[selected];
            if ((event.ctrlKey || event.metaKey) && event.code === 'KeyZ' && !(event.target instanceof Element && event.target.closest('.cm-editor, input, textarea'))) listing.current?.undo();
            else if (!event.altKey) return;
            else if (event.code === 'KeyN') next();
            else if (event.code === 'KeyE') setExplaining((before) => !before);
            else if (event.code === 'KeyP' && selected !== null && picked?.edit !== undefined) apply(picked.edit, selected);
            else return;
            event.preventDefault();
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, [findings, selected, next, apply]);

    const [margin, calledMargin] = useMemo((): [MarginData | null, MarginData | null] => {
        if (checked === null) return [null, null];
        const { margin: heights, result, scene, texts: others } = checked.answer;
        const top = scene.stock?.max[2] ?? 0;
        const depth = scene.stock ? top - scene.stock.min[2] : 20;
        const look = { decimals: scene.decimals, top, ink: (z: number) => cutInk(inks, (top - z) / depth) };
        const other = others[inText - 1];
        const own = result.findings.filter((finding) => !others.some(({ name }) => name === finding.program));
        return [
            { ...look, heights, findings: own },
            other === undefined ? null : { ...look, heights: other.margin, findings: result.findings.filter((finding) => finding.program === other.name) },
        ];
    }, [checked, inks, inText]);

    const count = (severity: string) => findings.filter((finding) => finding.severity === severity).length;
    const picked = selected === null ? undefined : findings[selected];
    const mark = useMemo(() => (picked === undefined || picked.severity === 'note' ? null : { text: `line ${picked.line}${picked.program === undefined ? '' : ` of ${picked.program}`}: ${picked.check.replace(/.*\./, '').replaceAll('-', ' ')}`, stop: picked.severity === 'stop' }), [picked]);

    return (
        <Frame
            title={`${program.name}, ${setup.part}`}
            where={
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minWidth: 0, whiteSpace: 'nowrap' }}>
                    <Box sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}><b>{setup.part}</b> · op {setup.operation} · {setup.machine} · <Link href={`/setups/${setup.id}`}>{setup.name}</Link></Box>
                    <Revisions program={program} base={base} changed={changed} revisions={revisions} mayProve={person.mayChange && !changed && base === saved.revision} />
                    <ChangeText program={program.id} setupVersion={setup.version} text={text} transforms={props.transforms} onApply={(edit) => listing.current?.apply(edit)} />
                    {person.mayChange && (
                        <SaveButton
                            program={program.id} base={base} text={text} changed={changed}
                            onSaved={(revision, savedText) => {
                                setSaved({ text: savedText, revision: revision.number });
                                setBase(revision.number);
                                setRevisions((before) => [revision, ...before]);
                                setRestored(false);
                            }}
                        />
                    )}
                </Box>
            }
            tools={<KeySheet />}
            answer={<Box sx={{ opacity: current ? 1 : 0.6 }}>{checked === null ? <span>Checking…</span> : <Verdict large verdict={checked.answer.result.verdict} stops={count('stop')} cautions={count('caution')} />}</Box>}
        >
            <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: { xs: '340px minmax(0, 1fr) 288px', lg: '384px minmax(0, 1fr) 316px' }, gridTemplateRows: 'auto minmax(0, 1fr) auto 172px' }}>
                <Box sx={{ gridColumn: '1 / -1' }}>
                    {restored && (
                        <Notice>
                            Your typing on revision {base}{kept?.at ? ` of ${when(kept.at)}` : ''} was kept and is shown, not saved.
                            {base !== saved.revision && ` Revision ${saved.revision} has been saved since: compare before you save.`}
                            <Button onClick={() => { listing.current?.replaceAll(saved.text); setBase(saved.revision); setRestored(false); }}>Put it aside, show revision {saved.revision}</Button>
                            <Button onClick={() => setRestored(false)}>Go on with it</Button>
                        </Notice>
                    )}
                    {error !== null && <Notice alert>{error.message}</Notice>}
                </Box>
                <Box sx={{ gridRow: '2 / 4', borderRight: '1px solid var(--frame)', minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
                    <Box sx={{ display: 'flex', alignItems: 'start', borderBottom: '1px solid var(--hair)', background: 'var(--margin)' }}>
                        <Box sx={{ flex: 1, minWidth: 0 }}>{texts.length > 0 && <Texts names={[program.name, ...texts.map(({ name }) => name)]} shown={inText} onShow={setShown} />}</Box>
                        <Box sx={{ p: 0.5 }}><GoTo operations={checked?.answer.result.summary.operations ?? []} onLine={(at) => { setShown(0); listing.current?.goTo(at, 1, true); toLine(at); }} /></Box>
                    </Box>
                    <Box sx={{ minHeight: 0, display: inText === 0 ? 'block' : 'none' }}><Listing ref={listing} codes={props.codes} text={kept?.text ?? program.text} margin={margin} onText={setText} onLine={toLine} /></Box>
                    {called !== undefined && <Box sx={{ minHeight: 0 }}><Listing key={called.name} codes={props.codes} ref={calledListing} called={called.name} text={called.text} margin={calledMargin} onLine={(at) => toLine(at, inText)} /></Box>}
                </Box>
                <Box sx={{ gridRow: 2, gridColumn: 2, minHeight: 0, minWidth: 0 }}>
                    {checked !== null && motion !== null && (
                        <Drawing motion={motion} scene={checked.answer.scene} states={checked.answer.states} moment={moment} mark={mark} setup={person.mayChange ? setup : null} onPick={toRow} />
                    )}
                </Box>
                <Box sx={{ gridRow: 3, gridColumn: 2, borderTop: '1px solid var(--hair)', minWidth: 0 }}>
                    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', alignItems: 'start' }}>
                        {explaining && inText === 0
                            ? <LineExplained explanation={explained.data} error={explained.error} />
                            : checked !== null && motion !== null && <StateAtCursor motion={motion} scene={checked.answer.scene} states={checked.answer.states} moment={moment} called={called?.name} />}
                        <Tooltip title={explaining ? 'Back to what is in force (Alt+E)' : 'What this line does, word by word (Alt+E)'}>
                            <Button onClick={() => setExplaining(!explaining)} aria-pressed={explaining} sx={{ m: 0.5 }}>{explaining ? 'In force' : 'Explain'}</Button>
                        </Tooltip>
                    </Box>
                </Box>
                <Box sx={{ gridRow: '2 / 4', gridColumn: 3, borderLeft: '1px solid var(--frame)', minHeight: 0, display: 'grid', gridTemplateRows: 'minmax(0, 1fr) auto' }}>
                    <Review
                        answer={checked?.answer ?? null} program={program} setup={setup} text={checked?.text ?? text} selected={selected} row={moment?.row ?? -1}
                        onSelect={select} onNext={next} onApply={apply} onRow={toRow} onLine={(at) => { setShown(0); listing.current?.goTo(at); toLine(at); }}
                    />
                    <Box sx={{ px: 1.5, py: 0.75, borderTop: '1px solid var(--hair)' }}><Reminder /></Box>
                </Box>
                <Box sx={{ gridRow: 4, gridColumn: 1, borderTop: '1px solid var(--frame)', borderRight: '1px solid var(--frame)', background: 'var(--margin)' }}>
                    {checked !== null && motion !== null && (
                        <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'minmax(0, 1fr) auto' }}>
                            <Positions motion={motion} scene={checked.answer.scene} moment={moment} />
                            <Box sx={{ px: 1, pb: 0.75 }}><Player motion={motion} holds={checked.answer.result.holdPoints} moment={moment} onMoment={(at) => toRow(at.row, at.share)} /></Box>
                        </Box>
                    )}
                </Box>
                <Box sx={{ gridRow: 4, gridColumn: '2 / 4', borderTop: '1px solid var(--frame)', minWidth: 0 }}>
                    {checked !== null && motion !== null && (
                        <HeightStrip motion={motion} scene={checked.answer.scene} states={checked.answer.states} findings={findings} holds={checked.answer.result.holdPoints} moment={moment} onMoment={(at) => toRow(at.row, at.share)} />
                    )}
                </Box>
            </Box>
        </Frame>
    );
}

function Notice({ alert = false, children }: { alert?: boolean; children: ReactNode }) {
    return (
        <Box role={alert ? 'alert' : 'status'} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, px: 2, py: 0.5, borderBottom: '1px solid var(--frame)', background: 'var(--pick)', color: alert ? 'error.main' : 'text.primary', fontWeight: 600 }}>
            {children}
        </Box>
    );
}

/** The program and those it calls; one of them is shown. */
function Texts({ names, shown, onShow }: { names: string[]; shown: number; onShow: (text: number) => void }) {
    return (
        <Box role="tablist" aria-label="Program and the programs it calls" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, px: 0.5, py: 0.5 }}>
            {names.map((name, i) => (
                <Button key={name} role="tab" aria-selected={i === shown} onClick={() => onShow(i)} sx={{ background: i === shown ? 'var(--pick)' : 'transparent', fontWeight: i === shown ? 700 : 400 }}>
                    <span className="mono">{name}</span>{i > 0 && <Box component="span" sx={{ ml: 0.5, color: 'text.secondary', fontWeight: 400 }}>called</Box>}
                </Button>
            ))}
        </Box>
    );
}
