export interface RevisionRow {
    number: number;
    by: string;
    at: string;
    reason: string;
}
