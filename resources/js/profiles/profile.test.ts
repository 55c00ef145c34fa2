import { describe, expect, it } from 'vitest';
import { found, switchesOf, withEntry } from './profile';

describe('a profile of one’s own', () => {
    it('keeps what differs from the profile it was copied from, and nothing else', () => {
        const changed = withEntry({ profile: 'iso-mill' }, 'codes', 'drill', ' g281 ', 'G81');
        expect(changed).toEqual({ profile: 'iso-mill', codes: { drill: 'G281' } });
        expect(withEntry(changed, 'codes', 'drill', 'G81', 'G81')).toEqual({ profile: 'iso-mill' });
        expect(withEntry(changed, 'codes', 'drill', '', 'G81')).toEqual({ profile: 'iso-mill' });
        expect(withEntry(changed, 'words', 'peck', 'b', 'Q')).toEqual({ profile: 'iso-mill', codes: { drill: 'G281' }, words: { peck: 'B' } });
    });

    it('finds a function by its words, its code or its group', () => {
        const rows = [
            { function: 'drill', words: 'drilling cycle', group: 'cycle' },
            { function: 'bore', words: 'boring cycle', group: 'cycle' },
            { function: 'rapid', words: 'rapid', group: 'motion' },
        ];
        const codes = { drill: 'G81', bore: 'G85', rapid: 'G0' };
        expect(found(rows, codes, 'cycle').map((row) => row.function)).toEqual(['drill', 'bore']);
        expect(found(rows, codes, 'g85').map((row) => row.function)).toEqual(['bore']);
        expect(found(rows, codes, 'cycle drill')).toHaveLength(1);
        expect(found(rows, codes, '')).toHaveLength(3);
    });
});

it('has the switches of a lathe where the control is one of a lathe', () => {
    const names = (control: Parameters<typeof switchesOf>[0]) => switchesOf(control).map(({ name }) => name);
    expect(names({ profile: 'iso-mill' })).not.toContain('toolWord');
    expect(names({ profile: 'iso-lathe-a', toolWord: '2+2' })).toContain('toolWord');
});

it('breaks corners on a mill by the words with a comma alone', () => {
    const choices = (control: Parameters<typeof switchesOf>[0]) =>
        switchesOf(control).filter(({ name }) => name === 'cornerWords').map((corner) => corner.choices?.length);
    expect(choices({ profile: 'iso-mill' })).toEqual([2]);
    expect(choices({ profile: 'iso-lathe-a', toolWord: '2+2' })).toEqual([4]);
});
