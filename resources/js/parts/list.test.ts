import { describe, expect, it } from 'vitest';
import { ALL, listed, nextOperation, type PartRow, type ProgramRow } from './list';

const program = (name: string, verdict: ProgramRow['verdict'], more: Partial<ProgramRow> = {}): ProgramRow => ({
    id: 1, name, verdict, stops: 0, cautions: 0, notes: 0, worst: null, sketch: null, calledBy: null, seconds: 1, revision: 1, savedBy: 'J. Fern', savedById: 1,
    savedAt: '2026-03-01', ...more,
});
const part = (name: string, drawingNumber: string, opened: string | null, machineId: number, ...programs: ProgramRow[]): PartRow => ({
    id: 1, name, drawingNumber, material: 'brass', units: 'mm', isArchived: false, opened,
    setups: [{ id: 1, operation: 10, name: 'One vice', machineId, machine: machineId === 1 ? 'Alder' : 'Hazel', programs }],
});
const parts = [
    part('Hand hub', 'FCW-1305', null, 1, program('O1305', 'clear', { savedById: 2, savedAt: '2026-03-04' })),
    part('Pallet bridge', 'FCW-90', '2026-03-02', 2, program('O1210', 'stop'), program('O2000', 'stop', { calledBy: ['O1210'] })),
    part('Click', 'FCW-200', '2026-03-03', 1),
    { ...part('Old arbor', 'FCW-1', null, 1, program('O1', 'clear')), isArchived: true },
];
const names = (filter: Partial<typeof ALL>) => listed(parts, { ...ALL, ...filter }, 1).map(({ name }) => name);
const programs = (filter: Partial<typeof ALL>) =>
    listed(parts, { ...ALL, ...filter }, 1).flatMap(({ setups }) => setups.flatMap(({ programs: rows }) => rows.map(({ name }) => name)));

describe('listed', () => {
    it('puts first what was opened last, and leaves archived parts out', () => {
        expect(names({})).toEqual(['Click', 'Pallet bridge', 'Hand hub']);
        expect(names({ archived: true })).toEqual(['Old arbor']);
    });

    it('sorts by name, drawing number as numbers, and last change', () => {
        expect(names({ order: 'name' })).toEqual(['Click', 'Hand hub', 'Pallet bridge']);
        expect(names({ order: 'drawing' })).toEqual(['Pallet bridge', 'Click', 'Hand hub']);
        expect(names({ order: 'changed' })).toEqual(['Hand hub', 'Pallet bridge', 'Click']);
    });

    it('finds words anywhere, in any order', () => {
        expect(names({ text: '1305 hub' })).toEqual(['Hand hub']);
        expect(programs({ text: 'o1210' })).toEqual(['O1210']);
        expect(names({ text: 'hazel' })).toEqual(['Pallet bridge']);
        expect(names({ text: 'nothing' })).toEqual([]);
    });

    it('tells what is ready to run on which machine, and never counts a subprogram', () => {
        expect(programs({ standing: 'ready' })).toEqual(['O1305']);
        expect(programs({ standing: 'stop' })).toEqual(['O1210']);
        expect(names({ machine: 1 })).toEqual(['Click', 'Hand hub']);
        expect(names({ machine: 1, standing: 'ready' })).toEqual(['Hand hub']);
    });

    it('shows what a person saved last', () => {
        expect(programs({ mine: true })).toEqual(['O1210', 'O2000']);
    });
});

it('counts operations in tens', () => {
    expect(nextOperation(parts[0] as PartRow)).toBe(20);
    expect(nextOperation({ ...(parts[0] as PartRow), setups: [] })).toBe(10);
});
