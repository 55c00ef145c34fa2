import type { Finding } from '../../contracts/oak-check-1';

/** A finding whose change was just made: it keeps its place until the next act, so that nothing slides under the pointer. */
export interface Settled {
    finding: Finding;
    /** Its place in the list it was in. */
    index: number;
    of: Finding[];
}

/** A finding as it stands in the list; one that is settled has no place among those of the answer. */
export interface Listed {
    finding: Finding;
    index: number;
    settled: boolean;
}

/** The findings with the settled one where it was, unless it is found again. */
export function listed(findings: Finding[], settled: Settled | null): Listed[] {
    const all = findings.map((finding, index) => ({ finding, index, settled: finding === settled?.finding }));
    if (settled === null || findings === settled.of || findings.some((finding) => isSame(finding, settled.finding))) return all;
    all.splice(settled.index, 0, { finding: settled.finding, index: -1, settled: true });
    return all;
}

/** What a finding is known by from one answer to the next; in a called program by the call as well. */
const MARKS = ['check', 'line', 'column', 'program', 'from', 'text'] as const;

/** Whether two answers mean the same thing by a finding. */
export function isSame(one: Finding, other: Finding): boolean {
    return MARKS.every((mark) => one[mark] === other[mark]);
}
