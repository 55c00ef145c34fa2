/** An answer as it stands in a sheet: a figure, how it was typed, or a group of answers. */
export type Given = string | number | boolean | null | Given[] | { [field: string]: Given };

export interface OperationRow {
    id: string;
    kind: string;
    name?: string;
    tool?: number;
    off?: boolean;
    group?: string;
    [field: string]: Given | undefined;
}

/** How a tool of the setup runs in a sheet. */
export interface RunningTool {
    number: number;
    rpm?: number;
    feed?: number | string;
    plungeFeed?: number | string;
    coolant?: string;
    stop?: string;
    note?: string;
    springStroke?: number | string;
}

/** An operation sheet without what its setup says: units, raw part, material, which tool is which. */
export interface SheetDocument {
    name: string;
    programNumber?: number | string;
    style?: 'three-axis' | 'two-axis';
    workOffsets?: string[];
    order?: 'by-tool' | 'by-part';
    zero?: 'top' | 'bottom';
    names?: Record<string, number | string>;
    clearance?: number | string;
    crossing?: number | string;
    homeZ?: number | string;
    notes?: string[];
    /** Whether the answers stand in the program as comments. */
    figures?: boolean;
    tools?: RunningTool[];
    operations: OperationRow[];
}

/** The lines an operation wrote, as it wrote them. */
export interface WrittenSection {
    key: string;
    lines: string[];
}

export type AskKind =
    | 'length' | 'angle' | 'share' | 'seconds' | 'count' | 'flag' | 'choice' | 'point' | 'points' | 'numbers' | 'size' | 'text' | 'operation' | 'operations'
    | 'group';

export interface Ask {
    field: string;
    words: string;
    kind: AskKind;
    /** The usual one first. */
    choices: string[];
    /** It is only asked where another field beside it has one of some values. */
    when: [string, string[]] | null;
    isCutting: boolean;
    /** Seldom wanted: it need not stand among the others. */
    isRare: boolean;
    parts: Ask[];
}

export interface Kind {
    kind: string;
    words: string;
    needsTool: boolean;
    /** Without one it is made with the tool of another operation. */
    mayHaveTool: boolean;
    asks: Ask[];
}

/** What the bench opens a sheet with. */
export interface OpenedSheet {
    document: SheetDocument;
    written: WrittenSection[];
    kinds: Kind[];
    units: 'mm' | 'in';
    tools: { number: number; name: string; isTap: boolean }[];
    workOffsets: string[];
}

export interface Figure {
    lines: { field: string; role: 'raw' | 'edge' | 'helper' | 'size' | 'tool'; d: string }[];
    labels: { field: string; x: number; y: number; text: string }[];
    /** Least X and Y, greatest X and Y. */
    bounds: [number, number, number, number];
    /** Top, and the height of each pass. */
    heights: number[] | null;
    /** Underside and top of the raw part. */
    raw: [number, number] | null;
}

/** How the lines of an operation stand to the sheet. */
export type Standing = 'written' | 'by-hand' | 'both' | 'left';

export interface Section {
    key: string;
    /** First and last line, from 1. */
    lines: [number, number];
    standing: Standing;
    /** What the sheet writes instead. */
    theirs: string[];
}

/** What the server says of a sheet and a text. */
export interface SheetAnswer {
    /** By dotted field; tools by their numbers. */
    problems: Record<string, string>;
    /** Null where the sheet cannot be read at all. */
    operations: { id: string; choices: Record<string, string>; usual: Record<string, string>; figure: Figure | null }[] | null;
    usedBy?: Record<string, string[]>;
    /** The text brought up to the sheet; null while something is missing. */
    text: string | null;
    sections?: Section[];
    written?: WrittenSection[];
    orders?: Record<'by-tool' | 'by-part', { changes: number; seconds: number }> | null;
}

/** The operation a section of the text belongs to. */
export const operationOf = (key: string): string => key.split(' ')[0] ?? '';

/** An id no operation has. */
function freeId(operations: OperationRow[], like: string): string {
    const taken = new Set(operations.map(({ id }) => id));
    for (let n = 1; ; n++) {
        const id = `${like}-${n}`;
        if (!taken.has(id)) return id;
    }
}

/** A new operation after another, with the tool that is in the spindle there. */
export function withOperation(document: SheetDocument, kind: Kind, after: number): [SheetDocument, string] {
    const { operations } = document;
    const id = freeId(operations, kind.kind);
    const tool = kind.needsTool ? operations.slice(0, after + 1).findLast((row) => row.tool !== undefined)?.tool : undefined;
    const row: OperationRow = { id, kind: kind.kind, name: kind.words, ...(tool === undefined ? {} : { tool }) };
    return [{ ...document, operations: [...operations.slice(0, after + 1), row, ...operations.slice(after + 1)] }, id];
}

export function copied(document: SheetDocument, at: number): [SheetDocument, string] {
    const row = document.operations[at];
    if (row === undefined) return [document, ''];
    const id = freeId(document.operations, row.kind);
    const copy = { ...structuredClone(row), id, name: `${row.name ?? row.kind} copy` };
    return [{ ...document, operations: document.operations.toSpliced(at + 1, 0, copy) }, id];
}

export function moved(document: SheetDocument, at: number, by: 1 | -1): SheetDocument {
    const row = document.operations[at];
    const to = at + by;
    if (row === undefined || to < 0 || to >= document.operations.length) return document;
    return { ...document, operations: document.operations.toSpliced(at, 1).toSpliced(to, 0, row) };
}

/** An operation in one group with the one before it. */
export function grouped(document: SheetDocument, at: number): SheetDocument {
    const before = document.operations[at - 1];
    if (before === undefined) return document;
    const group = before.group ?? `${before.name ?? before.kind} and more`;
    return { ...document, operations: document.operations.map((row, n) => (n === at || n === at - 1 ? { ...row, group } : row)) };
}

export function renamedGroup(document: SheetDocument, group: string, name: string): SheetDocument {
    return { ...document, operations: document.operations.map((row) => (row.group === group ? { ...row, group: name } : row)) };
}

/** A group off where any of it is on, and on where all of it is off. */
export function switchedGroup(document: SheetDocument, group: string): SheetDocument {
    const isOn = document.operations.some((row) => row.group === group && row.off !== true);
    return {
        ...document, operations: document.operations.map((row) => {
            if (row.group !== group) return row;
            const { off, ...rest } = row;
            void off;
            return (isOn ? { ...rest, off: true } : rest) as OperationRow;
        }),
    };
}

/** An answer to a question of an operation; `undefined` takes it out. */
export function answered(given: Record<string, Given | undefined>, field: string, value: Given | undefined): Record<string, Given | undefined> {
    const { [field]: gone, ...rest } = given;
    void gone;
    return value === undefined ? rest : { ...rest, [field]: value };
}

/** Whether a question is asked, as the answers beside it are. */
export function isAsked(ask: Ask, given: Record<string, Given | undefined>, asks: Ask[]): boolean {
    if (ask.when === null) return true;
    const [field, values] = ask.when;
    const value = given[field];
    const usual = asks.find((other) => other.field === field)?.choices[0] ?? '';
    const stands = value === undefined || value === null || value === '' ? usual : typeof value === 'object' ? 'given' : String(value);
    return values.includes(stands);
}

/** A figure as it was typed: a plain number is one, anything else is worked out by the server. */
export function typedFigure(text: string): number | string | undefined {
    const clean = text.trim().replace(/−/g, '-');
    if (clean === '') return undefined;
    return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : clean;
}

/** A tolerance as a drawing has it: ±0.02, +0.03/0, 0 −0.12. What cannot be read stays as it is, and is told at its field. */
export function typedTolerance(text: string): Given | undefined {
    const clean = text.trim().replace(/−/g, '-');
    if (clean === '') return undefined;
    const both = /^(?:±|\+\/-)\s*(\d*\.?\d+)$/.exec(clean);
    if (both?.[1] !== undefined) return Number(both[1]);
    const two = /^([-+]?\d*\.?\d+)(?:\s*\/\s*|\s+)([-+]?\d*\.?\d+)$/.exec(clean);
    if (two?.[1] !== undefined && two[2] !== undefined) {
        const [one, other] = [Number(two[1]), Number(two[2])];
        return [Math.min(one, other), Math.max(one, other)];
    }
    return clean;
}

export function toleranceWords(tolerance: Given | undefined): string {
    if (Array.isArray(tolerance)) {
        const signed = (value: Given | undefined) => (Number(value) > 0 ? `+${String(value)}` : String(value).replace('-', '−'));
        return `${signed(tolerance[1])}/${signed(tolerance[0])}`;
    }
    return typeof tolerance === 'number' ? `±${tolerance}` : typeof tolerance === 'string' ? tolerance : '';
}

/** What is wrong with a field or anything inside it. */
export function problemAt(problems: Record<string, string>, path: string): string | undefined {
    return problems[path] ?? Object.entries(problems).find(([field]) => field.startsWith(`${path}.`))?.[1];
}
