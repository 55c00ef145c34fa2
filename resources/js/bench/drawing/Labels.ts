import type { Half } from './pen';
import { LABEL } from './pen';

interface Box {
    left: number;
    top: number;
    right: number;
    bottom: number;
}

/** Where a label may stand: its base line, and which end of it is at `x`. */
export interface Place {
    x: number;
    y: number;
    align: CanvasTextAlign;
}

/** Above and below the base line, and beside the letters, pixels. */
const RISE = 12;
const FALL = 4;
const MARGIN = 3;

/** Writes the labels of one view so that none lies over another or leaves the view. What comes first has the better place. */
export class Labels {
    private readonly taken: Box[] = [];

    constructor(private readonly half: Half) {}

    /** Writes at the first of the places that is free, with a rim that keeps it readable; false where none is. */
    write(text: string, ink: string, places: Place[]): boolean {
        const { pen, inks } = this.half;
        pen.font = LABEL;
        const width = pen.measureText(text).width;
        const place = places.find((one) => this.isFree(boxOf(one, width)));
        if (place === undefined) return false;
        this.taken.push(boxOf(place, width));
        pen.textAlign = place.align;
        pen.lineWidth = 4;
        pen.strokeStyle = inks.sheet;
        pen.setLineDash([]);
        pen.strokeText(text, place.x, place.y);
        pen.fillStyle = ink;
        pen.fillText(text, place.x, place.y);
        return true;
    }

    private isFree(box: Box): boolean {
        const { left, top, width, height } = this.half.pane;
        if (box.left < left || box.right > left + width || box.top < top || box.bottom > top + height) return false;
        return !this.taken.some((other) => box.left < other.right && other.left < box.right && box.top < other.bottom && other.top < box.bottom);
    }
}

function boxOf({ x, y, align }: Place, width: number): Box {
    const left = align === 'center' ? x - width / 2 : align === 'right' ? x - width : x;
    return { left: left - MARGIN, top: y - RISE, right: left + width + MARGIN, bottom: y + FALL };
}
