import { Box } from '@mui/material';
import { useCursorLine, type RunCursor } from './runCursor';
import { HoleDrawing } from './HoleDrawing';
import { useExplanation } from './useExplanation';

/** The line at the cursor in plain words: its words, what it changed, where the axes end up and why. */
export function LineExplained({ program, setupVersion, text: listing, run }: { program: number; setupVersion: number; text: string; run: RunCursor }) {
    const { data: explanation, error } = useExplanation(program, setupVersion, listing, useCursorLine(run));
    if (error !== null) return <Box role="alert" sx={{ px: 2, py: 1, color: 'error.main', fontWeight: 600 }}>{error.message}</Box>;
    if (explanation === undefined) return <Box sx={{ px: 2, py: 1, color: 'text.secondary' }}>Reading the line…</Box>;
    const { line, text, note, words, after, axes, hole } = explanation;
    return (
        <Box
            component="section"
            aria-label="The line explained"
            tabIndex={0}
            sx={{ px: 2, py: 0.75, maxHeight: '100%', overflow: 'auto', fontSize: '0.875rem', lineHeight: 1.4, display: 'flex', gap: 2 }}
        >
            <Box sx={{ flex: 1, minWidth: 0 }}>
            <Box sx={{ mb: 0.5 }}><b>Line {line}</b> <span className="mono">{text}</span></Box>
            {note !== '' && <Box>{note}</Box>}
            <Entries name="Words" entries={words} mono />
            <Entries name="Changes" entries={after} />
            <Entries name="Ends at" entries={axes} mono />
            </Box>
            {hole !== null && <HoleDrawing hole={hole} decimals={3} />}
        </Box>
    );
}

function Entries({ name, entries, mono = false }: { name: string; entries: [string, string][]; mono?: boolean }) {
    if (entries.length === 0) return null;
    return (
        <Box
            component="dl"
            aria-label={name}
            sx={{
                m: 0,
                mt: 0.5,
                display: 'grid',
                gridTemplateColumns: 'max-content minmax(0, 1fr)',
                columnGap: 1.5,
                borderTop: '1px solid var(--hair)',
                pt: 0.5,
            }}
        >
            {entries.map(([word, meaning], i) => [
                <Box component="dt" key={`${word}${i}w`} className={mono ? 'mono' : ''} sx={{ fontWeight: 600 }}>{word}</Box>,
                <Box component="dd" key={`${word}${i}m`} sx={{ m: 0 }}>{meaning}</Box>,
            ])}
        </Box>
    );
}
