import { Component, type ReactNode } from 'react';

/** Where a screen falls over: what happened, that nothing typed is lost, and the way on, instead of an empty page. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { error: Error | null }> {
    override state: { error: Error | null } = { error: null };

    static getDerivedStateFromError(error: Error) {
        return { error };
    }

    override render() {
        const { error } = this.state;
        if (error === null) return this.props.children;
        return (
            <main role="alert" style={{ maxWidth: 560, margin: '15vh auto', padding: 24 }}>
                <h1 style={{ fontSize: '1.25rem' }}>This screen could not be shown</h1>
                <p>
                    Unsaved changes are kept on this computer. Show the screen again; if it happens again, tell whoever maintains Oak Trace:{' '}
                    {error.message}
                </p>
                <button type="button" onClick={() => window.location.reload()}>Show it again</button>
            </main>
        );
    }
}
