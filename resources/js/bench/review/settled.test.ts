import { describe, expect, it } from 'vitest';
import type { Finding } from '../../contracts/oak-check-1';
import { isSame, listed } from './settled';

const finding = (line: number, text = `on ${line}`) => ({ check: 'heights.decimal-slip', severity: 'stop', line, text }) as unknown as Finding;

describe('a settled finding', () => {
    const before = [finding(3), finding(7), finding(9)];
    const settled = { finding: before[1] as Finding, index: 1, of: before };
    const places = (list: ReturnType<typeof listed>) => list.map((one) => [one.finding.line, one.index, one.settled]);

    it('is marked where it stands until the next answer, and keeps its place in that', () => {
        expect(places(listed(before, settled))).toEqual([[3, 0, false], [7, 1, true], [9, 2, false]]);
        expect(places(listed([finding(3), finding(9)], settled))).toEqual([[3, 0, false], [7, -1, true], [9, 1, false]]);
        expect(places(listed([], settled))).toEqual([[7, -1, true]]);
    });

    it('is another where a called program is called again', () => {
        const called = (from: number) => ({ ...finding(4), program: 'O4411', from });
        expect([isSame(called(8), called(8)), isSame(called(8), called(10))]).toEqual([true, false]);
    });

    it('is no longer settled where the next answer has it again', () => {
        expect(places(listed([finding(3), finding(7), finding(9)], settled))).toEqual([[3, 0, false], [7, 1, false], [9, 2, false]]);
    });
});
