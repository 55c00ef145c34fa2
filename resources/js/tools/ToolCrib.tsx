import { router } from '@inertiajs/react';
import { Box, Button, TextField } from '@mui/material';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useCallback, useMemo, useRef, useState } from 'react';
import { BringIn } from '../frame/BringIn';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { UndoBar, remove, type Done } from '../frame/UndoBar';
import { Choice } from '../shared/Choice';
import { TextEntry } from '../shared/TextEntry';
import { ServerError, send } from '../shared/server';
import { Labelled } from '../shared/Sheet';
import { KINDS, kindWords, type Definition, type FieldRow, type Usuals } from './tool';
import { ToolDrawing } from './ToolDrawing';
import { ToolForm } from './ToolForm';

interface ToolRow {
    id: number;
    definition: Definition;
}

interface Props {
    tools: ToolRow[];
    units: 'mm' | 'inch';
    fields: FieldRow[];
    usuals: Usuals;
}

/** Columns of the grid besides name and kind; the rest stands in the form of the tool that is picked. */
const COLUMNS = ['diameter', 'cornerRadius', 'pointAngle', 'flutes', 'fluteLength', 'stickout', 'length', 'maxRpm', 'maxAxialDepth'];

/** The shop's tools: found, filtered and edited in a grid, each drawn in its holder. */
export default function ToolCrib({ tools: given, units, fields, usuals }: Props) {
    const person = usePerson();
    const unit = units === 'mm' ? 'mm' : 'in';
    const [tools, setTools] = useState(given);
    const [seen, setSeen] = useState(given);
    if (seen !== given) {
        setSeen(given);
        setTools(given);
    }
    const [picked, setPicked] = useState<number | null>(given[0]?.id ?? null);
    const [text, setText] = useState('');
    const [refusal, setRefusal] = useState<ServerError | null>(null);
    const [done, setDone] = useState<Done | null>(null);
    const gone = useCallback(() => setDone(null), []);
    const search = useRef<HTMLInputElement>(null);
    const tool = tools.find(({ id }) => id === picked) ?? null;

    const store = async (id: number, definition: Definition): Promise<ToolRow> => {
        setRefusal(null);
        const stored = await send<ToolRow>('PUT', `/tools/${id}`, { units, definition });
        setTools((before) => before.map((row) => (row.id === id ? stored : row)));
        return stored;
    };
    const refused = (error: unknown) => setRefusal(error instanceof ServerError ? error : new ServerError('The tool was not saved.', 0, {}));
    const change = (id: number, definition: Definition, changed: Partial<Record<string, unknown>>) => {
        const next = Object.fromEntries(Object.entries({ ...definition, ...changed }).filter(([, value]) => value !== undefined)) as unknown as Definition;
        store(id, next).catch(refused);
    };
    const create = async (definition: Definition) => {
        try {
            const made = await send<ToolRow>('POST', '/tools', { units, definition });
            setTools((before) => [...before, made]);
            setPicked(made.id);
        } catch (error) {
            refused(error);
        }
    };
    const drop = async ({ id, definition }: ToolRow) => {
        try {
            setDone(await remove('tool', id, definition.name ?? 'The tool'));
            router.reload();
        } catch (error) {
            refused(error);
        }
    };

    const words = text.toLowerCase().split(/\s+/).filter((word) => word !== '');
    const rows = tools
        .filter(({ definition }) => words.every((word) => `${definition.name ?? ''} ${kindWords(definition.kind ?? '')}`.toLowerCase().includes(word)))
        .map(({ id, definition }) => ({ ...definition, id }));
    const columns = useMemo((): GridColDef[] => [
        { field: 'name', headerName: 'Name', flex: 1.6, minWidth: 180, editable: person.mayChange },
        {
            field: 'kind', headerName: 'Kind', width: 130, editable: person.mayChange, type: 'singleSelect',
            valueOptions: KINDS.map((kind) => ({ value: kind, label: kindWords(kind) })),
        },
        ...COLUMNS.map((name): GridColDef => ({
            field: name, headerName: (fields.find(({ field }) => field === name)?.words ?? name).replace(' of cut', ''), type: 'number', flex: 1, minWidth: 84,
            editable: person.mayChange, valueFormatter: (value: number | null | undefined) => (value === undefined || value === null ? '' : String(value)),
        })),
    ], [fields, person.mayChange]);

    return (
        <Frame title="Tool crib" where={<Box sx={{ color: 'text.secondary' }}>{tools.length === 1 ? '1 tool' : `${tools.length} tools`}, in {unit}</Box>}>
            <Box
                sx={{
                    height: '100%', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gridTemplateRows: 'auto minmax(12rem, 1fr) auto', overflow: 'auto',
                }}
            >
                <Box component="h1" className="hidden-label">Tool crib</Box>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', p: 2, pb: 1 }}>
                    <TextField
                        inputRef={search}
                        size="small"
                        label="Find"
                        value={text}
                        onChange={(event) => setText(event.target.value)}
                        sx={{ width: '15rem' }}
                    />
                    {refusal !== null && (
                        <Box role="alert" sx={{ color: 'error.main' }}>{Object.values(refusal.fields)[0] ?? refusal.message}</Box>
                    )}
                    <Box sx={{ ml: 'auto', display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                        {person.mayChange && (
                            <Button variant="contained" onClick={() => void create({ name: 'New tool', kind: 'end-mill' })}>New tool</Button>
                        )}
                        <BringIn url="/tools/import" label="Import CSV" accept=".csv,text/csv" />
                        <Button component="a" href="/tools.csv">Download CSV</Button>
                    </Box>
                </Box>
                <Box sx={{ px: 2, minHeight: 0 }}>
                    <DataGrid
                        rows={rows} columns={columns} density="compact" hideFooter aria-label="Tools" disableColumnMenu
                        rowSelectionModel={{ type: 'include', ids: new Set(picked === null ? [] : [picked]) }}
                        onRowSelectionModelChange={({ ids }) => setPicked(([...ids][0] as number | undefined) ?? picked)}
                        onCellClick={({ id }) => setPicked(Number(id))}
                        processRowUpdate={async (next, before) => {
                            const { id, ...definition } = Object.fromEntries(
                                Object.entries(next).filter(([, value]) => value !== null && value !== undefined && value !== ''),
                            ) as unknown as Definition & { id: number };
                            try {
                                return { ...(await store(id, definition)).definition, id };
                            } catch (error) {
                                refused(error);
                                return before;
                            }
                        }}
                        slots={{ noRowsOverlay: NoTools }}
                        sx={{
                            background: 'var(--sheet)', borderRadius: 0, borderColor: 'var(--frame)', fontVariantNumeric: 'tabular-nums',
                            '& .MuiDataGrid-columnHeader, & .MuiDataGrid-filler': { background: 'var(--margin)' },
                            '& .MuiDataGrid-row.Mui-selected, & .MuiDataGrid-row.Mui-selected:hover': { background: 'var(--pick)' },
                        }}
                    />
                </Box>
                {tool !== null && (
                    <Box
                        component="section" aria-label={tool.definition.name ?? 'Tool'}
                        sx={{
                            m: 2, mt: 1.5, p: 2, background: 'var(--sheet)', border: '1px solid var(--frame)', display: 'grid', gap: 2,
                            gridTemplateColumns: 'minmax(0, 1fr) minmax(9rem, 14rem)',
                        }}
                    >
                        <Box>
                            <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 2fr) minmax(0, 1fr) auto', gap: 1, alignItems: 'end', mb: 1 }}>
                                <Labelled label="Name">
                                    <TextEntry
                                        label="Name of the tool" value={tool.definition.name ?? ''} readOnly={!person.mayChange}
                                        onChange={(name) => change(tool.id, tool.definition, { name })}
                                    />
                                </Labelled>
                                <Labelled label="Kind">
                                    <Choice
                                        label="Kind of the tool" value={tool.definition.kind ?? 'end-mill'} readOnly={!person.mayChange}
                                        choices={KINDS.map((kind) => [kind, kindWords(kind)])} onChange={(kind) => change(tool.id, tool.definition, { kind })}
                                    />
                                </Labelled>
                                {person.mayChange && (
                                    <Box sx={{ display: 'flex', gap: 1 }}>
                                        <Button
                                            onClick={() => void create({ ...tool.definition, name: `${tool.definition.name ?? 'Tool'} copy`.slice(0, 80) })}
                                        >
                                            Copy
                                        </Button>
                                        <Button onClick={() => void drop(tool)}>Delete</Button>
                                    </Box>
                                )}
                            </Box>
                            <ToolForm
                                key={tool.id} tool={tool.definition} called={tool.definition.name ?? 'Tool'} path={`tool${tool.id}`} fields={fields}
                                usuals={usuals}
                                unit={unit} readOnly={!person.mayChange} errors={refusal?.fields ?? {}}
                                onChange={(field, value) => change(tool.id, tool.definition, { [field]: value })}
                            />
                            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary', mt: 1 }}>
                                Usual values are common practice; the figures of the tool’s supplier come first.
                            </Box>
                        </Box>
                        <ToolDrawing tool={tool.definition} />
                    </Box>
                )}
            </Box>
            <UndoBar done={done} onGone={gone} />
        </Frame>
    );
}

function NoTools() {
    return <Box sx={{ p: 2 }}>No tool here. Make one, or import a table.</Box>;
}
