import { Box } from '@mui/material';
import { Mark, type MarkKind } from './Mark';

interface Counts {
    verdict: 'stop' | 'caution' | 'clear' | null;
    stops: number;
    cautions: number;
    notes: number;
}

/** The verdict in words: what it is and how many things stand against it. */
export function verdictWords({ verdict, stops, cautions, notes }: Counts): string {
    if (verdict === null) return 'Not checked yet';
    if (verdict === 'clear') return `Clear — ${notes === 0 ? 'nothing found' : notes === 1 ? '1 note' : `${notes} notes`}; prove it out`;
    const parts = [stops > 0 ? `${stops} to put right` : '', cautions > 0 ? `${cautions} to look at` : ''].filter((part) => part !== '');
    return `${verdict === 'stop' ? 'Stop' : 'Caution'} — ${parts.join(', ')}`;
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
