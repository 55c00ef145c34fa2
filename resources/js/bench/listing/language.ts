import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import type { Extension } from '@codemirror/state';
import { tags } from '@lezer/highlight';

/** The language mode of the listing: what kind of word each word is, and nothing about what it does. */
const language = StreamLanguage.define<{ lineStart: boolean }>({
    name: 'program',
    startState: () => ({ lineStart: true }),
    token(stream, state) {
        if (stream.sol()) state.lineStart = true;
        if (stream.eatSpace()) return null;
        const first = state.lineStart;
        state.lineStart = false;
        if (stream.match(/^\([^)]*\)?/) || stream.match(/^;.*/)) return 'comment';
        if (first && (stream.match(/^%.*/) || stream.match(/^[O:]\s*\d+/i))) return 'heading';
        if (first && stream.match(/^\/[1-9]?/)) return 'meta';
        if (stream.match(/^N\s*\d+/i)) return 'meta';
        if (stream.match(/^(IF|THEN|GOTO|WHILE|DO|END)(?=[\s\d[#]|$)/i)) return 'keyword';
        if (stream.match(/^(#\s*<[^>]*>|#+\s*\d*)/)) return 'number';
        if (stream.match(/^(ATAN|ASIN|ACOS|SIN|COS|TAN|SQRT|ABS|ROUND|FIX|FUP|LN|EXP)(?=\s*\[)/i)) return 'name';
        if (stream.match(/^(\*\*|[[\]=*/+-]|MOD|EQ|NE|GT|GE|LT|LE|AND|OR|XOR)/i) || stream.match(/^(\d+\.?\d*|\.\d+)/)) return 'name';
        if (stream.match(/^[A-Z](?=\s*[-+]?\s*[#[])/i)) return 'name';
        if (stream.match(/^[GM]\s*\d+(\.\d+)?/i)) return 'keyword';
        if (stream.match(/^Z\s*[-+]?[\d.]+/i)) return 'strong';
        if (stream.match(/^[FST]\s*[-+]?[\d.]+/i)) return 'number';
        if (stream.match(/^[A-Z]\s*[-+]?(\d+\.?\d*|\.\d+)/i)) return 'name';
        stream.next();
        return 'invalid';
    },
});

const highlight = HighlightStyle.define([
    { tag: tags.comment, color: 'color-mix(in srgb, var(--moss) 72%, var(--ink))', fontStyle: 'italic' },
    { tag: tags.heading, color: 'var(--soft)', fontWeight: '600' },
    { tag: tags.meta, color: 'var(--soft)' },
    { tag: tags.keyword, color: 'var(--ink)', fontWeight: '600' },
    { tag: tags.strong, color: 'var(--oak)', fontWeight: '600' },
    { tag: tags.number, color: 'var(--soft)', fontWeight: '600' },
    { tag: tags.name, color: 'var(--ink)' },
    { tag: tags.invalid, color: 'var(--clay)', textDecoration: 'underline wavy' },
]);

export const programLanguage: Extension = [language, syntaxHighlighting(highlight)];
