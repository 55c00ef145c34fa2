import { useForm } from '@inertiajs/react';
import { Letter } from './Letter';

/** The first start: nobody is in the shop yet. */
export default function FirstLead() {
    const form = useForm<Record<string, string>>({ name: '', email: '', password: '', password_confirmation: '' });
    return (
        <Letter
            title="The first lead" says="Nobody is in this shop yet. Whoever begins is its lead: leads invite the others." submit="Begin"
            fields={[
                { name: 'name', label: 'Name', type: 'text', auto: 'name' }, { name: 'email', label: 'E-mail', type: 'email', auto: 'username' },
                { name: 'password', label: 'Password', type: 'password', auto: 'new-password' },
                { name: 'password_confirmation', label: 'Password again', type: 'password', auto: 'new-password' },
            ]}
            data={form.data} errors={form.errors} isSending={form.processing} onSet={(name, value) => form.setData(name, value)}
            onSubmit={() => form.post('/first-lead')}
        />
    );
}
