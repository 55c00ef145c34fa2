import { Box, Button, Tooltip } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState, type PointerEvent } from 'react';
import { figure, short } from '../../../shared/numbers';
import { send } from '../../../shared/server';
import type { Scene, Vector } from '../../answer';
import { useSize } from '../../../shared/useSize';
import type { StockOf } from '../useStock';
import { PlanField } from './PlanField';
import { floorsOf, heightAt, layout, outline, type Section } from './section';

interface Props {
    of: StockOf;
    row: number;
    scene: Scene;
    points: [number, number][];
    /** Where the tool is. */
    tip: Vector | null;
    onPoints: (points: [number, number][]) => void;
}

/** The stock cut along a line: two clicks on it, typed, or through the tool. */
export function SectionPanel({ of, row, scene, points, tip, onPoints }: Props) {
    const [box, size] = useSize();
    const [under, setUnder] = useState<[number, number] | null>(null);
    const [from, to] = points;
    const isLine = from !== undefined && to !== undefined && Math.hypot(to[0] - from[0], to[1] - from[1]) > 1e-6;
    const section = useQuery({
        queryKey: ['section', of.program, ...of.key, row, from, to], enabled: isLine, retry: false, gcTime: 10_000,
        queryFn: ({ signal }) => send<Section>('POST', `/programs/${of.program}/section`, { ...of.what, row: Math.max(0, row), from, to }, signal),
    });
    const { data } = section;
    const at = data === undefined || size.width < 20 ? null : layout(data, size.width, size.height);
    const through = (axis: 0 | 1) => {
        if (scene.stock === null) return;
        const middle = tip ?? [(scene.stock.min[0] + scene.stock.max[0]) / 2, (scene.stock.min[1] + scene.stock.max[1]) / 2, 0];
        onPoints((['min', 'max'] as const).map((end) => {
            const point: [number, number] = [middle[0], middle[1]];
            point[axis] = scene.stock?.[end][axis] ?? 0;
            return point;
        }));
    };
    const point = (event: PointerEvent) => {
        if (data === undefined || at === null) return;
        const along = (event.clientX - event.currentTarget.getBoundingClientRect().left - at.x(0)) / at.scale;
        const z = heightAt(data.cut, along);
        setUnder(z === null ? null : [along, z]);
    };
    return (
        <Box role="group" aria-label="Section" sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)' }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center', p: 0.5 }}>
                <Box component="span" sx={{ fontSize: '0.875rem' }}>From</Box>
                {(['X', 'Y'] as const).map((axis, n) => (
                    <PlanField
                        key={`f${axis}`}
                        label={`Section from ${axis}`}
                        axis={axis}
                        value={from?.[n]}
                        onChange={(value) => onPoints([put(from, n, value), to ?? [0, 0]])}
                    />
                ))}
                <Box component="span" sx={{ fontSize: '0.875rem' }}>to</Box>
                {(['X', 'Y'] as const).map((axis, n) => (
                    <PlanField
                        key={`t${axis}`}
                        label={`Section to ${axis}`}
                        axis={axis}
                        value={to?.[n]}
                        onChange={(value) => onPoints([from ?? [0, 0], put(to, n, value)])}
                    />
                ))}
                <Tooltip placement="top" title="Through the tool, from left to right"><Button onClick={() => through(0)}>Along X</Button></Tooltip>
                <Tooltip placement="top" title="Through the tool, from front to back"><Button onClick={() => through(1)}>Along Y</Button></Tooltip>
                <Box
                    role="status"
                    data-testid="section-at"
                    sx={{ fontSize: '0.875rem', flex: 1, minWidth: 150, textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}
                >
                    {section.error !== null
                        ? section.error.message
                        : !isLine
                          ? 'Pick two points on the stock to cut between them.'
                          : under === null
                            ? ''
                            : `${figure(under[0], scene.decimals - 1)} along, Z ${figure(under[1], scene.decimals)}`}
                </Box>
            </Box>
            <Box ref={box} sx={{ minHeight: 0, position: 'relative' }}>
                {data !== undefined && at !== null && (
                    <svg
                        width={size.width}
                        height={size.height}
                        style={{ position: 'absolute', inset: 0 }}
                        role="img"
                        aria-label="Section through the stock"
                        data-corners={data.cut.length}
                        onPointerMove={point}
                        onPointerLeave={() => setUnder(null)}
                    >
                        <defs>
                            <pattern id="cut-face" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-60)">
                                <line x1="0" y1="0" x2="0" y2="6" stroke="var(--stockEdge)" strokeWidth="1" />
                            </pattern>
                        </defs>
                        <path d={outline(data.before, data.bottom, at)} fill="none" stroke="var(--soft)" strokeDasharray="3 3" />
                        <path d={outline(data.cut, data.bottom, at)} fill="url(#cut-face)" stroke="var(--ink)" strokeWidth="1.4" />
                        {data.wanted !== null && (
                            <path d={outline(data.wanted, data.bottom, at)} fill="none" stroke="var(--moss)" strokeWidth="1.4" strokeDasharray="8 3 2 3" />
                        )}
                        {under !== null && <line x1={at.x(under[0])} x2={at.x(under[0])} y1={at.y(data.top)} y2={at.y(data.bottom)} stroke="var(--oak)" />}
                        {floorsOf(data, 14 / at.scale).map((z) => (
                            <g key={z}>
                                <line x1={at.x(0) - 6} x2={at.x(0)} y1={at.y(z)} y2={at.y(z)} stroke="var(--soft)" />
                                <text x={at.x(0) - 9} y={at.y(z) + 4} fontSize="12" textAnchor="end" fill="var(--ink)">{short(z, scene.decimals)}</text>
                            </g>
                        ))}
                        {(['start', 'end'] as const).map((end) => (
                            <text
                                key={end} x={at.x(end === 'start' ? 0 : data.length)} y={16} fontSize="14" fontWeight="700" fill="var(--ink)"
                                textAnchor="middle"
                            >A</text>
                        ))}
                        <text x={8} y={size.height - 6} fontSize="12" fill="var(--soft)">
                            Section A–A,{' '}
                            {figure(data.length, scene.decimals)} {scene.units === 'mm' ? 'mm' : 'in'} long
                            {data.wanted === null ? '' : '; dash-dot: drawing sizes'}
                        </text>
                    </svg>
                )}
            </Box>
        </Box>
    );
}

function put(point: [number, number] | undefined, n: number, value: number): [number, number] {
    const next: [number, number] = [...(point ?? ([0, 0] as const))];
    next[n] = value;
    return next;
}
