/** What a turn of a wheel or a stroke over a trackpad asks for. */
export type Wheel = { zoom: number } | { pan: [number, number] };

/** A notch of a mouse wheel is at least this, pixels; what a trackpad tells is finer. */
const NOTCH = 50;
const LINE = 20;

/**
 * A wheel zooms; with Shift it pans across. On a trackpad two fingers pan and a pinch, which browsers tell with Ctrl held,
 * zooms. A trackpad is known by strokes that go sideways, or by less than a notch.
 */
export function wheelOf({ deltaX, deltaY, deltaMode, ctrlKey, metaKey, shiftKey }: WheelEvent): Wheel {
    const scale = deltaMode === 0 ? 1 : LINE;
    const [across, down] = [deltaX * scale, deltaY * scale];
    if (ctrlKey || metaKey) return { zoom: Math.exp(-down * (Math.abs(down) < NOTCH ? 0.01 : 0.0015)) };
    // With Shift some browsers turn the wheel's way themselves.
    if (shiftKey) return { pan: [-(across === 0 ? down : across), 0] };
    if (across !== 0 || (deltaMode === 0 && Math.abs(down) < NOTCH)) return { pan: [-across, -down] };
    return { zoom: Math.exp(-down * 0.0015) };
}
