import { createInertiaApp } from '@inertiajs/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { setZone } from './shared/numbers';
import { ErrorBoundary } from './shared/ErrorBoundary';
import { keepFocus } from './shared/focusKeeper';
import { AppearanceProvider } from './theme/Appearance';
import './theme/base.css';

// Without a connection questions are asked all the same, so that whoever asks is told that nobody answers.
const queries = new QueryClient({
    defaultOptions: {
        // An answer is forgotten with the screen that asked: a machine, a profile or a called program changed elsewhere may have overtaken it.
        queries: { retry: 1, refetchOnWindowFocus: false, staleTime: Infinity, gcTime: 0, networkMode: 'always' },
        mutations: { networkMode: 'always' },
    },
});
const pages = import.meta.glob<{ default: ComponentType }>([
    './sign-in/{SignIn,FirstLead,Forgotten,ChoosePassword}.tsx',
    './people/{People,Account}.tsx',
    './parts/Parts.tsx',
    './bench/Bench.tsx',
    './setup/SetupPage.tsx',
    './profiles/ProfilesPage.tsx',
    './compare/Compare.tsx',
    './machine/AtMachine.tsx',
    './logbook/Logbook.tsx',
    './bin/Bin.tsx',
    './touching-off/TouchingOff.tsx',
    './tools/ToolCrib.tsx',
    './machines/Machines.tsx',
]);

void createInertiaApp({
    title: (title) => (title === '' ? 'Oak Trace' : `${title} · Oak Trace`),
    resolve: async (name) => {
        const page = pages[`./${name}.tsx`];
        if (page === undefined) throw new Error(`There is no screen ${name}.`);
        return page();
    },
    setup({ el, App, props }) {
        setZone((props.initialPage.props as { timeZone?: string }).timeZone);
        keepFocus(document.body);
        createRoot(el).render(
            <QueryClientProvider client={queries}>
                <AppearanceProvider>
                    <ErrorBoundary>
                        <App {...props} />
                    </ErrorBoundary>
                </AppearanceProvider>
            </QueryClientProvider>,
        );
    },
    progress: false,
});
