type Json = string | number | boolean | null | Json[] | { [key: string]: Json | undefined };

/** The keys of a dotted path. The further work offsets have a point in their name: G54.1P3. */
function keysOf(path: string): string[] {
    return path.match(/G5\d\.1P\d+|[^.]+/g) ?? [];
}

/** A document with the value at a dotted path changed; `undefined` takes the field out. Nothing else is touched. */
export function withValue<Document>(document: Document, path: string, value: unknown): Document {
    return change(document as unknown as Json, keysOf(path), value as Json) as unknown as Document;
}

function change(node: Json | undefined, [key, ...rest]: string[], value: Json | undefined): Json {
    if (key === undefined) return value ?? null;
    if (Array.isArray(node)) {
        const next = [...node];
        if (rest.length === 0 && value === undefined) next.splice(Number(key), 1);
        else next[Number(key)] = change(next[Number(key)], rest, value);
        return next;
    }
    const fields = (node ?? {}) as Record<string, Json | undefined>;
    if (rest.length === 0 && value === undefined) return Object.fromEntries(Object.entries(fields).filter(([name]) => name !== key));
    return { ...fields, [key]: change(fields[key], rest, value) };
}
