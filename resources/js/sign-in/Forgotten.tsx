import { useForm } from '@inertiajs/react';
import { Letter } from './Letter';

/** Asks for an address under which a new password is chosen. */
export default function Forgotten() {
    const form = useForm<Record<string, string>>({ email: '' });
    return (
        <Letter
            title="Forgotten password" says="A letter goes to your e-mail, with an address under which you choose a new password." submit="Send the letter"
            fields={[{ name: 'email', label: 'E-mail', type: 'email', auto: 'username' }]} data={form.data} errors={form.errors} isSending={form.processing}
            onSet={(name, value) => form.setData(name, value)} onSubmit={() => form.post('/forgotten-password')}
        />
    );
}
