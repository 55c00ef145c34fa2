import type { Feature } from '../contracts/oak-setup-1';
import { typedNumber } from '../shared/typed';

/** A tolerance as it is typed: 0.1 either way, or 0 / 0.021 for the lower and the upper deviation. */
export function deviationText(value: Feature['tolerance']): string {
    return value === undefined ? '' : Array.isArray(value) ? value.join(' / ') : String(value);
}

/** What was typed; undefined where the field was left open, null where it is no tolerance. */
export function deviationOf(text: string): Feature['tolerance'] | null {
    const parts = text.trim().replace(/^±/, '').split('/').map(typedNumber);
    if (text.trim() === '') return undefined;
    const [one, two] = parts;
    if (one === undefined || one === null || parts.length > 2) return null;
    if (parts.length === 1) return one < 0 ? null : one;
    return two === undefined || two === null ? null : [Math.min(one, two), Math.max(one, two)];
}
