export interface ReadingField {
    name: string;
    words: string;
    is: 'position' | 'length' | 'side';
    usual: number | null;
}

export interface MethodChoice {
    name: string;
    words: string;
    readings: ReadingField[];
}

export interface TouchRow {
    /** G54 X, H2. */
    subject: string;
    offset: string;
    axis: string | null;
    tool: string | null;
    isUsed: boolean;
    value: number | null;
    isTrusted: boolean;
    why: 'begun' | 'copied' | null;
    state: 'begun' | 'read' | 'trusted' | null;
    by: string | null;
    begunAt: string | null;
    simulated: boolean;
    method: string | null;
    readings: Record<string, number>;
    methods: MethodChoice[];
}

export interface Worked {
    state: 'asked' | 'read';
    value: number;
    terms: [number, string][];
    slips: Record<string, number>;
    besides: Record<string, number>;
    asks: string[];
}

/** Where a row stands, in words, and the mark it has. */
export function standing(row: TouchRow, at: (iso: string) => string): { mark: 'stop' | 'caution' | 'clear' | 'note'; words: string } {
    if (row.state === 'read') return { mark: 'caution', words: 'read: type it back from the control' };
    if (row.state === 'begun') return { mark: 'stop', words: `begun${row.begunAt === null ? '' : ` at ${at(row.begunAt)}`}, not finished: do it again` };
    if (!row.isTrusted) return { mark: 'stop', words: row.why === 'copied' ? 'copied, not touched off here' : 'not trusted' };
    if (row.value === null) return { mark: row.isUsed ? 'stop' : 'note', words: 'empty' };
    return { mark: 'clear', words: row.state === 'trusted' && row.simulated ? 'trusted (simulated)' : 'trusted' };
}

/** What stands in the fields of a way to touch off before anything is read: what was typed last under that name, or what is usual. */
export function firstFigures(readings: ReadingField[], last: Record<string, string>): Record<string, string> {
    return Object.fromEntries(readings.map(({ name, usual }, i) => [name, i === 0 ? '' : (last[name] ?? (usual === null ? '' : String(usual)))]));
}

/** An entry that adds to a value, as on a control: +.005, -.02. Null where it is none. */
export function addition(text: string): number | null {
    const clean = text.trim().replace('−', '-').replace(',', '.');
    return /^[+-](\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
}

/** The arithmetic written out: −382.215 + 2.500 = −379.715. */
export function sum(terms: [number, string][], value: number, decimals: number): string {
    const shown = (term: number) => Math.abs(term).toFixed(decimals);
    const text = terms.map(([term], i) => (i === 0 ? (term < 0 ? `−${shown(term)}` : shown(term)) : `${term < 0 ? ' − ' : ' + '}${shown(term)}`)).join('');
    return `${text} = ${value < 0 ? '−' : ''}${shown(value)}`;
}
