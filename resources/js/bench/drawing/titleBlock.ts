import type { Inks } from '../../theme/inks';
import { line, type Pen } from './pen';
import type { View } from './view';

/** What stands on everything that is printed. */
export interface SheetTitle {
    part: string;
    drawingNumber: string;
    operation: string;
    program: string;
    date: string;
    name: string;
    verdict: string;
    reminder: string;
}

const ROW = 34;
const PAD = 8;
const SMALL = '600 10px "Source Sans 3", sans-serif';
const VALUE = '600 13px "Source Sans 3", sans-serif';

/** A4, landscape, less its margins, mm. */
const PAPER = { width: 272, height: 180 };

/** Millimetres of paper for one of the part, as drawing offices use them (ISO 5455). */
const SCALES = [50, 20, 10, 5, 2, 1, 1 / 2, 1 / 5, 1 / 10, 1 / 20, 1 / 50, 1 / 100, 1 / 200, 1 / 500, 1 / 1000];

/** The largest usual scale a sheet fits on paper at, and the size of a pixel of it there, mm. */
export function paperScale(view: View, height: number, units: 'mm' | 'inch'): { words: string; pixel: number } {
    const unit = units === 'mm' ? 1 : 25.4;
    const largest = Math.min(PAPER.width / view.width, PAPER.height / height);
    const scale = SCALES.find((one) => (one * unit) / view.scale <= largest) ?? 1 / 2000;
    return { words: scale >= 1 ? `${scale}:1` : `1:${Math.round(1 / scale)}`, pixel: (scale * unit) / view.scale };
}

/** The most a letter of a value is wide on average, and the height of a line of them, pixels. */
const LETTER = 6.9;
const LINE = 16;

/** How many lines a text takes at most in a cell as wide as the sheet. */
const linesOf = (text: string, width: number) => Math.max(1, Math.ceil((text.length * LETTER) / (width - 2 * PAD)));

/** How tall the block is on a sheet of a width, pixels. */
export function blockHeight(width: number, title: SheetTitle): number {
    return rowsOf(width).length * ROW + (linesOf(title.reminder, width) - 1) * LINE;
}

type Cell = keyof SheetTitle | 'scale';

/** The cells row by row, each with its share of the width; a narrow sheet has more rows. */
function rowsOf(width: number): [Cell, number][][] {
    return width >= 560
        ? [
            [['part', 0.4], ['drawingNumber', 0.25], ['operation', 0.35]],
            [['program', 0.4], ['scale', 0.12], ['date', 0.2], ['name', 0.28]],
            [['verdict', 1]],
            [['reminder', 1]],
        ]
        : [
            [['part', 0.6], ['drawingNumber', 0.4]],
            [['operation', 0.6], ['scale', 0.4]],
            [['program', 1]],
            [['date', 0.5], ['name', 0.5]],
            [['verdict', 1]],
            [['reminder', 1]],
        ];
}

const NAMES: Record<Cell, string> = {
    part: 'Part', drawingNumber: 'Drawing', operation: 'Operation', program: 'Program', scale: 'Scale', date: 'Date', name: 'By', verdict: 'Verdict',
    reminder: 'Caution',
};

/** The block below a sheet, ruled as on a drawing. */
export function paintTitleBlock(pen: Pen, inks: Inks, view: View, title: SheetTitle, scale: string): void {
    const rows = rowsOf(view.width);
    pen.fillStyle = inks.sheet;
    pen.fillRect(0, view.height, view.width, blockHeight(view.width, title));
    pen.strokeStyle = inks.frame;
    pen.lineWidth = 1;
    pen.setLineDash([]);
    pen.textAlign = 'left';
    rows.forEach((cells, n) => {
        const top = view.height + n * ROW;
        line(pen, 0, top, view.width, top);
        let left = 0;
        cells.forEach(([cell, share], i) => {
            const width = share * view.width;
            if (i > 0) line(pen, left, top, left, top + ROW);
            pen.font = SMALL;
            pen.fillStyle = inks.soft;
            pen.fillText(NAMES[cell], left + PAD, top + 12);
            pen.font = VALUE;
            pen.fillStyle = inks.ink;
            const text = cell === 'scale' ? scale : title[cell];
            // The caution is never cut short.
            const lines = cell === 'reminder' ? wrapped(pen, text, width - 2 * PAD) : [fitted(pen, text, width - 2 * PAD)];
            lines.forEach((words, at) => pen.fillText(words, left + PAD, top + 27 + at * LINE));
            left += width;
        });
    });
}

/** A text as far as it goes into a width. */
function fitted(pen: Pen, text: string, width: number): string {
    if (pen.measureText(text).width <= width) return text;
    let length = text.length;
    while (length > 1 && pen.measureText(`${text.slice(0, length)}…`).width > width) length--;
    return `${text.slice(0, length)}…`;
}

/** A text in lines of a width. */
function wrapped(pen: Pen, text: string, width: number): string[] {
    const lines = [''];
    for (const word of text.split(' ')) {
        const longer = `${lines.at(-1) ?? ''} ${word}`.trim();
        if (pen.measureText(longer).width <= width) lines[lines.length - 1] = longer;
        else lines.push(word);
    }
    return lines;
}
