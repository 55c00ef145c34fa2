import { router } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useRef, useState } from 'react';
import { usePerson } from './Frame';

/** A button that takes a file and sends it; what the server has against it stands beside the button. */
export function BringIn({ url, label, accept }: { url: string; label: string; accept: string }) {
    const input = useRef<HTMLInputElement>(null);
    const [refusal, setRefusal] = useState<string | null>(null);
    if (!usePerson().mayChange) return null;
    const take = (file: File) => {
        setRefusal(null);
        router.post(url, { file }, { forceFormData: true, onError: (errors) => setRefusal(errors.file ?? 'The file was not taken.') });
        if (input.current) input.current.value = '';
    };
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5 }}>
            {refusal !== null && <Box role="alert" sx={{ color: 'error.main', fontSize: 14 }}>{refusal}</Box>}
            <input ref={input} type="file" accept={accept} hidden onChange={(event) => event.target.files?.[0] && take(event.target.files[0])} />
            <Button onClick={() => input.current?.click()}>{label}</Button>
        </Box>
    );
}
