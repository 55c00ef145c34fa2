import { Box } from '@mui/material';
import type { Machine } from '../contracts/oak-setup-1';
import { short } from '../shared/numbers';

type Range = [number, number];

/** The travel of the table in plan, what stands on it, and a part where its offset has it. */
export function TravelOutline({ machine, stock, unit }: { machine: Machine; stock: { x: Range; y: Range } | null; unit: string }) {
    const range = (axis: 'X' | 'Y'): Range | null => {
        const { min, max } = machine.axes[axis] ?? {};
        return min === undefined || max === undefined || min >= max ? null : [min, max];
    };
    const [x, y] = [range('X'), range('Y')];
    if (x === null || y === null) return <Box sx={{ color: 'text.secondary' }}>Drawn once X and Y have both limits.</Box>;
    const size = Math.max(x[1] - x[0], y[1] - y[0]);
    const edge = size / 12;
    const ink = size / 400;
    const outline = (at: { x: Range; y: Range }) => ({ x: at.x[0], y: -at.y[1], width: at.x[1] - at.x[0], height: at.y[1] - at.y[0] });
    const text = { fontSize: size / 28, fill: 'var(--ink)', fontFamily: 'inherit' };
    return (
        <Box
            component="svg" role="img" aria-label="Travel of the machine in plan" sx={{ width: '100%', maxHeight: '20rem' }}
            viewBox={`${x[0] - edge} ${-y[1] - edge} ${x[1] - x[0] + 2 * edge} ${y[1] - y[0] + 2 * edge}`}
        >
            <rect {...outline({ x, y })} fill="var(--paper)" stroke="var(--frame)" strokeWidth={2 * ink} strokeDasharray={`${12 * ink} ${5 * ink}`} />
            {(machine.obstacles ?? []).map((obstacle, n) => {
                const { min, max, at, diameter, angle } = obstacle;
                if (at !== undefined && diameter !== undefined)
                    return <circle key={n} cx={at[0]} cy={-at[1]} r={diameter / 2} fill="var(--hair)" stroke="var(--frame)" strokeWidth={ink} />;
                if (min === undefined || max === undefined) return null;
                const middle = [(min[0] + max[0]) / 2, -(min[1] + max[1]) / 2];
                return (
                    <rect
                        key={n} {...outline({ x: [min[0], max[0]], y: [min[1], max[1]] })} fill="var(--hair)" stroke="var(--frame)" strokeWidth={ink}
                        transform={`rotate(${-(angle ?? 0)} ${middle.join(' ')})`}
                    />
                );
            })}
            {stock !== null && <rect {...outline(stock)} fill="var(--stock)" stroke="var(--stockEdge)" strokeWidth={2 * ink} />}
            {Object.entries(machine.places ?? {}).map(([name, at]) => (at.X === undefined || at.Y === undefined ? null : (
                <g key={name}>
                    <path d={`M${at.X - 5 * ink} ${-at.Y}h${10 * ink}M${at.X} ${-at.Y - 5 * ink}v${10 * ink}`} stroke="var(--oak)" strokeWidth={2 * ink} />
                    <text {...text} x={at.X + 7 * ink} y={-at.Y - 4 * ink}>{name}</text>
                </g>
            )))}
            {([['X', x[0], -y[0], 'start'], ['X', x[1], -y[0], 'end']] as const).map(([axis, at, down, anchor]) => (
                <text key={`${axis}${anchor}`} {...text} x={at} y={down + size / 22} textAnchor={anchor}>{axis} {short(at, 3)}</text>
            ))}
            <text {...text} x={x[0]} y={-y[1] - size / 60}>Y {short(y[1], 3)}</text>
            <text {...text} x={x[1]} y={-y[1] - size / 60} textAnchor="end">{unit}</text>
            <text {...text} x={x[0]} y={-y[0] - size / 80} dx={size / 100}>Y {short(y[0], 3)}</text>
        </Box>
    );
}
