import { Box, Button } from '@mui/material';
import { Mark } from '../shared/Mark';
import { duration } from '../shared/numbers';
import { Fragment } from 'react';
import type { OperationRow, Section, Standing } from './sheet';

export type At = 'header' | 'tools' | (string & {});

/** What the lines of an operation come to in the run. */
export interface Took {
    seconds: number;
    /** What it takes off, in words; null where that is not known. */
    volume: string | null;
}

interface Props {
    operations: OperationRow[];
    at: At;
    /** How many answers are missing or wrong, by operation; header and tools too. */
    wrong: Record<string, number>;
    took: Record<string, Took>;
    sections: Section[];
    headerWords: string;
    toolsWords: string;
    onAt: (at: At) => void;
    /** Switches a group off and on; null where it may not be. */
    onGroup: ((group: string) => void) | null;
}

/** The sheet as a list: its header, its tools, and the operations in their order with what each takes. */
export function OperationList({ operations, at, wrong, took, sections, headerWords, toolsWords, onAt, onGroup }: Props) {
    const standing = (id: string) => sections.find(({ key, standing: one }) => key.startsWith(`${id} `) && one !== 'written')?.standing;
    return (
        <Box
            component="ol" aria-label="Operations"
            sx={{ listStyle: 'none', m: 0, p: 0, overflow: 'auto', minHeight: 0, maxHeight: '15rem', borderBottom: '1px solid var(--frame)' }}
        >
            <Box component="li" sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', '& > * + *': { borderLeft: '1px solid var(--hair)' } }}>
                <Row isAt={at === 'header'} name="Header" words={headerWords} wrong={wrong.header ?? 0} onClick={() => onAt('header')} />
                <Row isAt={at === 'tools'} name="Tools" words={toolsWords} wrong={wrong.tools ?? 0} onClick={() => onAt('tools')} />
            </Box>
            {operations.map((row, n) => (
                <Fragment key={row.id}>
                    {row.group !== undefined && row.group !== operations[n - 1]?.group && (
                        <Group
                            name={row.group} isOn={operations.some((one) => one.group === row.group && one.off !== true)}
                            onSwitch={onGroup === null ? null : () => onGroup(row.group ?? '')}
                        />
                    )}
                    <Box component="li">
                        <Row
                            isAt={at === row.id} number={String(n + 1)} name={row.name ?? row.kind} isOff={row.off === true} wrong={wrong[row.id] ?? 0}
                            words={wordsOf(row, took[row.id])} note={STANDINGS[standing(row.id) ?? 'written']} onClick={() => onAt(row.id)}
                        />
                    </Box>
                </Fragment>
            ))}
        </Box>
    );
}

/** What hands have done to the lines of an operation. */
const STANDINGS: Record<Standing, string> = { 'by-hand': 'changed by hand', both: 'changed by hand and here', left: '', written: '' };

function wordsOf(row: OperationRow, took: Took | undefined): string {
    const words = [row.tool === undefined ? '' : `T${row.tool}`, duration(took?.seconds ?? 0), took?.volume ?? ''];
    return words.filter((word) => word !== '').join(' · ');
}

function Group({ name, isOn, onSwitch }: { name: string; isOn: boolean; onSwitch: (() => void) | null }) {
    return (
        <Box
            component="li"
            sx={{ display: 'flex', justifyContent: 'space-between', px: 1, pt: 0.5, fontSize: '0.8125rem', fontWeight: 600, color: 'text.secondary' }}
        >
            {name}
            {onSwitch !== null && (
                <Button variant="text" sx={{ minHeight: 0, py: 0 }} onClick={onSwitch}>{isOn ? 'switch off' : 'switch on'}</Button>
            )}
        </Box>
    );
}

interface RowProps {
    isAt: boolean;
    number?: string;
    name: string;
    words: string;
    note?: string;
    wrong: number;
    isOff?: boolean;
    onClick: () => void;
}

function Row({ isAt, number, name, words, note = '', wrong, isOff = false, onClick }: RowProps) {
    return (
        <Box
            component="button" type="button" aria-current={isAt} onClick={onClick}
            sx={{
                all: 'unset', boxSizing: 'border-box', cursor: 'pointer', width: '100%', display: 'grid', alignItems: 'baseline', columnGap: 1, px: 1,
                minHeight: 26, lineHeight: '26px', fontSize: '0.9375rem', gridTemplateColumns: `${number === undefined ? '' : '1.4rem '}minmax(0, 1fr) auto`,
                background: isAt ? 'var(--pick)' : 'transparent', borderTop: '1px solid var(--hair)',
                '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' },
            }}
        >
            {number !== undefined && (
                <Box component="span" sx={{ color: 'text.secondary', textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}>{number}</Box>
            )}
            <Box
                component="span"
                sx={{
                    fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', textDecoration: isOff ? 'line-through' : 'none',
                }}
            >
                {name}
            </Box>
            <Box component="span" sx={{ fontSize: '0.8125rem', color: 'text.secondary', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>
                {isOff ? 'off' : wrong > 0 ? <ToAnswer count={wrong} /> : <>{note !== '' && <ByHand>{note}</ByHand>} {words}</>}
            </Box>
        </Box>
    );
}

function ToAnswer({ count }: { count: number }) {
    return <Box component="span" sx={{ color: 'var(--clay)', fontWeight: 600 }}><Mark kind="stop" size={12} /> {count} to answer</Box>;
}

function ByHand({ children }: { children: string }) {
    return <Box component="span" sx={{ color: 'var(--ochre)', fontWeight: 600, mr: 0.5 }}>{children}</Box>;
}
