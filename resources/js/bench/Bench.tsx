import { Link } from '@inertiajs/react';
import { Box, Button, Menu, MenuItem, Tooltip } from '@mui/material';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Frame, usePerson } from '../shared/Frame';
import { Reminder } from '../shared/Reminder';
import { Verdict } from '../shared/Verdict';
import { when } from '../shared/numbers';
import { cutInk } from '../theme/inks';
import { useLook } from '../theme/Look';
import { rowAtLine, type Moment } from './answer';
import { BeforeYouRun } from './BeforeYouRun';
import { dropDraft, keepDraft, readDraft } from './draft';
import { Drawing } from './drawing/Drawing';
import { Listing, type ListingHandle } from './listing/Listing';
import type { MarginData } from './listing/margin';
import { Positions } from './Positions';
import { ReachCard } from './ReachCard';
import { SaveButton, type RevisionRow } from './SaveButton';
import { StateAtCursor } from './StateAtCursor';
import { HeightStrip } from './strip/HeightStrip';
import { useCheck } from './useCheck';

interface Props {
    program: { id: number; name: string; text: string; revision: number };
    setup: { id: number; operation: number; name: string; machine: string; part: string; version: number };
    revisions: RevisionRow[];
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
    const line = useRef(1);
    const { checked, current, error } = useCheck(program.id, setup.version, text);
    const changed = text !== saved.text;

    useEffect(() => {
        if (changed) keepDraft(person.id, program.id, text, base);
        else dropDraft(person.id, program.id);
    }, [changed, text, base, person.id, program.id]);

    const motion = checked?.motion ?? null;
    const findings = useMemo(() => checked?.answer.result.findings ?? [], [checked]);
    const toLine = useCallback((at: number) => {
        line.current = at;
        if (motion !== null) setMoment({ row: rowAtLine(motion, at), share: 1 });
    }, [motion]);
    // A new trace: the tool stands where the cursor is in it.
    useEffect(() => toLine(line.current), [toLine]);

    const toRow = (row: number, share = 1) => {
        if (motion === null) return;
        listing.current?.goTo(motion.line[row] ?? 1);
        setMoment({ row, share });
        setSelected(null);
    };
    const select = useCallback((index: number) => {
        const finding = findings[index];
        if (finding === undefined) return;
        setSelected(index);
        listing.current?.goTo(finding.line, finding.column);
        toLine(finding.line);
    }, [findings, toLine]);

    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            if (!event.altKey) return;
            const pressed = event.code;
            if (pressed === 'KeyN' && findings.length > 0) select(((selected ?? -1) + 1) % findings.length);
            else if (pressed === 'KeyP' && selected !== null && findings[selected]?.edit) listing.current?.apply(findings[selected].edit);
            else return;
            event.preventDefault();
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, [findings, selected, select]);

    const margin = useMemo((): MarginData | null => {
        if (checked === null) return null;
        const { margin: heights, result, scene } = checked.answer;
        const top = scene.stock?.max[2] ?? 0;
        const depth = scene.stock ? top - scene.stock.min[2] : 20;
        return { heights, findings: result.findings, decimals: scene.decimals, top, ink: (z) => cutInk(inks, (top - z) / depth) };
    }, [checked, inks]);

    const count = (severity: string) => findings.filter((finding) => finding.severity === severity).length;
    const picked = selected === null ? undefined : findings[selected];
    const mark = useMemo(() => (picked === undefined || picked.severity === 'note' ? null : { text: `line ${picked.line}: ${picked.check.replace(/.*\./, '').replaceAll('-', ' ')}`, stop: picked.severity === 'stop' }), [picked]);

    return (
        <Frame
            title={`${program.name}, ${setup.part}`}
            where={
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minWidth: 0, whiteSpace: 'nowrap' }}>
                    <Box sx={{ overflow: 'hidden', textOverflow: 'ellipsis' }}><b>{setup.part}</b> · op {setup.operation} · {setup.machine} · <Link href={`/setups/${setup.id}`}>{setup.name}</Link></Box>
                    <Revisions name={program.name} base={base} changed={changed} revisions={revisions} />
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
                <Box sx={{ gridRow: '2 / 4', borderRight: '1px solid var(--frame)', minHeight: 0 }}>
                    <Listing ref={listing} text={kept?.text ?? program.text} margin={margin} onText={setText} onLine={toLine} />
                </Box>
                <Box sx={{ gridRow: 2, gridColumn: 2, minHeight: 0, minWidth: 0 }}>
                    {checked !== null && motion !== null && (
                        <Drawing motion={motion} scene={checked.answer.scene} states={checked.answer.states} moment={moment} mark={mark} onPick={toRow} />
                    )}
                </Box>
                <Box sx={{ gridRow: 3, gridColumn: 2, borderTop: '1px solid var(--hair)', minWidth: 0 }}>
                    {checked !== null && motion !== null && <StateAtCursor motion={motion} scene={checked.answer.scene} states={checked.answer.states} moment={moment} />}
                </Box>
                <Box sx={{ gridRow: '2 / 4', gridColumn: 3, borderLeft: '1px solid var(--frame)', minHeight: 0, display: 'grid', gridTemplateRows: 'minmax(0, 1fr) auto' }}>
                    <Box sx={{ overflow: 'auto', p: 1.5, display: 'flex', flexDirection: 'column', gap: 1.5 }} tabIndex={0} aria-label="Findings and reach" role="region">
                    <Box>
                        <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', mb: 0.5 }}>
                            <Box component="h2" sx={{ m: 0, fontSize: 16 }}>Before you run</Box>
                            {findings.length > 0 && <Tooltip title="Next finding (Alt+N)"><Button onClick={() => select(((selected ?? -1) + 1) % findings.length)}>Next</Button></Tooltip>}
                        </Box>
                        <BeforeYouRun questions={checked?.answer.questions ?? []} findings={findings} selected={selected} setupId={setup.id} onSelect={select} onApply={(edit) => listing.current?.apply(edit)} />
                    </Box>
                    {checked !== null && <ReachCard summary={checked.answer.result.summary} decimals={checked.answer.scene.decimals} units={checked.answer.scene.units} />}
                    </Box>
                    <Box sx={{ px: 1.5, py: 0.75, borderTop: '1px solid var(--hair)' }}><Reminder /></Box>
                </Box>
                <Box sx={{ gridRow: 4, gridColumn: 1, borderTop: '1px solid var(--frame)', borderRight: '1px solid var(--frame)', background: 'var(--margin)' }}>
                    {checked !== null && motion !== null && <Positions motion={motion} scene={checked.answer.scene} moment={moment} />}
                </Box>
                <Box sx={{ gridRow: 4, gridColumn: '2 / 4', borderTop: '1px solid var(--frame)', minWidth: 0 }}>
                    {checked !== null && motion !== null && (
                        <HeightStrip motion={motion} scene={checked.answer.scene} states={checked.answer.states} findings={findings} moment={moment} onMoment={(at) => toRow(at.row, at.share)} />
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

function Revisions({ name, base, changed, revisions }: { name: string; base: number; changed: boolean; revisions: RevisionRow[] }) {
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    return (
        <>
            <Tooltip title="Revisions: who, when and why"><Button onClick={(event) => setAnchor(event.currentTarget)} data-testid="revision"><span className="mono">{name}</span>&nbsp;rev {base}{changed ? ', not saved' : ''}</Button></Tooltip>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                {revisions.map((revision) => (
                    <MenuItem key={revision.number} onClick={() => setAnchor(null)} sx={{ gap: 2 }}>
                        <b>rev {revision.number}</b> {revision.by}, {when(revision.at)} <Box component="span" sx={{ color: 'text.secondary' }}>{revision.reason}</Box>
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}
