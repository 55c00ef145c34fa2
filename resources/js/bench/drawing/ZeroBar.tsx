import { router } from '@inertiajs/react';
import { Box, Button, TextField } from '@mui/material';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { typedNumber } from '../../shared/typed';
import { send } from '../../shared/server';
import type { Scene } from '../answer';
import { doesNotFitAt, machineAt, type PlanPoint } from './zero';

interface Props {
    scene: Scene;
    setup: { id: number; version: number };
    moved: PlanPoint;
    onMoved: (moved: PlanPoint) => void;
    onClose: () => void;
}

/** Where the dragged zero would stand in the machine: typed as well as dragged, and put into the setup or left. */
export function ZeroBar({ scene, setup, moved, onMoved, onClose }: Props) {
    const position = machineAt(scene, moved);
    const store = useMutation({
        mutationFn: () => send('PUT', `/setups/${setup.id}/zero`, { version: setup.version, name: scene.work, units: scene.units, position }),
        onSuccess: () => router.reload({ onSuccess: onClose }),
    });
    const outside = doesNotFitAt(scene, moved);
    return (
        <Box
            role="group"
            aria-label={`Zero of ${scene.work}`}
            sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'center',
                gap: 0.75,
                background: 'var(--sheet)',
                border: '1px solid var(--frame)',
                p: 0.75,
                fontSize: '0.875rem',
            }}
        >
            <b>{scene.work}</b>
            {(['X', 'Y'] as const).map((axis, i) => (
                <Coordinate
                    key={axis} label={`${scene.work} ${axis}, machine coordinates, ${scene.units}`} axis={axis} value={position[axis]}
                    onValue={(value) => onMoved(moved.map((old, n) => (n === i ? value - (scene.zero[axis] ?? 0) : old)) as PlanPoint)}
                />
            ))}
            <Box role="status" sx={{ fontWeight: 600, color: outside.length === 0 ? 'var(--moss)' : 'error.main', minWidth: 88 }}>
                {outside.length === 0 ? 'Within travel.' : `${outside.join(' and ')} out of travel.`}
            </Box>
            <Button variant="contained" disabled={store.isPending || (moved[0] === 0 && moved[1] === 0)} onClick={() => store.mutate()}>
                Set in the setup
            </Button>
            <Button onClick={onClose}>Cancel</Button>
            {store.error !== null && <Box role="alert" sx={{ color: 'error.main', width: '100%' }}>{store.error.message}</Box>}
        </Box>
    );
}

function Coordinate({ label, axis, value, onValue }: { label: string; axis: string; value: number; onValue: (value: number) => void }) {
    const [text, setText] = useState(String(value));
    useEffect(() => setText((before) => (typedNumber(before) === value ? before : String(value))), [value]);
    return (
        <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
            <Box component="span" sx={{ fontWeight: 700, color: 'primary.main' }}>{axis}</Box>
            <TextField
                size="small" value={text} sx={{ width: 92 }} error={typedNumber(text) === null}
                onChange={(event) => {
                    setText(event.target.value);
                    const number = typedNumber(event.target.value);
                    if (number !== null) onValue(number);
                }}
                slotProps={{ htmlInput: { 'aria-label': label, style: { textAlign: 'right', fontVariantNumeric: 'tabular-nums' } } }}
            />
        </Box>
    );
}
