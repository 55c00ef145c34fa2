import type { SVGProps } from 'react';

export type MarkKind = 'stop' | 'caution' | 'note' | 'clear';

const NAMES: Record<MarkKind, string> = { stop: 'error', caution: 'caution', note: 'note', clear: 'nothing found' };

/** The mark of a severity: a shape of its own for each, never colour alone. */
export function Mark({ kind, size = 14, ...rest }: { kind: MarkKind; size?: number } & SVGProps<SVGSVGElement>) {
    return (
        <svg viewBox="0 0 16 16" width={size} height={size} role="img" aria-label={NAMES[kind]} style={{ flex: 'none', verticalAlign: '-2px' }} {...rest}>
            {kind === 'stop' && <path d="M4.5 1.5h7L15 8l-3.5 6.5h-7L1 8z" fill="var(--clay)" />}
            {kind === 'caution' && <path d="M8 2l7 12.5H1z" fill="var(--ochre)" />}
            {kind === 'note' && <circle cx="8" cy="8" r="5.5" fill="none" stroke="var(--ink)" strokeWidth="2" />}
            {kind === 'clear' && <path d="M2.5 8.5l4 4 7-9" fill="none" stroke="var(--moss)" strokeWidth="2.2" />}
        </svg>
    );
}
