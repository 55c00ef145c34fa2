import { Head } from '@inertiajs/react';
import { Box, Button, TextField } from '@mui/material';
import type { FormEvent, ReactNode } from 'react';

interface FieldRow {
    name: string;
    label: string;
    type: 'text' | 'email' | 'password';
    auto: string;
}

interface Props {
    title: string;
    says: ReactNode;
    fields: FieldRow[];
    data: Record<string, string>;
    errors: Partial<Record<string, string>>;
    isSending: boolean;
    submit: string;
    onSet: (name: string, value: string) => void;
    onSubmit: () => void;
}

/** A sheet with one form on it, for whoever is not signed in. */
export function Letter({ title, says, fields, data, errors, isSending, submit, onSet, onSubmit }: Props) {
    return (
        <Box sx={{ minHeight: '100%', p: 3, display: 'grid', placeItems: 'center' }}>
            <Head title={title} />
            <Box
                component="form" noValidate aria-label={title}
                onSubmit={(event: FormEvent) => {
                    event.preventDefault();
                    onSubmit();
                }}
                sx={{ border: '2px solid var(--frame)', background: 'var(--sheet)', p: 3, width: '28rem', maxWidth: '100%', display: 'grid', gap: 2 }}
            >
                <Box component="h1" sx={{ m: 0, fontSize: '1.375rem' }}>{title}</Box>
                <Box>{says}</Box>
                {fields.map(({ name, label, type, auto }, i) => (
                    <TextField
                        key={name} label={label} type={type} name={name} autoComplete={auto} autoFocus={i === 0} value={data[name] ?? ''}
                        error={errors[name] !== undefined} helperText={errors[name]} onChange={(event) => onSet(name, event.target.value)}
                    />
                ))}
                <Button type="submit" variant="contained" disabled={isSending} sx={{ minHeight: 40 }}>{submit}</Button>
            </Box>
        </Box>
    );
}
