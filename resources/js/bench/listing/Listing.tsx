import { defaultKeymap, history, historyKeymap, redo, redoDepth, undo, undoDepth } from '@codemirror/commands';
import { highlightSelectionMatches, selectNextOccurrence } from '@codemirror/search';
import { EditorState, Transaction } from '@codemirror/state';
import {
    EditorView,
    crosshairCursor,
    drawSelection,
    highlightActiveLine,
    highlightActiveLineGutter,
    keymap,
    lineNumbers,
    rectangularSelection,
} from '@codemirror/view';
import { Box } from '@mui/material';
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react';
import type { Edit } from '../../contracts/oak-check-1';
import { afterPause } from '../../shared/pause';
import { useAppearance } from '../../theme/Appearance';
import type { Hit } from '../find/find';
import { changesOf } from '../review/edits';
import { codeHelp, type CodeMeaning } from './codes';
import { folding, setOutline, type Begin } from './folding';
import { programLanguage } from './language';
import { hitMarks, rangeOf, setHits } from './marks';
import { nudge } from './nudge';
import { marginGutters, setMargin, type MarginData } from './margin';

/** A longer text is told of its changes once nobody has typed for a moment, so that typing in it is not held up; letters, milliseconds. */
const LONG = 200_000;
const LAG = 400;

export interface ListingHandle {
    goTo: (line: number, column?: number, focus?: boolean) => void;
    apply: (edit: Edit) => void;
    undo: () => void;
    redo: () => void;
    focus: () => void;
    /** The line the cursor is on. */
    line: () => number;
    /** Marks what was found. */
    mark: (hits: Hit[]) => void;
    select: (hit: Hit) => void;
    replaceAll: (text: string) => void;
    /** First and last line of what is selected; null where it is within one line. */
    selectedLines: () => [number, number] | null;
}

interface Props {
    text: string;
    margin: MarginData | null;
    /** Where tools and operations begin, to fold by. */
    outline?: Begin[];
    /** What it is called, where it is not the program itself; such a text is shown and not changed here. */
    called?: string;
    /** The codes of the control and what they do, for completion and for the pointer. */
    codes: CodeMeaning[];
    onText?: (text: string) => void;
    /** Somebody has changed it by hand, at once, however long it is. */
    onTyped?: () => void;
    /** Something is to be looked for. */
    onFind?: () => void;
    /** Whether there is something to undo, or to redo. */
    onHistory?: (history: { undo: boolean; redo: boolean }) => void;
    onLine: (line: number) => void;
    ref: Ref<ListingHandle>;
}

const looks = EditorView.theme({
    '&': { height: '100%', fontSize: '0.8125rem', background: 'var(--sheet)', color: 'var(--ink)' },
    '&.cm-focused': { outline: 'none' },
    '.cm-scroller': { fontFamily: '"Source Code Pro", monospace', lineHeight: '1.25rem' },
    '.cm-content': { padding: '6px 0', caretColor: 'var(--ink)' },
    // A block that is wider than the listing goes on below itself, set in.
    '.cm-line': { padding: '0 8px 0 calc(4px + 4ch)', textIndent: '-4ch' },
    '.cm-gutters': { background: 'var(--margin)', color: 'var(--soft)', border: 'none', borderRight: '1px solid var(--hair)' },
    '.cm-lineNumbers .cm-gutterElement': { minWidth: '1.75rem', padding: '0 4px 0 2px', color: 'var(--soft)' },
    '.cm-activeLine, .cm-activeLineGutter': { background: 'var(--pick)' },
    '.cm-activeLineGutter': { color: 'var(--ink)' },
    '&.cm-focused .cm-selectionBackground, .cm-selectionBackground': { background: 'color-mix(in srgb, var(--oak) 30%, transparent) !important' },
    '.cm-cursor': { borderLeftColor: 'var(--ink)', borderLeftWidth: '2px' },
    '.cm-selectionMatch': { background: 'var(--pick)' },
    '.oak-hit': { outline: '1px solid var(--frame)', outlineOffset: '-1px' },
    '.cm-tooltip': { background: 'var(--sheet)', color: 'var(--ink)', border: '1px solid var(--frame)', fontSize: '0.8125rem' },
    '.oak-meaning': { padding: '3px 8px', fontFamily: '"Source Sans 3", sans-serif' },
    '.cm-tooltip.cm-tooltip-autocomplete > ul': { fontFamily: '"Source Code Pro", monospace' },
    '.cm-tooltip.cm-tooltip-autocomplete > ul > li[aria-selected]': { background: 'var(--pick)', color: 'var(--ink)' },
    '.cm-completionDetail': { fontFamily: '"Source Sans 3", sans-serif', fontStyle: 'normal', color: 'var(--soft)', marginLeft: '12px' },
    '.oak-height': { display: 'flex', alignItems: 'stretch', height: '100%', color: 'var(--ink)', fontSize: '0.8125rem' },
    '.oak-height-tool': { minWidth: '1.4rem', color: 'var(--oak)', fontWeight: '600', textAlign: 'left', paddingLeft: '2px' },
    '.oak-height-z': { flex: '1', textAlign: 'right', paddingRight: '4px' },
    '.oak-height-across': { minWidth: '4.2rem', textAlign: 'right', paddingRight: '6px' },
    '.oak-height-bar': { width: '5px' },
    '.oak-height-time': { width: '2.1rem', textAlign: 'right', color: 'var(--soft)', fontSize: '0.75rem', letterSpacing: '-0.3px' },
    '.cm-foldGutter .cm-gutterElement': { color: 'var(--soft)', cursor: 'pointer', width: '12px', textAlign: 'center' },
    '.cm-foldPlaceholder': { background: 'var(--pick)', border: '1px solid var(--frame)', borderRadius: '0', color: 'var(--ink)' },
    '.oak-finding': { textAlign: 'center', width: '16px', fontSize: '0.8125rem' },
    '.oak-finding-stop': { color: 'var(--clay)' },
    '.oak-finding-caution': { color: 'var(--ochre)' },
    '.oak-finding-note': { color: 'var(--ink)' },
});

/** The program as text, with the running Z and the tool in its margin. */
export function Listing({ text, margin, outline, called, codes, onText, onTyped, onFind, onHistory, onLine, ref }: Props) {
    const host = useRef<HTMLDivElement>(null);
    const view = useRef<EditorView | null>(null);
    /** Tells of what is still to be told. */
    const pending = useRef<{ flush: () => void; isWaiting: () => boolean } | null>(null);
    const { inks } = useAppearance();
    const calls = useRef({ onText, onTyped, onFind, onHistory, onLine });
    useEffect(() => {
        calls.current = { onText, onTyped, onFind, onHistory, onLine };
    });

    const first = useRef(text);
    const help = useRef(codes);
    useEffect(() => {
        if (host.current === null) return;
        const tell = (doc: EditorState['doc']) => calls.current.onText?.(doc.toString());
        const tellLater = afterPause(tell, LAG);
        pending.current = tellLater;
        const editor = new EditorView({
            parent: host.current,
            state: EditorState.create({
                doc: first.current,
                extensions: [
                    lineNumbers(), EditorView.lineWrapping, marginGutters, folding, history(), EditorState.allowMultipleSelections.of(true),
                    rectangularSelection(),
                    crosshairCursor(), drawSelection(), highlightActiveLine(), highlightActiveLineGutter(), highlightSelectionMatches(),
                    hitMarks, programLanguage(help.current), codeHelp(help.current), keymap.of([
                        { key: 'Alt-=', run: nudge(1) },
                        { key: 'Alt-+', run: nudge(1) },
                        { key: 'Alt--', run: nudge(-1) },
                        { key: 'Mod-f', run: () => { calls.current.onFind?.(); return true; } },
                        { key: 'Mod-d', run: selectNextOccurrence, preventDefault: true },
                        ...historyKeymap,
                        ...defaultKeymap,
                    ]), looks,
                    EditorState.readOnly.of(called !== undefined),
                    EditorView.contentAttributes.of({
                        'aria-label': called === undefined ? 'Program listing' : `Listing of ${called}`,
                        tabindex: '0',
                        spellcheck: 'false',
                        autocapitalize: 'characters',
                    }),
                    // Whoever leaves the listing may be about to save.
                    EditorView.domEventHandlers({ blur: () => tellLater.flush() }),
                    EditorView.updateListener.of((update) => {
                        if (update.docChanged) {
                            (update.state.doc.length > LONG ? tellLater : tell)(update.state.doc);
                            calls.current.onHistory?.({ undo: undoDepth(update.state) > 0, redo: redoDepth(update.state) > 0 });
                            if (update.transactions.some((one) => ['input', 'delete', 'undo', 'redo'].some((act) => one.isUserEvent(act))))
                                calls.current.onTyped?.();
                        }
                        const line = update.state.doc.lineAt(update.state.selection.main.head).number;
                        const before = update.startState.doc.lineAt(update.startState.selection.main.head).number;
                        if (line !== before || (update.docChanged && !update.transactions.some((transaction) => transaction.isUserEvent('input'))))
                            calls.current.onLine(line);
                    }),
                ],
            }),
        });
        view.current = editor;
        return () => editor.destroy();
    }, [called]);

    useEffect(() => {
        if (margin !== null) view.current?.dispatch({ effects: setMargin.of(margin), annotations: Transaction.addToHistory.of(false) });
    }, [margin, inks]);
    useEffect(() => {
        if (outline !== undefined) view.current?.dispatch({ effects: setOutline.of(outline) });
    }, [outline]);

    useImperativeHandle(ref, () => ({
        goTo(line, column = 1, focus = false) {
            const editor = view.current;
            if (editor === null) return;
            const at = editor.state.doc.line(Math.min(Math.max(1, line), editor.state.doc.lines));
            const place = Math.min(at.to, at.from + column - 1);
            editor.dispatch({ selection: { anchor: place }, effects: EditorView.scrollIntoView(place, { y: 'center' }) });
            if (focus) editor.focus();
        },
        apply(edit) {
            // A change of a text that has been typed in since is of another text: it is told first, and the change asked for again.
            if (pending.current?.isWaiting() === true) return pending.current.flush();
            const editor = view.current;
            const changes = editor === null ? null : changesOf(editor.state.doc.toString(), edit);
            const first = changes?.[0];
            if (editor === null || changes === null || first === undefined) return;
            const at = first.from + first.insert.length;
            editor.dispatch({ changes, selection: { anchor: at }, effects: EditorView.scrollIntoView(at, { y: 'center' }), userEvent: 'oak.apply' });
        },
        undo() {
            if (view.current !== null) undo(view.current);
        },
        redo() {
            if (view.current !== null) redo(view.current);
        },
        line() {
            return view.current === null ? 1 : view.current.state.doc.lineAt(view.current.state.selection.main.head).number;
        },
        mark(hits) {
            view.current?.dispatch({ effects: setHits.of(hits) });
        },
        select(hit) {
            const range = view.current === null ? null : rangeOf(view.current.state.doc, hit);
            if (range === null) return;
            view.current?.dispatch({ selection: { anchor: range.from, head: range.to }, effects: EditorView.scrollIntoView(range.from, { y: 'center' }) });
        },
        focus() {
            view.current?.focus();
        },
        selectedLines() {
            const editor = view.current;
            if (editor === null) return null;
            const { from, to } = editor.state.selection.main;
            const first = editor.state.doc.lineAt(from);
            // A selection that ends before the first letter of a line does not mean that line.
            const last = editor.state.doc.lineAt(Math.max(from, to - 1)).number;
            return last > first.number ? [first.number, last] : null;
        },
        replaceAll(next) {
            if (view.current === null) return;
            // Only what differs: the cursor, and whoever looks on, stay where they are.
            const was = view.current.state.doc.toString();
            const most = Math.min(was.length, next.length);
            let [head, tail] = [0, 0];
            while (head < most && was[head] === next[head]) head++;
            while (tail < most - head && was[was.length - 1 - tail] === next[next.length - 1 - tail]) tail++;
            view.current.dispatch({
                changes: { from: head, to: was.length - tail, insert: next.slice(head, next.length - tail) }, userEvent: 'oak.replace',
            });
        },
    }));

    return <Box ref={host} data-testid={called === undefined ? 'listing' : 'called-listing'} sx={{ height: '100%', minHeight: 0 }} />;
}
