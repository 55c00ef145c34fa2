import { router } from '@inertiajs/react';
import { AskForm } from '../frame/AskForm';

/** A program that is written from an operation sheet; it opens on the bench. */
export function NewSheet({ setup, title, onClose }: { setup: number; title: string; onClose: () => void }) {
    return (
        <AskForm<{ id: number }>
            title={title} submit="Begin" method="POST" url={`/setups/${setup}/new-sheet`} onClose={onClose}
            fields={[
                { name: 'name', label: 'Name', value: '' },
                { name: 'number', label: 'Program number', value: '', whole: true, help: 'It can be left empty.' },
            ]}
            onDone={({ id }) => router.visit(`/programs/${id}`)}
        />
    );
}
