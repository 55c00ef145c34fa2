import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dropDraft, keepDraft, readDraft } from './draft';

const longOnes = new Map<unknown, unknown>();
vi.mock('idb-keyval', () => ({
    createStore: () => null,
    get: (key: unknown) => Promise.resolve(longOnes.get(key)),
    set: (key: unknown, value: unknown) => Promise.resolve(longOnes.set(key, value)),
    del: (key: unknown) => Promise.resolve(longOnes.delete(key)),
}));

let here = 'one';
const open = new Set<string>();
vi.mock('../shared/tab', () => ({ tab: () => here, isThere: (name: string) => open.has(name) }));

describe('draft', () => {
    const kept = new Map<string, string>();
    beforeEach(() => {
        kept.clear();
        here = 'one';
        open.clear();
        longOnes.clear();
        vi.stubGlobal('localStorage', new Proxy({
            getItem: (key: string) => kept.get(key) ?? null,
            setItem: (key: string, value: string) => kept.set(key, value),
            removeItem: (key: string) => kept.delete(key),
        }, { ownKeys: () => [...kept.keys()], getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) }));
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

    it('belongs to the tab it is typed in, until that is closed', async () => {
        await keepDraft(1, 7, 'G21', 3);
        here = 'two';
        open.add('one');
        expect(await readDraft(1, 7)).toBeNull();
        await keepDraft(1, 7, 'G20', 3);
        open.delete('one');
        expect((await readDraft(1, 7))?.text).toBe('G20');
        await dropDraft(1, 7);
        expect((await readDraft(1, 7))?.text).toBe('G21');
        // Now it is this one's, and no other tab finds it.
        open.add('two');
        here = 'three';
        expect(await readDraft(1, 7)).toBeNull();
    });

    it('goes to the other storage where the quick one is full, and says where none takes it', async () => {
        const store = localStorage.setItem.bind(localStorage);
        vi.stubGlobal('localStorage', { ...localStorage, getItem: (name: string) => kept.get(name) ?? null,
        removeItem: (name: string) => kept.delete(name), setItem: (
            name: string, value: string,
        ) => {
            if (value.length > 20) throw new DOMException('full', 'QuotaExceededError');
            store(name, value);
        } });
        await keepDraft(1, 7, 'G21 G17 G90 G94 G40 G49', 3);
        expect((await readDraft(1, 7))?.text).toBe('G21 G17 G90 G94 G40 G49');
        longOnes.set = () => {
            throw new DOMException('full', 'QuotaExceededError');
        };
        await expect(keepDraft(1, 7, 'G21 G17 G90 G94 G40 G49 G80', 3)).rejects.toThrow();
    });

    it.each(['', '{', '{"text": 5}', '{"text": "G21"}', 'null', '"elsewhere"'])('is none where what is kept cannot be read: %s', async (text) => {
        kept.set('oak-draft:1:7:one', text);
        expect(await readDraft(1, 7)).toBeNull();
    });
});
