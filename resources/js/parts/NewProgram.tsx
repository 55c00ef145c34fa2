import { router } from '@inertiajs/react';
import { AskForm } from '../frame/AskForm';

/** A program that is typed or pasted, or begun empty; it opens on the bench. */
export function NewProgram({ setup, title, onClose }: { setup: number; title: string; onClose: () => void }) {
    return (
        <AskForm<{ id: number }>
            title={title} submit="Create" method="POST" url={`/setups/${setup}/new-program`} onClose={onClose}
            fields={[
                { name: 'text', label: 'Program', value: '', lines: true, help: 'Type it or paste it. It can also be left empty and written on the bench.' },
                { name: 'name', label: 'Name', value: '', help: 'Empty: its program number.' },
            ]}
            onDone={({ id }) => router.visit(`/programs/${id}`)}
        />
    );
}
