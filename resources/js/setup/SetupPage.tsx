import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { UndoBar } from '../frame/UndoBar';
import { ObstacleTable } from '../machines/ObstacleTable';
import { NumberField } from '../shared/NumberField';
import { withValue } from '../shared/path';
import { ServerError, send } from '../shared/server';
import { Sheet } from '../shared/Sheet';
import type { FieldRow, Usuals } from '../tools/tool';
import { ChuckSheet } from './ChuckSheet';
import { FieldNotes } from './FieldNotes';
import { nearestField, notesOf, type FieldNote, type Fields } from './fields';
import { HoldingSheet, type MachineChoice } from './HoldingSheet';
import { Needs } from './Needs';
import { OffsetsSheet } from './OffsetsSheet';
import { LoweredSheet, RunSheet, SubprogramsSheet } from './RunSheet';
import { SetupPicture } from './SetupPicture';
import { StockSheet } from './StockSheet';
import { SupportSheet } from './SupportSheet';
import { ToolsSheet, type CribRow } from './ToolsSheet';
import { TurnedSizesSheet } from './TurnedSizesSheet';
import { savedWords, useSetup, type SetupRecord } from './useSetup';
import { VerdictAside, type ProgramRow } from './VerdictAside';
import { WantedSheet } from './WantedSheet';

interface Props {
    setup: SetupRecord;
    machines: MachineChoice[];
    programs: ProgramRow[];
    toolFields: FieldRow[];
    usuals: Usuals;
    crib: CribRow[];
}

const NOTHING = () => undefined;

/** Everything there is to one clamping. Every change is stored at once and every program checked again. */
export default function SetupPage({ setup, machines, programs: given, toolFields, usuals, crib }: Props) {
    const person = usePerson();
    const { now, version, saving, canUndo, change: put, undo } = useSetup(setup);
    const refusal = saving.refusal instanceof ServerError ? saving.refusal : saving.refusal === null ? null : new ServerError(String(saving.refusal), 0, {});
    // Verdicts are worked out on the side; until they are there, the list is asked for again.
    const { data: programs = given } = useQuery({
        queryKey: ['verdicts', setup.id, version],
        queryFn: ({ signal }) => send<ProgramRow[]>('GET', `/setups/${setup.id}/verdicts`, undefined, signal),
        initialData: version === setup.version ? given : undefined,
        placeholderData: (before) => before?.map((program) => ({ ...program, verdict: null })),
        refetchInterval: ({ state }) => (state.data?.some((program) => program.verdict === null) === false ? false : 700),
    });
    const { document } = now;
    const machine = machines.find(({ id }) => id === now.machineId);
    const axes = Object.keys(machine?.definition.axes ?? {});
    const isLathe = machine?.definition.kind === 'lathe';
    const rotary = axes.filter((axis) => 'ABC'.includes(axis.charAt(0)));
    /** Axes a clamp can turn with: those whose centre is given. */
    const turning = Object.keys({ ...machine?.definition.rotaryCenters, ...document.rotaryCenters });
    const unit = document.units === 'mm' ? 'mm' : 'in';
    const notes = useMemo(
        (): FieldNote[] => programs.flatMap(({ name, fields }) => fields.map((note) => ({ ...note, program: name }))), [programs],
    );
    const asked = useMemo(() => window.location.hash.slice(1), []);

    // A link from a finding names a field: go there, or to the nearest thing above it.
    useEffect(() => {
        const id = nearestField(asked, (one) => window.document.getElementById(one) !== null);
        const field = id === null ? null : window.document.getElementById(id);
        field?.scrollIntoView({ block: 'center' });
        field?.focus();
    }, [asked]);

    const change = (path: string, value: unknown) => put((standing) => ({ ...standing, document: withValue(standing.document, path, value) }));
    const fields: Fields = {
        unit, mayChange: person.mayChange, errors: refusal?.fields ?? {}, notes, change,
        field: (label, path, value, options = { unit }) => (
            <NumberField
                key={path} label={label} path={path} value={value} readOnly={!person.mayChange} error={refusal?.fields[path]}
                onChange={(next) => change(path, next)} {...options}
            />
        ),
    };
    const frames = [...new Set([document.stock?.workOffset ?? 'G54', ...Object.keys(document.workOffsets ?? {}), 'machine'])];
    const openedTool = /^tools\.(\d+)/.exec(asked)?.[1];

    return (
        <Frame title={`Setup ${setup.name}`} where={<Box><b>{setup.part}</b> · op {setup.operation} · {setup.name}</Box>}>
            <Box
                sx={{
                    height: '100%', minHeight: 0, display: 'grid',
                    gridTemplateColumns: { xs: 'minmax(0, 1fr) min(15rem, 27vw)', lg: 'minmax(0, 1fr) min(21rem, 27vw)' },
                }}
            >
                <Box sx={{ overflow: 'auto', p: 2, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2, alignContent: 'start' }}>
                    <Box component="h1" className="hidden-label">Setup</Box>
                    {person.mayChange && (
                        <Needs
                            setup={setup.id} version={`${version}/${programs.map(({ id, revision }) => `${id}.${revision}`).join(' ')}`} axes={axes}
                            onDocument={(next) => put((standing) => ({ ...standing, document: next(standing.document) }))}
                        />
                    )}
                    <HoldingSheet
                        setup={setup.id} document={document} fields={fields} machines={machines} machineId={now.machineId}
                        onMachine={(machineId) => put((standing) => ({ ...standing, machineId }))}
                        onDocument={(next) => put((standing) => ({ ...standing, document: next }))}
                    />
                    {isLathe && <ChuckSheet document={document} fields={fields} />}
                    {isLathe && <SupportSheet document={document} fields={fields} />}
                    <OffsetsSheet document={document} fields={fields} axes={axes} places={Object.keys(machine?.definition.places ?? {})} />
                    <ToolsSheet
                        document={document} fields={fields} toolFields={toolFields} usuals={usuals} crib={crib}
                        opened={openedTool === undefined ? null : Number(openedTool)} isLathe={isLathe}
                        onDocument={(next) => put((standing) => ({ ...standing, document: next(standing.document) }))}
                    />
                    <StockSheet document={document} fields={fields} isLathe={isLathe} />
                    {(!isLathe || (document.obstacles ?? []).length > 0) && (
                        <Sheet title="Fixtures and clamps" id="obstacles" note={`clamps and jaws, ${unit}; tools are taken at full diameter from the tip up`}>
                            <FieldNotes notes={notesOf(notes, 'obstacles', true)} />
                            <ObstacleTable
                                obstacles={document.obstacles ?? []} path="obstacles" unit={unit} readOnly={!person.mayChange} errors={fields.errors}
                                frames={frames}
                                turning={turning} field={fields.field} onChange={change}
                            />
                        </Sheet>
                    )}
                    {isLathe ? <TurnedSizesSheet document={document} fields={fields} /> : <WantedSheet document={document} fields={fields} />}
                    <RunSheet document={document} fields={fields} axes={axes} rotary={rotary} />
                    <SubprogramsSheet document={document} fields={fields} />
                    <LoweredSheet
                        lowered={[
                            ...(document.lowered ?? []).map((row) => ({ ...row, on: 'this setup' })),
                            ...(machine?.definition.lowered ?? []).map((row) => ({ ...row, on: 'this machine' })),
                        ]}
                    />
                </Box>
                <VerdictAside
                    setup={setup} programs={programs} refusal={refusal?.message ?? null} saved={savedWords(saving)}
                    lift={unit === 'mm' ? '100 mm' : '4 in'} isLathe={isLathe} canUndo={canUndo} onUndo={undo}
                >
                    {isLathe
                        ? document.stock !== undefined && (
                            // On white, as it is printed.
                            <Box
                                component="img" src={`/setups/${setup.id}/picture?version=${version}`} alt="The bar in its chuck"
                                sx={{ width: '100%', p: 0.5, background: '#fbf8ef' }}
                            />
                        )
                        : <SetupPicture document={document} mayChange={person.mayChange} onChange={change} />}
                </VerdictAside>
            </Box>
            <UndoBar done={null} onGone={NOTHING} />
        </Frame>
    );
}
