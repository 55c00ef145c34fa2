import { EditorSelection, type ChangeSpec } from '@codemirror/state';
import type { Command } from '@codemirror/view';
import { wordsOf } from './words';

/** The number a place in a line belongs to, with its letter; null in comments and elsewhere. */
export function numberAt(line: string, at: number): { from: number; to: number } | null {
    const word = wordsOf(line).find(({ from, to }) => from <= at && at <= to);
    return word === undefined ? null : { from: word.numberFrom, to: word.to };
}

/**
 * A number with the digit before a place in it one more or one less, the way it is written kept: its point, its decimals, a
 * zero left out before the point. Before the first digit it is the whole number that changes.
 */
export function nudged(number: string, place: number, by: 1 | -1): string {
    const point = number.indexOf('.');
    const decimals = point < 0 ? 0 : number.length - point - 1;
    const digitsIn = (text: string) => text.replace(/\D/g, '').length;
    const behind = digitsIn(number.slice(0, place)) > 0 ? digitsIn(number.slice(place)) : decimals;
    const digits = BigInt(number.replace(/[+.-]/g, '') || '0') * (number.startsWith('-') ? -1n : 1n) + BigInt(by) * 10n ** BigInt(behind);
    const sign = digits < 0n ? '-' : number.startsWith('+') ? '+' : '';
    const text = (digits < 0n ? -digits : digits).toString().padStart(decimals + 1, '0');
    if (point < 0) return sign + text;
    const whole = text.slice(0, text.length - decimals);
    return `${sign}${/^[-+]?\./.test(number) && whole === '0' ? '' : whole}.${decimals === 0 ? '' : text.slice(-decimals)}`;
}

/** Nudges the number at every cursor by one of the digit before it; the drawing follows as after any edit. */
export const nudge = (by: 1 | -1): Command => (view) => {
    if (view.state.readOnly) return false;
    const changes: ChangeSpec[] = [];
    const heads: number[] = [];
    let shift = 0;
    for (const { head } of view.state.selection.ranges) {
        const line = view.state.doc.lineAt(head);
        const found = numberAt(line.text, head - line.from);
        if (found === null) {
            heads.push(head + shift);
            continue;
        }
        const old = line.text.slice(found.from, found.to);
        const place = Math.max(0, head - line.from - found.from);
        const text = nudged(old, place, by);
        changes.push({ from: line.from + found.from, to: line.from + found.to, insert: text });
        // The cursor stays behind the same digit, counted from the end.
        heads.push(line.from + found.from + shift + Math.max(0, text.length - Math.max(0, old.length - place)));
        shift += text.length - old.length;
    }
    if (changes.length === 0) return false;
    view.dispatch({
        changes,
        selection: EditorSelection.create(
            heads.map((head) => EditorSelection.cursor(head)),
            view.state.selection.mainIndex,
        ),
        userEvent: 'input.nudge',
    });
    return true;
};
