/** What stands of a document at the server, and what is still on its way. */
export interface SavesState {
    /** Changes made that the server has not stored yet. */
    waiting: number;
    /** Why the last try was not taken; null where it was. */
    refusal: unknown;
}

/**
 * Sends changes of one document one request at a time: what is changed while one is under way goes out joined with the next. What the
 * server refuses stays as it was typed, and goes out again with the next change.
 */
export class JoinedSaves<Document> {
    private latest: Document;
    private changes = 0;
    private underWay: Promise<void> | null = null;
    private refusal: unknown = null;

    constructor(first: Document, private readonly put: (document: Document) => Promise<void>, private readonly tell: (state: SavesState) => void) {
        this.latest = first;
    }

    /** The document with every change made so far, sent or not. */
    get current(): Document {
        return this.latest;
    }

    get state(): SavesState {
        return { waiting: this.changes, refusal: this.refusal };
    }

    change(document: Document): void {
        this.latest = document;
        this.changes++;
        this.tell(this.state);
        this.underWay ??= this.send();
    }

    /** Settles when nothing is under way any more; whether all of it was taken. */
    async settled(): Promise<boolean> {
        while (this.underWay !== null) await this.underWay;
        return this.changes === 0;
    }

    private async send(): Promise<void> {
        await Promise.resolve(); // changes of the same moment go out together
        while (this.changes > 0) {
            const [document, joined] = [this.latest, this.changes];
            try {
                await this.put(document);
                this.changes -= joined;
                this.refusal = null;
            } catch (error) {
                this.refusal = error;
                // Whatever came in meanwhile may mend it; the same once more would not.
                if (this.latest === document) break;
            }
            this.tell(this.state);
        }
        this.underWay = null;
        this.tell(this.state);
    }
}
