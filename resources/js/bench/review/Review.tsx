import { Box, Button, Tooltip } from '@mui/material';
import { useEffect, useState } from 'react';
import { useAltKeys } from '../../shared/useAltKeys';
import type { Edit } from '../../contracts/oak-check-1';
import type { BenchAnswer } from '../answer';
import type { RunCursor } from '../runCursor';
import { BeforeYouRun } from './BeforeYouRun';
import { DryRun } from './DryRun';
import { HoldPoints } from './HoldPoints';
import { LoadCard } from './LoadCard';
import { OffsetMistakes } from './OffsetMistakes';
import { ReachCard } from './ReachCard';

const SHEETS = [
    { name: 'Before you run', key: 'B', what: 'Findings and reach' },
    { name: 'Hold points', key: 'H', what: 'What to watch in the first run' },
    { name: 'Wrong offset?', key: 'O', what: 'What an offset mistake would lead to' },
] as const;

interface Props {
    answer: BenchAnswer | null;
    program: { id: number; name: string };
    setup: { id: number; version: number; mayLower: boolean };
    text: string;
    selected: number | null;
    run: RunCursor;
    onSelect: (index: number) => void;
    onNext: () => void;
    onApply: (edit: Edit, index: number) => void;
    /** Has the whole program taken out of the stock; null where that is under way or done. */
    onWhole: (() => void) | null;
    onRow: (row: number) => void;
    onLine: (line: number) => void;
}

/** The right side of the bench: what was found, what to hold at, and what a wrong offset would do. */
export function Review({ answer, program, setup, text, selected, run, onSelect, onNext, onApply, onWhole, onRow, onLine }: Props) {
    const [sheet, setSheet] = useState(0);
    useAltKeys(Object.fromEntries(SHEETS.map(({ key }, i) => [`Key${key}`, () => setSheet(i)])));
    // A finding that is picked, by whatever key, is shown.
    useEffect(() => {
        if (selected !== null) setSheet(0);
    }, [selected]);
    const result = answer?.result;
    const findings = result?.findings ?? [];
    const { decimals = 3, units = 'mm' } = answer?.scene ?? {};
    return (
        <Box sx={{ minHeight: 0, display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
            <Box role="tablist" aria-label="Review" sx={{ display: 'flex', borderBottom: '1px solid var(--hair)' }}>
                {SHEETS.map(({ name, key, what }, i) => (
                    <Tooltip key={name} title={`${what} (Alt+${key})`}>
                        <Box
                            component="button" type="button" role="tab" id={`review-${i}`} aria-selected={i === sheet} aria-controls="review-sheet"
                            onClick={() => setSheet(i)}
                            sx={{
                                all: 'unset',
                                cursor: 'pointer',
                                flex: 'auto',
                                textAlign: 'center',
                                py: 1,
                                fontSize: '0.875rem',
                                whiteSpace: 'nowrap',
                                fontWeight: i === sheet ? 700 : 400,
                                background: i === sheet ? 'transparent' : 'var(--margin)',
                                borderLeft: i > 0 ? '1px solid var(--hair)' : undefined,
                                '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' },
                            }}
                        >{name}</Box>
                    </Tooltip>
                ))}
            </Box>
            <Box
                id="review-sheet"
                role="tabpanel"
                aria-labelledby={`review-${sheet}`}
                tabIndex={0}
                sx={{ overflow: 'auto', p: 1.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}
            >
                {sheet === 0 && (
                    <>
                        <Box>
                            {findings.length > 0 && (
                                <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', mb: 0.75 }}>
                                    <Box sx={{ fontSize: '0.875rem' }}>{findings.length === 1 ? 'One thing' : `${findings.length} things`} to look at</Box>
                                    <Tooltip title="Next finding (Alt+N)"><Button onClick={onNext}>Next</Button></Tooltip>
                                </Box>
                            )}
                            <BeforeYouRun
                                questions={answer?.questions ?? []}
                                findings={findings}
                                notLooked={result?.notLooked ?? []}
                                text={text}
                                selected={selected}
                                setup={setup}
                                onSelect={onSelect}
                                onApply={onApply}
                                onWhole={result?.summary.stock?.tooLong === true ? onWhole : null}
                            />
                        </Box>
                        {result !== undefined && <ReachCard summary={result.summary} decimals={decimals} units={units} onLine={onLine} />}
                        {result?.summary.stock !== undefined && <LoadCard loads={result.summary.stock.loads} units={units} onLine={onLine} />}
                    </>
                )}
                {sheet === 1 && result !== undefined && (
                    <>
                        <HoldPoints points={result.holdPoints} decimals={decimals} units={units} run={run} onShow={onRow} />
                        <DryRun program={program.id} name={program.name} text={text} units={units} />
                    </>
                )}
                {sheet === 2 && (
                    <OffsetMistakes program={program.id} setupVersion={setup.version} text={text} decimals={decimals} units={units} onShow={onLine} />
                )}
            </Box>
        </Box>
    );
}
