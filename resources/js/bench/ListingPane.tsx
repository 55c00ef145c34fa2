import { Box, Button, Tooltip } from '@mui/material';
import { useState, type RefObject } from 'react';
import { Icon, type IconName } from '../shared/Icon';
import { FindBar } from './find/FindBar';
import { GoTo } from './GoTo';
import { FoldButton } from './layout/Folding';
import type { CodeMeaning } from './listing/codes';
import { Listing, type ListingHandle } from './listing/Listing';
import type { MarginData } from './listing/margin';
import type { Checked } from './useCheck';

interface Props {
    program: { name: string };
    text: string;
    /** What the listing opens with. */
    first: string;
    checked: Checked | null;
    codes: CodeMeaning[];
    listing: RefObject<ListingHandle | null>;
    calledListing: RefObject<ListingHandle | null>;
    /** Which text is shown: 0 the program itself, 1 and on those it calls. */
    shown: number;
    margin: MarginData | null;
    calledMargin: MarginData | null;
    isWide: boolean;
    onWide: (wide: boolean) => void;
    onFold: () => void;
    onShow: (text: number) => void;
    onText: (text: string) => void;
    onTyped: () => void;
    onLine: (line: number, text?: number) => void;
}

/** The program and those it calls as text, with what can be done to a text. */
export function ListingPane(props: Props) {
    const { program, text, first, checked, codes, listing, calledListing, shown, margin, calledMargin, isWide } = props;
    const [finding, setFinding] = useState(0);
    const [history, setHistory] = useState({ undo: false, redo: false });
    /** Open while it is more than 0; each press brings the focus back to it. */
    const find = () => setFinding((before) => before + 1);
    const texts = checked?.answer.texts ?? [];
    const called = texts[shown - 1];
    const operations = checked?.answer.result.summary.operations ?? [];
    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto auto minmax(0, 1fr)', gridTemplateColumns: 'minmax(0, 1fr)' }}>
            <Box
                sx={{
                    display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5, p: 0.5, borderBottom: '1px solid var(--hair)',
                    background: 'var(--margin)',
                }}
            >
                <FoldButton name="listing" towards="‹" onFold={props.onFold} />
                {texts.length > 0 && <Texts names={[program.name, ...texts.map(({ name }) => name)]} shown={shown} onShow={props.onShow} />}
                <Box sx={{ flex: 1 }} />
                <Sign icon="undo" name="Undo" keys="Ctrl+Z" disabled={!history.undo} onClick={() => listing.current?.undo()} />
                <Sign icon="redo" name="Redo" keys="Ctrl+Shift+Z" disabled={!history.redo} onClick={() => listing.current?.redo()} />
                <Box sx={{ borderLeft: '1px solid var(--hair)', alignSelf: 'stretch', mx: 0.25 }} />
                <Tooltip title="Find and replace (Ctrl+F)">
                    <Button startIcon={<Icon name="find" />} onClick={find}>Find</Button>
                </Tooltip>
                <GoTo
                    operations={operations} programs={texts.map(({ name }) => name)} text={text}
                    onLine={(at) => { props.onShow(0); listing.current?.goTo(at, 1, true); props.onLine(at); }} onProgram={(n) => props.onShow(n + 1)}
                />
                <Tooltip title={isWide ? 'Show Z alone in the margin' : 'Show tool, time and, on a lathe, Ø beside Z in the margin'}>
                    <Button aria-pressed={isWide} onClick={() => props.onWide(!isWide)} sx={{ background: isWide ? 'var(--pick)' : 'var(--sheet)' }}>
                        Margin
                    </Button>
                </Tooltip>
            </Box>
            <Box>
                {finding > 0 && (
                    <FindBar
                        key={shown} text={called?.text ?? text} operations={called === undefined ? operations : []} readOnly={called !== undefined}
                        listing={called === undefined ? listing.current : calledListing.current} asked={finding} onClose={() => setFinding(0)}
                    />
                )}
            </Box>
            <Box sx={{ minHeight: 0, '& .oak-height-tool, & .oak-height-across, & .oak-height-time': { display: isWide ? undefined : 'none' } }}>
                <Box sx={{ height: '100%', display: shown === 0 ? 'block' : 'none' }}>
                    <Listing
                        ref={listing} codes={codes} text={first} margin={margin} outline={checked?.answer.result.summary.operations}
                        onText={props.onText} onFind={find} onTyped={props.onTyped} onHistory={setHistory} onLine={props.onLine}
                    />
                </Box>
                {called !== undefined && (
                    <Listing
                        key={called.name} codes={codes} ref={calledListing} called={called.name} text={called.text} margin={calledMargin}
                        onFind={find} onLine={(at) => props.onLine(at, shown)}
                    />
                )}
            </Box>
        </Box>
    );
}

function Sign({ icon, name, keys, disabled, onClick }: { icon: IconName; name: string; keys: string; disabled: boolean; onClick: () => void }) {
    return (
        <Tooltip title={`${name} (${keys})`}>
            <span><Button aria-label={name} disabled={disabled} onClick={onClick} sx={{ px: 0.75, height: '100%' }}><Icon name={icon} /></Button></span>
        </Tooltip>
    );
}

/** The program and those it calls; one of them is shown. */
function Texts({ names, shown, onShow }: { names: string[]; shown: number; onShow: (text: number) => void }) {
    return (
        <Box role="tablist" aria-label="Program and the programs it calls" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
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
