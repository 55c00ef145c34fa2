import { Link, router } from '@inertiajs/react';
import { Box, Button, MenuItem, Select, TextField, Tooltip } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { Tool } from '../contracts/oak-setup-1';
import { Frame } from '../frame/Frame';
import { usePerson } from '../frame/person';
import { NumberField } from '../shared/NumberField';
import { withValue } from '../shared/path';
import { Reminder } from '../shared/Reminder';
import { ServerError, send } from '../shared/server';
import { Verdict } from '../shared/Verdict';
import { LONG_UNITS, short } from '../shared/numbers';
import { BringIn } from '../frame/BringIn';
import { inUnits, lengthOf, nextToolNumber, nextWorkOffset, withoutTool, type SetupDocument } from './document';
import type { Fields } from './fields';
import { JoinedSaves, type SavesState } from './JoinedSaves';
import { Labelled, Remove, Sheet, Table } from '../shared/Sheet';
import { StockSheet } from './StockSheet';
import { WantedSheet } from './WantedSheet';

interface MachineRow {
    id: number;
    name: string;
    definition: { kind: string; axes: Record<string, { min?: number; max?: number }>; spindle?: { maxRpm?: number }; lowered?: SetupDocument['lowered'] };
}

interface ProgramRow {
    id: number;
    name: string;
    revision: number;
    verdict: 'stop' | 'caution' | 'clear' | null;
    stops: number;
    notes: number;
    cautions: number;
}

interface Props {
    setup: { id: number; operation: number; name: string; part: string; machineId: number; version: number; document: SetupDocument };
    machines: MachineRow[];
    programs: ProgramRow[];
}

interface Standing {
    document: SetupDocument;
    machineId: number;
}

const KINDS = [
    'end-mill',
    'ball-mill',
    'bull-mill',
    'face-mill',
    'chamfer-mill',
    'drill',
    'spot-drill',
    'center-drill',
    'reamer',
    'tap',
    'boring-bar',
    'thread-mill',
    'engraver',
    'probe',
] as const;

/** The changes of a setup on their way to the server; whoever leaves the page waits for them, or is asked. */
function useSaves(setup: Props['setup'], version: number, onVersion: (version: number) => void, onState: (state: SavesState) => void): JoinedSaves<Standing> {
    const made = useRef(version);
    const saves = useRef<JoinedSaves<Standing>>(undefined);
    saves.current ??= new JoinedSaves<Standing>(
        { document: setup.document, machineId: setup.machineId },
        async (next) => {
            const answer = await send<{ version: number }>('PUT', `/setups/${setup.id}`, { ...next, version: made.current });
            made.current = answer.version;
            onVersion(answer.version);
        },
        onState,
    );
    useEffect(() => {
        const ask = (event: BeforeUnloadEvent) => {
            if ((saves.current?.state.waiting ?? 0) > 0) event.preventDefault();
        };
        window.addEventListener('beforeunload', ask);
        const forget = router.on('before', (event) => {
            const current = saves.current;
            const { url, method } = event.detail.visit;
            if (current === undefined || current.state.waiting === 0 || method !== 'get') return;
            event.preventDefault();
            void current.settled().then((isStored) => {
                if (isStored || window.confirm('The last change is not saved. Leave anyway?')) {
                    forget();
                    router.visit(url);
                }
            });
        });
        return () => {
            window.removeEventListener('beforeunload', ask);
            forget();
        };
    }, []);
    return saves.current;
}

/** How far the changes are, counted. */
function savedWords({ waiting, refusal }: SavesState): string {
    if (waiting === 0) return 'All changes saved.';
    const changes = waiting === 1 ? 'The last change is' : `The last ${waiting} changes are`;
    return refusal === null ? `${changes} being saved…` : `${changes} not saved.`;
}

/** Machine, work offsets, tools and stock of one clamping. Every change is stored and every program checked again. */
export default function SetupPage({ setup, machines, programs: given }: Props) {
    const person = usePerson();
    const [now, setNow] = useState<Standing>({ document: setup.document, machineId: setup.machineId });
    const [before, setBefore] = useState<Standing[]>([]);
    const [saving, setSaving] = useState<SavesState>({ waiting: 0, refusal: null });
    const [version, setVersion] = useState(setup.version);
    const saves = useSaves(setup, version, setVersion, setSaving);
    const refusal =
        saving.refusal instanceof ServerError
            ? saving.refusal
            : saving.refusal === null
              ? null
              : { message: String(saving.refusal), fields: {} as Record<string, string> };
    // Verdicts are worked out on the side; until they are there, the list is asked for again.
    const { data: programs = given } = useQuery({
        queryKey: ['verdicts', setup.id, version],
        queryFn: ({ signal }) => send<ProgramRow[]>('GET', `/setups/${setup.id}/verdicts`, undefined, signal),
        initialData: version === setup.version ? given : undefined,
        placeholderData: (before) => before?.map((program) => ({ ...program, verdict: null })),
        refetchInterval: ({ state }) => (state.data?.some((program) => program.verdict === null) === false ? false : 700),
    });
    const { document } = now;
    const machine = machines.find((row) => row.id === now.machineId);
    const axes = Object.keys(machine?.definition.axes ?? {});
    const rotary = axes.filter((axis) => 'ABC'.includes(axis.charAt(0)));
    /** Axes a clamp can turn with: those whose centre is given. */
    const turning = Object.keys(document.rotaryCenters ?? {});
    const lowered = [
        ...(document.lowered ?? []).map((row) => ({ ...row, on: 'this setup' })),
        ...(machine?.definition.lowered ?? []).map((row) => ({ ...row, on: 'this machine' })),
    ];
    const unit = document.units === 'mm' ? 'mm' : 'in';

    // A link from a finding names a field: go there.
    useEffect(() => {
        const path = window.location.hash.slice(1);
        const field = path === '' ? null : window.document.getElementById(path);
        field?.scrollIntoView({ block: 'center' });
        field?.focus();
    }, []);

    const store = (next: Standing, undo: boolean) => {
        if (undo) setBefore((list) => list.slice(0, -1));
        else setBefore((list) => [...list, saves.current]);
        setNow(next);
        saves.change(next);
    };
    const change = (path: string, value: unknown) => store({ ...saves.current, document: withValue(saves.current.document, path, value) }, false);
    const undo = () => {
        const last = before.at(-1);
        if (last !== undefined) store(last, true);
    };
    const field = (label: string, path: string, value: number | undefined, options: { unit?: string; required?: boolean; readOnly?: boolean } = { unit }) => (
        <NumberField
            key={path}
            label={label}
            path={path}
            value={value}
            readOnly={!person.mayChange}
            error={refusal?.fields[path]}
            onChange={(next) => change(path, next)}
            {...options}
        />
    );
    const fields: Fields = { unit, mayChange: person.mayChange, errors: refusal?.fields ?? {}, change, field };

    return (
        <Frame
            title={`Setup ${setup.name}`}
            where={
                <Box>
                    <b>{setup.part}</b> · op {setup.operation} · {setup.name}
                </Box>
            }
        >
            <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr) 232px', lg: 'minmax(0, 1fr) 316px' }, minHeight: 0 }}>
                <Box sx={{ overflow: 'auto', p: 2, display: 'grid', gap: 2, alignContent: 'start' }}>
                    <Box component="h1" className="hidden-label">
                        Setup
                    </Box>
                    <Sheet title="Machine and holding">
                        <Box
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: { xs: 'minmax(0, 1fr) minmax(0, 1.6fr)', lg: '180px minmax(0, 1fr) 250px 100px' },
                                gap: 2,
                                alignItems: 'start',
                            }}
                        >
                            <Labelled label="Machine">
                                <Select
                                    id="machine"
                                    size="small"
                                    value={now.machineId}
                                    disabled={!person.mayChange}
                                    inputProps={{ 'aria-label': 'Machine' }}
                                    onChange={(event) => store({ ...saves.current, machineId: Number(event.target.value) }, false)}
                                    sx={{ width: '100%' }}
                                >
                                    {machines.map((row) => (
                                        <MenuItem key={row.id} value={row.id}>
                                            {row.name}
                                        </MenuItem>
                                    ))}
                                </Select>
                            </Labelled>
                            <Labelled label="Travel in machine coordinates, mm">
                                <Box sx={{ pt: 0.75, lineHeight: 1.5, display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
                                    {Object.entries(machine?.definition.axes ?? {}).map(([axis, range]) => (
                                        <Box component="span" key={axis} sx={{ whiteSpace: 'nowrap' }}>
                                            <b>{axis}</b> {range.min === undefined ? 'open' : short(range.min, 3)} to{' '}
                                            {range.max === undefined ? 'open' : short(range.max, 3)}
                                        </Box>
                                    ))}
                                </Box>
                            </Labelled>
                            <Labelled label="Tool lengths">
                                <Select<string>
                                    id="lengthSchool"
                                    size="small"
                                    displayEmpty
                                    value={document.lengthSchool ?? ''}
                                    disabled={!person.mayChange}
                                    inputProps={{ 'aria-label': 'Tool lengths' }}
                                    onChange={(event) => change('lengthSchool', event.target.value === '' ? undefined : event.target.value)}
                                    sx={{ width: '100%' }}
                                >
                                    <MenuItem value="">not specified</MenuItem>
                                    <MenuItem value="touch-off">touched off from home (−)</MenuItem>
                                    <MenuItem value="gauge-line">from the gauge line (+)</MenuItem>
                                    <MenuItem value="master-tool">relative to a master tool (±)</MenuItem>
                                </Select>
                            </Labelled>
                            <Labelled label={`Clearance, ${unit}`}>{field('Clearance', 'clearance', document.clearance)}</Labelled>
                            <Labelled label="Material">
                                <TextField
                                    size="small"
                                    id="material"
                                    defaultValue={document.material ?? ''}
                                    disabled={!person.mayChange}
                                    sx={{ width: '100%' }}
                                    slotProps={{ htmlInput: { 'aria-label': 'Material', maxLength: 80 } }}
                                    onBlur={(event) =>
                                        event.target.value !== (document.material ?? '') &&
                                        change('material', event.target.value === '' ? undefined : event.target.value)
                                    }
                                />
                            </Labelled>
                            <Labelled label={`Travel warning margin, ${unit}`}>{field('Travel warning margin', 'nearLimit', document.nearLimit)}</Labelled>
                        </Box>
                    </Sheet>
                    {rotary.length > 0 && (
                        <Sheet
                            title="Rotary centres"
                            id="rotaryCenters"
                            note={`centre of rotation in ${document.rotaryCenters?.[rotary[0] ?? '']?.workOffset ?? 'G54'}, ${unit}`}
                        >
                            <Table heads={['Axis', 'X', 'Y', 'Z', 'Table at Z']} columns="90px repeat(4, minmax(110px, 160px))">
                                {rotary.flatMap((axis) => [
                                    <Box key={axis} id={`rotaryCenters.${axis}`} tabIndex={-1} sx={{ fontWeight: 600 }}>
                                        {axis}
                                    </Box>,
                                    ...['X', 'Y', 'Z'].map((name) =>
                                        field(`${axis} turns about ${name}`, `rotaryCenters.${axis}.at.${name}`, document.rotaryCenters?.[axis]?.at[name]),
                                    ),
                                    field(`The table under ${axis}`, `rotaryCenters.${axis}.table`, document.rotaryCenters?.[axis]?.table),
                                ])}
                            </Table>
                        </Sheet>
                    )}
                    <Sheet title="Work offsets" note={`part zero in machine coordinates, ${unit}`}>
                        <Table heads={['Code', ...axes, '']} columns={`90px repeat(${axes.length}, minmax(110px, 160px)) 40px`}>
                            {Object.entries(document.workOffsets ?? {}).flatMap(([name, position]) => [
                                <Box key={name} id={`workOffsets.${name}`} tabIndex={-1} className="mono" sx={{ fontWeight: 600 }}>
                                    {name}
                                </Box>,
                                ...axes.map((axis) =>
                                    field(`${name} ${axis}`, `workOffsets.${name}.${axis}`, position[axis], {
                                        unit: 'ABC'.includes(axis.charAt(0)) ? 'degrees' : unit,
                                    }),
                                ),
                                <Remove
                                    key={`${name}-x`}
                                    label={`Remove ${name}`}
                                    show={person.mayChange}
                                    onClick={() => change(`workOffsets.${name}`, undefined)}
                                />,
                            ])}
                        </Table>
                        {person.mayChange && nextWorkOffset(document) !== null && (
                            <Button
                                sx={{ mt: 1 }}
                                onClick={() => change(`workOffsets.${nextWorkOffset(document) ?? ''}`, Object.fromEntries(axes.map((axis) => [axis, 0])))}
                            >
                                Add {nextWorkOffset(document)}
                            </Button>
                        )}
                    </Sheet>
                    <Sheet title="Tools" id="tools" note={`lengths and diameters in ${LONG_UNITS[unit]}`}>
                        <Table
                            heads={['T', 'Name', 'Kind', 'Ø', 'Length H', 'Wear', 'Max RPM', '']}
                            columns={{
                                xs: '36px minmax(104px, 1fr) 124px 60px 88px 60px 76px 40px',
                                lg: '56px minmax(130px, 1fr) 140px 84px 112px 84px 100px 40px',
                            }}
                        >
                            {(document.tools ?? []).flatMap((tool, i) => toolRow(tool, i))}
                        </Table>
                        {person.mayChange && (
                            <Button
                                sx={{ mt: 1 }}
                                onClick={() =>
                                    change(`tools.${document.tools?.length ?? 0}`, {
                                        number: nextToolNumber(saves.current.document),
                                        name: 'New tool',
                                        kind: 'end-mill',
                                    })
                                }
                            >
                                Add a tool
                            </Button>
                        )}
                    </Sheet>
                    <Sheet title="Tool limits" note={`lengths in ${LONG_UNITS[unit]}; empty: the usual value, or not checked`}>
                        <Table
                            heads={[
                                'T', 'Centre cutting', 'Tool material', 'Flutes', 'Corner R', 'Flute length', 'Stick-out', 'Max depth',
                                'Max width', 'Holder Ø', 'Holder length',
                            ]}
                            columns="36px minmax(100px, 118px) minmax(84px, 104px) minmax(48px, 62px) repeat(7, minmax(52px, 1fr))"
                        >
                            {(document.tools ?? []).flatMap((tool, i) => takesRow(tool, i))}
                        </Table>
                    </Sheet>
                    <StockSheet document={document} fields={fields} />
                    <WantedSheet document={document} fields={fields} />
                    <Sheet title="Clamping" id="grip" note={`held against the heaviest cut; empty: not checked. Lengths in ${LONG_UNITS[unit]}`}>
                        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(120px, 180px) 120px 140px minmax(160px, 1fr)', gap: 1, alignItems: 'end' }}>
                            <Labelled label="Workholding">
                                <Select<string>
                                    size="small"
                                    displayEmpty
                                    value={document.grip?.kind ?? ''}
                                    disabled={!person.mayChange}
                                    inputProps={{ 'aria-label': 'Workholding' }}
                                    sx={{ width: '100%' }}
                                    onChange={(event) =>
                                        change(
                                            'grip',
                                            event.target.value === '' ? undefined : { depth: inUnits(unit)(5), ...document.grip, kind: event.target.value },
                                        )
                                    }
                                >
                                    <MenuItem value="">not specified</MenuItem>
                                    <MenuItem value="jaws">jaws</MenuItem>
                                    <MenuItem value="dovetail">a dovetail</MenuItem>
                                </Select>
                            </Labelled>
                            <Labelled label={document.grip?.kind === 'dovetail' ? 'Dovetail depth' : 'Jaw engagement'}>
                                {field('Jaw engagement', 'grip.depth', document.grip?.depth, {
                                    unit,
                                    required: document.grip !== undefined,
                                    readOnly: document.grip === undefined || !person.mayChange,
                                })}
                            </Labelled>
                            <Labelled label={`Clamping force, ${document.units === 'mm' ? 'N' : 'lbf'}`}>
                                {field('Clamping force', 'grip.force', document.grip?.force, {
                                    unit: document.units === 'mm' ? 'N' : 'lbf',
                                    readOnly: document.grip === undefined || !person.mayChange,
                                })}
                            </Labelled>
                            <Labelled label={`Thinnest floor or wall, ${unit}`}>
                                <Box sx={{ maxWidth: 140 }}>{field('Thinnest floor or wall', 'thinnest', document.thinnest)}</Box>
                            </Labelled>
                        </Box>
                    </Sheet>
                    <Sheet
                        title="Fixtures and clamps"
                        note={`clamps and jaws as boxes in ${document.stock?.workOffset ?? 'G54'}, ${unit}; tools are taken at full diameter from the tip up`}
                    >
                        {(document.obstacles ?? []).length > 0 && (
                            <Table
                                heads={['Name', 'from X', 'Y', 'Z', 'to X', 'Y', 'Z', ...(turning.length > 0 ? ['Turns with'] : []), '']}
                                columns={`minmax(110px, 1fr) repeat(6, minmax(64px, 96px)) ${turning.length > 0 ? '110px ' : ''}40px`}
                            >
                                {(document.obstacles ?? []).flatMap((obstacle, i) => [
                                    <TextField
                                        key={`o${i}n`}
                                        size="small"
                                        defaultValue={obstacle.name ?? ''}
                                        disabled={!person.mayChange}
                                        slotProps={{ htmlInput: { 'aria-label': `Name of obstacle ${i + 1}`, maxLength: 80 } }}
                                        onBlur={(event) => event.target.value !== (obstacle.name ?? '') && change(`obstacles.${i}.name`, event.target.value)}
                                    />,
                                    ...(['min', 'max'] as const).flatMap((end) =>
                                        ['X', 'Y', 'Z'].map((axis, n) =>
                                            field(
                                                `${obstacle.name ?? `Obstacle ${i + 1}`} ${end === 'min' ? 'from' : 'to'} ${axis}`,
                                                `obstacles.${i}.${end}.${n}`,
                                                obstacle[end][n],
                                                { unit, required: true },
                                            ),
                                        ),
                                    ),
                                    ...(turning.length > 0
                                        ? [
                                              <Select
                                                  key={`o${i}t`}
                                                  size="small"
                                                  displayEmpty
                                                  value={obstacle.turnsWith ?? ''}
                                                  disabled={!person.mayChange}
                                                  inputProps={{ 'aria-label': `${obstacle.name ?? `Obstacle ${i + 1}`} turns with` }}
                                                  onChange={(event) =>
                                                      change(`obstacles.${i}.turnsWith`, event.target.value === '' ? undefined : event.target.value)
                                                  }
                                              >
                                                  <MenuItem value="">nothing</MenuItem>
                                                  {turning.map((axis) => (
                                                      <MenuItem key={axis} value={axis}>
                                                          {axis}
                                                      </MenuItem>
                                                  ))}
                                              </Select>,
                                          ]
                                        : []),
                                    <Remove
                                        key={`o${i}x`}
                                        label={`Remove ${obstacle.name ?? `obstacle ${i + 1}`}`}
                                        show={person.mayChange}
                                        onClick={() => change(`obstacles.${i}`, undefined)}
                                    />,
                                ])}
                            </Table>
                        )}
                        {person.mayChange && (
                            <Button
                                sx={{ mt: (document.obstacles ?? []).length > 0 ? 1 : 0 }}
                                onClick={() =>
                                    change('obstacles', [
                                        ...(document.obstacles ?? []),
                                        {
                                            name: 'clamp',
                                            shape: 'box',
                                            min: [-20, -20, -10].map(inUnits(unit)),
                                            max: [20, 20, 10].map(inUnits(unit)),
                                            workOffset: document.stock?.workOffset ?? 'G54',
                                        },
                                    ])
                                }
                            >
                                Add a clamp or jaw
                            </Button>
                        )}
                    </Sheet>
                    {lowered.length > 0 && (
                        <Sheet title="Cautions lowered to notes" note="by a lead, from the finding on the bench">
                            <Table heads={['Check', 'Reason', 'By', 'For']} columns="220px minmax(0, 1fr) 120px 120px">
                                {lowered.flatMap(({ check, reason, by, on }) => [
                                    <Box key={`${on}${check}`} sx={{ fontWeight: 600 }}>
                                        {check.replace(/.*\./, '').replaceAll('-', ' ')}
                                    </Box>,
                                    <Box key={`${on}${check}w`}>{reason}</Box>,
                                    <Box key={`${on}${check}b`}>{by ?? ''}</Box>,
                                    <Box key={`${on}${check}o`}>{on}</Box>,
                                ])}
                            </Table>
                        </Sheet>
                    )}
                </Box>
                <Box
                    component="aside"
                    aria-label="Verdicts"
                    sx={{ borderLeft: '1px solid var(--frame)', p: 2, display: 'flex', flexDirection: 'column', gap: 2, overflow: 'auto' }}
                >
                    <Box component="h2" sx={{ m: 0, fontSize: '1rem' }}>
                        May it run?
                    </Box>
                    {programs.length === 0 && <Box>No program yet. Import one to begin.</Box>}
                    {programs.map((program) => (
                        <Box
                            key={program.id}
                            sx={{
                                display: 'flex',
                                flexWrap: 'wrap',
                                alignItems: 'center',
                                columnGap: 1.5,
                                borderTop: '1px solid var(--hair)',
                                pt: 1,
                                opacity: program.verdict === null ? 0.6 : 1,
                            }}
                        >
                            <Link href={`/programs/${program.id}`} className="mono" style={{ fontWeight: 600 }}>
                                {program.name}
                            </Link>
                            <Box component="span" sx={{ color: 'text.secondary' }}>
                                rev {program.revision}
                            </Box>
                            <Verdict {...program} wraps />
                        </Box>
                    ))}
                    {refusal !== null && (
                        <Box role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>
                            {refusal.message}
                        </Box>
                    )}
                    <Box role="status" sx={{ color: 'text.secondary' }}>
                        {savedWords(saving)}
                    </Box>
                    <BringIn url={`/setups/${setup.id}/programs`} label="Import a program" />
                    <Box sx={{ display: 'flex', gap: 1 }}>
                        <Button disabled={before.length === 0} onClick={undo}>
                            Undo
                        </Button>
                        <Tooltip title="The setup as a file for the command line">
                            <Button component="a" href={`/setups/${setup.id}/file`}>
                                Setup file
                            </Button>
                        </Tooltip>
                        <Tooltip title="Who changed what here, and when">
                            <Button component={Link} href={`/setups/${setup.id}/logbook`}>
                                Changes
                            </Button>
                        </Tooltip>
                    </Box>
                    <Box sx={{ mt: 'auto' }}>
                        <Reminder />
                    </Box>
                </Box>
            </Box>
        </Frame>
    );

    function takesRow(tool: Tool, i: number): ReactNode[] {
        const at = `tools.${i}`;
        const steps = Array.isArray(tool.holder) ? tool.holder.length : 0;
        const holder = Array.isArray(tool.holder) ? undefined : tool.holder;
        return [
            <Box key={`${at}t`} sx={{ fontWeight: 700 }}>
                T{tool.number}
            </Box>,
            <Select
                key={`${at}c`}
                size="small"
                value={tool.centerCutting === undefined ? 'kind' : String(tool.centerCutting)}
                disabled={!person.mayChange}
                SelectDisplayProps={{ id: `${at}.centerCutting` }}
                inputProps={{ 'aria-label': `T${tool.number} centre cutting` }}
                onChange={(event) => change(`${at}.centerCutting`, { kind: undefined, true: true, false: false }[event.target.value])}
            >
                {[
                    ['kind', 'usual for its kind'],
                    ['true', 'cuts'],
                    ['false', 'no'],
                ].map(([value, words]) => (
                    <MenuItem key={value} value={value}>
                        {words}
                    </MenuItem>
                ))}
            </Select>,
            <Select<string>
                key={`${at}m`}
                size="small"
                displayEmpty
                value={tool.material ?? ''}
                disabled={!person.mayChange}
                inputProps={{ 'aria-label': `T${tool.number} tool material` }}
                onChange={(event) => change(`${at}.material`, event.target.value === '' ? undefined : event.target.value)}
            >
                {[
                    ['', 'not specified'],
                    ['carbide', 'carbide'],
                    ['high-speed-steel', 'HSS'],
                ].map(([value, words]) => (
                    <MenuItem key={value} value={value}>
                        {words}
                    </MenuItem>
                ))}
            </Select>,
            field(`T${tool.number} flutes`, `${at}.flutes`, tool.flutes, {}),
            field(`T${tool.number} corner radius`, `${at}.cornerRadius`, tool.cornerRadius),
            field(`T${tool.number} flute length`, `${at}.fluteLength`, tool.fluteLength),
            field(`T${tool.number} stick-out`, `${at}.stickout`, tool.stickout),
            field(`T${tool.number} max depth of cut`, `${at}.maxAxialDepth`, tool.maxAxialDepth),
            field(`T${tool.number} max width of cut`, `${at}.maxRadialWidth`, tool.maxRadialWidth),
            ...(steps > 0
                ? [
                      <Box key={`${at}s`} sx={{ gridColumn: 'span 2', color: 'text.secondary' }}>
                          {steps} steps, from its file
                      </Box>,
                  ]
                : [
                      <NumberField
                          key={`${at}d`}
                          label={`T${tool.number} holder diameter`}
                          path={`${at}.holder.diameter`}
                          unit={unit}
                          value={holder?.diameter}
                          readOnly={!person.mayChange}
                          error={refusal?.fields[`${at}.holder`]}
                          onChange={(value) => change(`${at}.holder`, value === undefined ? undefined : { ...holder, diameter: value })}
                      />,
                      field(`T${tool.number} holder length`, `${at}.holder.length`, holder?.length, {
                          unit,
                          readOnly: holder === undefined || !person.mayChange,
                      }),
                  ]),
        ];
    }

    function toolRow(tool: Tool, i: number): ReactNode[] {
        const length = lengthOf(document, tool.number);
        const h = (part: 'geometry' | 'wear', value: number | undefined) =>
            value === undefined && part === 'geometry'
                ? change(`offsets.H.${tool.number}`, undefined)
                : change(`offsets.H.${tool.number}`, { geometry: length.geometry ?? 0, wear: length.wear ?? 0, [part]: value ?? 0 });
        const at = `tools.${i}`;
        return [
            <Box key={`${at}t`} sx={{ fontWeight: 700 }}>
                T{tool.number}
            </Box>,
            <TextField
                key={`${at}n`}
                size="small"
                defaultValue={tool.name ?? ''}
                disabled={!person.mayChange}
                slotProps={{ htmlInput: { 'aria-label': `T${tool.number} name`, maxLength: 80 } }}
                onBlur={(event) => event.target.value !== (tool.name ?? '') && change(`${at}.name`, event.target.value)}
            />,
            <Select
                key={`${at}k`}
                size="small"
                value={tool.kind ?? 'end-mill'}
                disabled={!person.mayChange}
                inputProps={{ 'aria-label': `T${tool.number} kind` }}
                onChange={(event) => change(`${at}.kind`, event.target.value)}
            >
                {(KINDS as readonly string[])
                    .concat(tool.kind !== undefined && !(KINDS as readonly string[]).includes(tool.kind) ? [tool.kind] : [])
                    .map((kind) => (
                        <MenuItem key={kind} value={kind}>
                            {kind.replaceAll('-', ' ')}
                        </MenuItem>
                    ))}
            </Select>,
            field(`T${tool.number} diameter`, `${at}.diameter`, tool.diameter),
            <NumberField
                key={`${at}h`}
                label={`H${tool.number} length`}
                path={`offsets.H.${tool.number}`}
                unit={unit}
                value={length.geometry}
                readOnly={!person.mayChange}
                error={refusal?.fields[`offsets.H.${tool.number}`]}
                onChange={(value) => h('geometry', value)}
            />,
            <NumberField
                key={`${at}w`}
                label={`H${tool.number} wear`}
                path={`offsets.H.${tool.number}.wear`}
                unit={unit}
                value={length.wear}
                readOnly={!person.mayChange || length.geometry === undefined}
                error={refusal?.fields[`offsets.H.${tool.number}.wear`]}
                onChange={(value) => h('wear', value)}
            />,
            field(`T${tool.number} max RPM`, `${at}.maxRpm`, tool.maxRpm, { unit: 'rev/min' }),
            <Remove
                key={`${at}x`}
                label={`Remove T${tool.number}`}
                show={person.mayChange}
                onClick={() => store({ ...saves.current, document: withoutTool(saves.current.document, i) }, false)}
            />,
        ];
    }
}
