import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dropDraft, keepDraft, readDraft } from './draft';

const longOnes = new Map<unknown, unknown>();
vi.mock('idb-keyval', () => ({
    createStore: () => null,
    get: (key: unknown) => Promise.resolve(longOnes.get(key)),
    set: (key: unknown, value: unknown) => Promise.resolve(longOnes.set(key, value)),
    del: (key: unknown) => Promise.resolve(longOnes.delete(key)),
}));

describe('draft', () => {
    const kept = new Map<string, string>();
    beforeEach(() => {
        kept.clear();
        longOnes.clear();
        vi.stubGlobal('localStorage', {
            getItem: (key: string) => kept.get(key) ?? null,
            setItem: (key: string, value: string) => kept.set(key, value),
            removeItem: (key: string) => kept.delete(key),
        });
    });

    it('is kept by person and program, with the revision it began from', async () => {
        await keepDraft(1, 7, 'G21', 3);
        await keepDraft(2, 7, 'G20', 4);
        expect(await readDraft(1, 7)).toMatchObject({ text: 'G21', base: 3 });
        expect(await readDraft(2, 7)).toMatchObject({ text: 'G20', base: 4 });
        expect(await readDraft(1, 8)).toBeNull();
    });

    it.each([10, 1_000_001])('is dropped once it is saved, %i letters long', async (letters) => {
        await keepDraft(1, 7, 'G'.repeat(letters), 3);
        expect((await readDraft(1, 7))?.text).toHaveLength(letters);
        await dropDraft(1, 7);
        expect(await readDraft(1, 7)).toBeNull();
        expect(longOnes.size).toBe(0);
    });

    it.each(['', '{', '{"text": 5}', '{"text": "G21"}', 'null', '"elsewhere"'])('is none where what is kept cannot be read: %s', async (text) => {
        kept.set('oak-draft:1:7', text);
        expect(await readDraft(1, 7)).toBeNull();
    });
});
