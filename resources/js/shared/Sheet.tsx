import { Box, Button, Tooltip } from '@mui/material';
import { useRef, type ReactNode } from 'react';

/** A sheet of the setup: a heading, and what belongs under it. Findings lead to it by its id. */
export function Sheet({ title, id, note, children }: { title: string; id?: string | undefined; note?: string | undefined; children: ReactNode }) {
    return (
        <Box component="section" aria-label={title} id={id} tabIndex={-1} sx={{ background: 'var(--sheet)', border: '1px solid var(--frame)', p: 2, pt: 1.25 }}>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', mb: 1 }}>
                <Box component="h2" sx={{ m: 0, fontSize: '1rem' }}>{title}</Box>
                {note !== undefined && <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>{note}</Box>}
            </Box>
            {children}
        </Box>
    );
}

export function Table({ heads, columns, children }: { heads: string[]; columns: string | Record<string, string>; children: ReactNode }) {
    return (
        // With large letters or a narrow window a table is wider than its sheet, and is moved along inside it.
        <Box sx={{ overflowX: 'auto', mx: -0.5, px: 0.5, py: 0.25 }}>
            <Box sx={{ display: 'grid', gridTemplateColumns: columns, gap: 0.75, alignItems: 'center' }}>
                {heads.map((head, i) => <Box key={`${head}${i}`} sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{head}</Box>)}
                {children}
            </Box>
        </Box>
    );
}

export function Labelled({ label, children }: { label: string; children: ReactNode }) {
    return (
        <Box>
            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mb: 0.25 }}>{label}</Box>
            {children}
        </Box>
    );
}

export function Remove({ label, show, onClick }: { label: string; show: boolean; onClick: () => void }) {
    if (!show) return <span />;
    return <Tooltip title={label}><Button aria-label={label} onClick={onClick} sx={{ px: 0.75 }}>✕</Button></Tooltip>;
}

/** Asks for a file of one kind. */
export function FromFile({ label, accept, onFile }: { label: string; accept: string; onFile: (file: File) => void }) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <input
                ref={input} type="file" accept={accept} aria-label={label} hidden
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    event.target.value = '';
                    if (file !== undefined) onFile(file);
                }}
            />
            <Button onClick={() => input.current?.click()}>{label}</Button>
        </>
    );
}
