import { Box, Button } from '@mui/material';
import { useState, type ReactNode } from 'react';
import type { Machine } from '../contracts/oak-setup-1';
import { Choice } from '../shared/Choice';
import { NumberField } from '../shared/NumberField';
import { withValue } from '../shared/path';
import { Labelled, Remove, Sheet, Table } from '../shared/Sheet';
import { TextEntry } from '../shared/TextEntry';
import { AXES, axisHead, carriedIn, isRotary, renamed, withAxis, withPlace, withoutAxis, type MachineRow, type ProfileChoice } from './machine';
import { ObstacleTable } from './ObstacleTable';
import { TravelOutline } from './TravelOutline';

const KINDS = [['mill', 'mill'], ['lathe', 'lathe'], ['sliding-head', 'sliding-head lathe']] as const;

interface Props {
    row: MachineRow;
    machine: Machine;
    profile: number;
    profiles: ProfileChoice[];
    unit: 'mm' | 'in';
    readOnly: boolean;
    errors: Record<string, string>;
    onChange: (machine: Machine, profile?: number) => void;
}

/** A machine: its travel and rapids, where it stands, its spindle, its control, and what is always on its table. */
export function MachineSheet({ row, machine, profile, profiles, unit, readOnly, errors, onChange }: Props) {
    const [shown, setShown] = useState<number>(row.setups[0]?.id ?? 0);
    const change = (path: string, value: unknown) => onChange(withValue(machine, path, value));
    const axes = Object.keys(machine.axes);
    const free = AXES.filter((axis) => machine.axes[axis] === undefined);
    const field = (
        label: string, path: string, value: number | undefined, { unit: of = unit, required = false }: { unit?: string; required?: boolean } = {},
    ): ReactNode => (
        <NumberField
            key={path} label={label} path={path} value={value} unit={of === '' ? undefined : of} required={required} readOnly={readOnly} error={errors[path]}
            onChange={(next) => change(path, next)}
        />
    );
    const speed = (axis: string) => (isRotary(axis) ? '°/min' : `${unit}/min`);
    const power = unit === 'mm' ? 'kW' : 'hp';
    const torque = unit === 'mm' ? 'N m' : 'ft lbf';
    const profileOf = profiles.find(({ id, name }) => (profile === 0 ? id === 0 && name === machine.control?.profile : id === profile));
    const rotary = axes.filter(isRotary);
    const carrier = machine.posts === undefined ? 'turret' : 'posts';
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: machine.kind === 'mill' ? 'minmax(0, 1.5fr) minmax(16rem, 1fr)' : 'minmax(0, 1fr)' },
                    alignItems: 'start',
                }}
            >
                <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
                    <Sheet title="Machine">
                        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(11rem, 1fr))', gap: 1 }}>
                            <Labelled label="Name">
                                <TextEntry
                                    label="Name of the machine" value={machine.name} readOnly={readOnly} error={errors['definition.name'] ?? errors.name}
                                    onChange={(name) => change('name', name)}
                                />
                            </Labelled>
                            <Labelled label="Control">
                                <Choice
                                    label="Control profile" readOnly={readOnly} value={profileOf === undefined ? '' : `${profileOf.id} ${profileOf.name}`}
                                    choices={profiles.map(({ id, name, title }) => [`${id} ${name}`, id === 0 ? title : `${title} (the shop’s own)`])}
                                    onChange={(chosen) => {
                                        const next = profiles.find(({ id, name }) => `${id} ${name}` === chosen);
                                        if (next !== undefined) onChange(next.id === 0 ? withValue(machine, 'control.profile', next.name) : machine, next.id);
                                    }}
                                />
                            </Labelled>
                            <Labelled label="Kind">
                                <Choice
                                    label="Kind of machine" value={machine.kind} choices={KINDS} readOnly={readOnly} onChange={(kind) => change('kind', kind)}
                                />
                            </Labelled>
                            <Labelled label={`Max feed, ${unit}/min`}>{field('Max feed', 'maxFeed', machine.maxFeed, { unit: `${unit}/min` })}</Labelled>
                        </Box>
                    </Sheet>
                    <Sheet title="Axes" note={`machine coordinates, ${unit}; rotary axes in degrees. Empty: no limit`}>
                        <Table
                            heads={['Axis', 'Minus limit', 'Plus limit', 'Rapid / min', 'Accel. / s²', '']}
                            columns="3rem repeat(4, minmax(5rem, 8rem)) 2.5rem"
                        >
                            {axes.flatMap((axis) => [
                                <Box key={axis} sx={{ fontWeight: 700 }}>{axisHead(machine, axis)}</Box>,
                                field(`${axis} minus limit`, `axes.${axis}.min`, machine.axes[axis]?.min, { unit: isRotary(axis) ? '°' : unit }),
                                field(`${axis} plus limit`, `axes.${axis}.max`, machine.axes[axis]?.max, { unit: isRotary(axis) ? '°' : unit }),
                                field(`${axis} rapid`, `axes.${axis}.rapid`, machine.axes[axis]?.rapid, { unit: speed(axis) }),
                                field(`${axis} acceleration`, `axes.${axis}.acceleration`, machine.axes[axis]?.acceleration, {
                                    unit: `${isRotary(axis) ? '°' : unit}/s²`,
                                }),
                                <Remove
                                    key={`${axis}x`}
                                    label={`Remove ${axis}`}
                                    show={!readOnly && axes.length > 1}
                                    onClick={() => onChange(withoutAxis(machine, axis))}
                                />,
                                ...(errors[`axes.${axis}`] === undefined ? [] : [
                                    <Box key={`${axis}e`} role="alert" sx={{ gridColumn: '1 / -1', color: 'error.main' }}>{errors[`axes.${axis}`]}</Box>,
                                ]),
                            ])}
                        </Table>
                        {machine.kind === 'mill' && machine.axes.Z !== undefined && (
                            <Box sx={{ mt: 1, maxWidth: '18rem' }}>
                                <Labelled label="Z is moved">
                                    <Choice
                                        label="Z is moved" value={machine.axes.Z.byHand === true ? 'hand' : 'control'} readOnly={readOnly}
                                        choices={[['control', 'by the control'], ['hand', 'by hand, as messages say']]}
                                        onChange={(by) => change('axes.Z.byHand', by === 'hand' ? true : undefined)}
                                    />
                                </Labelled>
                            </Box>
                        )}
                        {machine.kind !== 'mill' && machine.axes.X !== undefined && (
                            <Box sx={{ mt: 1, maxWidth: '54rem', display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fill, minmax(9.5rem, 1fr))' }}>
                                <Labelled label="X counts">
                                    <Choice
                                        label="X counts" value={machine.axes.X.xIs ?? 'diameter'} readOnly={readOnly}
                                        choices={[['diameter', 'diameter, Ø'], ['radius', 'radius']]} onChange={(xIs) => change('axes.X.xIs', xIs)}
                                    />
                                </Labelled>
                                <Labelled label="Tools stand in">
                                    <Choice
                                        label="Tools stand in" value={carrier} readOnly={readOnly}
                                        choices={[['turret', 'a turret'], ['posts', 'posts, side by side']]}
                                        onChange={(next) => onChange(carriedIn(machine, next === 'posts' ? 'posts' : 'turret'))}
                                    />
                                </Labelled>
                                <Labelled label="On which side">
                                    <Choice
                                        label="Side of the tools" value={machine[carrier]?.side ?? ''} readOnly={readOnly}
                                        choices={[['', 'not specified'], ['front', 'in front of the part'], ['rear', 'behind the part']]}
                                        onChange={(side) => change(`${carrier}.side`, side === '' ? undefined : side)}
                                    />
                                </Labelled>
                                <Labelled label="Lag in a thread, s">
                                    {field('Lag in a thread', 'threadLagSeconds', machine.threadLagSeconds, { unit: 's' })}
                                </Labelled>
                                <Labelled label="Lead that may lack, share">
                                    {field('Lead that may lack in a thread', 'threadLeadError', machine.threadLeadError, { unit: '' })}
                                </Labelled>
                                {carrier === 'turret' && (
                                    <>
                                        <Labelled label="Stations">{field('Stations of the turret', 'turret.stations', machine.turret?.stations)}</Labelled>
                                        <Labelled label={`Turret radius, ${unit}`}>
                                            {field('Radius of the turret', 'turret.radius', machine.turret?.radius, { unit })}
                                        </Labelled>
                                        <Labelled label={`Room to index, ${unit}`}>
                                            {field('Clearance of the turret', 'turret.clearance', machine.turret?.clearance, { unit })}
                                        </Labelled>
                                    </>
                                )}
                            </Box>
                        )}
                        {!readOnly && (
                            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1 }}>
                                {free.map((axis) => <Button key={axis} onClick={() => onChange(withAxis(machine, axis, unit))}>Add {axis}</Button>)}
                            </Box>
                        )}
                    </Sheet>
                </Box>
                {machine.kind === 'mill' && (
                    <Sheet title="Travel in plan">
                        {row.setups.length > 0 && (
                            <Choice
                                label="Part shown" value={String(shown)} readOnly={false} onChange={(id) => setShown(Number(id))}
                                choices={[['0', 'no part'], ...row.setups.map(({ id, title }): [string, string] => [String(id), title])]}
                            />
                        )}
                        <TravelOutline machine={machine} unit={unit} stock={row.setups.find(({ id }) => id === shown)?.stock ?? null} />
                    </Sheet>
                )}
            </Box>
            <Sheet title="Home and tool change" note={`machine coordinates, ${unit}. Empty: the axis stays`}>
                <Table heads={['', ...axes.map((axis) => axisHead(machine, axis))]} columns={`9rem repeat(${axes.length}, minmax(4.5rem, 8rem))`}>
                    {([
                        ['Home', 'home', machine.home],
                        ['Second home', 'secondHome', machine.secondHome],
                        ['Tool change', 'toolChange.at', machine.toolChange?.at],
                    ] as const)
                        .flatMap(([words, path, at]) => [
                            <Box key={path}>{words}</Box>,
                            ...axes.map((axis) => field(`${words} ${axis}`, `${path}.${axis}`, at?.[axis], { unit: isRotary(axis) ? '°' : unit })),
                        ])}
                </Table>
            </Sheet>
            <Sheet title="Spindle and tool change times">
                <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(9rem, 1fr))', gap: 1 }}>
                    <Labelled label="Max RPM">{field('Max RPM', 'spindle.maxRpm', machine.spindle?.maxRpm, { unit: 'rev/min' })}</Labelled>
                    <Labelled label={`Power, ${power}`}>{field('Power', 'spindle.power', machine.spindle?.power, { unit: power })}</Labelled>
                    <Labelled label={`Torque, ${torque}`}>{field('Torque', 'spindle.torque', machine.spindle?.torque, { unit: torque })}</Labelled>
                    <Labelled label="Up to speed in, s">
                        {field('Seconds to speed', 'spindle.secondsToSpeed', machine.spindle?.secondsToSpeed, { unit: 's' })}
                    </Labelled>
                    <Labelled label="Tool change takes, s">{field('Tool change', 'toolChange.seconds', machine.toolChange?.seconds, { unit: 's' })}</Labelled>
                </Box>
            </Sheet>
            {rotary.length > 0 && (
                <Sheet title="Rotary centres" note={`machine coordinates, ${unit}; heights from the gauge line at Z0`}>
                    <Table heads={['Axis', 'X', 'Y', 'Z', 'Table at Z']} columns="4rem repeat(4, minmax(5rem, 9rem))">
                        {rotary.flatMap((axis) => [
                            <Box key={axis} sx={{ fontWeight: 700 }}>{axisHead(machine, axis)}</Box>,
                            ...['X', 'Y', 'Z'].map((name) =>
                                field(`${axis} turns about ${name}`, `rotaryCenters.${axis}.at.${name}`, machine.rotaryCenters?.[axis]?.at[name])),
                            field(`The table under ${axis}`, `rotaryCenters.${axis}.table`, machine.rotaryCenters?.[axis]?.table),
                        ])}
                    </Table>
                </Sheet>
            )}
            <Sheet title="Program files" note="how its control wants them; used when programs are downloaded">
                <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(11rem, 1fr))', gap: 1 }}>
                    <Labelled label="Line ends">
                        <Choice
                            label="Line ends" value={machine.programFiles?.lineEnds ?? 'lf'} choices={[['lf', 'LF'], ['crlf', 'CR LF']]} readOnly={readOnly}
                            onChange={(ends) => change('programFiles.lineEnds', ends)}
                        />
                    </Labelled>
                    <Labelled label="A line with % before and behind">
                        <Choice
                            label="Percent signs" value={machine.programFiles?.percent === true ? 'yes' : 'no'} choices={[['no', 'no'], ['yes', 'yes']]}
                            readOnly={readOnly} onChange={(percent) => change('programFiles.percent', percent === 'yes')}
                        />
                    </Labelled>
                    <Labelled label="Ending of the name">
                        <TextEntry
                            label="Ending of the name" value={machine.programFiles?.ending ?? 'nc'} readOnly={readOnly} error={errors['programFiles.ending']}
                            onChange={(ending) => change('programFiles.ending', ending)}
                        />
                    </Labelled>
                </Box>
            </Sheet>
            <Places machine={machine} axes={axes} readOnly={readOnly} field={field} onChange={change} />
            <Sheet title="Always on the machine" note={`a probe, a tool rack, a rotary: machine coordinates, ${unit}; heights from the gauge line at Z0`}>
                <ObstacleTable
                    obstacles={machine.obstacles ?? []} path="obstacles" unit={unit} readOnly={readOnly} errors={errors} frames={[]} turning={[]} field={field}
                    onChange={change}
                />
            </Sheet>
        </Box>
    );
}

interface PlacesProps {
    machine: Machine;
    axes: string[];
    readOnly: boolean;
    field: (label: string, path: string, value: number | undefined) => ReactNode;
    onChange: (path: string, value: unknown) => void;
}

/** Where fixtures usually stand; an offset far from it is asked about. */
function Places({ machine, axes, readOnly, field, onChange }: PlacesProps) {
    const [problem, setProblem] = useState<string | null>(null);
    const places = machine.places ?? {};
    const linear = axes.filter((axis) => !isRotary(axis));
    return (
        <Sheet title="Usual places of fixtures" note="where part zero is there; an offset more than 1 mm off is a caution">
            {problem !== null && <Box role="alert" sx={{ color: 'error.main' }}>{problem}</Box>}
            {Object.keys(places).length > 0 && (
                <Table heads={['Name', ...linear, '']} columns={`minmax(8rem, 14rem) repeat(${linear.length}, minmax(5rem, 8rem)) 2.5rem`}>
                    {Object.entries(places).flatMap(([name, at]) => [
                        <TextEntry
                            key={name} label={`Name of ${name}`} value={name} readOnly={readOnly}
                            onChange={(to) => {
                                const next = renamed(places, name, to.replaceAll('.', ' '));
                                setProblem(next === null ? 'Each place needs a name of its own.' : null);
                                if (next !== null) onChange('places', next);
                            }}
                        />,
                        ...linear.map((axis) => field(`${name} ${axis}`, `places.${name}.${axis}`, at[axis])),
                        <Remove key={`${name}x`} label={`Remove ${name}`} show={!readOnly} onClick={() => onChange(`places.${name}`, undefined)} />,
                    ])}
                </Table>
            )}
            {!readOnly && <Button sx={{ mt: 1 }} onClick={() => onChange('places', withPlace(places, axes))}>Add a place</Button>}
        </Sheet>
    );
}
