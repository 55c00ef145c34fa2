import { describe, expect, it } from 'vitest';
import { changed, type Entry } from './entries';

const entry = (parts: Partial<Entry>): Entry => ({ id: 1, kind: 'setup', by: 'M. Hollow', at: '', subject: '', field: 'H2', was: null, is: null, ...parts });

describe('an entry of the logbook', () => {
    it.each([
        [{ was: '-250.04', is: '-250.4' }, 'H2: -250.04 → -250.4'],
        [{ is: '12' }, 'H2: 12 (new)'],
        [{ was: '12' }, 'H2: 12 removed'],
        [{ kind: 'proof' as const, field: 'revision 3', is: 'proven' }, 'revision 3 proven'],
        [{ kind: 'sign-in' as const, field: 'from', is: '10.0.0.7' }, 'signed in from 10.0.0.7'],
        [{ kind: 'refused' as const, field: 'from' }, 'sign-in refused'],
        [{ kind: 'sign-out' as const }, 'signed out'],
        [{ kind: 'role' as const, field: 'role', was: 'learner', is: 'machinist' }, 'role: learner → machinist'],
    ])('says what was done: %o', (parts, words) => expect(changed(entry(parts))).toBe(words));
});
