import type { Pen } from '../drawing/pen';

/** What was stroked, with the ink, width, dashes and strength it was stroked in. */
export interface Stroke {
    ink: string;
    width: number;
    dash: number[];
    alpha: number;
    segments: number;
}

/** A pen that draws nothing and remembers what it was told. */
export function recordingPen(): { pen: Pen; strokes: Stroke[]; texts: string[] } {
    const strokes: Stroke[] = [];
    const texts: string[] = [];
    let dash: number[] = [];
    let segments = 0;
    const nothing = () => undefined;
    const pen = {
        strokeStyle: '', fillStyle: '', lineWidth: 1, font: '', textAlign: 'left', globalAlpha: 1, lineCap: 'butt',
        save: nothing, restore: nothing, rect: nothing, clip: nothing, fillRect: nothing, strokeRect: nothing, moveTo: nothing, arc: nothing,
        fill: nothing, closePath: nothing, strokeText: nothing,
        beginPath: () => { segments = 0; },
        lineTo: () => { segments++; },
        measureText: (text: string) => ({ width: text.length * 7 }),
        fillText: (text: string) => texts.push(text),
        setLineDash: (next: number[]) => { dash = next; },
        stroke: () => strokes.push({ ink: pen.strokeStyle, width: pen.lineWidth, dash, alpha: pen.globalAlpha, segments }),
    };
    return { pen: pen as unknown as Pen, strokes, texts };
}
