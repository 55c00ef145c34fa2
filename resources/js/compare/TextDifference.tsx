import { MergeView } from '@codemirror/merge';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import { defaultKeymap } from '@codemirror/commands';
import { Box } from '@mui/material';
import { useEffect, useRef } from 'react';
import { programLanguage } from '../bench/listing/language';

const looks = EditorView.theme({
    '&': { fontSize: '0.8125rem', background: 'var(--sheet)', color: 'var(--ink)' },
    '.cm-scroller': { fontFamily: '"Source Code Pro", monospace', lineHeight: '1.2rem' },
    '.cm-gutters': { background: 'var(--margin)', color: 'var(--soft)', border: 'none', borderRight: '1px solid var(--hair)' },
    '&.cm-merge-a .cm-changedLine': { background: 'color-mix(in srgb, var(--clay) 10%, transparent)' },
    '&.cm-merge-b .cm-changedLine': { background: 'color-mix(in srgb, var(--moss) 14%, transparent)' },
    '&.cm-merge-a .cm-changedText': { background: 'none', textDecoration: 'line-through var(--clay)' },
    '&.cm-merge-b .cm-changedText': { background: 'none', textDecoration: 'underline 2px var(--moss)' },
    '.cm-collapsedLines': { background: 'var(--margin)', color: 'var(--soft)', border: '1px solid var(--hair)', '&:before, &:after': { content: '""' } },
});

interface Props {
    was: string;
    is: string;
    names: [string, string];
    /** Told of the line of the second text the cursor goes to. */
    onLine?: (line: number) => void;
}

/** Two texts side by side, with what differs marked and what is the same folded away. */
export function TextDifference({ was, is, names, onLine }: Props) {
    const host = useRef<HTMLDivElement>(null);
    const call = useRef(onLine);
    const [nameOfOne, nameOfOther] = names;
    useEffect(() => {
        call.current = onLine;
    });
    useEffect(() => {
        if (host.current === null) return;
        const common = (name: string) => [
            lineNumbers(),
            programLanguage(),
            looks,
            EditorState.readOnly.of(true),
            keymap.of(defaultKeymap),
            EditorState.phrases.of({ '$ unchanged lines': '$ lines the same' }),
            EditorView.contentAttributes.of({ 'aria-label': name, tabindex: '0' }),
        ];
        const view = new MergeView({
            a: { doc: was, extensions: common(nameOfOne) },
            b: {
                doc: is,
                extensions: [
                    ...common(nameOfOther),
                    EditorView.updateListener.of((update) => {
                        if (update.selectionSet) call.current?.(update.state.doc.lineAt(update.state.selection.main.head).number);
                    }),
                ],
            },
            parent: host.current, gutter: false, collapseUnchanged: { margin: 3, minSize: 6 }, diffConfig: { scanLimit: 2000, timeout: 500 },
        });
        return () => view.destroy();
    }, [was, is, nameOfOne, nameOfOther]);
    return <Box ref={host} data-testid="text-difference" sx={{ height: '100%', overflow: 'auto', '& .cm-mergeView': { minHeight: '100%' } }} />;
}
