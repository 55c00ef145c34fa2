import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

function storage(): Storage {
    const kept = new Map<string, string>();
    return {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => void kept.set(key, value),
        removeItem: (key: string) => void kept.delete(key),
        clear: () => kept.clear(),
        key: () => null,
        get length() {
            return kept.size;
        },
    };
}

describe('a tab', () => {
    const leaving: (() => void)[] = [];
    let navigation = 'navigate';
    /** The module as a newly loaded page has it. */
    const page = async () => {
        vi.resetModules();
        return import('./tab');
    };
    beforeEach(() => {
        vi.useFakeTimers({ now: 1_000_000 });
        leaving.length = 0;
        navigation = 'navigate';
        vi.stubGlobal('sessionStorage', storage());
        vi.stubGlobal('localStorage', storage());
        vi.stubGlobal('performance', { getEntriesByType: () => [{ type: navigation }] });
        vi.stubGlobal('window', { addEventListener: (_: string, leave: () => void) => leaving.push(leave) });
    });
    afterEach(() => {
        vi.useRealTimers();
        vi.unstubAllGlobals();
    });

    it('keeps its name through a reload, and when it comes back to the shop', async () => {
        const name = (await page()).tab();
        expect(name).toMatch(/^[a-z0-9]+$/);
        navigation = 'reload';
        expect((await page()).tab()).toBe(name);
        leaving[0]?.();
        navigation = 'navigate';
        expect((await page()).tab()).toBe(name);
    });

    it('is another one where it was doubled from one that is still open', async () => {
        const first = await page();
        const name = first.tab();
        expect(first.isThere(name)).toBe(true);
        // The double has the same name in its own storage.
        const double = (await page()).tab();
        expect(double).not.toBe(name);
    });

    it('is there as long as it says so', async () => {
        const { tab, isThere } = await page();
        const name = tab();
        vi.advanceTimersByTime(60_000);
        expect(isThere(name)).toBe(true);
        const later = Date.now() + 16_000;
        vi.spyOn(Date, 'now').mockReturnValue(later);
        expect(isThere(name)).toBe(false);
        expect(isThere('another')).toBe(false);
    });

    it('is the only one where the browser keeps nothing', async () => {
        vi.stubGlobal('sessionStorage', undefined);
        expect((await page()).tab()).toBe('only');
    });
});
