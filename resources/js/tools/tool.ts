import type { Tool } from '../contracts/oak-setup-1';

/** A tool without the number a setup gives it. */
export type Definition = Omit<Tool, 'number'>;

export interface FieldRow {
    field: string;
    words: string;
    is: 'length' | 'angle' | 'count' | 'yes' | 'choice' | 'rpm' | 'surface-speed' | 'length-range';
    /** Kinds it matters for; all where null. */
    kinds: string[] | null;
    choices: Record<string, string> | null;
}

export interface Usual {
    value: number | string | null;
    ofDiameter: number | null;
}

export type Usuals = Record<string, Record<string, Usual>>;

export interface Step {
    diameter: number;
    length?: number;
}

export const KINDS = [
    'end-mill', 'ball-mill', 'bull-mill', 'face-mill', 'chamfer-mill', 'drill', 'spot-drill', 'center-drill', 'reamer', 'tap', 'boring-bar', 'thread-mill',
    'engraver', 'probe', 'turning', 'grooving', 'parting', 'threading', 'boring', 'shaping',
] as const;

const BRITISH: Record<string, string> = { 'center-drill': 'centre drill' };

export function kindWords(kind: string): string {
    return BRITISH[kind] ?? kind.replaceAll('-', ' ');
}

/** The fields that matter for a tool's kind, and those it has a value in all the same. */
export function fieldsFor(fields: FieldRow[], tool: Partial<Definition>): FieldRow[] {
    const kind = tool.kind ?? 'end-mill';
    return fields.filter(({ field, kinds }) => kinds === null || kinds.includes(kind) || tool[field as keyof Definition] !== undefined);
}

/** What is usual, as it is offered: “usual: 118”. Empty where nothing is. */
export function usualWords(usual: Usual | undefined, diameter: number | undefined): string {
    if (usual === undefined) return '';
    if (usual.value !== null) return `usual: ${usual.value}`;
    return usual.ofDiameter === null || diameter === undefined ? '' : `usual: ${Number((usual.ofDiameter * diameter).toFixed(3))}`;
}

export function stepsOf(holder: Definition['holder']): Step[] {
    return holder === undefined ? [] : Array.isArray(holder) ? holder : [holder];
}

export interface Shape {
    what: 'cutting' | 'shank' | 'holder';
    /** The right half from the bottom up: distance from the axis, height above the tip. */
    side: [number, number][];
}

/** A tool in its holder to scale, from its fields; where one is missing it is left out, and nothing is made up but a stub of the flutes. */
export function shapesOf(tool: Partial<Definition>): Shape[] {
    const radius = (tool.diameter ?? 0) / 2;
    if (radius <= 0) return [];
    const steps = stepsOf(tool.holder);
    const flute = tool.fluteLength ?? Math.min(tool.stickout ?? 6 * radius, 6 * radius);
    const out = Math.max(tool.stickout ?? flute, flute);
    const shank = (tool.shankDiameter ?? tool.diameter ?? 0) / 2;
    const shapes: Shape[] = [{ what: 'cutting', side: [...endOf(tool, radius), [radius, Math.max(flute, radius / 4)]] }];
    if (out > flute) shapes.push({ what: 'shank', side: [[shank, flute], [shank, out]] });
    let up = out;
    for (const step of steps) {
        const length = step.length ?? step.diameter / 2;
        shapes.push({ what: 'holder', side: [[step.diameter / 2, up], [step.diameter / 2, up + length]] });
        up += length;
    }
    return shapes;
}

function endOf(tool: Partial<Definition>, radius: number): [number, number][] {
    const kind = tool.kind ?? 'end-mill';
    if (['drill', 'spot-drill', 'center-drill', 'chamfer-mill', 'engraver'].includes(kind)) {
        const half = ((tool.pointAngle ?? (kind === 'drill' ? 118 : 90)) / 2) * (Math.PI / 180);
        return [[0, 0], [radius, radius / Math.tan(half)]];
    }
    const corner = kind === 'ball-mill' ? radius : Math.min(tool.cornerRadius ?? 0, radius);
    if (corner <= 0) return [[radius, 0]];
    return Array.from({ length: 9 }, (_, i): [number, number] => {
        const angle = (i / 8) * (Math.PI / 2);
        return [radius - corner + corner * Math.sin(angle), corner - corner * Math.cos(angle)];
    });
}
