/** A body as the server makes it. */
export function packed(head: object, columns: Record<string, [type: string, values: ArrayBufferView]>): ArrayBuffer {
    let at = 0;
    const places: Record<string, [string, number, number]> = {};
    for (const [name, [type, values]] of Object.entries(columns)) {
        places[name] = [type, at, (values as Uint8Array).length];
        at += Math.ceil(values.byteLength / 8) * 8;
    }
    const bare = new TextEncoder().encode(JSON.stringify({ ...head, columns: places }));
    const json = new Uint8Array(Math.ceil((bare.length + 8) / 8) * 8 - 8).fill(32);
    json.set(bare);
    const body = new Uint8Array(8 + json.length + at);
    body.set(new TextEncoder().encode('OAKC'));
    new DataView(body.buffer).setUint32(4, json.length, true);
    body.set(json, 8);
    for (const [name, [, values]] of Object.entries(columns))
        body.set(new Uint8Array(values.buffer, values.byteOffset, values.byteLength), 8 + json.length + (places[name]?.[1] ?? 0));
    return body.buffer;
}
