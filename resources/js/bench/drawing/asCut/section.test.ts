import { expect, it } from 'vitest';
import { heightAt, layout, outline } from './section';

const stock = { length: 40, top: 0, bottom: -20 };
const slot: [number, number][] = [[0, 0], [15, 0], [15, -3], [25, -5], [25, 0], [40, 0]];

it('lays lengths and heights out to one scale, in the middle', () => {
    const at = layout(stock, 420, 136);
    expect(at.scale).toBe(5);
    expect([at.x(0), at.x(40), at.y(0), at.y(-20)]).toEqual([110, 310, 10, 110]);
});

it('closes the outline along the bottom', () => {
    expect(outline(slot, -20, layout(stock, 420, 136))).toBe(
        'M110.00 110.00L110.00 10.00L185.00 10.00L185.00 25.00L235.00 35.00L235.00 10.00L310.00 10.00L310.00 110.00Z',
    );
    expect(outline([], -20, layout(stock, 420, 136))).toBe('');
});

it('tells how high it stands between two corners', () => {
    expect([heightAt(slot, 5), heightAt(slot, 20), heightAt(slot, 41)]).toEqual([0, -4, null]);
});
