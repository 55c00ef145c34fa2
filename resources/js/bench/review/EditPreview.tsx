import { Box } from '@mui/material';
import type { Edit } from '../../contracts/oak-check-1';
import { preview } from './edits';

/** What would go and what would come, as lines. */
export function EditPreview({ text, edit, most = 6 }: { text: string; edit: Edit; most?: number }) {
    const lines = preview(text, edit);
    const shown = lines.slice(0, most);
    return (
        <Box
            aria-label="The change"
            role="group"
            className="mono"
            sx={{
                mt: 0.75,
                fontSize: '0.8125rem',
                border: '1px solid var(--hair)',
                '& > div': { px: 0.75, whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' },
            }}
        >
            {shown.map((line, i) => (
                <Box key={i} sx={line.kind === 'gone' ? { color: 'text.secondary', textDecoration: 'line-through' } : { background: 'var(--pick)' }}>
                    <span className="hidden-label">{line.kind === 'gone' ? 'goes: ' : 'comes: '}</span>{line.text}
                </Box>
            ))}
            {lines.length > shown.length && <Box sx={{ color: 'text.secondary' }}>and {lines.length - shown.length} lines more</Box>}
        </Box>
    );
}
