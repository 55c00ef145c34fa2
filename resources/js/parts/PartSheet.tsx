import { Link } from '@inertiajs/react';
import { Box, Button } from '@mui/material';
import { BringIn } from '../frame/BringIn';
import { MoreMenu, type Action } from '../frame/MoreMenu';
import { usePerson } from '../frame/person';
import { DropZone } from './DropZone';
import type { Asked } from './forms';
import type { PartRow, SetupRow } from './list';
import { PlanSketch } from './PlanSketch';
import { ProgramLine } from './ProgramLine';

interface Props {
    part: PartRow;
    onAsk: (asked: Asked) => void;
    onCopy: () => void;
    onArchive: () => void;
    onDelete: (kind: 'part' | 'setup' | 'program', id: number, name: string) => void;
}

/** A part with its setups, and under each its programs. */
export function PartSheet({ part, onAsk, onCopy, onArchive, onDelete }: Props) {
    const { mayChange } = usePerson();
    const actions: Action[] = mayChange ? [
        { label: 'Edit…', act: () => onAsk({ what: 'edit-part', part }) },
        { label: 'Copy with its setups', act: onCopy },
        { label: part.isArchived ? 'Take out of the archive' : 'Archive', act: onArchive },
        { label: 'Delete', act: () => onDelete('part', part.id, part.name) },
    ] : [];
    return (
        <Box component="section" aria-label={part.name} sx={{ background: 'var(--sheet)', border: '1px solid var(--frame)' }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, px: 2, py: 0.75, borderBottom: '1px solid var(--frame)' }}>
                <Box component="h2" sx={{ m: 0, fontSize: '1.125rem' }}>{part.name}</Box>
                <Box className="mono" sx={{ fontSize: '0.875rem' }}>{part.drawingNumber}</Box>
                <Box sx={{ color: 'text.secondary' }}>
                    {part.material === null || part.material === '' ? 'material not specified' : part.material}, drawn in {part.units}
                </Box>
                <Box sx={{ ml: 'auto', display: 'flex', gap: 1, alignItems: 'center' }}>
                    {mayChange && <Button onClick={() => onAsk({ what: 'new-setup', part })}>New setup</Button>}
                    <BringIn url={`/parts/${part.id}/setups`} label="Import a setup" accept=".json,application/json" />
                    <MoreMenu of={part.name} actions={actions} />
                </Box>
            </Box>
            {part.setups.length === 0 && (
                <DropZone url={`/parts/${part.id}/programs`}>
                    <Box sx={{ px: 2, py: 1.5, display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5 }}>
                        No setup yet: {mayChange ? 'make one, import a setup file, or begin with a program.' : 'a machinist makes one.'}
                        <BringIn url={`/parts/${part.id}/programs`} label="Setup from a program" />
                    </Box>
                </DropZone>
            )}
            {part.setups.map((setup) => (
                <Box key={setup.id} sx={{ '& + &': { borderTop: '1px solid var(--hair)' } }}>
                    <DropZone url={`/setups/${setup.id}/programs`}><Setup part={part} setup={setup} onAsk={onAsk} onDelete={onDelete} /></DropZone>
                </Box>
            ))}
        </Box>
    );
}

/** What of a program can be taken along. */
const takenOut = (program: number): Action[] => [
    ['Download for the control', 'file'], ['Download the trace', 'trace'], ['Download the path as DXF', 'dxf'],
].map(([label = '', what = '']) => ({ label, act: () => window.location.assign(`/programs/${program}/${what}`) }));

function Setup({ part, setup, onAsk, onDelete }: { part: PartRow; setup: SetupRow } & Pick<Props, 'onAsk' | 'onDelete'>) {
    const { mayChange } = usePerson();
    const actions: Action[] = mayChange ? [
        { label: 'New program…', act: () => onAsk({ what: 'new-program', setup }) },
        { label: 'New operation sheet…', act: () => onAsk({ what: 'new-sheet', setup }) },
        { label: 'Rename, renumber, move…', act: () => onAsk({ what: 'edit-setup', part, setup }) },
        { label: 'Copy…', act: () => onAsk({ what: 'copy-setup', part, setup }) },
        { label: 'Delete', act: () => onDelete('setup', setup.id, `${part.name}, op ${setup.operation}`) },
    ] : [];
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'auto minmax(10rem, 1fr) minmax(0, 3.2fr)', columnGap: 2, px: 2, py: 1, alignItems: 'start' }}>
            <PlanSketch sketch={setup.programs.find(({ sketch }) => sketch !== null)?.sketch ?? null} of={`${part.name}, op ${setup.operation}`} />
            <Box sx={{ minWidth: 0 }}>
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
                    <Box sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>op {setup.operation}</Box>
                    <MoreMenu of={`op ${setup.operation} ${setup.name}`} actions={actions} />
                </Box>
                <Link href={`/setups/${setup.id}`} style={{ overflowWrap: 'anywhere' }}>{setup.name}</Link>
                <Box sx={{ color: 'text.secondary' }}>{setup.machine}</Box>
            </Box>
            <Box sx={{ minWidth: 0 }}>
                {setup.programs.map((program) => (
                    <ProgramLine
                        key={program.id} program={program}
                        actions={[...takenOut(program.id), ...(mayChange ? [
                            { label: 'Rename or move…', act: () => onAsk({ what: 'edit-program', setup, program }) },
                            { label: 'Copy…', act: () => onAsk({ what: 'copy-program', setup, program }) },
                            { label: 'Delete', act: () => onDelete('program', program.id, program.name) },
                        ] : [])]}
                    />
                ))}
                {setup.programs.length === 0 && (
                    <Box sx={{ display: 'flex', gap: 1, pt: 0.5 }}>
                        {mayChange && <Button onClick={() => onAsk({ what: 'new-program', setup })}>New program</Button>}
                        {mayChange && <Button onClick={() => onAsk({ what: 'new-sheet', setup })}>New operation sheet</Button>}
                        <BringIn url={`/setups/${setup.id}/programs`} label="Import a program" />
                    </Box>
                )}
            </Box>
        </Box>
    );
}
