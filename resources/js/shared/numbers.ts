/** A number as it stands on a drawing: fixed decimals and a real minus sign. */
export function figure(value: number, decimals: number): string {
    const text = value.toFixed(decimals);
    return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
}

/** A length with no more zeros than it needs, at least one decimal. */
export function short(value: number, decimals: number): string {
    return figure(value, decimals).replace(/(\.\d+?)0+$/, '$1');
}

/** Units in full, where the short sign would read as a word. */
export const LONG_UNITS = { mm: 'millimetres', in: 'inches' } as const;

/** A length once more in the other unit, with the decimals of that. */
export function inOtherUnit(value: number, units: 'mm' | 'inch'): string {
    return units === 'mm' ? `${figure(value / 25.4, 4)} in` : `${figure(value * 25.4, 3)} mm`;
}

export function signed(value: number, decimals: number): string {
    const text = short(value, decimals);
    return value > 0 && Number(text) !== 0 ? `+${text}` : text;
}

/** Seconds as a machinist reads them: 0:45, 4:52, 1:07:30. */
export function clock(seconds: number): string {
    const whole = Math.round(seconds);
    const hours = Math.floor(whole / 3600);
    const minutes = Math.floor((whole % 3600) / 60);
    const rest = String(whole % 60).padStart(2, '0');
    return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}

/** How long something takes, in five places at most: 0.4s, 12s, 4:52. */
export function duration(seconds: number): string {
    if (seconds < 0.05) return '';
    return seconds < 9.95 ? `${seconds.toFixed(1)}s` : seconds < 59.5 ? `${Math.round(seconds)}s` : clock(seconds);
}

/** The shop's time zone, which the server tells; the computer's own until then. */
let zone: string | undefined;

export function setZone(name: string | undefined): void {
    zone = name;
}

export function when(iso: string): string {
    return new Date(iso).toLocaleString(undefined, { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit', timeZone: zone });
}

/** The day, as it stands on a drawing: 2026-03-02. */
export function today(): string {
    const now = new Date();
    return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
}
