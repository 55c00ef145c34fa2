import { acceptCompletion, autocompletion, completionKeymap, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete';
import { Prec, type Extension } from '@codemirror/state';
import { hoverTooltip, keymap } from '@codemirror/view';
import { withoutComments } from './words';

/** A code of the control, and what it does there. */
export interface CodeMeaning {
    code: string;
    words: string;
}

/** A code as the profile writes it: G01 and g1 are G1. */
export function plain(code: string): string {
    const [, letter = '', number = ''] = /^([GM])\s*0*(\d+(?:\.\d)?)$/i.exec(code) ?? [];
    return letter.toUpperCase() + number.replace(/\.0$/, '');
}

/** The code a place in a line belongs to, with where it begins and ends; null in comments and elsewhere. */
export function codeAt(line: string, at: number): { code: string; from: number; to: number } | null {
    for (const match of withoutComments(line).matchAll(/[GM]\s*\d+(?:\.\d)?/gi)) {
        if (match.index <= at && at <= match.index + match[0].length) return { code: plain(match[0]), from: match.index, to: match.index + match[0].length };
    }
    return null;
}

/** What may stand for a code that is begun at the end of a piece of a line; null where none is begun. */
export function begun(piece: string): string | null {
    if (/\([^)]*$|;/.test(piece)) return null;
    return /(?:^|[^A-Z#<[])([GM]\d*(?:\.\d?)?)$/i.exec(piece)?.[1] ?? null;
}

export function codeHelp(codes: CodeMeaning[]): Extension {
    const meanings = new Map(codes.map(({ code, words }) => [code, words]));
    const options = codes.map(({ code, words }) => ({ label: code, detail: words, type: 'keyword' }));
    const complete = (context: CompletionContext): CompletionResult | null => {
        const line = context.state.doc.lineAt(context.pos);
        const piece = begun(line.text.slice(0, context.pos - line.from));
        return piece === null ? null : { from: context.pos - piece.length, options, validFor: /^[GM]\d*(\.\d?)?$/i };
    };
    return [
        autocompletion({ override: [complete], icons: false, activateOnTypingDelay: 150, defaultKeymap: false }),
        // Enter ends the block that was typed, whatever is offered; Tab takes what is offered.
        Prec.highest(keymap.of([...completionKeymap.filter(({ key }) => key !== 'Enter'), { key: 'Tab', run: acceptCompletion }])),
        hoverTooltip((view, place) => {
            const line = view.state.doc.lineAt(place);
            const found = codeAt(line.text, place - line.from);
            const words = found === null ? undefined : (meanings.get(found.code) ?? 'not a code of this control');
            if (found === null || words === undefined) return null;
            return {
                pos: line.from + found.from, end: line.from + found.to, above: true,
                create: () => {
                    const dom = document.createElement('div');
                    dom.className = 'oak-meaning';
                    dom.textContent = `${found.code}: ${words}`;
                    return { dom };
                },
            };
        }),
    ];
}
