import { describe, expect, it } from 'vitest';
import {
    answered, copied, grouped, isAsked, moved, operationOf, problemAt, renamedGroup, switchedGroup, toleranceWords, typedFigure, typedTolerance, withOperation,
    type Ask, type Kind, type SheetDocument,
} from './sheet';

const kind = (name: string, needsTool = true): Kind => ({ kind: name, words: name, needsTool, mayHaveTool: needsTool, asks: [] });
const ask = (field: string, when: Ask['when'] = null, choices: string[] = []): Ask =>
    ({ field, words: field, kind: 'length', choices, when, isCutting: false, isRare: false, parts: [] });
const sheet = (): SheetDocument => ({
    name: 'Plate', operations: [{ id: 'face-1', kind: 'face', tool: 3 }, { id: 'note-1', kind: 'note' },
        { id: 'seat', kind: 'round-pocket', tool: 2, name: 'Seat' }],
});

describe('a sheet', () => {
    it('takes a new operation after the one at hand, with the tool that is in the spindle there', () => {
        const [document, id] = withOperation(sheet(), kind('face'), 1);
        expect(id).toBe('face-2');
        expect(document.operations.map((row) => row.id)).toEqual(['face-1', 'note-1', 'face-2', 'seat']);
        expect(document.operations[2]).toEqual({ id: 'face-2', kind: 'face', name: 'face', tool: 3 });
        expect(withOperation(sheet(), kind('stop', false), 2)[0].operations[3]).not.toHaveProperty('tool');
        expect(withOperation({ name: 'x', operations: [] }, kind('face'), -1)[0].operations[0]).not.toHaveProperty('tool');
    });

    it('copies, moves and groups operations, and switches a group', () => {
        const [document, id] = copied(sheet(), 2);
        expect(document.operations[3]).toEqual({ id, kind: 'round-pocket', tool: 2, name: 'Seat copy' });
        expect(copied(sheet(), 9)[1]).toBe('');
        expect(moved(sheet(), 2, -1).operations.map((row) => row.id)).toEqual(['face-1', 'seat', 'note-1']);
        expect(moved(sheet(), 0, -1)).toEqual(sheet());
        expect(moved(sheet(), 2, 1)).toEqual(sheet());
        const inGroup = renamedGroup(grouped(sheet(), 1), 'face and more', 'Top');
        expect(inGroup.operations.map((row) => row.group)).toEqual(['Top', 'Top', undefined]);
        expect(grouped(sheet(), 0)).toEqual(sheet());
        const off = switchedGroup(inGroup, 'Top');
        expect(off.operations.map((row) => row.off)).toEqual([true, true, undefined]);
        expect(switchedGroup(off, 'Top')).toEqual(inGroup);
    });

    it('takes answers in and out', () => {
        expect(answered({ depth: 3 }, 'size', 22)).toEqual({ depth: 3, size: 22 });
        expect(answered({ depth: 3, size: 22 }, 'size', undefined)).toEqual({ depth: 3 });
    });

    it('asks only what is asked where it stands so', () => {
        const asks = [ask('through', null, ['false', 'true']), ask('depth', ['through', ['false']]), ask('length', ['size', ['']])];
        expect(isAsked(asks[0] as Ask, {}, asks)).toBe(true);
        expect(isAsked(asks[1] as Ask, {}, asks)).toBe(true);
        expect(isAsked(asks[1] as Ask, { through: true }, asks)).toBe(false);
        expect(isAsked(asks[2] as Ask, { size: '' }, asks)).toBe(true);
        expect(isAsked(asks[2] as Ask, { size: { diameter: 4 } }, asks)).toBe(false);
    });

    it('leaves to the server what is no plain number', () => {
        expect(['12', '-4.5', ' .5 ', '−3', '', '4.75/2', '1 1/8', '#wide'].map(typedFigure)).toEqual([12, -4.5, 0.5, -3, undefined, '4.75/2', '1 1/8',
            '#wide']);
    });

    it('reads a tolerance as it stands on a drawing, and writes it so', () => {
        const cases: [string, unknown, string][] = [
            ['±0.02', 0.02, '±0.02'], ['+0.03/0', [0, 0.03], '+0.03/0'], ['0 -0.12', [-0.12, 0], '0/−0.12'], ['−0.1/−0.2', [-0.2, -0.1], '−0.1/−0.2'],
            ['H7', 'H7', 'H7'], ['', undefined, ''],
        ];
        for (const [typed, read, written] of cases) {
            expect(typedTolerance(typed)).toEqual(read);
            expect(toleranceWords(typedTolerance(typed))).toBe(written);
        }
    });

    it('finds what is wrong with a field or inside it', () => {
        const problems = { 'operations.2.size.tolerance': 'no', 'operations.2.depth': 'How deep?' };
        expect(problemAt(problems, 'operations.2.size')).toBe('no');
        expect(problemAt(problems, 'operations.2.depth')).toBe('How deep?');
        expect(problemAt(problems, 'operations.2.dep')).toBeUndefined();
        expect(operationOf('seat G54 1')).toBe('seat');
    });
});
