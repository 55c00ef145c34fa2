import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import { Frame } from '../frame/Frame';
import { when } from '../shared/numbers';
import { changed, type Entry } from './entries';

interface Props {
    setup: { id: number; title: string } | null;
    entries: Entry[];
    /** What the older entries come before; null where there are none. */
    older: number | null;
}

/** Who changed what, from what to what, and when: the newest first. */
export default function Logbook({ setup, entries, older }: Props) {
    const path = setup === null ? '/logbook' : `/setups/${setup.id}/logbook`;
    return (
        <Frame title="Logbook" where={<><b>Logbook</b>{setup !== null && <Link href={`/setups/${setup.id}`}>{setup.title}</Link>}</>}>
            <Box sx={{ height: '100%', overflow: 'auto', p: 3, pt: 2 }}>
                <Box component="h1" className="hidden-label">Logbook</Box>
                {entries.length === 0 && <Box>Nothing has changed yet.</Box>}
                {entries.length > 0 && (
                    <Box
                        component="table"
                        sx={{
                            width: '100%',
                            maxWidth: 1180,
                            borderCollapse: 'collapse',
                            background: 'var(--sheet)',
                            border: '1px solid var(--frame)',
                            '& th, & td': { textAlign: 'left', px: 1.5, py: 0.75, verticalAlign: 'baseline', borderTop: '1px solid var(--hair)' },
                            '& th': { borderTop: 0, fontWeight: 600 },
                        }}
                    >
                        <thead><tr><th>When</th><th>Who</th><th>Where</th><th>What</th></tr></thead>
                        <tbody>
                            {entries.map((entry) => (
                                <tr key={entry.id}>
                                    <td style={{ whiteSpace: 'nowrap' }}>{when(entry.at)}</td>
                                    <td style={{ whiteSpace: 'nowrap' }}>{entry.by === '' ? 'nobody signed in' : entry.by}</td>
                                    <td>{entry.subject}</td>
                                    <td>{changed(entry)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Box>
                )}
                {older !== null && <Box sx={{ mt: 2 }}><Link href={`${path}?before=${older}`}>Older entries</Link></Box>}
            </Box>
        </Frame>
    );
}
