import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dropDraft, keepDraft, readDraft } from './draft';

describe('draft', () => {
    const kept = new Map<string, string>();
    beforeEach(() => {
        kept.clear();
        vi.stubGlobal('localStorage', {
            getItem: (key: string) => kept.get(key) ?? null,
            setItem: (key: string, value: string) => kept.set(key, value),
            removeItem: (key: string) => kept.delete(key),
        });
    });

    it('is kept by person and program, with the revision it began from', () => {
        keepDraft(1, 7, 'G21', 3);
        keepDraft(2, 7, 'G20', 4);
        expect(readDraft(1, 7)).toMatchObject({ text: 'G21', base: 3 });
        expect(readDraft(2, 7)).toMatchObject({ text: 'G20', base: 4 });
        expect(readDraft(1, 8)).toBeNull();
    });

    it('is dropped once it is saved', () => {
        keepDraft(1, 7, 'G21', 3);
        dropDraft(1, 7);
        expect(readDraft(1, 7)).toBeNull();
    });

    it.each(['', '{', '{"text": 5}', '{"text": "G21"}', 'null'])('is none where what is kept cannot be read: %s', (text) => {
        kept.set('oak-draft:1:7', text);
        expect(readDraft(1, 7)).toBeNull();
    });
});
