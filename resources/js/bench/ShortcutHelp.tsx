import { Box, Button, Dialog, Tooltip } from '@mui/material';
import { Fragment, useEffect, useState } from 'react';

const KEYS: [string, [string, string][]][] = [
    [
        'Findings',
        [
            ['Alt+N', 'next finding'],
            ['Alt+P', 'make the change it offers'],
            ['Ctrl+Z', 'take back'],
            ['Alt+B', 'before you run'],
            ['Alt+H', 'hold points'],
            ['Alt+O', 'wrong offset?'],
        ],
    ],
    [
        'Text',
        [
            ['Alt+G', 'go to a line, block, tool, operation'],
            ['Ctrl+F', 'find and replace'],
            ['Alt+C', 'change words, path, numbers, layout'],
            ['Alt+E', 'explain the line'],
            ['Alt+= Alt+−', 'the digit before the cursor one up, down'],
            ['Ctrl+D', 'a cursor at the next like it'],
            ['Ctrl+Alt+↑ ↓', 'a cursor above, below'],
            ['Ctrl+Shift+[ ]', 'fold, unfold'],
            ['Ctrl+S', 'save as a revision'],
            ['Alt+I', 'revisions'],
        ],
    ],
    [
        'Drawing',
        [
            ['Alt+J', 'fit the job'],
            ['Alt+T', 'fit the travel'],
            ['Alt+V', 'end view'],
            ['Alt+D', 'turned in depth'],
            ['Alt+S', 'there: the stock as it is cut'],
            ['Alt+X Alt+Z', 'of it: a section, sizes'],
            ['Alt+Y', 'beside what is wanted'],
            ['Alt+W', 'what is drawn'],
            ['Alt+U', 'measure'],
            ['Alt+M', 'move the zero'],
            ['Alt+L Alt+Q', 'print, drawing file'],
            ['wheel, drag', 'zoom, pan'],
            ['arrows + −', 'the same from the keyboard'],
            ['click', 'to the line of a move'],
        ],
    ],
    [
        'Run',
        [
            ['Alt+R', 'play or rest'],
            ['Alt+, Alt+.', 'a step back, on'],
            ['← →', 'on the height strip: a move back, on'],
            ['Page ↑ ↓', 'ten moves'],
            ['Home End', 'begin and end of the run'],
            ['Alt+A', 'units, look, size of the text'],
        ],
    ],
];

/** Every key of the bench on one sheet. */
export function ShortcutHelp() {
    const [open, setOpen] = useState(false);
    useEffect(() => {
        const key = (event: KeyboardEvent) => {
            const typing = event.target instanceof Element && event.target.closest('.cm-editor, input, textarea') !== null;
            if ((event.key === '?' && !typing) || (event.altKey && event.code === 'KeyK')) {
                event.preventDefault();
                setOpen(true);
            }
        };
        window.addEventListener('keydown', key);
        return () => window.removeEventListener('keydown', key);
    }, []);
    return (
        <>
            <Tooltip title="Every key on one sheet (? or Alt+K)">
                <Button onClick={() => setOpen(true)} aria-label="Keys" sx={{ minWidth: 0, px: 1.25 }}>
                    ?
                </Button>
            </Tooltip>
            <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="keys-title" maxWidth={false}>
                <Box sx={{ p: 2.5, width: 760 }}>
                    <Box component="h2" id="keys-title" sx={{ m: 0, mb: 1, fontSize: '1.125rem' }}>Keys of the bench</Box>
                    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4, rowGap: 1.5, alignItems: 'start' }}>
                        {KEYS.map(([group, keys]) => (
                            <Box
                                key={group}
                                component="dl"
                                aria-label={group}
                                sx={{ m: 0, display: 'grid', gridTemplateColumns: '124px 1fr', rowGap: 0.25, fontSize: '0.875rem' }}
                            >
                                <Box component="dt" sx={{ gridColumn: '1 / -1', fontWeight: 700, borderBottom: '1px solid var(--hair)' }}>{group}</Box>
                                {keys.map(([pressed, what]) => (
                                    <Fragment key={pressed}>
                                        <Box component="dt" className="mono" sx={{ fontSize: '0.8125rem' }}>{pressed}</Box>
                                        <Box component="dd" sx={{ m: 0 }}>{what}</Box>
                                    </Fragment>
                                ))}
                            </Box>
                        ))}
                    </Box>
                    <Box sx={{ display: 'flex', justifyContent: 'flex-end', mt: 1.5 }}>
                        <Button autoFocus onClick={() => setOpen(false)}>
                            Back to work
                        </Button>
                    </Box>
                </Box>
            </Dialog>
        </>
    );
}
