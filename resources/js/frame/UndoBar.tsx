import { router, usePage } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { useEffect, useState } from 'react';
import { ServerError, send } from '../shared/server';

export interface Done {
    /** What was done: Hand hub deleted. */
    words: string;
    /** How it is undone. */
    undo?: () => Promise<unknown>;
}

const STAYS = 12_000;

/** What was just done, and its Undo; said by the screen, or by the server that sent the screen. */
export function UndoBar({ done, onGone }: { done: Done | null; onGone: () => void }) {
    const { notice } = usePage<{ notice: string | null }>().props;
    const [told, setTold] = useState<string | null>(notice);
    const [refusal, setRefusal] = useState<string | null>(null);
    useEffect(() => setTold(notice), [notice]);
    useEffect(() => {
        if (done === null) return;
        setRefusal(null);
        const timer = setTimeout(onGone, STAYS);
        return () => clearTimeout(timer);
    }, [done, onGone]);
    const undo = async () => {
        try {
            await done?.undo?.();
            onGone();
            router.reload();
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'It could not be undone.');
        }
    };
    const words = refusal ?? done?.words ?? told;
    if (words === null) return null;
    return (
        <Box
            role="status"
            sx={{
                position: 'fixed', bottom: 16, left: '50%', transform: 'translateX(-50%)', zIndex: 1200, display: 'flex', alignItems: 'center', gap: 2,
                background: 'var(--ink)', color: 'var(--sheet)', px: 2, py: 1, maxWidth: '90vw',
            }}
        >
            {words}
            {done?.undo !== undefined && refusal === null && (
                <Button onClick={() => void undo()} sx={{ color: 'inherit', borderColor: 'currentColor', '&:hover': { color: 'var(--ink)' } }}>Undo</Button>
            )}
            <Button
                variant="text" aria-label="Close" sx={{ color: 'inherit', px: 0.75, '&:hover': { color: 'var(--ink)' } }}
                onClick={() => {
                    setTold(null);
                    setRefusal(null);
                    onGone();
                }}
            >
                ✕
            </Button>
        </Box>
    );
}

/** Deletes a record, to be restored from the bin by Undo. */
export async function remove(kind: 'part' | 'setup' | 'program' | 'machine' | 'tool', id: number, name: string): Promise<Done> {
    await send('DELETE', `/${kind}s/${id}`);
    return { words: `${name} deleted.`, undo: () => send('POST', `/bin/${kind}/${id}`) };
}
