import { expect, it } from 'vitest';
import { floorsOf, heightAt, layout, outline } from './section';

const stock = { length: 40, top: 0, bottom: -20 };
const slot: [number, number][] = [[0, 0], [15, 0], [15, -3], [25, -5], [25, 0], [40, 0]];

it('lays lengths and heights out to one scale, in the middle', () => {
    const at = layout(stock, 420, 136);
    expect(at.scale).toBe(4);
    expect([at.x(0), at.x(40), at.y(0), at.y(-20)]).toEqual([130, 290, 20, 100]);
});

it('closes the outline along the bottom', () => {
    expect(outline(slot, -20, layout(stock, 420, 136))).toBe(
        'M130.00 100.00L130.00 20.00L190.00 20.00L190.00 32.00L230.00 40.00L230.00 20.00L290.00 20.00L290.00 100.00Z',
    );
    expect(outline([], -20, layout(stock, 420, 136))).toBe('');
});

it('tells how high it stands between two corners', () => {
    expect([heightAt(slot, 5), heightAt(slot, 20), heightAt(slot, 41)]).toEqual([0, -4, null]);
});

it('names the heights of its floors, none over another', () => {
    const cut: [number, number][] = [[0, 0], [10, 0], [10, -5], [20, -5], [20, -5.2], [22, -5.2], [22, -8], [30, -9], [30, 0], [40, 0]];
    expect(floorsOf({ ...stock, cut }, 0.1)).toEqual([0, -20, -5, -5.2]);
    expect(floorsOf({ ...stock, cut }, 1)).toEqual([0, -20, -5]);
});
