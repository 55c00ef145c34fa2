import { usePage } from '@inertiajs/react';
import type { Settings } from '../settings/settings';

export interface Person {
    id: number;
    name: string;
    role: 'lead' | 'machinist' | 'learner';
    mayChange: boolean;
    settings: Settings;
}

export function usePerson(): Person {
    return usePage<{ user: Person }>().props.user;
}
