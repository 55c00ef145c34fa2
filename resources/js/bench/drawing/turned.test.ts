import { describe, expect, it } from 'vitest';
import { light } from '../../theme/inks';
import { testMotion, testScene } from '../testing/motion.test.fixture';
import { AIR, DASHED } from './ink';
import { piecesOf } from './turned';

describe('the run in depth', () => {
    const pieces = (mask: Uint8Array | null, wanted: (inkClass: number) => boolean) => piecesOf(testMotion(), testScene(), light, mask, wanted);

    it('has the pieces of the drawn path, each from where the one before it ended', () => {
        const { places, colours } = pieces(null, (inkClass) => inkClass < AIR);
        expect([...places.subarray(0, 12)]).toEqual([-20, 0, 25, -20, 0, -4, -20, 0, -4, 0, 0, -4]);
        expect(places).toHaveLength(4 * 6);
        expect(colours).toHaveLength(places.length);
        expect([...pieces(null, (inkClass) => inkClass === DASHED).places]).toEqual([20, 0, -4, 20, 0, 25]);
    });

    it('leaves out what is hidden and pales what is dimmed', () => {
        const { places, colours } = pieces(new Uint8Array([1, 0, 2, 1, 1]), (inkClass) => inkClass < AIR);
        expect(places).toHaveLength(3 * 6);
        expect(colours[0]).toBeGreaterThan(colours[6] ?? 1);
    });
});
