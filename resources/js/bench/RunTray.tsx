import { Box } from '@mui/material';
import { memo } from 'react';
import { FoldButton } from './layout/Folding';
import { Positions } from './Positions';
import { HeightStrip, type StripProps } from './strip/HeightStrip';
import { Player } from './strip/Player';

type Props = Omit<StripProps, 'difference'> & { onFold: () => void };

/** Where the run is: the position display and the player, and the heights against time. */
export const RunTray = memo(function RunTray({ motion, scene, states, findings, holds, run, own = null, onMoment, onFold }: Props) {
    return (
        <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: { xs: '21.5rem minmax(0, 1fr)', lg: '22rem minmax(0, 1fr)' } }}>
            <Box
                sx={{
                    display: 'grid', gridTemplateRows: 'minmax(min-content, 1fr) auto', overflow: 'auto', minHeight: 0,
                    background: 'var(--margin)', borderRight: '1px solid var(--frame)',
                }}
            >
                <Positions motion={motion} scene={scene} states={states} run={run} />
                <Box sx={{ px: 1, pb: 0.5 }}><Player motion={motion} states={states} holds={holds} run={run} onMoment={onMoment} /></Box>
            </Box>
            <HeightStrip motion={motion} scene={scene} states={states} findings={findings} holds={holds} run={run} own={own} onMoment={onMoment} />
            <Box sx={{ position: 'absolute', top: 0, right: 0 }}><FoldButton name="positions and heights" towards="▾" onFold={onFold} /></Box>
        </Box>
    );
});
