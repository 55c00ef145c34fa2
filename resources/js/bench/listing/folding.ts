import { codeFolding, foldGutter, foldKeymap, foldService } from '@codemirror/language';
import { StateEffect, StateField, type Extension } from '@codemirror/state';
import { keymap } from '@codemirror/view';
import { lineAsChecked } from './margin';

/** Where an operation begins, and with which tool. */
export interface Begin {
    line: number;
    tool: number;
}

export const setOutline = StateEffect.define<Begin[]>();

/** First line => last line of what folds there: all of a tool where one comes in, else the operation. */
export function foldsOf(outline: Begin[], lastLine: number): Map<number, number> {
    const folds = new Map<number, number>();
    outline.forEach((begin, i) => {
        const isNewTool = i === 0 || outline[i - 1]?.tool !== begin.tool;
        const next = isNewTool ? outline.findIndex((other, n) => n > i && other.tool !== begin.tool) : i + 1;
        const end = (next < 0 ? lastLine + 1 : (outline[next]?.line ?? lastLine + 1)) - 1;
        if (end > begin.line) folds.set(begin.line, end);
    });
    return folds;
}

const outline = StateField.define<Begin[]>({
    create: () => [],
    update: (value, transaction) => transaction.effects.reduce((now, effect) => (effect.is(setOutline) ? effect.value : now), value),
});

const folds = StateField.define<{ of: Begin[]; folds: Map<number, number> }>({
    create: () => ({ of: [], folds: new Map() }),
    update(value, transaction) {
        const of = transaction.state.field(outline);
        return of === value.of ? value : { of, folds: foldsOf(of, transaction.newDoc.lines) };
    },
});

/** Folding by tool and by operation, as the last check found them. */
export const folding: Extension = [
    outline,
    folds,
    codeFolding({ placeholderText: ' … ' }),
    foldService.of((state, start, end) => {
        const line = lineAsChecked(state, start);
        const last = state.field(folds).folds.get(line);
        if (line === 0 || last === undefined) return null;
        const to = Math.min(state.doc.lines, state.doc.lineAt(start).number + last - line);
        return { from: end, to: state.doc.line(to).to };
    }),
    foldGutter({ openText: '▾', closedText: '▸' }),
    keymap.of(foldKeymap),
];
