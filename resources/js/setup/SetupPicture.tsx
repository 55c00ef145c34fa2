import { Box } from '@mui/material';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Tool } from '../contracts/oak-setup-1';
import { short } from '../shared/numbers';
import { shapesOf } from '../tools/tool';
import type { SetupDocument } from './document';
import { moved, pictureOf, type Picture, type Placed } from './picture';

interface Props {
    document: SetupDocument;
    mayChange: boolean;
    onChange: (path: string, value: unknown) => void;
}

/** The setup drawn as it is typed: stock, clamps and zeros in plan and elevation, the tools side by side. Clamps can be dragged. */
export function SetupPicture({ document, mayChange, onChange }: Props) {
    const picture = pictureOf(document);
    const tools = (document.tools ?? []).filter((tool) => shapesOf(tool).length > 0);
    if (picture.stocks.length + picture.obstacles.length === 0 && tools.length === 0)
        return <Box sx={{ color: 'text.secondary', fontSize: '0.875rem' }}>Stock, clamps and tools are drawn here as you enter them.</Box>;
    return (
        <Box sx={{ display: 'grid', gap: 1 }}>
            {picture.stocks.length + picture.obstacles.length > 0 && (
                <>
                    <View picture={picture} up={1} name="Plan" document={document} mayChange={mayChange} onChange={onChange} />
                    <View picture={picture} up={2} name="Elevation" document={document} mayChange={false} onChange={onChange} />
                </>
            )}
            {tools.length > 0 && <ToolRow tools={tools} />}
        </Box>
    );
}

function View({ picture, up, name, document, mayChange, onChange }: Props & { picture: Picture; up: 1 | 2; name: string }) {
    const svg = useRef<SVGSVGElement>(null);
    const [drag, setDrag] = useState<{ index: number; from: [number, number]; by: [number, number] } | null>(null);
    const { min, max, stocks, obstacles, zeros } = picture;
    const [wide, high] = [Math.max(max[0] - min[0], 1e-6), Math.max(max[up] - min[up], 1e-6)];
    const size = Math.max(wide, high);
    const edge = size / 9;
    const ink = size / 320;
    const text = { fontSize: size / 22, fill: 'var(--ink)', fontFamily: 'inherit' };
    const step = document.units === 'mm' ? 0.5 : 0.0625;
    const rect = ({ min: low, max: to }: Placed) => ({ x: low[0], y: -to[up], width: Math.max(to[0] - low[0], ink), height: Math.max(to[up] - low[up], ink) });
    const place = (event: PointerEvent): [number, number] => {
        const matrix = svg.current?.getScreenCTM();
        if (!matrix) return [0, 0];
        const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        return [at.x, -at.y];
    };
    const put = (index: number, by: [number, number]) => {
        const obstacle = document.obstacles?.[index];
        if (obstacle !== undefined && (by[0] !== 0 || by[1] !== 0)) onChange(`obstacles.${index}`, moved(obstacle, by, step));
    };
    const key = (index: number) => (event: KeyboardEvent) => {
        const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        const far = (event.shiftKey ? 10 : 1) * (document.units === 'mm' ? 1 : 0.0625);
        put(index, [(by[0] ?? 0) * far, (by[1] ?? 0) * far]);
    };
    const shape = (one: Placed, look: object) => {
        const at = rect(one);
        return one.isRound && up === 1
            ? <ellipse cx={at.x + at.width / 2} cy={at.y + at.height / 2} rx={at.width / 2} ry={at.height / 2} {...look} />
            : <rect
                {...at}
                {...look}
                {...(up === 1 && one.angle !== 0 && { transform: `rotate(${-one.angle} ${at.x + at.width / 2} ${at.y + at.height / 2})` })}
            />;
    };
    return (
        <Box
            component="svg" ref={svg} role="img" aria-label={`${name} of the setup`}
            sx={{ width: '100%', maxHeight: '15rem', touchAction: 'none', background: 'var(--sheet)' }}
            viewBox={`${min[0] - edge} ${-max[up] - edge} ${wide + 2 * edge} ${high + 2 * edge}`}
        >
            {stocks.map((stock, n) => <g key={n}>{shape(stock, { fill: 'var(--stock)', stroke: 'var(--stockEdge)', strokeWidth: 2 * ink })}</g>)}
            {obstacles.map((obstacle) => (
                <g
                    key={obstacle.index} role={mayChange ? 'button' : undefined} tabIndex={mayChange ? 0 : undefined}
                    aria-label={mayChange ? `Move ${obstacle.name}: drag it, or use the arrow keys` : undefined}
                    style={mayChange ? { cursor: 'move' } : undefined}
                    transform={drag?.index === obstacle.index ? `translate(${drag.by[0]} ${-drag.by[1]})` : undefined}
                    {...(mayChange && {
                        onKeyDown: key(obstacle.index),
                        onPointerDown: (event: PointerEvent<SVGGElement>) => {
                            event.currentTarget.setPointerCapture(event.pointerId);
                            setDrag({ index: obstacle.index, from: place(event), by: [0, 0] });
                        },
                        onPointerMove: (event: PointerEvent) => {
                            if (drag?.index !== obstacle.index) return;
                            const [x, y] = place(event);
                            setDrag({ ...drag, by: [x - drag.from[0], y - drag.from[1]] });
                        },
                        onPointerUp: () => {
                            if (drag !== null) put(obstacle.index, drag.by);
                            setDrag(null);
                        },
                    })}
                >
                    {shape(obstacle, { fill: 'var(--hair)', fillOpacity: 0.85, stroke: 'var(--frame)', strokeWidth: 1.4 * ink })}
                    {up === 1 && (
                        <text
                            {...text}
                            x={(obstacle.min[0] + obstacle.max[0]) / 2}
                            y={-(obstacle.min[1] + obstacle.max[1]) / 2 + size / 66}
                            textAnchor="middle"
                        >
                            {obstacle.name}
                        </text>
                    )}
                </g>
            ))}
            {zeros.map(({ name: code, at }) => (
                <g key={code} stroke="var(--oak)" strokeWidth={2 * ink} fill="none">
                    <circle cx={at[0]} cy={-at[up]} r={4 * ink} />
                    <path d={`M${at[0] - 9 * ink} ${-at[up]}h${18 * ink}M${at[0]} ${-at[up] - 9 * ink}v${18 * ink}`} />
                    <text {...text} stroke="none" x={at[0] + 10 * ink} y={-at[up] - 6 * ink}>{code}</text>
                </g>
            ))}
            {stocks[0] !== undefined && (
                <>
                    {up === 1 && (
                        <text {...text} x={(stocks[0].min[0] + stocks[0].max[0]) / 2} y={-max[1] - edge / 3} textAnchor="middle">
                            {short(stocks[0].max[0] - stocks[0].min[0], 4)}
                        </text>
                    )}
                    <text
                        {...text} textAnchor="middle"
                        transform={`translate(${max[0] + edge * 0.7} ${-(stocks[0].min[up] + stocks[0].max[up]) / 2}) rotate(-90)`}
                    >
                        {short(stocks[0].max[up] - stocks[0].min[up], 4)}
                    </text>
                </>
            )}
            <text {...text} fill="var(--soft)" x={min[0] - edge * 0.9} y={-max[up] - edge / 3}>{name}</text>
        </Box>
    );
}

/** The tools side by side, all to one scale, standing on their tips. */
function ToolRow({ tools }: { tools: Tool[] }) {
    const drawn = tools.map((tool) => {
        const shapes = shapesOf(tool);
        const points = shapes.flatMap(({ side }) => side);
        return { tool, shapes, radius: Math.max(...points.map(([r]) => r)), high: Math.max(...points.map(([, z]) => z)) };
    });
    const high = Math.max(...drawn.map((one) => one.high));
    const gap = high / 14;
    const wide = drawn.reduce((sum, { radius }) => sum + 2 * Math.max(radius, gap) + gap, 0);
    let x = 0;
    return (
        <Box
            component="svg"
            role="img"
            aria-label="The tools, to scale"
            viewBox={`0 ${-high - gap} ${wide} ${high + 4 * gap}`}
            sx={{ width: '100%', maxHeight: '12rem' }}
        >
            {drawn.map(({ tool, shapes, radius }) => {
                const middle = x + Math.max(radius, gap) + gap / 2;
                x = middle + Math.max(radius, gap) + gap / 2;
                return (
                    <g key={tool.number} transform={`translate(${middle} 0)`}>
                        {shapes.map(({ what, side }, n) => (
                            <polygon
                                key={n} fill={what === 'holder' ? 'var(--margin)' : what === 'cutting' ? 'var(--stock)' : 'var(--sheet)'} stroke="var(--frame)"
                                strokeWidth={high / 260}
                                points={[...side, ...side.map(([r, z]): [number, number] => [-r, z]).reverse()].map(([r, z]) => `${r},${-z}`).join(' ')}
                            />
                        ))}
                        <text textAnchor="middle" y={2.4 * gap} fontSize={1.8 * gap} fill="var(--ink)" fontFamily="inherit">T{tool.number}</text>
                    </g>
                );
            })}
        </Box>
    );
}
