import { RangeSetBuilder, type Extension } from '@codemirror/state';
import { Decoration, EditorView, ViewPlugin, type DecorationSet, type ViewUpdate } from '@codemirror/view';
import { plain, type CodeMeaning } from './codes';

/** What kind of word a piece of a line is; nothing about what it does. */
export type WordKind = 'comment' | 'heading' | 'mark' | 'code' | 'height' | 'rate' | 'place' | 'invalid';

export interface Word {
    from: number;
    to: number;
    kind: WordKind;
}

/** What may stand at the beginning of a line only. */
const FIRST: [RegExp, WordKind][] = [
    [/%.*/y, 'heading'],
    [/<[^<>]*>/y, 'heading'],
    [/[O:]\s*\d+/iy, 'heading'],
    [/\/[1-9]?/y, 'mark'],
];

const ANYWHERE: [RegExp, WordKind][] = [
    [/\([^)]*\)?|;.*/y, 'comment'],
    [/N\s*\d+/iy, 'mark'],
    // What the control prints or shows does nothing, as a comment does.
    [/POPEN|PCLOS|(?:[BD]PRNT|SETVN\s*\d+)\s*\[.*\]/iy, 'comment'],
    [/(?:IF|THEN|GOTO|WHILE|DO|END)(?=[\s\d[#]|$)/iy, 'code'],
    [/#\s*<[^>]*>|#+\s*\d*/y, 'rate'],
    [/(?:ATAN|POW|ASIN|ACOS|SIN|COS|TAN|SQRT|ABS|ROUND|FIX|FUP|LN|EXP)(?=\s*\[)/iy, 'place'],
    // Between the two values of ATAN[y,x] and POW[x,y].
    [/,(?=[^[\]]*\])/y, 'place'],
    [/\*\*|[[\]=*/+-]|MOD|EQ|NE|GT|GE|LT|LE|AND|OR|XOR/iy, 'place'],
    [/\d+\.?\d*|\.\d+/y, 'place'],
    [/[A-Z](?=\s*[-+]?\s*[#[])/iy, 'place'],
    [/[GM]\s*\d+(?:\.\d+)?/iy, 'code'],
    // Corners and angles of a lathe; where a control has none the check says so.
    [/,[ACR]\s*[-+]?(?:\d+\.?\d*|\.\d+)/iy, 'place'],
    [/Z\s*[-+]?[\d.]+/iy, 'height'],
    [/[FST]\s*[-+]?[\d.]+/iy, 'rate'],
    [/[A-Z]\s*[-+]?(?:\d+\.?\d*|\.\d+)/iy, 'place'],
];

function matched(rules: [RegExp, WordKind][], line: string, at: number): [number, WordKind] | null {
    for (const [rule, kind] of rules) {
        rule.lastIndex = at;
        if (rule.test(line)) return [rule.lastIndex, kind];
    }
    return null;
}

/**
 * The words of a line. A line is read by itself, so that only those on the screen need be. A code that is not among those of
 * the control, where these are given, is marked as what it cannot read.
 */
export function wordsOf(line: string, known: ReadonlySet<string> | null = null): Word[] {
    const words: Word[] = [];
    let isFirst = true;
    for (let at = 0; at < line.length;) {
        if (/\s/.test(line.charAt(at))) {
            at++;
            continue;
        }
        const [to, kind] = (isFirst ? matched(FIRST, line, at) : null) ?? matched(ANYWHERE, line, at) ?? [at + 1, 'invalid' as const];
        const isUnknown = kind === 'code' && known !== null && /^[GM]\s*\d/i.test(line.slice(at, to)) && !known.has(plain(line.slice(at, to)));
        words.push({ from: at, to, kind: isUnknown ? 'invalid' : kind });
        isFirst = false;
        at = to;
    }
    return words;
}

const marks = Object.fromEntries(
    (['comment', 'heading', 'mark', 'code', 'height', 'rate', 'place', 'invalid'] as const).map((kind) => [
        kind,
        Decoration.mark({ class: `oak-word-${kind}` }),
    ]),
) as Record<WordKind, Decoration>;

function decorated(view: EditorView, known: ReadonlySet<string> | null): DecorationSet {
    const builder = new RangeSetBuilder<Decoration>();
    for (const { from, to } of view.visibleRanges) {
        for (let at = from; at <= to;) {
            const line = view.state.doc.lineAt(at);
            for (const word of wordsOf(line.text, known)) builder.add(line.from + word.from, line.from + word.to, marks[word.kind]);
            at = line.to + 1;
        }
    }
    return builder.finish();
}

const highlight = (known: ReadonlySet<string> | null) => ViewPlugin.fromClass(
    class {
        decorations: DecorationSet;

        constructor(view: EditorView) {
            this.decorations = decorated(view, known);
        }

        update(update: ViewUpdate): void {
            if (update.docChanged || update.viewportChanged) this.decorations = decorated(update.view, known);
        }
    },
    { decorations: (plugin) => plugin.decorations },
);

const inks = EditorView.baseTheme({
    '.oak-word-comment': { color: 'color-mix(in srgb, var(--moss) 72%, var(--ink))', fontStyle: 'italic' },
    '.oak-word-heading': { color: 'var(--soft)', fontWeight: '600' },
    '.oak-word-mark': { color: 'var(--soft)' },
    '.oak-word-code': { color: 'var(--ink)', fontWeight: '600' },
    '.oak-word-height': { color: 'var(--oak)', fontWeight: '600' },
    '.oak-word-rate': { color: 'var(--soft)', fontWeight: '600' },
    '.oak-word-place': { color: 'var(--ink)' },
    '.oak-word-invalid': { color: 'var(--clay)', textDecoration: 'underline wavy' },
});

/** The language mode of the listing, with the codes of the control where they are known. */
export function programLanguage(codes: CodeMeaning[] = []): Extension {
    return [highlight(codes.length === 0 ? null : new Set(codes.map(({ code }) => code))), inks];
}
