import { Box, Tooltip } from '@mui/material';
import { memo } from 'react';
import type { Edit } from '../../contracts/oak-check-1';
import type { BenchAnswer } from '../answer';
import { FoldButton } from '../layout/Folding';
import type { RunCursor } from '../runCursor';
import { BeforeYouRun } from './BeforeYouRun';
import { DryRun } from './DryRun';
import { HoldPoints } from './HoldPoints';
import { LoadCard } from './LoadCard';
import { OffsetMistakes } from './OffsetMistakes';
import { SizesCard } from './SizesCard';
import { TravelCard } from './TravelCard';
import { listed, type Settled } from './settled';

const SHEETS = [
    { sheet: 'findings', name: 'Before you run', key: 'B', what: 'Findings and travel' },
    { sheet: 'holds', name: 'Hold points', key: 'H', what: 'What to watch in the first run' },
    { sheet: 'offsets', name: 'What if', key: 'O', what: 'What if an offset is wrong' },
] as const;

export type ReviewSheet = (typeof SHEETS)[number]['sheet'];

interface Props {
    answer: BenchAnswer | null;
    program: { id: number; name: string; calledBy: string[] };
    setup: { id: number; version: number; mayLower: boolean };
    text: string;
    sheet: ReviewSheet;
    selected: number | null;
    settled: Settled | null;
    run: RunCursor;
    onSheet: (sheet: ReviewSheet) => void;
    onFold: () => void;
    onSelect: (index: number) => void;
    onApply: (edit: Edit, index: number) => void;
    onUndo: () => void;
    /** Has the whole program taken out of the stock; null where that is under way or done. */
    onWhole: (() => void) | null;
    onRow: (row: number) => void;
    onLine: (line: number) => void;
}

/** The right side of the bench: what was found, what to hold at, and what a wrong offset would do. */
export const Review = memo(function Review(props: Props) {
    const { answer, program, setup, text, sheet, selected, settled, run, onSheet, onFold, onSelect, onApply, onUndo, onWhole, onRow, onLine } = props;
    const result = answer?.result;
    const { decimals = 3, units = 'mm', diameters = [], turned = null } = answer?.scene ?? {};
    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
            <Box sx={{ display: 'flex', borderBottom: '1px solid var(--hair)' }}>
                <Box role="tablist" aria-label="Review" sx={{ display: 'flex', flex: 1, minWidth: 0 }}>
                    {SHEETS.map(({ sheet: one, name, key, what }, i) => (
                        <Tooltip key={one} title={`${what} (Alt+${key})`}>
                            <Box
                                component="button" type="button" role="tab" id={`review-${one}`} aria-selected={one === sheet} aria-controls="review-sheet"
                                onClick={() => onSheet(one)}
                                sx={{
                                    all: 'unset',
                                    cursor: 'pointer',
                                    flex: 'auto',
                                    textAlign: 'center',
                                    px: 0.5,
                                    py: 1,
                                    fontSize: '0.8125rem',
                                    whiteSpace: 'nowrap',
                                    overflow: 'hidden',
                                    textOverflow: 'ellipsis',
                                    fontWeight: one === sheet ? 700 : 400,
                                    background: one === sheet ? 'transparent' : 'var(--margin)',
                                    borderLeft: i > 0 ? '1px solid var(--hair)' : undefined,
                                    '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' },
                                }}
                            >{name}</Box>
                        </Tooltip>
                    ))}
                </Box>
                <FoldButton name="review" towards="›" onFold={onFold} />
            </Box>
            <Box
                id="review-sheet"
                role="tabpanel"
                aria-labelledby={`review-${sheet}`}
                tabIndex={0}
                sx={{ overflow: 'auto', p: 1.25, display: 'flex', flexDirection: 'column', gap: 1.5 }}
            >
                {sheet === 'findings' && (
                    <>
                        {program.calledBy.length > 0 && (
                            <Box role="note">
                                Called by {program.calledBy.join(', ')}, and checked there with the state it is called in. Here it is read alone.
                            </Box>
                        )}
                        <BeforeYouRun
                            questions={answer?.questions ?? []}
                            findings={listed(result?.findings ?? [], settled)}
                            whys={answer?.whys ?? {}}
                            notLooked={result?.notLooked ?? []}
                            text={text}
                            selected={selected}
                            setup={setup}
                            onSelect={onSelect}
                            onApply={onApply}
                            onUndo={onUndo}
                            onWhole={result?.summary.stock?.tooLong === true ? onWhole : null}
                        />
                        {result !== undefined && (
                            <TravelCard summary={result.summary} decimals={decimals} units={units} diameters={diameters} onLine={onLine} />
                        )}
                        <SizesCard sizes={turned?.sizes ?? []} decimals={decimals} units={units} onLine={onLine} />
                        {result?.summary.stock !== undefined && <LoadCard loads={result.summary.stock.loads} units={units} onLine={onLine} />}
                    </>
                )}
                {sheet === 'holds' && result !== undefined && (
                    <>
                        <HoldPoints points={result.holdPoints} decimals={decimals} units={units} run={run} onShow={onRow} />
                        {turned === null && <DryRun program={program.id} name={program.name} text={text} units={units} />}
                    </>
                )}
                {sheet === 'offsets' && (
                    <OffsetMistakes program={program.id} setupVersion={setup.version} text={text} decimals={decimals} units={units} isTurned={turned !== null}
                        onShow={onLine} />
                )}
            </Box>
        </Box>
    );
});
