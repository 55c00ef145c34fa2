import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { send } from '../../../shared/server';
import type { StockOf } from '../useStock';
import { PlanField } from './PlanField';

/** What one place of the stock is and measures; each size as it is cut, and as the drawing has it where it does. */
interface Feature {
    shape: string;
    name: string | null;
    rows: [string, string, string | null][];
}

interface Props {
    of: StockOf;
    row: number;
    points: [number, number][];
    onPoints: (points: [number, number][]) => void;
}

/** What the stock measures at one place or two, and what is between them. */
export function MeasuredPanel({ of, row, points, onPoints }: Props) {
    const measured = useQuery({
        queryKey: ['measured', of.program, ...of.key, row, points], enabled: points.length > 0, retry: false, gcTime: 10_000,
        queryFn: ({ signal }) =>
            send<{ features: (Feature | null)[]; between: [string, string][] }>(
                'POST',
                `/programs/${of.program}/measure`,
                { ...of.what, row: Math.max(0, row), at: points },
                signal,
            ),
    });
    const says =
        measured.error?.message ??
        (points.length === 0
            ? 'Pick a hole, a pocket, a slot or a boss, or type a point in it.'
            : measured.data === undefined
              ? 'Measuring…'
              : points.length === 1
                ? 'A second point measures between the two.'
                : '');
    return (
        <Box role="group" aria-label="Measured on the cut stock" sx={{ height: '100%', overflow: 'auto', p: 0.75, fontSize: '0.875rem' }}>
            <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center', flexWrap: 'wrap' }}>
                {(['X', 'Y'] as const).map((axis, n) => (
                    <PlanField key={axis} label={`Measure at ${axis}`} axis={axis} value={points[0]?.[n]} onChange={(value) => {
                        const place: [number, number] = [...(points[0] ?? ([0, 0] as const))];
                        place[n] = value;
                        onPoints([place]);
                    }} />
                ))}
                <Box role="status" sx={{ flex: 1 }}>{says}</Box>
                <Button disabled={points.length === 0} onClick={() => onPoints([])}>Clear</Button>
            </Box>
            <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mt: 0.5 }}>
                {measured.data?.features.map((feature, n) => feature !== null && (
                    <Box
                        component="table"
                        key={n}
                        data-testid="measured"
                        sx={{
                            borderCollapse: 'collapse',
                            fontVariantNumeric: 'tabular-nums',
                            '& td, & th': { textAlign: 'right', py: 0.125, pl: 1.5, fontWeight: 400, whiteSpace: 'nowrap' },
                            '& td:first-of-type, & th:first-of-type': { textAlign: 'left', pl: 0, color: 'text.secondary' },
                        }}
                    >
                        <caption style={{ textAlign: 'left', fontWeight: 700, color: 'var(--ink)' }}>
                            {feature.shape}
                            {feature.name !== null && ` (${feature.name})`}
                        </caption>
                        {feature.rows.some(([, , wanted]) => wanted !== null) && (
                            <thead>
                                <tr>
                                    <th scope="col" />
                                    <th scope="col">cut stock</th>
                                    <th scope="col">drawing</th>
                                </tr>
                            </thead>
                        )}
                        <tbody>
                            {feature.rows.map(([name, value, wanted]) => (
                                <tr key={name}>
                                    <td>{name}</td>
                                    <td>
                                        <b>{value}</b>
                                    </td>
                                    {wanted !== null && <td>{wanted}</td>}
                                </tr>
                            ))}
                        </tbody>
                    </Box>
                ))}
                {(measured.data?.between.length ?? 0) > 0 && (
                    <Box
                        component="dl"
                        aria-label="Between the two"
                        sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto auto', columnGap: 1.5, alignContent: 'start' }}
                    >
                        {measured.data?.between.map(([name, value]) => [
                            <Box component="dt" key={name} sx={{ color: 'text.secondary' }}>
                                {name}
                            </Box>,
                            <Box component="dd" key={`${name}v`} sx={{ m: 0, textAlign: 'right', fontWeight: 600, fontVariantNumeric: 'tabular-nums' }}>
                                {value}
                            </Box>,
                        ])}
                    </Box>
                )}
            </Box>
        </Box>
    );
}
