type Json = string | number | boolean | null | Json[] | { [key: string]: Json | undefined };

/** A document with the value at a dotted path changed; `undefined` takes the field out. Nothing else is touched. */
export function withValue<Document>(document: Document, path: string, value: unknown): Document {
    return change(document as unknown as Json, path.split('.'), value as Json) as unknown as Document;
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
