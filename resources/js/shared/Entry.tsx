import { Box } from '@mui/material';

/** One of a list to choose from, with a note on it. */
export function Entry({ title, note, chosen, onChoose }: { title: string; note: string; chosen: boolean; onChoose: () => void }) {
    return (
        <Box
            component="button" type="button" aria-current={chosen} onClick={onChoose}
            sx={{
                all: 'unset',
                cursor: 'pointer',
                px: 1,
                py: 0.75,
                background: chosen ? 'var(--pick)' : 'transparent',
                border: `1px solid ${chosen ? 'var(--frame)' : 'transparent'}`,
                '&:focus-visible': { outline: '2px solid var(--oak)' },
            }}
        >
            <Box sx={{ fontWeight: 600, fontSize: '0.9375rem', overflowWrap: 'anywhere' }}>{title}</Box>
            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{note}</Box>
        </Box>
    );
}
