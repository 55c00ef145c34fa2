import { Box } from '@mui/material';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';

interface Props {
    /** What it makes larger or smaller. */
    label: string;
    /** Whether it is dragged across or up and down. */
    along: 'x' | 'y';
    /** Where the pane lies, seen from the divider. */
    pane: 'before' | 'after';
    size: number;
    onSize: (size: number) => void;
    /** The rows of the grid it runs along, where it is more than its own. */
    rows?: string;
    /** Back to its usual size. */
    onUsual: () => void;
}

/** One press of a key, pixels. */
const STEP = 16;

/** The line between two panes, to be dragged, or moved by the arrow keys; a double click gives the usual size back. */
export function Divider({ label, along, pane, size, rows, onSize, onUsual }: Props) {
    const sign = pane === 'before' ? 1 : -1;
    const at = (event: { clientX: number; clientY: number }) => (along === 'x' ? event.clientX : event.clientY);
    const call = useRef(onSize);
    useEffect(() => {
        call.current = onSize;
    });
    /** Until the button is let go, wherever the pointer is by then. */
    const drag = (pressed: PointerEvent) => {
        const from = at(pressed);
        const move = (event: globalThis.PointerEvent) => call.current(size + sign * (at(event) - from));
        const end = () => {
            window.removeEventListener('pointermove', move);
            window.removeEventListener('pointerup', end);
            window.removeEventListener('pointercancel', end);
        };
        window.addEventListener('pointermove', move);
        window.addEventListener('pointerup', end);
        window.addEventListener('pointercancel', end);
        // No text is selected on the way.
        pressed.preventDefault();
    };
    const key = (event: KeyboardEvent) => {
        const keys: Record<string, number> = along === 'x' ? { ArrowLeft: -1, ArrowRight: 1 } : { ArrowUp: -1, ArrowDown: 1 };
        const by = keys[event.key];
        if (event.key === 'Home') onUsual();
        else if (by !== undefined && !event.altKey && !event.ctrlKey) onSize(size + sign * by * STEP);
        else return;
        event.preventDefault();
    };
    return (
        <Box
            role="separator" tabIndex={0} aria-label={label} aria-orientation={along === 'x' ? 'vertical' : 'horizontal'}
            aria-valuenow={size} aria-valuemin={0} aria-valuemax={4000}
            onKeyDown={key} onDoubleClick={onUsual} onPointerDown={drag}
            sx={{
                gridRow: rows, position: 'relative', zIndex: 2, touchAction: 'none', background: 'var(--frame)',
                cursor: along === 'x' ? 'col-resize' : 'row-resize',
                // A hairline to the eye, wide enough for the hand.
                '&::after': { content: '""', position: 'absolute', inset: along === 'x' ? '0 -4px' : '-4px 0' },
                '&:hover, &:focus-visible': { outline: '2px solid var(--oak)' },
            }}
        />
    );
}
