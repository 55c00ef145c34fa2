import { Link } from '@inertiajs/react';
import { Box, Button, Tooltip } from '@mui/material';
import { memo, useRef } from 'react';
import type { Finding, OakCheck } from '../contracts/oak-check-1';
import { Sentence } from '../shared/Sentence';
import { useKeptFocus } from '../shared/useKeptFocus';
import { Verdict } from '../shared/Verdict';
import { whereOf } from './review/where';
import { fieldWords } from './review/fieldWords';

interface Props {
    result: OakCheck | null;
    /** Whether the answer is that of the text as it is. */
    current: boolean;
    /** The finding to deal with now, and its place among all; null where there is none. */
    finding: Finding | null;
    index: number;
    settled: boolean;
    setup: number;
    /** Of a text that is there to be called: the programs whose verdicts count for it. */
    calledBy: string[];
    onShow: () => void;
    onStep: (by: 1 | -1) => void;
    onApply: () => void;
    onUndo: () => void;
    onWhole: (() => void) | null;
    onHoldPoints: () => void;
}

/** The answer to "may I run this?", and the one thing to do next. */
export const NextStep = memo(function NextStep(
    { result, current, finding, index, settled, setup, calledBy, onShow, onStep, onApply, onUndo, onWhole, onHoldPoints }: Props,
) {
    const counts = { stop: 0, caution: 0, note: 0 };
    for (const { severity } of result?.findings ?? []) counts[severity]++;
    const count = result?.findings.length ?? 0;
    const next = useRef<HTMLButtonElement>(null);
    useKeptFocus(next, [settled, count]);
    // With nothing found, the next step is what could not be checked.
    const gap = result?.notLooked[0];
    return (
        <Box
            component="section" aria-label="Next step"
            sx={{
                display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr) auto', alignItems: 'center', columnGap: { xs: 1, lg: 2 },
                px: { xs: 1, lg: 2 }, minHeight: '3.375rem', borderBottom: '1px solid var(--frame)', background: 'var(--sheet)',
            }}
        >
            <Box sx={{ opacity: current ? 1 : 0.6 }}>
                {result === null && <span role="status">Checking…</span>}
                {result !== null && (calledBy.length > 0
                    ? <Box role="status" data-verdict="called" sx={{ fontWeight: 600 }}>Subprogram of {calledBy.join(', ')}</Box>
                    : <Verdict large verdict={result.verdict} stops={counts.stop} cautions={counts.caution} notes={counts.note} />)}
            </Box>
            {finding === null
                ? <Box sx={{ fontSize: '0.875rem' }}>
                    {result !== null && (gap === undefined ? 'Watch the hold points in the first run.' : gapWords(result.notLooked))}
                </Box>
                : (
                    <Box
                        sx={{
                            fontSize: '0.875rem', lineHeight: 1.3, overflow: 'hidden', display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical',
                            ...(settled && { color: 'text.secondary' }),
                        }}
                    >
                        <b>{settled ? 'Done. ' : ''}{whereOf(finding)} </b>
                        <Sentence text={finding.text} />{' '}
                        {finding.remedy !== '' && <Box component="span" sx={{ color: 'text.secondary' }}><Sentence text={finding.remedy} /></Box>}
                    </Box>
                )}
            <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center', justifyContent: 'end' }}>
                {finding === null && gap?.field !== undefined && (
                    <Button variant="contained" component={Link} href={`/setups/${setup}#${gap.field}`}>Enter it</Button>
                )}
                {finding === null && result !== null && (
                    <Button variant={gap?.field === undefined ? 'contained' : 'outlined'} onClick={onHoldPoints}>Hold points</Button>
                )}
                {finding !== null && (
                    <>
                        {settled
                            ? <><Button variant="contained" disabled>Done</Button><Button onClick={onUndo}>Undo</Button></>
                            : <Remedy finding={finding} setup={setup} onApply={onApply} onShow={onShow} onWhole={onWhole} />}
                        {count > 0 && (
                            <>
                                <Tooltip title="Previous finding (Alt+Shift+N)">
                                    <Button aria-label="Previous" onClick={() => onStep(-1)} sx={{ px: 0.75 }}>
                                        ‹
                                    </Button>
                                </Tooltip>
                                <Tooltip title="Next finding (Alt+N)">
                                    <Button ref={next} onClick={() => onStep(1)} sx={{ minWidth: 88 }}>
                                        Next
                                        <Box component="span" aria-hidden sx={{ ml: 0.5, color: 'text.secondary', fontWeight: 400 }}>
                                        {settled ? `${count} left` : `${index + 1} of ${count}`}
                                    </Box></Button>
                                </Tooltip>
                            </>
                        )}
                    </>
                )}
            </Box>
        </Box>
    );
});

/** What could not be checked: the first of it, and how much more there is. */
function gapWords(gaps: OakCheck['notLooked']): string {
    const [first, ...more] = gaps;
    const text = first?.text ?? '';
    return `${/not checked|judged/i.test(text) ? '' : 'Not checked: '}${text}${more.length > 0 ? ` And ${more.length} more in the list.` : ''}`;
}

function Remedy({ finding, setup, onApply, onShow, onWhole }: Pick<Props, 'setup' | 'onApply' | 'onShow' | 'onWhole'> & { finding: Finding }) {
    const look = { maxWidth: 220, display: 'block', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' };
    if (finding.edit !== undefined) {
        return (
            <>
                <Tooltip title="Make this change; undo with Ctrl+Z (Alt+P)">
                    <Button variant="contained" onClick={onApply} sx={look}>
                        {finding.edit.label}
                    </Button>
                </Tooltip>
                <Button onClick={onShow}>Show</Button>
            </>
        );
    }
    if (finding.check === 'cutting.not-followed' && onWhole !== null) return <Button variant="contained" onClick={onWhole}>Simulate all</Button>;
    return (
        <>
            {finding.field !== undefined && (
                <Button variant="contained" component={Link} href={`/setups/${setup}#${finding.field}`} sx={look}>
                    Go to {fieldWords(finding.field, finding.detail['tool'])}
                </Button>
            )}
            <Button variant={finding.field === undefined ? 'contained' : 'outlined'} onClick={onShow}>Show</Button>
        </>
    );
}
