import { Box } from '@mui/material';
import { Mark, type MarkKind } from './Mark';

interface Counts {
    verdict: 'stop' | 'caution' | 'clear' | null;
    stops: number;
    cautions: number;
    notes: number;
}

/** How many findings there are of each severity, the worst first; empty where there are none. */
export function countWords({ stops, cautions, notes }: Omit<Counts, 'verdict'>): string {
    const some = (count: number, one: string) => (count === 0 ? [] : [`${count} ${one}${count === 1 ? '' : 's'}`]);
    return [...some(stops, 'error'), ...some(cautions, 'caution'), ...some(notes, 'note')].join(', ');
}

/** The verdict in words: what it is and what stands against it. */
export function verdictWords({ verdict, ...counts }: Counts): string {
    if (verdict === null) return 'Not checked yet';
    if (verdict === 'clear') return `Clear — ${countWords(counts) || 'nothing found'}; prove it out`;
    return `${verdict === 'stop' ? 'Stop' : 'Caution'} — ${countWords(counts)}`;
}

/** The same of what a check has found. */
export function verdictOf({ verdict, findings }: { verdict: Counts['verdict']; findings: { severity: 'stop' | 'caution' | 'note' }[] }): string {
    const count = (severity: string) => findings.filter((finding) => finding.severity === severity).length;
    return verdictWords({ verdict, stops: count('stop'), cautions: count('caution'), notes: count('note') });
}

export function Verdict({ large = false, wraps = false, ...counts }: Counts & { large?: boolean; wraps?: boolean }) {
    const kind: MarkKind = counts.verdict ?? 'note';
    const tint = { stop: 'var(--clay)', caution: 'var(--ochre)', note: 'var(--soft)', clear: 'var(--moss)' }[kind];
    return (
        <Box
            component="span"
            role={large ? 'status' : undefined}
            data-verdict={counts.verdict ?? 'none'}
            sx={{
                display: 'inline-flex', alignItems: 'center', gap: 1, fontWeight: 600, color: tint,
                fontSize: large ? '0.9375rem' : '0.875rem', whiteSpace: wraps ? 'normal' : 'nowrap',
                ...(large && { borderTop: `3px double ${tint}`, borderBottom: `3px double ${tint}`, px: 1.5, py: 0.25, minHeight: 36 }),
            }}
        >
            <Mark kind={kind} size={large ? 18 : 14} />
            {verdictWords(counts)}
        </Box>
    );
}
