import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** The list beside a screen, from which what is shown is chosen. */
export function ChoiceRail({ label, children }: { label: string; children: ReactNode }) {
    return (
        <Box
            component="nav" aria-label={label}
            sx={{
                borderRight: '1px solid var(--frame)', p: 2, overflow: 'auto', display: 'flex', flexDirection: 'column', gap: 0.5, background: 'var(--margin)',
            }}
        >
            {children}
        </Box>
    );
}
