import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import type { Edit, Finding, OakCheck } from '../../contracts/oak-check-1';
import { Mark } from '../../shared/Mark';
import type { BenchAnswer } from '../answer';
import { FindingCard } from './FindingCard';

interface Props {
    questions: BenchAnswer['questions'];
    findings: Finding[];
    notLooked: OakCheck['notLooked'];
    text: string;
    selected: number | null;
    setup: { id: number; mayLower: boolean };
    onSelect: (index: number) => void;
    onApply: (edit: Edit, index: number) => void;
    /** Where the program was too long for its cut to be worked out: has it worked out. */
    onWhole: (() => void) | null;
}

/** The findings by the question they answer, each with its line, figures, reason and remedy. */
export function BeforeYouRun({ questions, findings, notLooked, text, selected, setup, onSelect, onApply, onWhole }: Props) {
    return (
        <Box component="section" aria-label="Before you run">
            {questions.map(({ question, looked }) => {
                const own = findings.flatMap((finding, index) => (finding.question === question ? [{ finding, index }] : []));
                const gaps = notLooked.filter((gap) => gap.question === question);
                const worst = own.find(({ finding }) => finding.severity === 'stop') ?? own.find(({ finding }) => finding.severity === 'caution') ?? own[0];
                return (
                    <Box key={question} sx={{ py: 0.4, borderTop: '1px solid var(--hair)' }}>
                        <Box
                            component="h3"
                            sx={{ m: 0, display: 'flex', gap: 1, alignItems: 'baseline', fontSize: '0.875rem', fontWeight: own.length > 0 ? 700 : 600 }}
                        >
                            {(looked && gaps.length === 0) || own.length > 0 ? (
                                <Mark kind={worst?.finding.severity ?? 'clear'} />
                            ) : (
                                <Box component="span" aria-hidden sx={{ width: 14, textAlign: 'center' }}>
                                    –
                                </Box>
                            )}
                            <Box component="span" sx={{ flex: 1 }}>{question}</Box>
                            {own.length > 0 && <Box component="span" sx={{ fontWeight: 400 }}>{own.length}</Box>}
                            {own.length === 0 && looked && gaps.length > 0 && (
                                <Box component="span" sx={{ fontWeight: 400, fontSize: '0.8125rem', color: 'text.secondary' }}>
                                    nothing found, not all looked at
                                </Box>
                            )}
                            {!looked && <Box component="span" sx={{ fontWeight: 400, fontSize: '0.8125rem', color: 'text.secondary' }}>not looked at</Box>}
                        </Box>
                        {own.map(({ finding, index }) => (
                            <FindingCard
                                key={index}
                                finding={finding}
                                text={text}
                                selected={index === selected}
                                setup={setup}
                                onSelect={() => onSelect(index)}
                                onApply={(edit) => onApply(edit, index)}
                                onWhole={finding.check === 'cutting.not-followed' ? onWhole : null}
                            />
                        ))}
                        {gaps.length > 0 && (
                            <Box
                                component="ul"
                                aria-label={`Not looked at: ${question}`}
                                sx={{ m: 0, mt: 0.25, pl: 2.75, listStyle: 'none', fontSize: '0.8125rem', color: 'text.secondary' }}
                            >
                                {gaps.map((gap) => (
                                    <li key={gap.text}>
                                        {gap.text}{gap.field !== undefined && (
                                            <>
                                                {' '}
                                                <Link href={`/setups/${setup.id}#${gap.field}`} style={{ color: 'inherit' }}>
                                                    Give it
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
