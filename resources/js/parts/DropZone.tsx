import { router, usePage } from '@inertiajs/react';
import { Box } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { usePerson } from '../frame/person';

/** Takes program files that are dropped on it, one, many or a zip. */
export function DropZone({ url, children }: { url: string; children: ReactNode }) {
    const { largestFile } = usePage<{ largestFile: number }>().props;
    const person = usePerson();
    const [isOver, setOver] = useState(false);
    const [refusal, setRefusal] = useState<string | null>(null);
    if (!person.mayChange) return children;
    const take = (files: File[]) => {
        const large = files.find(({ size }) => size > largestFile);
        if (large !== undefined)
            return setRefusal(`${large.name} is larger than ${Math.floor(largestFile / 1024 / 1024)} MB, the largest file allowed. Nothing was sent.`);
        setRefusal(null);
        router.post(url, { files }, {
            forceFormData: true,
            onError: (errors) => setRefusal(Object.values(errors)[0] ?? 'The files were not imported.'),
        });
    };
    return (
        <Box
            data-drop={url}
            sx={isOver ? { outline: '2px dashed var(--oak)', outlineOffset: '-2px' } : undefined}
            onDragOver={(event) => {
                if (!event.dataTransfer.types.includes('Files')) return;
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={(event) => {
                if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
            }}
            onDrop={(event) => {
                event.preventDefault();
                setOver(false);
                const files = [...event.dataTransfer.files];
                if (files.length > 0) take(files);
            }}
        >
            {refusal !== null && <Box role="alert" sx={{ color: 'error.main', px: 2, py: 0.5, fontSize: '0.875rem' }}>{refusal}</Box>}
            {children}
        </Box>
    );
}
