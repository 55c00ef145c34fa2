import { Box, Button } from '@mui/material';
import type { OakCheck } from '../../contracts/oak-check-1';
import { figure } from '../../shared/numbers';

type Loads = NonNullable<OakCheck['summary']['stock']>['loads'];

/** What each tool's strongest stretch asks of spindle, tool and grip. Reckoned with handbook values: a caution, never a promise. */
export function LoadCard({ loads, units, onLine }: { loads: Loads; units: 'mm' | 'inch'; onLine: (line: number) => void }) {
    if (loads.length === 0) return null;
    const [rate, power, torque, force, length, decimals] =
        units === 'mm' ? (['cm³/min', 'kW', 'N m', 'N', 'mm', 3] as const) : (['in³/min', 'hp', 'ft lbf', 'lbf', 'in', 4] as const);
    const row = (name: string, value: string) => [
        <Box component="dt" key={name} sx={{ color: 'text.secondary' }}>{name}</Box>,
        <Box component="dd" key={`${name}v`} sx={{ m: 0, textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}>{value}</Box>,
    ];
    return (
        <Box component="section" aria-label="Load" sx={{ fontSize: '0.875rem' }}>
            <Box component="h2" sx={{ m: 0, mb: 0.5, fontSize: '0.9375rem' }}>
                Load{' '}
                <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.8125rem' }}>
                    heaviest cut of each tool, approx.
                </Box>
            </Box>
            {loads.map((load) => (
                <Box key={load.tool} sx={{ borderTop: '1px solid var(--hair)', py: 0.5 }}>
                    <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
                        <b>T{load.tool}</b>
                        <Button onClick={() => onLine(load.line)}>line {load.line}</Button>
                    </Box>
                    <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: '1fr auto' }}>
                        {row('removal rate', `${figure(load.rate, units === 'mm' ? 1 : 2)} ${rate}`)}
                        {row('cutting power', `${figure(load.power, 2)} ${power}`)}
                        {row('motor power', `${figure(load.motor, 2)} ${power}`)}
                        {row('torque', `${figure(load.torque, 1)} ${torque}`)}
                        {row('cutting force', `${figure(load.force, 0)} ${force}`)}
                        {load.deflection !== null && row('deflection', `${figure(load.deflection, decimals)} ${length}`)}
                        {load.cusp !== null && row('cusp height', `${figure(load.cusp, decimals)} ${length}`)}
                    </Box>
                </Box>
            ))}
            <Box sx={{ mt: 0.5, color: 'text.secondary', fontSize: '0.8125rem' }}>Handbook values for this material and a used tool.</Box>
        </Box>
    );
}
