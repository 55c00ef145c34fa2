import { Box, Tooltip } from '@mui/material';
import { ARC, RAPID, placeOf, type Motion, type Scene, type StateRow } from './answer';
import { cutWords } from './cuts';
import { feedWords } from './feedWords';
import { useOfMoment, type RunCursor } from './runCursor';

const KINDS = ['Rapid', 'Straight at feed', 'Arc at feed', 'Dwell', 'Tool change', 'Stop', 'Spindle', 'Coolant'];

/** What is in force at the cursor, in words. */
export function StateAtCursor(
    { motion, scene, states, run, called }: { motion: Motion; scene: Scene; states: StateRow[]; run: RunCursor; called?: string | undefined },
) {
    const row = useOfMoment(run, (moment) => moment?.row ?? -1);
    const state = states[motion.state[row] ?? -1];
    if (state === undefined) return <Box sx={{ px: 2, py: 0.75, color: 'text.secondary' }}>Nothing has moved yet at this line.</Box>;
    const kind = motion.kind[row] ?? 0;
    const feed = kind > RAPID && kind <= ARC ? ` ${feedWords(motion, row, scene)}` : '';
    const cut = cutWords(motion, row, scene);
    return (
        <Box
            component="dl"
            aria-label="State at the cursor"
            sx={{ m: 0, px: 2, py: 0.75, display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 0, fontSize: '0.8125rem', lineHeight: 1.45 }}
        >
            <Word
                name={
                    called === undefined
                        ? `Line ${motion.line[row] ?? 0}`
                        : `${called} line ${placeOf(motion, row).line}, called from line ${motion.line[row] ?? 0}`
                }
                value={`${KINDS[kind] ?? ''}${feed}`}
            />
            {cut !== null && <Word name="Takes" value={cut} />}
            {state.words.map(([name, value, other]) => (
                <Word key={name} name={name} value={value} other={other === value ? '' : other} />
            ))}
        </Box>
    );
}

function Word({ name, value, other = '' }: { name: string; value: string; other?: string }) {
    return (
        <Box sx={{ display: 'flex', gap: 0.75 }}>
            <Box component="dt" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>{name}</Box>
            <Tooltip title={other}><Box component="dd" sx={{ m: 0, fontWeight: 600 }}>{value}</Box></Tooltip>
        </Box>
    );
}
