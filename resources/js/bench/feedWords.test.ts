import { expect, it } from 'vitest';
import { feedWords } from './feedWords';

it.each([
    ['a mill', 300, null, 'mm', '300.0 mm/min'],
    ['a lathe', 180, 1200, 'mm', '0.150 mm/rev, 180.0 mm/min at 1200 rev/min'],
    ['a lathe in inch', 6, 1500, 'inch', '0.0040 in/rev, 6.0 in/min at 1500 rev/min'],
    ['a lathe that stands', 40, 0, 'mm', '40.0 mm/min'],
] as const)('names the feed of %s', (_, feed, rpm, units, says) => {
    expect(feedWords({ feed: Float32Array.of(0, feed), rpm: rpm === null ? null : Float32Array.of(0, rpm) }, 1, { units })).toBe(says);
});
