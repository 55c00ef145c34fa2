import { RangeSet, StateEffect, StateField, type Extension, type Range } from '@codemirror/state';
import { GutterMarker, gutter } from '@codemirror/view';
import type { Finding } from '../../contracts/oak-check-1';
import { short, signed } from '../../shared/numbers';
import type { LineHeight } from '../answer';

/** What the margin of the listing shows beside each line. */
export interface MarginData {
    heights: LineHeight[];
    findings: Finding[];
    decimals: number;
    top: number;
    /** Ink of a cut at a height. */
    ink: (z: number) => string;
}

export const setMargin = StateEffect.define<MarginData>();

export class HeightMark extends GutterMarker {
    constructor(
        readonly text: string,
        readonly tool: string,
        readonly ink: string | null,
        readonly title: string,
    ) {
        super();
    }

    override eq(other: HeightMark): boolean {
        return other.text === this.text && other.tool === this.tool && other.ink === this.ink;
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
        cell.append(tool, z, bar);
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

interface Marks {
    heights: RangeSet<GutterMarker>;
    findings: RangeSet<GutterMarker>;
}

const marks = StateField.define<Marks>({
    create: () => ({ heights: RangeSet.empty, findings: RangeSet.empty }),
    update(value, transaction) {
        let { heights, findings } = value;
        if (transaction.docChanged) {
            heights = heights.map(transaction.changes);
            findings = findings.map(transaction.changes);
        }
        for (const effect of transaction.effects) {
            if (effect.is(setMargin)) return marginMarks(effect.value, transaction.newDoc.lines, (line) => transaction.newDoc.line(line).from);
        }
        return { heights, findings };
    },
});

/** The marks of every line; `at` gives the place in the text where a line begins. */
export function marginMarks(data: MarginData, lines: number, at: (line: number) => number): Marks {
    let tool = 0;
    const heights: Range<GutterMarker>[] = [];
    for (const height of data.heights) {
        if (height.line > lines) continue;
        // A hole is shown by how deep it goes, everything else by where it leaves the tool.
        const hole = height.cuts && height.lowest < height.z;
        const text = height.home ? 'home' : !height.known ? 'no H' : hole ? `↧${short(height.lowest, data.decimals)}` : signed(height.z, data.decimals);
        const title = height.home ? 'at home' : !height.known ? 'no length offset stated for this tool yet' : hole ? `down to ${short(height.lowest, data.decimals)}, back at ${short(height.z, data.decimals)}` : `Z ${short(height.z, data.decimals)} at the end of the line`;
        const name = height.tool === tool || height.tool === 0 ? '' : `T${height.tool}`;
        tool = height.tool;
        heights.push(new HeightMark(text, name, height.cuts && height.lowest <= data.top ? data.ink(height.lowest) : null, `T${height.tool}, ${title}`).range(at(height.line)));
    }
    const worst = new Map<number, Finding>();
    const rank = { stop: 0, caution: 1, note: 2 };
    for (const finding of data.findings) {
        const known = worst.get(finding.line);
        if (known === undefined || rank[finding.severity] < rank[known.severity]) worst.set(finding.line, finding);
    }
    const findings: Range<GutterMarker>[] = [];
    for (const [line, finding] of worst) {
        if (line <= lines) findings.push(new FindingMark(finding.severity, `${finding.severity}: ${finding.text}`).range(at(line)));
    }
    return { heights: RangeSet.of(heights, true), findings: RangeSet.of(findings, true) };
}

export const marginGutters: Extension = [
    marks,
    gutter({ class: 'oak-heights', markers: (view) => view.state.field(marks).heights, initialSpacer: () => new HeightMark('↧−00.000', 'T00', null, '') }),
    gutter({ class: 'oak-findings', markers: (view) => view.state.field(marks).findings, initialSpacer: () => new FindingMark('stop', '') }),
];
