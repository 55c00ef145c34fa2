import { describe, expect, it } from 'vitest';
import { MOVED, NEW, type Difference } from '../difference';
import { light } from '../../theme/inks';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { recordingPen } from '../testing/pen.test.fixture';
import { paintChanged, paintGone } from './changed';
import { svgOf } from './paper';
import { fit, jobBounds } from './view';

const motion = testMotion();
const view = fit(jobBounds(motion, testScene()), 600, 560);
const difference = (change: number[], wasChange: number[]): Difference => ({
    change: Uint8Array.from(change),
    other: new Uint32Array(5),
    was: testMotion(),
    wasChange: Uint8Array.from(wasChange),
    gaps: new Uint32Array(),
});

describe('what has changed, in the drawing', () => {
    it('stands on a band of moss, each move from where it begins', () => {
        const { pen, strokes } = recordingPen();
        paintChanged(pen, light, view, motion, difference([0, 0, MOVED, NEW, 0], [0, 0, 0, 0, 0]));
        // A straight move and an arc of two chords, in two views.
        expect(strokes.map(({ ink, segments }) => [ink, segments])).toEqual([[light.moss, 3], [light.moss, 3]]);
        expect(strokes.every(({ alpha, dash }) => alpha < 0.5 && dash.length === 0)).toBe(true);
    });

    it('and what was there before in dots of clay', () => {
        const { pen, strokes } = recordingPen();
        paintGone(pen, light, view, difference([0, 0, 0, 0, 0], [0, MOVED, 0, 0, 3]));
        expect(strokes.map(({ ink, segments }) => [ink, segments])).toEqual([[light.clay, 2], [light.clay, 2]]);
        expect(strokes.every(({ dash }) => (dash[0] ?? 1) < 1)).toBe(true);
    });
});

describe('the sheet on paper', () => {
    it('has what the screen has, on light paper, with its title', () => {
        (globalThis as { document?: unknown }).document = { createElement: () => ({ getContext: () => null }) };
        const svg = svgOf(view, motion, testScene(), [null, null], null, difference([0, 0, MOVED, 0, 0], [0, 0, MOVED, 0, 0]), [], {
            part: '<Plate>', drawingNumber: 'CW-1', operation: 'op 10', program: 'O1 rev 2', date: '', name: '', verdict: 'Clear', reminder: 'Prove it out.',
        }, '@font-face{}');
        for (const part of [
            'PLAN</text>',
            'ELEVATION</text>',
            '>60.0</text>',
            '&#60;Plate&#62;</text>', 'Prove it out.</text>', '<style>@font-face{}</style>',
            `stroke="${light.clay}"`,
            'stroke-dasharray="6 5"',
            light.sheet,
        ])
            expect(svg).toContain(part);
        expect(svg.match(/<g /g)?.length).toBe(svg.match(/<\/g>/g)?.length);
    });
});
