import { Box, Button, LinearProgress } from '@mui/material';
import type { ReactNode } from 'react';
import { when } from '../shared/numbers';
import type { EditSession } from './useEditSession';
import type { RevisionRow } from './revision';
import { SavedSince } from './SavedSince';
import type { Check } from './useCheck';

interface Props {
    program: number;
    text: string;
    changed: boolean;
    base: number;
    savedRevision: number;
    /** When the typing was kept that is shown again; null where none is, empty where nobody knows. */
    restoredOf: string | null;
    /** Whether what is typed could not be kept on this computer. */
    unkept: boolean;
    editing: EditSession | null;
    newer: RevisionRow | null;
    check: Check;
    onDiscard: () => void;
    onKeep: () => void;
    onBase: (base: number) => void;
    onMerged: (text: string, base: number) => void;
}

/** What has to be known before going on: typing that was kept, others at work, a check that takes long. */
export function Notices(
    { program, text, changed, base, savedRevision, restoredOf, unkept, editing, newer, check, onDiscard, onKeep, onBase, onMerged }: Props,
) {
    return (
        <>
            {restoredOf !== null && (
                <Notice>
                    Unsaved changes to revision {base}{restoredOf === '' ? '' : ` of ${when(restoredOf)}`} have been restored.
                    <Button onClick={onDiscard}>Discard, show revision {savedRevision}</Button>
                    <Button onClick={onKeep}>Keep editing</Button>
                </Notice>
            )}
            {unkept && <Notice>This browser’s storage is full: changes are lost if the page is closed. Save a revision now, or copy the text.</Notice>}
            {editing !== null && editing.others.length > 0 && (
                <Notice>
                    {editing.others.map(({ name, since }) => `${name} has been editing this program since ${when(since)}`).join('; ')}. Nothing is
                    overwritten: whoever saves second is shown the difference.
                </Notice>
            )}
            {newer !== null && (
                <Notice>
                    {newer.by} saved revision {newer.number}, {when(newer.at)}{newer.reason === '' ? '' : `: ${newer.reason}`}. You are on revision {base}.
                    {changed
                        ? <SavedSince program={program} text={text} base={base} latest={newer.number} onBase={onBase} onMerged={onMerged} />
                        : <>
                            <Button component="a" href={`/programs/${program}/compare?from=${base}&to=${newer.number}`} target="_blank">Compare</Button>
                            <Button onClick={() => window.location.reload()}>Open revision {newer.number}</Button>
                        </>}
                </Notice>
            )}
            {check.share !== null && (
                <Notice>
                    {check.share === 0
                        ? `A long check. ${check.waits === '' ? 'Waiting to start.' : check.waits}`
                        : `A long check: ${Math.round(check.share * 100)} % done.`}
                    <LinearProgress variant="determinate" value={check.share * 100} aria-label="Share checked" sx={{ width: 220 }} />
                    <Button onClick={check.stop}>Stop the check</Button>
                </Notice>
            )}
            {check.error !== null && check.share === null && <Notice alert>{check.error.message}<Button onClick={check.again}>Check again</Button></Notice>}
        </>
    );
}

function Notice({ alert = false, children }: { alert?: boolean; children: ReactNode }) {
    return (
        <Box
            role={alert ? 'alert' : 'status'}
            sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'center',
                gap: 1,
                px: 2,
                py: 0.5,
                borderBottom: '1px solid var(--frame)',
                background: 'var(--pick)',
                color: alert ? 'error.main' : 'text.primary',
                fontWeight: 600,
            }}
        >
            {children}
        </Box>
    );
}
