import type { Edit } from '../../contracts/oak-check-1';

export interface Change {
    from: number;
    to: number;
    insert: string;
}

/** Where the changes of an edit lie in a text, in order; null where the text has no such place any more. */
export function changesOf(text: string, edit: Edit): Change[] | null {
    const starts = [0];
    for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) starts.push(at + 1);
    const changes: Change[] = [];
    for (const { line, column, length, text: insert } of [edit, ...edit.also]) {
        const start = starts[line - 1];
        if (start === undefined) return null;
        const end = (starts[line] ?? text.length + 1) - 1;
        const from = Math.min(end, start + column - 1);
        changes.push({ from, to: Math.min(end, from + length), insert });
    }
    return changes.sort((a, b) => a.from - b.from);
}

export function applied(text: string, changes: Change[]): string {
    let done = '';
    let at = 0;
    for (const { from, to, insert } of changes) {
        done += text.slice(at, from) + insert;
        at = to;
    }
    return done + text.slice(at);
}

export interface PreviewLine {
    kind: 'gone' | 'new';
    text: string;
}

/** The lines an edit takes away and those it puts in their place, line by line of the text as it is. */
export function preview(text: string, edit: Edit): PreviewLine[] {
    const changes = changesOf(text, edit);
    if (changes === null) return [];
    const lines: PreviewLine[] = [];
    for (const start of new Set(changes.map(({ from }) => text.lastIndexOf('\n', from - 1) + 1))) {
        const end = text.indexOf('\n', start) < 0 ? text.length : text.indexOf('\n', start);
        const before = text.slice(start, end);
        const own = changes.filter(({ from }) => from >= start && from <= end).map(({ from, to, insert }) => ({ from: from - start, to: to - start, insert }));
        const after = applied(before, own).split('\n');
        // A line of its own above or below leaves this one as it is.
        const kept = after.indexOf(before);
        if (kept < 0) lines.push({ kind: 'gone', text: before });
        after.forEach((line, i) => i !== kept && lines.push({ kind: 'new', text: line }));
    }
    return lines;
}
