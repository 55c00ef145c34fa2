import { expect, it } from 'vitest';
import { base64Of, heightsOf, solidOf } from './files';

it('holds a file in base64, however long', async () => {
    const bytes = Uint8Array.from({ length: 70_000 }, (_, n) => n % 251);
    const text = await base64Of(new File([bytes], 'blank.stl'));
    expect(Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0))).toEqual(bytes);
});

it('reads rows of heights, and refuses what is none', () => {
    expect(heightsOf('0 1.5, -2\r\n3;-;4\n')).toEqual([[0, 1.5, -2], [3, null, 4]]);
    expect([heightsOf('1 2\n3 x'), heightsOf(''), heightsOf('  \n')]).toEqual([null, null, null]);
});

it('takes a solid, and says so where it is too large', async () => {
    expect(await solidOf(new File(['solid'], 'blank.stl'))).toEqual({ name: 'blank.stl', stl: 'c29saWQ=' });
    expect(await solidOf({ name: 'huge.stl', size: 6_000_001 } as File)).toBe('huge.stl is larger than 6 MB. Save it with fewer triangles.');
});
