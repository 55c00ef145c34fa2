import { Box, Button, Dialog, Tooltip } from '@mui/material';
import { Fragment, useEffect, useState } from 'react';

const KEYS: [string, [string, string][]][] = [
    [
        'Findings',
        [
            ['Alt+N', 'next finding; with Shift the previous'],
            ['Alt+P', 'make the change offered'],
            ['Ctrl+Z', 'undo; with Shift redo'],
            ['Alt+B', 'before you run'],
            ['Alt+H', 'hold points'],
            ['Alt+O', 'what if an offset is wrong'],
        ],
    ],
    [
        'Program',
        [
            ['Alt+G', 'go to a line, block, tool, operation'],
            ['Ctrl+F', 'find and replace'],
            ['Alt+C', 'change words, path, numbers, layout'],
            ['Alt+E', 'explain the line'],
            ['Alt+= Alt+−', 'the digit before the cursor up, down'],
            ['Ctrl+D', 'select the next match'],
            ['Ctrl+Alt+↑ ↓', 'add a cursor above, below'],
            ['Ctrl+Shift+[ ]', 'fold, unfold an operation'],
            ['Ctrl+S', 'save as a revision'],
            ['Alt+I', 'revisions'],
        ],
    ],
    [
        'Drawing',
        [
            ['Alt+J Alt+T', 'fit the job, the travel'],
            ['Alt+V Alt+D', 'end view, 3D'],
            ['Alt+F', 'fill the window, and back'],
            ['Alt+S', 'the cut stock: 3D, half section'],
            ['Alt+X Alt+Z', 'cut stock: section, sizes'],
            ['Alt+Y', 'cut stock: against the drawing sizes'],
            ['Alt+W', 'choose what is drawn'],
            ['Alt+U Alt+M', 'measure, move the zero'],
            ['Alt+L Alt+Q', 'print, download'],
            ['wheel, drag', 'zoom, pan; Shift+wheel pans across'],
            ['arrows + − 0', 'pan, zoom, fit; Shift: the elevation'],
            ['click', 'go to the line of a move'],
        ],
    ],
    [
        'Run and panels',
        [
            ['Alt+R', 'play or pause'],
            ['Alt+, Alt+.', 'step back, forward'],
            ['← → Page ↑ ↓', 'height strip: one move, ten moves'],
            ['Home End', 'height strip: start, end of the run'],
            ['Alt+1', 'to the listing'],
            ['Alt+2', 'to the drawing'],
            ['Alt+3', 'to the review'],
            ['Alt+4', 'to the height strip'],
            ['Alt+5 Alt+6', 'to the operation sheet, add an operation'],
            ['Alt+Enter', 'to the next answer that is missing'],
            ['Alt+A', 'units, light or dark, text size'],
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
                <Box sx={{ p: 2, width: 800, maxWidth: '100%' }}>
                    <Box component="h2" id="keys-title" sx={{ m: 0, mb: 1, fontSize: '1.125rem' }}>Keys of the bench</Box>
                    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4, rowGap: 1.5, alignItems: 'start' }}>
                        {KEYS.map(([group, keys]) => (
                            <Box
                                key={group}
                                component="dl"
                                aria-label={group}
                                sx={{ m: 0, display: 'grid', gridTemplateColumns: '124px 1fr', rowGap: 0.125, fontSize: '0.875rem' }}
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
                            Close
                        </Button>
                    </Box>
                </Box>
            </Dialog>
        </>
    );
}
