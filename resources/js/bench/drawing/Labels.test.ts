import { describe, expect, it } from 'vitest';
import { light } from '../../theme/inks';
import { recordingPen } from '../testing/pen.test.fixture';
import { Labels, type Place } from './Labels';
import type { Half } from './pen';

describe('labels of a view', () => {
    const labels = () => {
        const { pen, texts } = recordingPen();
        return { texts, labels: new Labels({ pen, inks: light, pane: { left: 100, top: 50, width: 200, height: 80 } } as unknown as Half) };
    };
    const at = (x: number, y: number): Place => ({ x, y, align: 'left' });

    it('never lie over one another: the later one takes its next place, or none', () => {
        const { labels: one, texts } = labels();
        expect(one.write('fixed jaw', light.ink, [at(120, 80)])).toBe(true);
        expect(one.write('120.0', light.ink, [at(150, 84), at(150, 110)])).toBe(true);
        expect(one.write('lost', light.ink, [at(130, 82), at(160, 108)])).toBe(false);
        expect(texts).toEqual(['fixed jaw', '120.0']);
    });

    it('never leave the view', () => {
        const { labels: one, texts } = labels();
        for (const place of [at(90, 80), at(280, 80), at(150, 55), at(150, 129)]) expect(one.write('a label', light.ink, [place])).toBe(false);
        expect(one.write('a label', light.ink, [{ x: 296, y: 80, align: 'right' }])).toBe(true);
        expect(texts).toEqual(['a label']);
    });
});
