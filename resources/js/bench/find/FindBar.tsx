import { Box, Button, Dialog, MenuItem, Select, TextField, Tooltip } from '@mui/material';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { OakCheck } from '../../contracts/oak-check-1';
import { typedNumber } from '../../shared/typed';
import type { ListingHandle } from '../listing/Listing';
import { EditPreview } from '../review/EditPreview';
import { hitFrom, hitsIn, replacing, stretchesOf, type Hit, type Wanted, type Where } from './find';

const LETTERS = ['F', 'S', 'X', 'Y', 'Z', 'A', 'B', 'C', 'I', 'J', 'K', 'R', 'Q', 'P', 'G', 'M', 'T', 'H', 'D', 'L', 'E'];

/** Lines of a change that are shown before it is made. */
const SHOWN = 400;

interface Props {
    text: string;
    operations: OakCheck['summary']['operations'];
    listing: ListingHandle | null;
    readOnly: boolean;
    /** Counts up with every time it is asked for, so that it takes the focus again. */
    asked: number;
    onClose: () => void;
}

/** Find and replace: letters, or a word by its value, within the program, a tool, an operation or the selected lines. */
export function FindBar({ text, operations, listing, readOnly, asked, onClose }: Props) {
    const [kind, setKind] = useState<Wanted['kind']>('text');
    const [letters, setLetters] = useState('');
    const [letter, setLetter] = useState('F');
    const [least, setLeast] = useState('');
    const [most, setMost] = useState('');
    const [where, setWhere] = useState<Where>('program');
    const [replacement, setReplacement] = useState('');
    const [previews, setPreviews] = useState(false);
    const [at, setAt] = useState<{ line: number; column: number } | null>(null);
    const field = useRef<HTMLInputElement>(null);
    useEffect(() => {
        field.current?.focus();
        field.current?.select();
    }, [asked, kind]);
    const lines = useMemo(() => text.split('\n'), [text]);
    const hits = useMemo(() => {
        const wanted: Wanted = kind === 'text' ? { kind, text: letters } : { kind, letter, least: typedNumber(least), most: typedNumber(most) };
        return hitsIn(lines, wanted, stretchesOf(where, operations, lines.length));
    }, [lines, kind, letters, letter, least, most, where, operations]);
    useEffect(() => {
        listing?.mark(hits);
    }, [listing, hits]);
    useEffect(() => () => listing?.mark([]), [listing]);

    const current = at === null ? -1 : hits.findIndex(({ line, shown }) => line === at.line && shown === at.column);
    const go = (hit: Hit | undefined) => {
        if (hit === undefined) return;
        setAt({ line: hit.line, column: hit.shown });
        listing?.select(hit);
    };
    const step = (by: 1 | -1) => {
        const from = at ?? { line: listing?.line() ?? 1, column: -1 };
        go(hits[hitFrom(hits, from.line, from.column, by)]);
    };
    const replaceOne = () => {
        const hit = hits[current];
        const edit = hit === undefined ? null : replacing([hit], replacement);
        if (hit === undefined || edit === null) return step(1);
        listing?.apply(edit);
        setAt({ line: hit.line, column: hit.shown + replacement.length });
    };
    const all = previews ? replacing(hits, replacement) : null;
    const close = () => {
        onClose();
        listing?.focus();
    };
    const key = (event: KeyboardEvent) => {
        if (event.key === 'Escape') close();
        else if (event.key === 'Enter' && event.target instanceof HTMLInputElement) step(event.shiftKey ? -1 : 1);
        else return;
        event.preventDefault();
    };
    const selected = listing?.selectedLines() ?? null;
    const tools = [...new Set(operations.map(({ tool }) => tool))].filter((tool) => tool > 0);
    const count = hits.length === 0 ? 'no match' : current >= 0 ? `${current + 1} of ${hits.length}` : `${hits.length} found`;
    return (
        <Box
            role="search" aria-label="Find and replace" onKeyDown={key}
            sx={{
                p: 0.5, borderBottom: '1px solid var(--hair)', background: 'var(--paper)', display: 'grid', gap: 0.5, fontSize: '0.8125rem',
                '& .MuiSelect-select, & input': { py: 0.25, fontSize: '0.8125rem' },
            }}
        >
            <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5 }}>
                <Select<Wanted['kind']> size="small" value={kind} onChange={(event) => setKind(event.target.value)} inputProps={{ 'aria-label': 'Find by' }}>
                    <MenuItem value="text">text</MenuItem>
                    <MenuItem value="word">word</MenuItem>
                </Select>
                {kind === 'text'
                    ? <Field label="Find" value={letters} width={150} input={field} onValue={(value) => { setLetters(value); setAt(null); }} />
                    : (
                        <>
                            <Select
                                size="small"
                                value={letter}
                                onChange={(event) => setLetter(event.target.value)}
                                inputProps={{ 'aria-label': 'Letter of the word' }}
                            >
                                {LETTERS.map((one) => <MenuItem key={one} value={one}>{one}</MenuItem>)}
                            </Select>
                            from <Field label="Least value" value={least} width={64} input={field} onValue={setLeast} />
                            to <Field label="Greatest value" value={most} width={64} onValue={setMost} />
                        </>
                    )}
                <Select<Where>
                    size="small"
                    value={where}
                    onChange={(event) => setWhere(event.target.value)}
                    inputProps={{ 'aria-label': 'Where' }}
                    sx={{ maxWidth: 170 }}
                >
                    <MenuItem value="program">whole program</MenuItem>
                    {selected !== null && <MenuItem value={`lines ${selected[0]} ${selected[1]}`}>lines {selected[0]} to {selected[1]}</MenuItem>}
                    {where.startsWith('lines') && selected === null && <MenuItem value={where}>{where.replace(/ (\d+) (\d+)/, ' $1 to $2')}</MenuItem>}
                    {tools.map((tool) => <MenuItem key={tool} value={`tool ${tool}`}>T{tool}</MenuItem>)}
                    {operations.map(({ line, name }, i) => (
                        <MenuItem key={`${line}-${i}`} value={`operation ${i}`}>{line}: {name === '' ? 'before the first comment' : name}</MenuItem>
                    ))}
                </Select>
                <Tooltip title="Previous (Shift+Enter)"><Button aria-label="Previous match" onClick={() => step(-1)} sx={{ px: 0.75 }}>‹</Button></Tooltip>
                <Tooltip title="Next (Enter)"><Button aria-label="Next match" onClick={() => step(1)} sx={{ px: 0.75 }}>›</Button></Tooltip>
                <Box role="status" sx={{ minWidth: 64 }}>{count}</Box>
                <Box sx={{ flex: 1 }} />
                <Button variant="text" aria-label="Close find" onClick={close} sx={{ px: 0.75 }}>×</Button>
            </Box>
            {!readOnly && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5 }}>
                    {kind === 'text' ? 'replace with' : 'new value'} <Field label="Replace with" value={replacement} width={120} onValue={setReplacement} />
                    <Button disabled={hits.length === 0} onClick={replaceOne}>Replace</Button>
                    <Button disabled={hits.length === 0} onClick={() => setPreviews(true)}>Replace all…</Button>
                </Box>
            )}
            <Dialog open={all !== null} onClose={() => setPreviews(false)} aria-labelledby="replace-title">
                {all !== null && (
                    <Box sx={{ p: 2, width: 560, display: 'grid', gap: 1 }}>
                        <Box component="h2" id="replace-title" sx={{ m: 0, fontSize: '1.125rem' }}>
                            Replace {hits.length === 1 ? '1 match' : `${hits.length} matches`}?
                        </Box>
                        <Box sx={{ maxHeight: '60vh', overflow: 'auto' }}><EditPreview text={text} edit={all} most={SHOWN} /></Box>
                        <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                            <Button onClick={() => setPreviews(false)}>Cancel</Button>
                            <Button variant="contained" autoFocus onClick={() => { listing?.apply(all); setPreviews(false); setAt(null); }}>Replace all</Button>
                        </Box>
                    </Box>
                )}
            </Dialog>
        </Box>
    );
}

function Field({ label, value, width, input, onValue }: {
    label: string; value: string; width: number; input?: React.RefObject<HTMLInputElement | null>; onValue: (value: string) => void;
}) {
    return (
        <TextField
            size="small" value={value} sx={{ width }} inputRef={input} onChange={(event) => onValue(event.target.value)}
            slotProps={{ htmlInput: { 'aria-label': label, spellCheck: false, autoComplete: 'off', className: 'mono' } }}
        />
    );
}
