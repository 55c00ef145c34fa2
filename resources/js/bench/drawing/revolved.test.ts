import { describe, expect, it } from 'vitest';
import type { TurnedStretch } from '../answer';
import { revolved, type Revolved } from './revolved';

/** What the skin encloses, by the tetrahedra from the origin over its corners; only a skin without holes, turned outwards, has it. */
function volumeOf({ places, corners, opened }: Revolved): number {
    const at = (corner: number) => [0, 1, 2].map((n) => places[3 * (corners[corner] ?? 0) + n] ?? 0) as [number, number, number];
    let six = 0;
    // The faces it is cut open by go through the axis and the origin: they enclose nothing.
    for (let n = 0; n < opened; n += 3) {
        const [a, b, c] = [at(n), at(n + 1), at(n + 2)];
        six += a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
    }
    return six / 6;
}

const threeQuarters = (stands: TurnedStretch[]) =>
    stands.reduce((sum, [from, to, radii]) => sum + radii.reduce((area, radius, n) => area + (n % 2 === 1 ? 1 : -1) * radius ** 2, 0) * (to - from), 0)
    * Math.PI * 0.75;

const cases: Record<string, TurnedStretch[]> = {
    'a bar': [[-30, 0, [0, 10]]],
    'a bar with a shoulder': [[-30, -10, [0, 15]], [-10, 0, [0, 10]]],
    'a bore that ends in it': [[-30, -10, [0, 15]], [-10, 0, [4, 15]]],
    'a groove in its face': [[-30, -3, [0, 15]], [-3, 0, [0, 6, 9, 15]]],
    'two parts': [[-30, -20, [0, 8]], [-12, 0, [0, 5]]],
};

describe('a turned part in 3D', () => {
    it.each(Object.entries(cases))('encloses three quarters of %s', (_, stands) => {
        // Of 72 steps three quarters round each is 3.75°: a polygon of that many corners has 0.07 % less.
        expect(volumeOf(revolved(stands, 0.05)) / threeQuarters(stands)).toBeCloseTo(1, 2);
    });

    it('makes one smooth skin of a cone that is told in steps, with edges at its ends alone', () => {
        const cone: TurnedStretch[] = Array.from({ length: 50 }, (_, n) => [-10 + n * 0.02, -10 + (n + 1) * 0.02, [0, 10 - n * 0.02]]);
        const radii = new Set<number>();
        const { edges } = revolved(cone, 0.05);
        for (let n = 0; n < edges.length; n += 6) {
            const [from, to] = [0, 3].map((k) => Math.hypot(edges[n + k] ?? 0, edges[n + k + 1] ?? 0));
            if (Math.abs((from ?? 0) - (to ?? 0)) < 1e-6 && edges[n + 2] === edges[n + 5]) radii.add(Math.round((from ?? 0) * 100) / 100);
        }
        expect([...radii].sort((a, b) => a - b)).toEqual([9.02, 10]);
    });

    it('is open towards plus X and plus Y', () => {
        const { places } = revolved(cases['a bar'] ?? [], 0.05);
        for (let n = 0; n < places.length; n += 3) expect((places[n] ?? 0) > 1e-6 && (places[n + 1] ?? 0) > 1e-6).toBe(false);
    });
});
