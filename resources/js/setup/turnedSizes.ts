import { inUnits, type SetupDocument } from './document';

export type TurnedSize = NonNullable<NonNullable<SetupDocument['target']>['turned']>[number];

export const KINDS: [TurnedSize['kind'], string][] = [
    ['diameter', 'diameter'], ['bore', 'bore'], ['face', 'face'], ['length', 'length'], ['groove', 'groove'], ['corner', 'corner'], ['thread', 'thread'],
    ['profile', 'profile'],
];

/** A figure of a size: its field, its label, whether it has to be there, and its unit where that is not a length. */
export interface Figure {
    key: 'at' | 'from' | 'to' | 'diameter' | 'toDiameter' | 'chamfer' | 'radius' | 'pitch' | 'starts' | 'depth' | 'ra';
    label: string;
    required?: boolean;
    unit?: string;
}

const REACH: Figure[] = [{ key: 'from', label: 'from Z', required: true }, { key: 'to', label: 'to Z', required: true }];
const DIAMETER: Figure = { key: 'diameter', label: 'Ø', required: true };
const RA: Figure = { key: 'ra', label: 'Ra, µm', unit: '' };

/** The figures of each kind, apart from its tolerances. */
export function figuresOf(size: TurnedSize): Figure[] {
    switch (size.kind) {
        case 'face': return [{ key: 'at', label: 'Z', required: true }, { ...DIAMETER, label: 'at Ø' }];
        case 'length': return [...REACH, { ...DIAMETER, label: 'from at Ø' }, { key: 'toDiameter', label: 'to at Ø' }];
        case 'groove': return [...REACH, { ...DIAMETER, label: 'bottom Ø' }];
        case 'corner': return [
            { key: 'at', label: 'face Z', required: true }, DIAMETER,
            size.radius === undefined ? { key: 'chamfer', label: 'leg', required: true } : { key: 'radius', label: 'R', required: true },
        ];
        case 'thread': return [
            ...REACH, { ...DIAMETER, label: 'major Ø' }, { key: 'pitch', label: 'pitch', required: true }, { key: 'starts', label: 'starts', unit: '' },
            { key: 'depth', label: 'depth' },
        ];
        case 'profile': return [];
        default: return [...REACH, DIAMETER, RA];
    }
}

/** Whether a kind is on the outside or in a bore, and says which. */
export const hasSide = ({ kind }: TurnedSize): boolean => kind === 'groove' || kind === 'corner' || kind === 'thread' || kind === 'profile';

/** The same size as another kind: what both have is kept, what it lacks is begun with. */
export function asKind(size: TurnedSize, kind: TurnedSize['kind'], unit: string): TurnedSize {
    const length = inUnits(unit);
    const at = size.at ?? size.to ?? 0;
    const diameter = size.diameter ?? length(20);
    const kept: TurnedSize = { kind, ...(size.name !== undefined && { name: size.name }), ...(size.tolerance !== undefined && { tolerance: size.tolerance }) };
    const from = size.from ?? at + length(-10);
    if (kind === 'face') return { ...kept, at, diameter };
    if (kind === 'corner') return { ...kept, at, diameter, chamfer: length(1) };
    if (kind === 'profile') return { ...kept, points: [[from, diameter], [at, diameter]] };
    return { ...kept, from, to: at, diameter, ...(kind === 'thread' && { pitch: length(1.5) }) };
}

/** A corner as a chamfer or as a rounding of the same size. */
export function asBroken({ chamfer, radius, ...size }: TurnedSize, how: 'chamfer' | 'radius'): TurnedSize {
    return { ...size, [how]: chamfer ?? radius ?? 0 };
}
