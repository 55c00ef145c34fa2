import { router, usePage } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useRef, useState } from 'react';
import { usePerson } from './person';

/** A button that takes a file and sends it; what the server has against it stands beside the button. */
export function BringIn({ url, label, accept }: { url: string; label: string; accept?: string }) {
    const input = useRef<HTMLInputElement>(null);
    const { largestFile } = usePage<{ largestFile: number }>().props;
    const [refusal, setRefusal] = useState<string | null>(null);
    /** A file whose machine is another than the shop's of that name, until somebody says which counts. */
    const [asks, setAsks] = useState<File | null>(null);
    if (!usePerson().mayChange) return null;
    const take = (file: File, shopMachine = false) => {
        if (input.current) input.current.value = '';
        if (file.size > largestFile)
            return setRefusal(`${file.name} is larger than ${Math.floor(largestFile / 1024 / 1024)} MB, the largest file allowed. Nothing was sent.`);
        setRefusal(null);
        setAsks(null);
        router.post(url, { file, ...(shopMachine ? { shopMachine: true } : {}) }, {
            forceFormData: true,
            onError: (errors) => {
                setRefusal(errors.machine ?? errors.file ?? 'The file was not imported.');
                setAsks(errors.machine === undefined ? null : file);
            },
        });
    };
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5 }}>
            {refusal !== null && <Box role="alert" sx={{ color: 'error.main', fontSize: '0.875rem' }}>{refusal}</Box>}
            <input ref={input} type="file" accept={accept ?? ''} hidden onChange={(event) => event.target.files?.[0] && take(event.target.files[0])} />
            {asks !== null && <Button variant="contained" onClick={() => take(asks, true)}>Use the shop’s machine</Button>}
            <Button onClick={() => input.current?.click()}>{label}</Button>
        </Box>
    );
}
