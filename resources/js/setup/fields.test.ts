import { expect, it } from 'vitest';
import { nearestField, notesOf, type FieldNote } from './fields';

const note = (field: string): FieldNote => ({ severity: 'stop', text: field, field, program: 'O1' });

it('finds what is said of a field, and below it where that is asked', () => {
    const notes = [note('tools.1'), note('tools.1.pitch'), note('tools.10.pitch')];
    expect(notesOf(notes, 'tools.1').map(({ text }) => text)).toEqual(['tools.1']);
    expect(notesOf(notes, 'tools.1', true).map(({ text }) => text)).toEqual(['tools.1', 'tools.1.pitch']);
});

it('leads to the field, or to what is nearest above it', () => {
    const on = (...ids: string[]) => (id: string) => ids.includes(id);
    expect(nearestField('workOffsets.G55.X', on('workOffsets', 'workOffsets.G54'))).toBe('workOffsets');
    expect(nearestField('tools.2.pitch', on('tools.2.pitch', 'tools'))).toBe('tools.2.pitch');
    expect(nearestField('units', on('tools'))).toBeNull();
});
