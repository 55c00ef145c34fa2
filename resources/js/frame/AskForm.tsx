import { Box, Button, Dialog, MenuItem, TextField } from '@mui/material';
import { useState, type FormEvent, type ReactNode } from 'react';
import { ServerError, send } from '../shared/server';

type Value = string | number;

export interface AskField {
    name: string;
    label: string;
    value?: Value;
    /** Chosen from a list. */
    choices?: { value: Value; label: string }[];
    /** A whole number. */
    whole?: boolean;
    /** Several lines, such as a program. */
    lines?: boolean;
    help?: string;
    type?: 'password' | 'email';
}

interface Props<Answer> {
    title: string;
    fields: AskField[];
    /** The act, on its button. */
    submit: string;
    method: 'POST' | 'PUT';
    url: string;
    /** What is sent besides the fields. */
    also?: Record<string, unknown>;
    children?: ReactNode;
    onDone: (answer: Answer) => void;
    onClose: () => void;
}

/** A few questions in a dialog; what the server has against an answer stands at its field, and nothing typed is lost. */
export function AskForm<Answer>({ title, fields, submit, method, url, also = {}, children, onDone, onClose }: Props<Answer>) {
    const [values, setValues] = useState<Record<string, Value>>(() => Object.fromEntries(fields.map(({ name, value }) => [name, value ?? ''])));
    const [refusal, setRefusal] = useState<ServerError | null>(null);
    const [isSending, setSending] = useState(false);
    const take = async (event: FormEvent) => {
        event.preventDefault();
        setSending(true);
        setRefusal(null);
        const typed = Object.fromEntries(fields.map(({ name, whole }) => {
            const value = values[name] ?? '';
            return [name, whole && /^\d+$/.test(String(value).trim()) ? Number(value) : value];
        }));
        try {
            onDone(await send<Answer>(method, url, { ...typed, ...also }));
        } catch (error) {
            if (!(error instanceof ServerError)) throw error;
            setRefusal(error);
            setSending(false);
        }
    };
    const isUnplaced = refusal !== null && !fields.some(({ name }) => refusal.fields[name] !== undefined);
    const isWide = fields.some(({ lines }) => lines);
    return (
        <Dialog open onClose={onClose} aria-labelledby="ask-title" maxWidth={false} disableRestoreFocus={false}>
            <Box
                component="form" noValidate onSubmit={(event: FormEvent) => void take(event)}
                sx={{ p: 2.5, width: isWide ? '44rem' : '26rem', maxWidth: '100%', display: 'grid', gap: 1.5 }}
            >
                <Box component="h2" id="ask-title" sx={{ m: 0, fontSize: '1.125rem' }}>{title}</Box>
                {fields.map((field, i) => (
                    <TextField
                        key={field.name} label={field.label} value={values[field.name]} autoFocus={i === 0} size="small" select={field.choices !== undefined}
                        multiline={field.lines === true} minRows={10} maxRows={18} type={field.type ?? 'text'}
                        error={refusal?.fields[field.name] !== undefined} helperText={refusal?.fields[field.name] ?? field.help}
                        onChange={(event) => setValues((before) => ({ ...before, [field.name]: event.target.value }))}
                        slotProps={{
                            htmlInput: {
                                name: field.name, spellCheck: false, ...(field.lines === true && { className: 'mono' }),
                                ...(field.type === 'password' && { autoComplete: 'new-password' }),
                            },
                        }}
                    >
                        {field.choices?.map(({ value, label }) => <MenuItem key={value} value={value}>{label}</MenuItem>)}
                    </TextField>
                ))}
                {children}
                {isUnplaced && <Box role="alert" sx={{ color: 'error.main' }}>{refusal.message}</Box>}
                <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                    <Button onClick={onClose}>Cancel</Button>
                    <Button type="submit" variant="contained" disabled={isSending}>{submit}</Button>
                </Box>
            </Box>
        </Dialog>
    );
}
