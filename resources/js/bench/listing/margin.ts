import { StateEffect, StateField, type ChangeDesc, type EditorState, type Extension } from '@codemirror/state';
import { GutterMarker, gutter } from '@codemirror/view';
import type { Finding } from '../../contracts/oak-check-1';
import { duration, short, signed } from '../../shared/numbers';
import { CUTS, HOME, KNOWN, MOVES, type Heights } from '../answer';
import type { TurnedLines } from './turnedLines';

/** What the margin of the listing shows beside each line. */
export interface MarginData {
    heights: Heights;
    findings: Finding[];
    decimals: number;
    top: number;
    /** Of a lathe; null on any other machine. */
    turned: TurnedLines | null;
    /** Ink of a cut at a height. */
    ink: (z: number) => string;
}

export const setMargin = StateEffect.define<MarginData>();

export class HeightMark extends GutterMarker {
    constructor(
        readonly text: string,
        readonly tool: string,
        readonly ink: string | null,
        readonly time: string,
        readonly title: string,
        readonly across: string | null = null,
    ) {
        super();
    }

    override eq(other: HeightMark): boolean {
        return other.text === this.text && other.across === this.across && other.tool === this.tool && other.ink === this.ink && other.time === this.time;
    }

    override toDOM(): Node {
        const cell = document.createElement('div');
        cell.className = 'oak-height';
        cell.title = this.title;
        const tool = document.createElement('span');
        tool.className = 'oak-height-tool';
        tool.textContent = this.tool;
        const z = document.createElement('span');
        z.className = 'oak-height-z';
        z.textContent = this.text;
        const bar = document.createElement('span');
        bar.className = 'oak-height-bar';
        bar.style.background = this.ink ?? 'transparent';
        const time = document.createElement('span');
        time.className = 'oak-height-time';
        time.textContent = this.time;
        const across = document.createElement('span');
        across.className = 'oak-height-across';
        across.textContent = this.across;
        cell.append(tool, ...(this.across === null ? [] : [across]), z, bar, time);
        return cell;
    }
}

export class FindingMark extends GutterMarker {
    constructor(
        readonly severity: Finding['severity'],
        readonly title: string,
    ) {
        super();
    }

    override eq(other: FindingMark): boolean {
        return other.severity === this.severity && other.title === this.title;
    }

    override toDOM(): Node {
        const cell = document.createElement('div');
        cell.className = `oak-finding oak-finding-${this.severity}`;
        cell.title = this.title;
        cell.textContent = { stop: '⬢', caution: '▲', note: '○' }[this.severity];
        return cell;
    }
}

/** The margin of a text as it was checked, and what has been changed in it since. */
interface Checked {
    data: MarginData | null;
    /** The text the margin is of. */
    doc: EditorState['doc'];
    /** From the checked text to the one that stands now. */
    since: ChangeDesc | null;
    findings: Map<number, Finding>;
}

const rank = { stop: 0, caution: 1, note: 2 };

/** The worst finding of each line. */
export function worstByLine(findings: Finding[]): Map<number, Finding> {
    const worst = new Map<number, Finding>();
    for (const finding of findings) {
        const known = worst.get(finding.line);
        if (known === undefined || rank[finding.severity] < rank[known.severity]) worst.set(finding.line, finding);
    }
    return worst;
}

const checked = StateField.define<Checked>({
    create: (state) => ({ data: null, doc: state.doc, since: null, findings: new Map() }),
    update(value, transaction) {
        let next = value;
        if (transaction.docChanged)
            next = { ...next, since: next.since === null ? transaction.changes.desc : next.since.composeDesc(transaction.changes.desc) };
        for (const effect of transaction.effects) {
            if (effect.is(setMargin)) next = { data: effect.value, doc: transaction.newDoc, since: null, findings: worstByLine(effect.value.findings) };
        }
        return next;
    },
});

/** The line of the checked text that a place in the text of now belongs to; 0 where it is new. */
export function lineAsChecked(state: EditorState, place: number): number {
    const { doc, since } = state.field(checked);
    if (since === null) return state.doc.lineAt(place).number;
    const at = since.invertedDesc.mapPos(place, -1);
    const line = doc.lineAt(Math.min(at, doc.length));
    // A line that begins where none began has come in since.
    return since.mapPos(line.from, 1) === place || since.mapPos(line.from, -1) === place ? line.number : 0;
}

/** The mark of a line of the checked text; null where the line moves nothing. */
export function heightMark({ heights, decimals, top, turned, ink }: MarginData, line: number): HeightMark | null {
    const marks = heights.marks[line] ?? 0;
    const seconds = heights.seconds[line] ?? 0;
    if ((marks & MOVES) === 0) return seconds > 0 ? new HeightMark('', '', null, duration(seconds), `takes ${duration(seconds)}`) : null;
    const z = heights.z[line] ?? 0;
    const lowest = heights.lowest[line] ?? 0;
    const tool = heights.tool[line] ?? 0;
    const cuts = (marks & CUTS) !== 0;
    // A hole is shown by how deep it goes, everything else by where it leaves the tool.
    const hole = cuts && lowest < z - 1e-6;
    const home = (marks & HOME) !== 0;
    const known = (marks & KNOWN) !== 0;
    const text = home ? 'home' : !known ? (turned === null ? 'no H' : 'no T') : hole ? `↧${short(lowest, decimals)}` : signed(z, decimals);
    const title = home
        ? 'at home'
        : !known
          ? `no ${turned === null ? 'length' : 'tool'} offset active for this tool yet`
          : hole
            ? `down to ${short(lowest, decimals)}, back at ${short(z, decimals)}`
            : `Z ${short(z, decimals)} at the end of the line`;
    let before = line - 1;
    while (before > 0 && ((heights.marks[before] ?? 0) & MOVES) === 0) before--;
    const name = tool === 0 || (before > 0 && heights.tool[before] === tool) ? '' : `T${tool}`;
    const beside = turned === null || home || !known ? null : besideZ(turned, line, z, decimals);
    return new HeightMark(
        text, name, cuts && lowest <= top ? ink(lowest) : null, duration(seconds),
        [`T${tool}`, title, ...(beside === null ? [] : beside.words), `takes ${duration(seconds)}`].join(', '), turned === null ? null : (beside?.across ?? ''),
    );
}

/** Diameter, distance to the jaws and speed where a line of a lathe ends. */
function besideZ({ diameter, rpm, jaws }: TurnedLines, line: number, z: number, decimals: number): { across: string; words: string[] } | null {
    const at = diameter[line] ?? NaN;
    if (Number.isNaN(at)) return null;
    const across = `Ø${short(at, decimals)}`;
    const speed = Math.round(rpm[line] ?? 0);
    return {
        across,
        words: [across, ...(jaws === null ? [] : [`${short(z - jaws, decimals)} from the jaws`]), ...(speed > 0 ? [`${speed} rev/min`] : [])],
    };
}

/** The marks are made for the lines on the screen only, so that a million lines cost no more than forty. */
export const marginGutters: Extension = [
    checked,
    gutter({
        class: 'oak-heights',
        lineMarker(view, block) {
            const { data } = view.state.field(checked);
            const line = data === null ? 0 : lineAsChecked(view.state, block.from);
            return data === null || line === 0 ? null : heightMark(data, line);
        },
        lineMarkerChange: (update) => update.startState.field(checked) !== update.state.field(checked),
        initialSpacer: () => new HeightMark('−00.000', 'T0', null, '00:00', ''),
    }),
    gutter({
        class: 'oak-findings',
        lineMarker(view, block) {
            const { findings } = view.state.field(checked);
            const finding = findings.size === 0 ? undefined : findings.get(lineAsChecked(view.state, block.from));
            return finding === undefined
                ? null
                : new FindingMark(finding.severity, `${finding.severity === 'stop' ? 'error' : finding.severity}: ${finding.text}`);
        },
        lineMarkerChange: (update) => update.startState.field(checked) !== update.state.field(checked),
        initialSpacer: () => new FindingMark('stop', ''),
    }),
];
