import { describe, expect, it } from 'vitest';
import { light } from '../../theme/inks';
import { recordingPen } from '../testing/pen.test.fixture';
import { blockHeight, paintTitleBlock, paperScale, type SheetTitle } from './titleBlock';
import type { View } from './view';

const view = (width: number, scale: number) => ({ width, height: 400, scale, layout: 'two', panes: [], isOver: false, centre: [0, 0, 0] }) as View;

describe('the title block', () => {
    const title: SheetTitle = {
        part: 'Hand hub', drawingNumber: 'CW-305', operation: 'op 10 · Alder', program: 'O1305 rev 1', date: '2026-03-02', name: 'J. Fern',
        verdict: 'Clear', reminder: 'Prove it out.',
    };

    it('says all a sheet on the bench has to say, wide or narrow', () => {
        for (const width of [400, 900]) {
            const { pen, texts } = recordingPen();
            paintTitleBlock(pen, light, view(width, 2), title, '1:2');
            for (const said of [...Object.values(title), '1:2', 'Scale', 'Drawing']) expect(texts).toContain(said);
        }
        expect(blockHeight(400, title)).toBeGreaterThan(blockHeight(900, title));
    });

    it('shortens what does not fit its cell', () => {
        const { pen, texts } = recordingPen();
        paintTitleBlock(pen, light, view(400, 2), { ...title, part: 'A part with a name that goes on and on and on' }, '1:1');
        expect(texts.some((text) => text.startsWith('A part with') && text.endsWith('…'))).toBe(true);
    });

    it('never cuts the caution short', () => {
        const reminder = 'Prove the program out: nobody here sees the machine. Follow its manual, and in doubt ask a qualified person.';
        const { pen, texts } = recordingPen();
        paintTitleBlock(pen, light, view(400, 2), { ...title, reminder }, '1:1');
        expect(texts.slice(texts.indexOf('Caution') + 1).join(' ')).toBe(reminder);
        expect(blockHeight(400, { ...title, reminder })).toBeGreaterThan(blockHeight(400, title));
    });

    it('prints at a scale drawing offices use, and no larger than the paper', () => {
        // 272 mm of paper for 544 pixels; 4 pixels a millimetre of the part would be 2:1 there.
        expect(paperScale(view(544, 4), 300, 'mm')).toEqual({ words: '2:1', pixel: 0.5 });
        expect(paperScale(view(544, 3.9), 300, 'mm').words).toBe('1:1');
        expect(paperScale(view(544, 4), 500, 'mm').words).toBe('1:1');
        // An inch of the part at 100 pixels: 1:1 is 25.4 mm for 100 pixels.
        expect(paperScale(view(1000, 100), 500, 'inch')).toEqual({ words: '1:1', pixel: 0.254 });
        expect(paperScale(view(544, 0.01), 300, 'mm').words).toBe('1:200');
    });
});
