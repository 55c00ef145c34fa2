import { Box, Button, Tooltip } from '@mui/material';

/** Folds a pane away. */
export function FoldButton({ name, towards, onFold }: { name: string; towards: '‹' | '›' | '▾'; onFold: () => void }) {
    return (
        <Tooltip title={`Fold the ${name} away`}>
            <Button variant="text" aria-label={`Fold the ${name}`} onClick={onFold} sx={{ px: 0.75 }}>
                {towards}
            </Button>
        </Tooltip>
    );
}

/** What is left of a pane that is folded: its name, and the way to open it. */
export function Rail({ name, level = false, onOpen }: { name: string; level?: boolean; onOpen: () => void }) {
    return (
        <Box
            component="button" type="button" aria-label={`Open the ${name}`} aria-expanded={false} onClick={onOpen}
            sx={{
                all: 'unset', boxSizing: 'border-box', cursor: 'pointer', width: '100%', height: '100%', background: 'var(--margin)', textAlign: 'center',
                fontWeight: 600, fontSize: '0.8125rem', color: 'text.secondary', lineHeight: '28px', textTransform: 'capitalize',
                writingMode: level ? undefined : 'vertical-rl',
                '&:hover': { background: 'var(--pick)', color: 'text.primary' },
                '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-2px' },
            }}
        >{name}</Box>
    );
}
