import { Box } from '@mui/material';

const WORD = /([A-Z]-\d*\.?\d+)/;

/** A sentence in which no word of a program is broken behind its minus. */
export function Sentence({ text }: { text: string }) {
    return text.split(WORD).map((part, at) => at % 2 === 0 ? part : <Box key={at} component="span" sx={{ whiteSpace: 'nowrap' }}>{part}</Box>);
}
