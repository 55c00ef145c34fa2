import { expect, it } from 'vitest';
import { unpack, type Columns } from '../../../shared/columns';
import { packed } from '../../../shared/columns.test.fixture';
import { offOf } from './wanted';

it('shows what is off beyond its tolerance as a share of the most', () => {
    const { columns } = unpack<{ columns: Columns }>(packed({}, { map: ['f32', Float32Array.of(0, 0.0625, 1, -4, NaN)] }));
    const off = offOf({ columns, tolerance: 0.125 });
    expect([0, 1, 2, 3, 4].map(off)).toEqual([0, 0, 0.25, -1, NaN]);
});
