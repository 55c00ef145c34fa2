import { describe, expect, it } from 'vitest';
import { folded, isMarginWide, layoutFrom, plainLayout, sizesOf, sheetLayout, sheetWidth } from './layout';

describe('the layout of the bench', () => {
    it('gives the listing 60 characters at 1280 and leaves the drawing room', () => {
        // A letter of the listing is 0.6 of its 13 pixels wide; lines, Z and marks take about 130.
        const { listing, review } = sizesOf(plainLayout, 1280, 700);
        expect(listing).toBeGreaterThanOrEqual(60 * 7.8 + 130);
        expect(1280 - listing - review).toBeGreaterThanOrEqual(380);
    });

    it('keeps a block readable in what an operation sheet leaves of a narrow window', () => {
        const left = 1024 - sheetWidth(sheetLayout, 1024);
        const { listing, review } = sizesOf(sheetLayout, left, 600);
        expect(listing).toBeGreaterThanOrEqual(330);
        expect(left - listing - review).toBeGreaterThanOrEqual(260);
    });

    it('never drags a neighbour off the screen', () => {
        const greedy = { ...plainLayout, listing: 5000, review: 5000, tray: 5000 };
        for (const width of [853, 1024, 1280, 2560]) {
            const { listing, review, tray } = sizesOf(greedy, width, 600);
            expect(width - listing - review).toBeGreaterThanOrEqual(260);
            expect(listing).toBeGreaterThanOrEqual(220);
            expect(tray).toBeLessThanOrEqual(360);
        }
        expect(sizesOf({ ...plainLayout, listing: 3 }, 1280, 600).listing).toBe(220);
    });

    it('folds, opens again as it was, and gives the room to the others', () => {
        const dragged = { ...plainLayout, review: 400 };
        const shut = folded(dragged, 'review');
        expect(sizesOf(shut, 1280, 600).review).toBe(30);
        expect(sizesOf(folded(shut, 'review'), 1280, 600).review).toBe(400);
    });

    it('shows the whole margin where there is room, or where it is asked for', () => {
        expect([1280, 1600].map((width) => isMarginWide(plainLayout, width))).toEqual([false, true]);
        expect(isMarginWide({ ...plainLayout, wideMargin: true }, 1024)).toBe(true);
    });

    it('gives an operation sheet its width, a rail where it is folded, and never more than half', () => {
        expect(sheetWidth(sheetLayout, 1280)).toBe(408);
        expect(sheetWidth({ ...sheetLayout, sheet: 900 }, 1280)).toBe(640);
        expect(sheetWidth({ ...sheetLayout, sheet: 10 }, 1280)).toBe(280);
        expect(sheetWidth({ ...sheetLayout, folded: ['sheet'] }, 1280)).toBe(30);
        expect(layoutFrom(null, sheetLayout)).toBe(sheetLayout);
    });

    it('reads what was kept, and nothing that is no layout', () => {
        const kept = { listing: 500, review: null, tray: 150, sheet: 380, folded: ['tray'], wideMargin: true };
        expect(layoutFrom(JSON.stringify(kept))).toEqual(kept);
        expect(layoutFrom('{"listing":"wide","folded":["roof"],"tray":null}')).toEqual(plainLayout);
        expect([layoutFrom(null), layoutFrom('{')]).toEqual([plainLayout, plainLayout]);
    });
});
