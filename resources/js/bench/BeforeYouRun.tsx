import { Link } from '@inertiajs/react';
import { Box, Button, Tooltip } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { Edit, Finding } from '../contracts/oak-check-1';
import { Mark } from '../shared/Mark';
import type { BenchAnswer } from './answer';

interface Props {
    questions: BenchAnswer['questions'];
    findings: Finding[];
    selected: number | null;
    setupId: number;
    onSelect: (index: number) => void;
    onApply: (edit: Edit) => void;
}

/** The findings by the question they answer, each with its line, figures, reason and remedy. */
export function BeforeYouRun({ questions, findings, selected, setupId, onSelect, onApply }: Props) {
    return (
        <Box component="section" aria-label="Before you run">
            {questions.map(({ question, looked }) => {
                const own = findings.flatMap((finding, index) => (finding.question === question ? [{ finding, index }] : []));
                const worst = own.find(({ finding }) => finding.severity === 'stop') ?? own.find(({ finding }) => finding.severity === 'caution') ?? own[0];
                return (
                    <Box key={question} sx={{ py: 0.4, borderTop: '1px solid var(--hair)' }}>
                        <Box component="h3" sx={{ m: 0, display: 'flex', gap: 1, alignItems: 'baseline', fontSize: 14, fontWeight: own.length > 0 ? 700 : 600 }}>
                            {looked || own.length > 0 ? <Mark kind={worst?.finding.severity ?? 'clear'} /> : <Box component="span" aria-hidden sx={{ width: 14, textAlign: 'center' }}>–</Box>}
                            <Box component="span" sx={{ flex: 1 }}>{question}</Box>
                            {own.length > 0 && <Box component="span" sx={{ fontWeight: 400 }}>{own.length}</Box>}
                            {!looked && <Box component="span" sx={{ fontWeight: 400, fontSize: 13, color: 'text.secondary' }}>not looked at</Box>}
                        </Box>
                        {own.map(({ finding, index }) => (
                            <FindingCard key={index} finding={finding} selected={index === selected} setupId={setupId} onSelect={() => onSelect(index)} onApply={onApply} />
                        ))}
                    </Box>
                );
            })}
        </Box>
    );
}

function FindingCard({ finding, selected, setupId, onSelect, onApply }: { finding: Finding; selected: boolean; setupId: number; onSelect: () => void; onApply: (edit: Edit) => void }) {
    const card = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (selected) card.current?.scrollIntoView({ block: 'nearest' });
    }, [selected]);
    const tint = finding.severity === 'stop' ? 'var(--clay)' : finding.severity === 'caution' ? 'var(--ochre)' : 'var(--soft)';
    const also = finding.alsoAt.length === 0 ? '' : `Also on line ${finding.alsoAt.slice(0, 6).join(', ')}${finding.alsoAt.length > 6 ? ` and ${finding.alsoAt.length - 6} more` : ''}.`;
    return (
        <Box ref={card} data-check={finding.check} sx={{ mt: 0.75, background: 'var(--sheet)', border: `1px solid ${selected ? 'var(--frame)' : 'var(--hair)'}`, borderLeft: `4px ${finding.severity === 'stop' ? 'solid' : 'double'} ${tint}`, p: 1, fontSize: 14, lineHeight: 1.35 }}>
            <Box component="button" type="button" onClick={onSelect} sx={{ all: 'unset', cursor: 'pointer', display: 'block', '&:focus-visible': { outline: '2px solid var(--oak)' } }}>
                <b>Line {finding.line}{finding.program !== undefined && ` of ${finding.program}, called from line ${finding.from ?? 0}`}: </b>{finding.text}
            </Box>
            {finding.remedy !== '' && <Box sx={{ mt: 0.5, color: 'text.secondary' }}>{finding.remedy}</Box>}
            {also !== '' && <Box sx={{ mt: 0.25, color: 'text.secondary', fontSize: 13 }}>{also}</Box>}
            <Box sx={{ mt: 0.75, display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
                {finding.edit !== undefined && (
                    <Tooltip title="Change the line; undo with Ctrl+Z (Alt+P for the picked finding)"><Button variant="contained" onClick={() => finding.edit && onApply(finding.edit)}>{finding.edit.label}</Button></Tooltip>
                )}
                {finding.field !== undefined && (
                    <Button component={Link} href={`/setups/${setupId}#${finding.field}`}>Go to {finding.field.replace('workOffsets.', '').replaceAll('.', ' ')}</Button>
                )}
                <Button onClick={onSelect}>Show me</Button>
            </Box>
        </Box>
    );
}
