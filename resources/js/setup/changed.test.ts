import { expect, it } from 'vitest';
import { withValue } from '../shared/path';
import { changesBetween } from './changed';
import type { SetupDocument } from './document';

const setup: SetupDocument = { format: 'oak-setup/1', units: 'mm', workOffsets: { G54: { X: 1 } }, tools: [{ number: 1 }], material: 'brass' };

it('tells what of a document was changed, and what is gone', () => {
    expect(changesBetween(setup, withValue(setup, 'workOffsets.G54.X', 2))).toEqual({ changes: { workOffsets: { G54: { X: 2 } } }, removed: [] });
    expect(changesBetween(setup, withValue(setup, 'material', undefined))).toEqual({ changes: {}, removed: ['material'] });
    expect(changesBetween(setup, setup)).toEqual({ changes: {}, removed: [] });
});
