import { Box, Tooltip } from '@mui/material';
import { figure, inOtherUnit } from '../shared/numbers';
import { shownAt, type Motion, type Scene, type StateRow } from './answer';
import { useMoment, type RunCursor } from './runCursor';

function twice(radius: number | undefined, isDiameter: boolean): number | undefined {
    return radius === undefined || !isDiameter ? radius : 2 * radius;
}

/** The position display: in the part large, what is left to go, and in the machine. */
export function Positions({ motion, scene, states, run }: { motion: Motion; scene: Scene; states: StateRow[]; run: RunCursor }) {
    const moment = useMoment(run);
    const row = moment?.row ?? -1;
    const share = moment?.share ?? 1;
    const many = scene.axes.length > 3;
    return (
        <Box
            component="section"
            aria-label={`Positions in ${scene.units}`}
            sx={{
                px: { xs: 1.25, lg: 2 },
                pt: 0.75,
                display: 'grid',
                gridTemplateColumns: { xs: '1.25rem minmax(0, 1fr) 4.6rem 5.4rem', lg: '1.5rem minmax(0, 1fr) 5.25rem 6rem' },
                alignItems: 'baseline',
                alignContent: 'center',
                rowGap: many ? 0 : 0.25,
            }}
        >
            <span />
            {[`part, ${scene.units}`, 'distance to go', 'machine'].map((head) => (
                <Box key={head} sx={{ textAlign: 'right', fontSize: '0.8125rem', color: 'text.secondary' }}>{head}</Box>
            ))}
            {scene.axes.map((axis) => {
                const shown = twice(shownAt(motion, states, axis, row), scene.diameters.includes(axis));
                const machine = motion.machine[axis];
                const isDiameter = scene.diameters.includes(axis);
                const [end, start] = [row, row > 0 ? row - 1 : row].map((at) => twice(machine?.[at], isDiameter));
                const toGo = end === undefined || start === undefined ? 0 : (end - start) * (1 - share);
                const show = (value: number | undefined, less: number) => (value === undefined ? '–' : figure(value - less, scene.decimals));
                const other = (value: number | undefined, less: number) =>
                    value === undefined || 'ABC'.includes(axis.charAt(0)) ? '' : inOtherUnit(value - less, scene.units);
                return [
                    <Box
                        key={`${axis}n`}
                        sx={{ fontWeight: 700, color: 'primary.main', fontSize: many ? '1rem' : '1.125rem', lineHeight: 1.1, whiteSpace: 'nowrap' }}
                    >
                        {axis}{isDiameter && 'Ø'}
                    </Box>,
                    <Tooltip key={`${axis}p`} title={other(shown, toGo)}>
                        <Box
                            data-testid={`shown-${axis}`}
                            sx={{ textAlign: 'right', fontSize: many ? '1.125rem' : '1.625rem', fontWeight: 700, lineHeight: 1.1 }}
                        >
                            {show(shown, toGo)}
                        </Box>
                    </Tooltip>,
                    <Box key={`${axis}g`} sx={{ textAlign: 'right', color: 'text.secondary' }}>{show(end === undefined ? undefined : toGo, 0)}</Box>,
                    <Tooltip key={`${axis}m`} title={other(end, toGo)}>
                        <Box sx={{ textAlign: 'right', color: 'text.secondary' }}>{show(end, toGo)}</Box>
                    </Tooltip>,
                ];
            })}
        </Box>
    );
}
