import { Box } from '@mui/material';
import { Mark } from '../shared/Mark';
import type { FieldNote } from './fields';

/** What the checks say of something, where it stands. */
export function FieldNotes({ notes }: { notes: FieldNote[] }) {
    if (notes.length === 0) return null;
    return (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0, fontSize: '0.8125rem' }}>
            {notes.map(({ severity, text, program }) => (
                <Box component="li" key={`${program}${text}`} sx={{ display: 'flex', gap: 0.75, alignItems: 'baseline' }}>
                    <Mark kind={severity} size={12} /> <span>{text} <Box component="span" sx={{ color: 'text.secondary' }}>({program})</Box></span>
                </Box>
            ))}
        </Box>
    );
}
