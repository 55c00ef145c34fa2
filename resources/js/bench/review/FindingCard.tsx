import { Link } from '@inertiajs/react';
import { Box, Button, Tooltip } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { Edit, Finding } from '../../contracts/oak-check-1';
import { Mark } from '../../shared/Mark';
import { Sentence } from '../../shared/Sentence';
import { LowerCaution, RaiseAgain } from './LowerCaution';
import { EditPreview } from './EditPreview';
import { fieldWords } from './fieldWords';
import { whereOf } from './where';

interface Props {
    finding: Finding;
    /** Why it matters; empty where nobody says. */
    why: string;
    text: string;
    selected: boolean;
    /** Its change has just been made; it stays here until the next act. */
    settled: boolean;
    setup: { id: number; mayLower: boolean };
    onSelect: () => void;
    onApply: (edit: Edit) => void;
    onUndo: () => void;
    onWhole: (() => void) | null;
}

/** One finding: where, what, why, what to do, and the change that would do it. */
export function FindingCard({ finding, why, text, selected, settled, setup, onSelect, onApply, onUndo, onWhole }: Props) {
    const card = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (selected) card.current?.scrollIntoView({ block: 'nearest' });
    }, [selected]);
    const tint = finding.severity === 'stop' ? 'var(--clay)' : finding.severity === 'caution' ? 'var(--ochre)' : 'var(--soft)';
    const also =
        finding.alsoAt.length === 0
            ? ''
            : `Also on line ${finding.alsoAt.slice(0, 6).join(', ')}${finding.alsoAt.length > 6 ? ` and ${finding.alsoAt.length - 6} more` : ''}.`;
    return (
        <Box
            ref={card}
            data-check={finding.check}
            data-severity={finding.severity}
            data-settled={settled || undefined}
            aria-current={selected || undefined}
            sx={{
                mt: 0.75,
                background: 'var(--sheet)',
                border: `1px solid ${selected ? 'var(--frame)' : 'var(--hair)'}`,
                borderLeft: `4px ${finding.severity === 'stop' ? 'solid' : 'double'} ${tint}`,
                p: 1,
                fontSize: '0.875rem',
                lineHeight: 1.35,
            }}
        >
            <Tooltip title={finding.otherUnits === finding.text ? '' : finding.otherUnits} placement="left">
                <Box
                    component="button"
                    type="button"
                    disabled={settled}
                    onClick={onSelect}
                    sx={{
                        all: 'unset', cursor: settled ? 'default' : 'pointer', display: 'block', ...(settled && { color: 'text.secondary' }),
                        '&:focus-visible': { outline: '2px solid var(--oak)' },
                    }}
                >
                    <b>{settled && <Mark kind="clear" />} {whereOf(finding)} </b><Sentence text={finding.text} />
                </Box>
            </Tooltip>
            {finding.remedy !== '' && <Box sx={{ mt: 0.5, color: 'text.secondary' }}><Sentence text={finding.remedy} /></Box>}
            {selected && why !== '' && (
                <Box component="details" sx={{ mt: 0.5 }}>
                    <Box component="summary" sx={{ cursor: 'pointer', fontSize: '0.8125rem', color: 'text.secondary' }}>Why it matters</Box>
                    <Box sx={{ mt: 0.25 }}>{why}</Box>
                </Box>
            )}
            {also !== '' && <Box sx={{ mt: 0.25, color: 'text.secondary', fontSize: '0.8125rem' }}>{also}</Box>}
            {finding.lowered !== undefined && (
                <Box sx={{ mt: 0.25, fontSize: '0.8125rem' }}>
                    A caution, lowered to a note {finding.lowered.on === 'machine' ? 'on this machine' : 'in this setup'}
                    {finding.lowered.by !== undefined && ` by ${finding.lowered.by}`}: “{finding.lowered.reason}”
                </Box>
            )}
            {selected && finding.edit !== undefined && <EditPreview text={text} edit={finding.edit} />}
            <Box sx={{ mt: 0.75, display: 'flex', gap: 0.75, flexWrap: 'wrap', '&:empty': { display: 'none' } }}>
                {settled && <><Button disabled>Done</Button><Button onClick={onUndo}>Undo</Button></>}
                {!settled && finding.edit !== undefined && (
                    <Tooltip title="Make this change; undo with Ctrl+Z (Alt+P for the picked finding)">
                        <Button variant={selected ? 'contained' : 'outlined'} onClick={() => finding.edit && onApply(finding.edit)}>
                            {finding.edit.label}
                        </Button>
                    </Tooltip>
                )}
                {!settled && onWhole !== null && (
                    <Tooltip title="Simulates the whole cut, with its progress shown; it can be stopped">
                        <Button variant="contained" onClick={onWhole}>
                            Simulate all
                        </Button>
                    </Tooltip>
                )}
                {!settled && finding.field !== undefined && (
                    <Button component={Link} href={`/setups/${setup.id}#${finding.field}`}>Go to {fieldWords(finding.field, finding.detail['tool'])}</Button>
                )}
                {selected && setup.mayLower && finding.severity === 'caution' && <LowerCaution setup={setup.id} check={finding.check} />}
                {selected && setup.mayLower && finding.lowered !== undefined && <RaiseAgain setup={setup.id} check={finding.check} on={finding.lowered.on} />}
            </Box>
        </Box>
    );
}
