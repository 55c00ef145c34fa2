import type { Motion, Scene } from '../answer';

/** A small run for tests: a rapid to above the part, down, a cut across, an arc in two chords, and up again. */
export function testMotion(): Motion {
    const corners: [number, number, number, number][] = [
        [0, -20, 0, 25],
        [1, -20, 0, -4],
        [2, 0, 0, -4],
        [3, 10, 10, -4],
        [3, 20, 0, -4],
        [4, 20, 0, 25],
    ];
    const ends = corners.filter(([row], i) => corners[i + 1]?.[0] !== row);
    const real = (pick: (corner: [number, number, number, number]) => number) => Float32Array.from(ends.map(pick));
    const firstCorner = new Uint32Array([0, 1, 2, 3, 5, 6]);
    return {
        rows: 5,
        isStraight: false,
        line: new Uint32Array([4, 5, 6, 7, 8]),
        text: new Uint8Array([0, 0, 1, 1, 0]),
        textLine: new Uint32Array([4, 5, 2, 3, 8]),
        kind: new Uint8Array([0, 1, 1, 2, 0]),
        state: new Uint32Array(5),
        endSeconds: new Float64Array([1, 3, 7, 12, 13]),
        rpm: null, feed: new Float32Array([0, 100, 300, 300, 0]),
        x: real(([, x]) => x),
        y: real(([, , y]) => y),
        z: real(([, , , z]) => z),
        machine: {},
        firstCorner,
        cornerX: Float32Array.from(corners.map(([, x]) => x)),
        cornerY: Float32Array.from(corners.map(([, , y]) => y)),
        cornerZ: Float32Array.from(corners.map(([, , , z]) => z)),
        arcRow: new Uint32Array([3]),
        arcX: new Float32Array([10]),
        arcY: new Float32Array([0]),
        arcZ: new Float32Array([-4]),
        arcRadius: new Float32Array([10]),
        arcSweep: new Float32Array([-180]),
        arcNormal: new Uint8Array([2]),
        programmedX: new Float32Array(),
        programmedY: new Float32Array(),
        programmedZ: new Float32Array(),
        onPart: null,
        cuts: null,
    };
}

export function testScene(changes: Partial<Scene> = {}): Scene {
    return {
        units: 'mm',
        decimals: 3,
        axes: ['X', 'Y', 'Z'],
        diameters: [],
        work: 'G54',
        stock: { min: [-30, -15, -14], max: [30, 15, 0] },
        moreStock: [],
        obstacles: [],
        zero: { X: -400, Y: -200, Z: 0 },
        mayMove: {},
        clearance: 2,
        travel: { X: [-300, 400], Y: [-200, 210], Z: [-210, 250] },
        tools: { 1: { name: '10 end mill', diameter: 10, point: 0 } },
        turned: null,
        ...changes,
    };
}
