import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import type { Edit, OakCheck } from '../../contracts/oak-check-1';
import { Mark } from '../../shared/Mark';
import type { BenchAnswer } from '../answer';
import { FindingCard } from './FindingCard';
import type { Listed } from './settled';

interface Props {
    questions: BenchAnswer['questions'];
    findings: Listed[];
    whys: Record<string, string>;
    notLooked: OakCheck['notLooked'];
    text: string;
    selected: number | null;
    setup: { id: number; mayLower: boolean };
    onSelect: (index: number) => void;
    onApply: (edit: Edit, index: number) => void;
    onUndo: () => void;
    /** Where the program was too long for its cut to be simulated while typing: has all of it simulated. */
    onWhole: (() => void) | null;
}

/** The findings by the question they answer, each with its line, figures, reason and remedy. */
export function BeforeYouRun({ questions, findings, whys, notLooked, text, selected, setup, onSelect, onApply, onUndo, onWhole }: Props) {
    return (
        <Box component="section" aria-label="Before you run">
            {questions.map(({ question, looked }) => {
                const own = findings.filter(({ finding }) => finding.question === question);
                const open = own.filter(({ settled }) => !settled);
                const gaps = notLooked.filter((gap) => gap.question === question);
                const worst = open.find(({ finding }) => finding.severity === 'stop') ?? open.find(({ finding }) => finding.severity === 'caution') ?? open[0];
                return (
                    <Box key={question} sx={{ py: 0.4, borderTop: '1px solid var(--hair)' }}>
                        <Box
                            component="h3"
                            sx={{ m: 0, display: 'flex', gap: 1, alignItems: 'baseline', fontSize: '0.875rem', fontWeight: open.length > 0 ? 700 : 600 }}
                        >
                            {(looked && gaps.length === 0) || open.length > 0 ? (
                                <Mark kind={worst?.finding.severity ?? 'clear'} />
                            ) : (
                                <Box component="span" aria-hidden sx={{ width: 14, textAlign: 'center' }}>
                                    –
                                </Box>
                            )}
                            <Box component="span" sx={{ flex: 1 }}>{question}</Box>
                            {open.length > 0 && <Box component="span" sx={{ fontWeight: 400 }}>{open.length}</Box>}
                            {open.length === 0 && looked && gaps.length > 0 && (
                                <Box component="span" sx={{ fontWeight: 400, fontSize: '0.8125rem', color: 'text.secondary' }}>
                                    partly checked
                                </Box>
                            )}
                            {!looked && <Box component="span" sx={{ fontWeight: 400, fontSize: '0.8125rem', color: 'text.secondary' }}>not checked</Box>}
                        </Box>
                        {own.map(({ finding, index, settled }, n) => (
                            <FindingCard
                                key={n}
                                finding={finding}
                                why={whys[finding.check] ?? ''}
                                text={text}
                                selected={index === selected && !settled}
                                settled={settled}
                                setup={setup}
                                onSelect={() => onSelect(index)}
                                onApply={(edit) => onApply(edit, index)}
                                onUndo={onUndo}
                                onWhole={finding.check === 'cutting.not-followed' ? onWhole : null}
                            />
                        ))}
                        {gaps.length > 0 && (
                            <Box
                                component="ul"
                                aria-label={`Not checked: ${question}`}
                                sx={{ m: 0, mt: 0.25, pl: 2.75, listStyle: 'none', fontSize: '0.8125rem', color: 'text.secondary' }}
                            >
                                {gaps.map((gap) => (
                                    <li key={gap.text}>
                                        {gap.text}{gap.field !== undefined && (
                                            <>
                                                {' '}
                                                <Link href={`/setups/${setup.id}#${gap.field}`} style={{ color: 'inherit' }}>
                                                    Enter it
                                                </Link>
                                            </>
                                        )}
                                    </li>
                                ))}
                            </Box>
                        )}
                    </Box>
                );
            })}
        </Box>
    );
}
