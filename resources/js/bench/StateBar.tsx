import { Box, Button, Tooltip } from '@mui/material';
import { useState } from 'react';
import { useAltKeys } from '../shared/useAltKeys';
import { LineExplained } from './LineExplained';
import type { RunCursor } from './runCursor';
import { StateAtCursor } from './StateAtCursor';
import type { Checked } from './useCheck';

interface Props {
    program: number;
    setupVersion: number;
    text: string;
    checked: Checked | null;
    run: RunCursor;
    /** Which text the cursor is in: 0 the program itself, 1 and on those it calls. */
    shown: number;
}

/** What is active at the cursor, or its line explained; as tall for one line as for the next, so that nothing jumps. */
export function StateBar({ program, setupVersion, text, checked, run, shown }: Props) {
    const [explaining, setExplaining] = useState(false);
    useAltKeys({ KeyE: () => setExplaining(!explaining) });
    const explained = explaining && shown === 0;
    return (
        <Box
            sx={{
                height: explained ? '13.5rem' : { xs: '5.75rem', lg: '4.5rem' }, borderTop: '1px solid var(--frame)',
                display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', alignItems: 'start', '& > *': { maxHeight: '100%', overflow: 'auto' },
            }}
        >
            {explained
                ? <LineExplained program={program} setupVersion={setupVersion} text={text} run={run} />
                : checked === null
                  ? <Box />
                  : (
                      <StateAtCursor
                          motion={checked.motion} scene={checked.answer.scene} states={checked.answer.states} run={run}
                          called={checked.answer.texts[shown - 1]?.name}
                      />
                  )}
            <Tooltip title={explaining ? 'What is active at the cursor (Alt+E)' : 'What this line does, word by word (Alt+E)'}>
                <Button onClick={() => setExplaining(!explaining)} aria-pressed={explaining} sx={{ m: 0.5 }}>{explaining ? 'Active' : 'Explain'}</Button>
            </Tooltip>
        </Box>
    );
}
