/** A change of text the core can make, and what it wants to know. */
export interface TextTransform {
    name: string;
    title: string;
    fields: TransformField[];
}

export interface TransformField {
    name: string;
    label: string;
    default: string | number | null;
    /** Value and words; none where a number is wanted. */
    choices: Record<string, string> | [];
    isOptional: boolean;
}

export type Values = Record<string, string>;

export const defaults = (transform: TextTransform): Values =>
    Object.fromEntries(transform.fields.map((field) => [field.name, field.default === null ? '' : String(field.default)]));

export const isChoice = (field: TransformField): boolean => !Array.isArray(field.choices);

/** Whether everything that must be said is a number, so that it is worth asking. */
export function isComplete(transform: TextTransform, values: Values): boolean {
    return transform.fields.every((field) => {
        const value = (values[field.name] ?? '').trim();
        return isChoice(field) || (value === '' ? field.isOptional : Number.isFinite(Number(value)));
    });
}
