/** A shorter text is its own key. */
const SHORT = 50_000;

/** Long texts met last, by their key. */
const long: { text: string; key: string }[] = [];
let count = 0;

/** What a text is known by to the queries, which write their keys out at every turn: a long text has a number. */
export function keyOf(text: string): string {
    if (text.length <= SHORT) return text;
    let known = long.find((other) => other.text === text);
    if (known === undefined) {
        known = { text, key: `text ${++count}` };
        long.push(known);
        if (long.length > 8) long.shift();
    }
    return known.key;
}
