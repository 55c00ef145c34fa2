import { expect, it } from 'vitest';
import { RunCursor } from './runCursor';

it('says where the run is at once, and tells whoever listens', () => {
    const run = new RunCursor();
    let told = 0;
    const leave = run.subscribe(() => { told++; });
    expect([run.moment, run.line]).toEqual([null, 1]);
    run.to({ row: 3, share: 0.5 });
    run.atLine(7);
    expect([run.moment, run.line, told]).toEqual([{ row: 3, share: 0.5 }, 7, 2]);
    leave();
    run.to(null);
    expect(told).toBe(2);
});
