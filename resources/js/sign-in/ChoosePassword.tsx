import { useForm } from '@inertiajs/react';
import { Letter } from './Letter';

/** Where somebody who was invited, or has forgotten theirs, chooses a password. */
export default function ChoosePassword({ token, email }: { token: string; email: string }) {
    const form = useForm<Record<string, string>>({ token, email, password: '', password_confirmation: '' });
    return (
        <Letter
            title="Choose a password" says={<>
                For <b>{email}</b>. Ten characters or more.{form.errors.email !== undefined && <p role="alert">{form.errors.email}</p>}
            </>}
            submit="Choose it"
            fields={[
                { name: 'password', label: 'Password', type: 'password', auto: 'new-password' },
                { name: 'password_confirmation', label: 'Password again', type: 'password', auto: 'new-password' },
            ]}
            data={form.data} errors={form.errors} isSending={form.processing} onSet={(name, value) => form.setData(name, value)}
            onSubmit={() => form.post('/password')}
        />
    );
}
