import { describe, expect, it } from 'vitest';
import type { Machine } from '../contracts/oak-setup-1';
import { axisHead, carriedIn, renamed, withAxis, withPlace, withoutAxis } from './machine';

const mill: Machine = { name: 'Elm', kind: 'mill', axes: { X: { min: -500, max: 0 }, Y: {}, Z: {} }, home: { X: 0, Y: 0, Z: 0 }, secondHome: { Z: -50 } };

describe('axes of a machine', () => {
    it('are added in their usual order, and turn in degrees', () => {
        const more = withAxis(withAxis(mill, 'B', 'mm'), 'A', 'mm');
        expect(Object.keys(more.axes)).toEqual(['X', 'Y', 'Z', 'A', 'B']);
        expect(more.axes.A?.max).toBe(36000);
        expect(more.home?.A).toBe(0);
        expect(withAxis(mill, 'W', 'in').axes.W?.min).toBe(-16);
    });

    it('go wherever they stood', () => {
        const less = withoutAxis({ ...mill, toolChange: { at: { Z: 0 } } }, 'Z');
        expect([Object.keys(less.axes), less.home, less.secondHome, less.toolChange?.at]).toEqual([['X', 'Y'], { X: 0, Y: 0 }, {}, {}]);
    });
});

it('heads X of a lathe with Ø, unless it counts radii', () => {
    const lathe: Machine = { ...mill, kind: 'lathe' };
    expect([axisHead(lathe, 'X'), axisHead(lathe, 'Z'), axisHead(mill, 'X')]).toEqual(['X Ø', 'Z', 'X']);
    expect(axisHead({ ...lathe, axes: { ...lathe.axes, X: { xIs: 'radius' } } }, 'X')).toBe('X');
});

it('puts the tools of a lathe in a turret or in posts, and keeps their side', () => {
    const lathe: Machine = { ...mill, kind: 'lathe', turret: { side: 'rear', stations: 12, radius: 120 } };
    const gang = carriedIn(lathe, 'posts');
    expect([gang.posts, gang.turret]).toEqual([{ side: 'rear' }, undefined]);
    expect(carriedIn(gang, 'turret')).toEqual({ ...mill, kind: 'lathe', turret: { side: 'rear' } });
    expect([carriedIn(mill, 'posts').posts, 'turret' in carriedIn(carriedIn(mill, 'posts'), 'turret')]).toEqual([{}, false]);
});

it('gives a place a name of its own, and keeps its order', () => {
    const two = withPlace(withPlace(undefined, ['X', 'Y', 'Z']), ['X', 'Y', 'Z']);
    expect(two).toEqual({ Vice: { X: 0, Y: 0 }, 'Vice 2': { X: 0, Y: 0 } });
    expect(Object.keys(renamed(two, 'Vice', 'Plate') ?? {})).toEqual(['Plate', 'Vice 2']);
    expect(renamed(two, 'Vice', 'Vice 2')).toBeNull();
    expect(renamed(two, 'Vice', '')).toBeNull();
});
