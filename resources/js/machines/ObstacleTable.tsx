import { Box, Button } from '@mui/material';
import type { ReactNode } from 'react';
import type { Obstacle } from '../contracts/oak-setup-1';
import { Choice } from '../shared/Choice';
import { Labelled, Remove } from '../shared/Sheet';
import { TextEntry } from '../shared/TextEntry';

interface Props {
    obstacles: Obstacle[];
    /** Dotted path of the list; findings lead to its rows. */
    path: string;
    unit: 'mm' | 'in';
    readOnly: boolean;
    errors: Record<string, string>;
    /** Coordinates they can be given in; none where there is only one. */
    frames: string[];
    /** Rotary axes one can turn with. */
    turning: string[];
    field: (label: string, path: string, value: number | undefined, options?: { unit?: string; required?: boolean }) => ReactNode;
    onChange: (path: string, value: unknown) => void;
}

const SHAPES = [['box', 'box'], ['cylinder', 'round']] as const;

/** What a tool may hit, one under the other: boxes, which may be turned, and upright cylinders. */
export function ObstacleTable({ obstacles, path, unit, readOnly, errors, frames, turning, field, onChange }: Props) {
    const size = (millimetres: number) => (unit === 'mm' ? millimetres : Math.round((millimetres / 25) * 8) / 8);
    const box = (frame: string | undefined): Obstacle => ({
        name: 'clamp', shape: 'box', min: [size(-20), size(-20), size(-10)], max: [size(20), size(20), size(10)], ...(frame && { workOffset: frame }),
    });
    const round = (obstacle: Obstacle): Obstacle => ({
        ...(obstacle.name !== undefined && { name: obstacle.name }), ...(obstacle.workOffset !== undefined && { workOffset: obstacle.workOffset }),
        shape: 'cylinder', at: [0, 0], diameter: size(20), bottom: size(-10), top: size(10),
    });
    const one = (label: string, node: ReactNode) => <Box key={label} sx={{ width: '5.5rem' }}><Labelled label={label}>{node}</Labelled></Box>;
    return (
        <Box>
            {obstacles.map((obstacle, i) => {
                const at = `${path}.${i}`;
                const called = obstacle.name ?? `Obstacle ${i + 1}`;
                const number = (
                    label: string, key: string, value: number | undefined, options: { unit?: string; required?: boolean } = { unit, required: true },
                ) =>
                    one(label, field(`${called} ${label}`, `${at}.${key}`, value, options));
                return (
                    <Box
                        key={i} id={at} tabIndex={-1}
                        sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'end', py: 0.75, '& + &': { borderTop: '1px solid var(--hair)' } }}
                    >
                        <Box sx={{ width: '9rem' }}>
                            <Labelled label="Name">
                                <TextEntry
                                    label={`Name of obstacle ${i + 1}`} value={obstacle.name ?? ''} readOnly={readOnly}
                                    onChange={(name) => onChange(`${at}.name`, name === '' ? undefined : name)}
                                />
                            </Labelled>
                        </Box>
                        {one('Shape', (
                            <Choice
                                label={`Shape of ${called}`} value={obstacle.shape} choices={SHAPES} readOnly={readOnly}
                                onChange={(shape) =>
                                    onChange(at, shape === 'cylinder' ? round(obstacle) : { ...box(obstacle.workOffset), name: obstacle.name })}
                            />
                        ))}
                        {frames.length > 0 && one('In', (
                            <Choice
                                label={`${called} is given in`} value={obstacle.workOffset ?? frames[0] ?? ''} readOnly={readOnly}
                                choices={[...new Set([obstacle.workOffset ?? frames[0] ?? '', ...frames])].map((name) => [name, name])}
                                onChange={(frame) => onChange(`${at}.workOffset`, frame)}
                            />
                        ))}
                        {obstacle.shape === 'box' ? [
                            ...(['min', 'max'] as const).flatMap((end) => ['X', 'Y', 'Z'].map((axis, n) =>
                                number(`${end === 'min' ? 'from' : 'to'} ${axis}`, `${end}.${n}`, obstacle[end]?.[n]))),
                            number('angle', 'angle', obstacle.angle, { unit: '°' }),
                        ] : [
                            number('X', 'at.0', obstacle.at?.[0]), number('Y', 'at.1', obstacle.at?.[1]), number('Ø', 'diameter', obstacle.diameter),
                            number('from Z', 'bottom', obstacle.bottom), number('to Z', 'top', obstacle.top),
                        ]}
                        {turning.length > 0 && one('Turns with', (
                            <Choice
                                label={`${called} turns with`} value={obstacle.turnsWith ?? ''}
                                choices={[['', 'nothing'], ...turning.map((axis): [string, string] => [axis, axis])]}
                                readOnly={readOnly} onChange={(axis) => onChange(`${at}.turnsWith`, axis === '' ? undefined : axis)}
                            />
                        ))}
                        <Remove label={`Remove ${called}`} show={!readOnly} onClick={() => onChange(at, undefined)} />
                        {Object.entries(errors).filter(([name]) => name.startsWith(`${at}.`)).map(([name, words]) => (
                            <Box key={name} role="alert" sx={{ color: 'error.main', flexBasis: '100%' }}>{words}</Box>
                        ))}
                    </Box>
                );
            })}
            {!readOnly && (
                <Button sx={{ mt: obstacles.length > 0 ? 1 : 0 }} onClick={() => onChange(path, [...obstacles, box(frames[0])])}>Add a clamp or jaw</Button>
            )}
        </Box>
    );
}
