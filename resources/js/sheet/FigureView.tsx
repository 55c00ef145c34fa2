import { Box } from '@mui/material';
import { short } from '../shared/numbers';
import { useSize } from '../shared/useSize';
import type { Figure } from './sheet';

/** Room round the plan, and of the depths beside it, pixels. */
const EDGE = 16;
const DEPTHS = 92;

/** The small drawing of an operation: its plan, and beside it how deep it goes. What the question at hand asks for is drawn thick. */
export function FigureView({ figure, active, decimals }: { figure: Figure; active: string; decimals: number }) {
    const [box, size] = useSize();
    const [left, low, right, high] = figure.bounds;
    const width = size.width - (figure.heights === null ? 0 : DEPTHS);
    const scale = Math.max(0, Math.min((width - 2 * EDGE) / Math.max(right - left, 1e-6), (size.height - 2 * EDGE) / Math.max(high - low, 1e-6)));
    const x = (at: number) => width / 2 + (at - (left + right) / 2) * scale;
    const y = (at: number) => size.height / 2 - (at - (low + high) / 2) * scale;
    const isActive = (field: string) => active !== '' && field !== '' && (active === field || active.startsWith(`${field}.`) || field.startsWith(`${active}.`));
    return (
        <Box ref={box} sx={{ position: 'relative', height: 152, background: 'var(--sheet)', borderBottom: '1px solid var(--hair)', overflow: 'hidden' }}>
            {size.width > 0 && (
                <svg width={size.width} height={size.height} role="img"
                    aria-label={`Drawing of the operation. ${figure.labels.map(({ text }) => text).join(', ')}`}>
                    <g transform={`translate(${x(0)} ${y(0)}) scale(${scale} ${-scale})`}>
                        {figure.lines.map(({ field, role, d }, n) => (
                            <path key={n} d={d} vectorEffect="non-scaling-stroke" {...strokeOf(role, isActive(field))} />
                        ))}
                    </g>
                    {figure.labels.map(({ field, x: atX, y: atY, text }, n) => (
                        <text
                            key={n} x={x(atX)} y={y(atY) - 3} textAnchor="middle" fontSize="12" fill={isActive(field) ? 'var(--oak)' : 'var(--ink)'}
                            fontWeight={isActive(field) ? 700 : 500} stroke="var(--sheet)" strokeWidth="3" paintOrder="stroke"
                        >
                            {text}
                        </text>
                    ))}
                    {figure.heights !== null && (
                        <Depths heights={figure.heights} raw={figure.raw} left={width} height={size.height} active={active} decimals={decimals} />
                    )}
                </svg>
            )}
        </Box>
    );
}

function strokeOf(role: Figure['lines'][number]['role'], isActive: boolean) {
    const stroke = isActive ? 'var(--oak)' : role === 'raw' ? 'var(--stockEdge)' : role === 'edge' ? 'var(--ink)' : role === 'tool' ? 'var(--moss)'
        : 'var(--soft)';
    return {
        stroke, strokeWidth: isActive ? 2.6 : role === 'edge' ? 1.6 : 1, fill: role === 'raw' ? 'var(--stock)' : 'none',
        ...(role === 'helper' ? { strokeDasharray: '7 3 2 3' } : role === 'tool' ? { strokeDasharray: '3 3' } : {}),
    };
}

/** From the top down: the raw part, and a tick for each pass. */
function Depths(
    { heights, raw, left, height, active, decimals }: {
        heights: number[]; raw: [number, number] | null; left: number; height: number; active: string; decimals: number;
    },
) {
    const floor = heights.at(-1) ?? 0;
    const top = heights[0] ?? 0;
    const [lowest, highest] = [Math.min(floor, ...(raw ?? [])), Math.max(top, ...(raw ?? []))];
    const y = (z: number) => EDGE + ((highest - z) / Math.max(highest - lowest, 1e-6)) * (height - 2 * EDGE);
    const isActive = ['top', 'depth', 'step', 'first', 'through', 'even'].includes(active);
    const passes = heights.slice(1);
    return (
        <g>
            {raw !== null && (
                <rect x={left + 6} y={y(raw[1])} width={26} height={Math.max(1, y(raw[0]) - y(raw[1]))} fill="var(--stock)" stroke="var(--stockEdge)" />
            )}
            <rect x={left + 12} y={y(top)} width={14} height={Math.max(1, y(floor) - y(top))} fill="var(--sheet)"
                stroke={isActive ? 'var(--oak)' : 'var(--ink)'} />
            {passes.length <= 60 && passes.map((z) => <path key={z} d={`M${left + 12} ${y(z)}h20`} stroke={isActive ? 'var(--oak)' : 'var(--ink)'} />)}
            <text x={left + 36} y={y(top) + 4} fontSize="12" fill="var(--soft)">{short(top, decimals).replace(/\.0$/, '')}</text>
            <text x={left + 36} y={Math.max(y(floor) + 4, y(top) + 18)} fontSize="12" fontWeight="600" fill={isActive ? 'var(--oak)' : 'var(--ink)'}>
                {short(floor, decimals)}
            </text>
            {passes.length > 1 && (
                <text x={left + 36} y={Math.max(y(floor) + 4, y(top) + 18) - 15 < y(top) + 10 ? y(floor) + 32 : (y(floor) + y(top)) / 2 + 4} fontSize="11"
                    fill="var(--soft)">
                    {passes.length} passes
                </text>
            )}
        </g>
    );
}
