import { Box, Button } from '@mui/material';
import { Mark } from '../shared/Mark';
import { duration } from '../shared/numbers';
import { Fragment } from 'react';
import type { OperationRow, Section } from './sheet';

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
                        <Box component="li" sx={{ px: 1, pt: 0.5, fontSize: '0.8125rem', fontWeight: 600, color: 'text.secondary', display: 'flex',
                            justifyContent: 'space-between' }}>
                            {row.group}
                            {onGroup !== null && (
                                <Button size="small" variant="text" sx={{ minHeight: 0, py: 0 }} onClick={() => onGroup(row.group ?? '')}>
                                    {operations.some((one) => one.group === row.group && one.off !== true) ? 'switch off' : 'switch on'}
                                </Button>
                            )}
                        </Box>
                    )}
                    <Box component="li">
                        <Row
                        isAt={at === row.id} number={String(n + 1)} name={row.name ?? row.kind} isOff={row.off === true} wrong={wrong[row.id] ?? 0}
                        words={[
                            row.tool === undefined ? '' : `T${row.tool}`, duration(took[row.id]?.seconds ?? 0), took[row.id]?.volume ?? '',
                        ].filter((word) => word !== '').join(' · ')}
                        note={{ 'by-hand': 'changed by hand', both: 'changed by hand and here', left: '', written: '' }[standing(row.id) ?? 'written']}
                        onClick={() => onAt(row.id)}
                    />
                    </Box>
                </Fragment>
            ))}
        </Box>
    );
}

function Row({ isAt, number, name, words, note = '', wrong, isOff = false, onClick }: {
    isAt: boolean; number?: string; name: string; words: string; note?: string; wrong: number; isOff?: boolean; onClick: () => void;
}) {
    return (
            <Box
                component="button" type="button" aria-current={isAt} onClick={onClick}
                sx={{
                    all: 'unset', boxSizing: 'border-box', cursor: 'pointer', width: '100%', display: 'grid', alignItems: 'baseline', columnGap: 1, px: 1,
                        minHeight: 26,
                    gridTemplateColumns: `${number === undefined ? '' : '1.4rem '}minmax(0, 1fr) auto`, lineHeight: '26px', fontSize: '0.9375rem',
                        background: isAt ? 'var(--pick)' : 'transparent',
                    borderTop: '1px solid var(--hair)', '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' },
                }}
            >
                {number !== undefined && (
                    <Box component="span" sx={{ color: 'text.secondary', textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}>{number}</Box>
                )}
                <Box
                    component="span"
                    sx={{ fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap',
                        textDecoration: isOff ? 'line-through' : 'none' }}
                >
                    {name}
                </Box>
                <Box component="span" sx={{ fontSize: '0.8125rem', color: 'text.secondary', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>
                    {isOff ? 'off' : wrong > 0
                        ? <Box component="span" sx={{ color: 'var(--clay)', fontWeight: 600 }}><Mark kind="stop" size={12} /> {wrong} to answer</Box>
                        : <>{note !== '' && <Box component="span"
                            sx={{ color: 'var(--ochre)', fontWeight: 600 }}>{note}{words === '' ? '' : ' · '}</Box>}{words}</>}
                </Box>
            </Box>
    );
}
