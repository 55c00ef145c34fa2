import { expect, it } from 'vitest';
import { asBroken, asKind, figuresOf, hasSide, KINDS, type TurnedSize } from './turnedSizes';

const JOURNAL: TurnedSize = { kind: 'diameter', name: 'journal', from: -30, to: 0, diameter: 36, tolerance: 0.05, ra: 1.6 };

it.each(KINDS)('makes a %s of another size with every figure it has to have', (kind) => {
    const size = asKind(JOURNAL, kind, 'mm');
    expect([size.kind, size.name, size.tolerance]).toEqual([kind, 'journal', 0.05]);
    for (const { key, required } of figuresOf(size)) expect(size[key] === undefined).toBe(required !== true);
    if (kind === 'profile') expect(size.points).toEqual([[-30, 36], [0, 36]]);
    expect(hasSide(size)).toBe(['groove', 'corner', 'thread', 'profile'].includes(kind));
});

it('takes a face for the end of what is made of it', () => {
    expect(asKind({ kind: 'face', at: -12, diameter: 20 }, 'groove', 'mm')).toEqual({ kind: 'groove', from: -22, to: -12, diameter: 20 });
    expect(asKind({ kind: 'face', at: 0, diameter: 1 }, 'thread', 'in').pitch).toBeLessThan(0.1);
});

it('breaks a corner one way or the other by the same', () => {
    const chamfered = asKind(JOURNAL, 'corner', 'mm');
    const rounded = asBroken(chamfered, 'radius');
    expect([rounded.chamfer, rounded.radius, figuresOf(rounded).at(-1)?.label]).toEqual([undefined, 1, 'R']);
    expect(asBroken(rounded, 'chamfer')).toEqual(chamfered);
});
