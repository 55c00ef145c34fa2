import { StateEffect, StateField, type Extension, type Text } from '@codemirror/state';
import { Decoration, EditorView, type DecorationSet } from '@codemirror/view';
import type { Hit } from '../find/find';

export const setHits = StateEffect.define<Hit[]>();

/** Where a hit lies in a text; null where the text has no such place any more. */
export function rangeOf(doc: Text, { line, column, length, shown }: Hit): { from: number; to: number } | null {
    if (line > doc.lines) return null;
    const { from, to } = doc.line(line);
    return from + column + length > to ? null : { from: from + shown, to: from + column + length };
}

const look = Decoration.mark({ class: 'oak-hit' });

const hits = StateField.define<DecorationSet>({
    create: () => Decoration.none,
    update(value, transaction) {
        let next = value.map(transaction.changes);
        for (const effect of transaction.effects) {
            if (!effect.is(setHits)) continue;
            next = Decoration.set(effect.value.flatMap((hit) => {
                const range = rangeOf(transaction.newDoc, hit);
                return range === null || range.from === range.to ? [] : [look.range(range.from, range.to)];
            }));
        }
        return next;
    },
    provide: (field) => EditorView.decorations.from(field),
});

/** What was found is marked in the listing. */
export const hitMarks: Extension = hits;
