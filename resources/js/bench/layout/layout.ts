/** What of the bench can be folded away. */
export type Fold = 'sheet' | 'listing' | 'review' | 'tray';

/** How a person has laid out the bench on this computer; a size is null until it is dragged. Pixels. */
export interface Layout {
    listing: number | null;
    review: number | null;
    tray: number | null;
    /** Of the operation sheet, where there is one. */
    sheet: number | null;
    folded: Fold[];
    /** Whether the margin of the listing shows tool and time beside Z; null until it is chosen. */
    wideMargin: boolean | null;
}

export interface Sizes {
    listing: number;
    review: number;
    tray: number;
}

export const plainLayout: Layout = { listing: null, review: null, tray: null, sheet: null, folded: [], wideMargin: null };

/** Beside an operation sheet the review is folded away: the next step stands above, and the drawing needs the room. */
export const sheetLayout: Layout = { ...plainLayout, folded: ['review'] };

/** The width of the operation sheet beside the rest of a window. */
export function sheetWidth(layout: Layout, window: number, text = 1): number {
    if (layout.folded.includes('sheet')) return RAIL;
    return Math.round(clamp(layout.sheet ?? Math.min(408 * text, window * 0.34), 280, window * 0.5));
}

/** What the drawing keeps, whatever is dragged. */
const DRAWING = 260;
const LEAST: Sizes = { listing: 220, review: 200, tray: 120 };
/** A folded column or tray leaves a rail to open it by. */
export const RAIL = 30;

/** In a narrow window, or beside an operation sheet, a block still has so much room. */
const READABLE = 340;

/** Room for the whole margin beside 60 characters. */
const WIDE = 1400;

/** The sizes where nobody has dragged them: 60 characters of the listing where they fit. `text` is the size of the text, 1 as usual. */
function usual(width: number, height: number, text: number): Sizes {
    const [listing, review] = width >= WIDE ? [672, 316] : width >= 1240 ? [604, 274] : [Math.max(width * 0.41, READABLE), width * 0.25];
    return { listing: Math.min(listing * text, width * 0.5), review: Math.min(review * text, width * 0.3), tray: Math.min(186 * text, height * 0.34) };
}

/** The sizes on a bench of a size: as dragged, and never so that the drawing has no room. */
export function sizesOf(layout: Layout, width: number, height: number, text = 1): Sizes {
    const base = usual(width, height, text);
    const open = (fold: Fold) => !layout.folded.includes(fold);
    const review = open('review') ? clamp(layout.review ?? base.review, LEAST.review, width - DRAWING - (open('listing') ? LEAST.listing : RAIL)) : RAIL;
    const listing = open('listing') ? clamp(layout.listing ?? base.listing, LEAST.listing, width - DRAWING - review) : RAIL;
    const tray = open('tray') ? clamp(layout.tray ?? base.tray, LEAST.tray, height * 0.6) : RAIL;
    return { listing: Math.round(listing), review: Math.round(review), tray: Math.round(tray) };
}

export function isMarginWide(layout: Layout, width: number): boolean {
    return layout.wideMargin ?? width >= WIDE;
}

export function folded(layout: Layout, fold: Fold): Layout {
    return { ...layout, folded: layout.folded.includes(fold) ? layout.folded.filter((other) => other !== fold) : [...layout.folded, fold] };
}

/** What was kept of a layout; what is not one is passed over. */
export function layoutFrom(kept: string | null, usual: Layout = plainLayout): Layout {
    if (kept === null) return usual;
    try {
        const { listing, review, tray, sheet, folded: folds, wideMargin } = JSON.parse(kept) as Partial<Layout>;
        const size = (value: unknown) => (typeof value === 'number' && Number.isFinite(value) ? value : null);
        return {
            listing: size(listing), review: size(review), tray: size(tray), sheet: size(sheet),
            folded: Array.isArray(folds) ? (['sheet', 'listing', 'review', 'tray'] as const).filter((fold) => folds.includes(fold)) : [],
            wideMargin: typeof wideMargin === 'boolean' ? wideMargin : null,
        };
    } catch {
        return usual;
    }
}

function clamp(value: number, least: number, most: number): number {
    return Math.max(least, Math.min(value, most));
}
