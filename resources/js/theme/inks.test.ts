import { describe, expect, it } from 'vitest';
import { cutInk, dark, light, type Inks } from './inks';

/** Relative luminance and contrast as WCAG 2.1 defines them. */
function luminance(hex: string): number {
    const [r, g, b] = [1, 3, 5].map((at) => {
        const value = parseInt(hex.slice(at, at + 2), 16) / 255;
        return value <= 0.03928 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
}

function contrast(one: string, other: string): number {
    const [a, b] = [luminance(one), luminance(other)];
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

describe.each([
    ['light', light],
    ['dark', dark],
])('the %s variant', (_name, inks: Inks) => {
    const grounds = ['paper', 'sheet', 'margin'] as const;

    it.each(['ink', 'soft', 'oak', 'moss', 'clay', 'ochre', 'slate'] as const)('can be read in %s on every ground', (text) => {
        for (const ground of grounds) {
            expect(contrast(inks[text], inks[ground])).toBeGreaterThanOrEqual(4.5);
        }
    });

    it('can be read on the picked line', () => {
        expect(contrast(inks.ink, inks.pick)).toBeGreaterThanOrEqual(4.5);
    });

    it('runs from straw to dark oak with depth, and no further', () => {
        expect(cutInk(inks, 0)).toBe(`rgb(${inks.straw.join(' ')})`);
        expect(cutInk(inks, 1)).toBe(`rgb(${inks.darkOak.join(' ')})`);
        expect(cutInk(inks, 7)).toBe(cutInk(inks, 1));
        expect(cutInk(inks, -1)).toBe(cutInk(inks, 0));
    });
});
