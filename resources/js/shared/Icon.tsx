const SHAPES = {
    undo: 'M3 6h7a3.5 3.5 0 0 1 0 7H6M6 3 3 6l3 3',
    redo: 'M13 6H6a3.5 3.5 0 0 0 0 7h4M10 3l3 3-3 3',
    find: 'M7 2.5a4.5 4.5 0 1 1 0 9 4.5 4.5 0 0 1 0-9zM10.3 10.3 14 14',
    print: 'M4.5 6V2.5h7V6M4.5 11.5h-2V6h11v5.5h-2M4.5 9.5h7v4h-7z',
    file: 'M8 2v8M5 7l3 3 3-3M3 13.5h10',
    full: 'M2.5 6V2.5H6M10 2.5h3.5V6M13.5 10v3.5H10M6 13.5H2.5V10',
    back: 'M6 2.5V6H2.5M13.5 6H10V2.5M10 13.5V10h3.5M2.5 10H6v3.5',
} as const;

export type IconName = keyof typeof SHAPES;

/** A sign beside a word, or instead of one where the button has an accessible name. */
export function Icon({ name, size = 16 }: { name: IconName; size?: number }) {
    return (
        <svg viewBox="0 0 16 16" width={size} height={size} aria-hidden style={{ flex: 'none' }}>
            <path d={SHAPES[name]} fill="none" stroke="currentColor" strokeWidth="1.5" />
        </svg>
    );
}
