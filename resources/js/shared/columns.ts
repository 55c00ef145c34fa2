type Place = [type: string, at: number, count: number];

/** Arrays laid over a body of packed columns, none of them copied. A column that is not there is empty. */
export class Columns {
    constructor(
        readonly body: ArrayBuffer,
        private readonly start: number,
        private readonly places: Record<string, Place>,
    ) {}

    has(name: string): boolean {
        return name in this.places;
    }

    u8 = (name: string): Uint8Array => new Uint8Array(...this.at(name, 'u8'));

    u16 = (name: string): Uint16Array => new Uint16Array(...this.at(name, 'u16'));

    u32 = (name: string): Uint32Array => new Uint32Array(...this.at(name, 'u32'));

    f32 = (name: string): Float32Array => new Float32Array(...this.at(name, 'f32'));

    f64 = (name: string): Float64Array => new Float64Array(...this.at(name, 'f64'));

    /** Those whose names begin so, by the rest of their names. */
    within(prefix: string): Columns {
        return new Columns(
            this.body,
            this.start,
            Object.fromEntries(
                Object.entries(this.places)
                    .filter(([name]) => name.startsWith(prefix))
                    .map(([name, place]) => [name.slice(prefix.length), place]),
            ),
        );
    }

    private at(name: string, type: string): [ArrayBuffer, number, number] {
        const place = this.places[name];
        if (place === undefined) return [new ArrayBuffer(0), 0, 0];
        if (place[0] !== type) throw new Error(`The column ${name} is ${place[0]}, not ${type}.`);
        return [this.body, this.start + place[1], place[2]];
    }
}

/** Takes apart a body of packed columns, see the core's PackedColumns: the head, with the columns in it. */
export function unpack<Head extends { columns: Columns }>(body: ArrayBuffer): Head {
    const view = new DataView(body);
    if (body.byteLength < 8 || view.getUint32(0, true) !== 0x434b414f) throw new Error('The answer is no body of packed columns.');
    const start = 8 + view.getUint32(4, true);
    const head = JSON.parse(new TextDecoder().decode(new Uint8Array(body, 8, start - 8))) as Record<string, unknown> & { columns: Record<string, Place> };
    return { ...head, columns: new Columns(body, start, head.columns) } as unknown as Head;
}
