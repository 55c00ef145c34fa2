import { Box, Button, Checkbox, FormControlLabel, MenuItem, Select, TextField } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { NumberField } from '../shared/NumberField';
import { ServerError, send } from '../shared/server';
import { switchesOf, found, withEntry, type Control, type FunctionRow, type Profile } from './profile';

interface Props {
    profile: Profile;
    /** The profile of the house it is a copy of. */
    base: Profile;
    machines: { id: number; name: string; profileId: number | null }[];
    functions: FunctionRow[];
    meanings: { meaning: string; words: string }[];
    mayChange: boolean;
    onStored: (profile: Profile) => void;
}

/** One profile: its switches, the letters of its words, and the code of every function. */
export function ProfileSheet({ profile, base, machines, functions, meanings, mayChange, onStored }: Props) {
    const [control, setControl] = useState<Control>(profile.control);
    const [readers, setReaders] = useState<number[]>(profile.machines ?? []);
    const [wanted, setWanted] = useState('');
    const [storing, setStoring] = useState(false);
    const [refusal, setRefusal] = useState<{ message: string; fields: Record<string, string> } | null>(null);
    const changed = JSON.stringify([control, readers]) !== JSON.stringify([profile.control, profile.machines ?? []]);
    const codeOf = (name: string) => control.codes?.[name] ?? base.codes[name] ?? '';

    const store = async () => {
        setStoring(true);
        setRefusal(null);
        try {
            onStored(await send<Profile>('PUT', `/profiles/${profile.id ?? ''}`, { control, version: profile.version, machines: readers }));
        } catch (error) {
            setRefusal(error instanceof ServerError ? error : { message: 'The profile could not be saved.', fields: {} });
        }
        setStoring(false);
    };

    return (
        <Box sx={{ overflow: 'auto', p: 2, display: 'flex', flexDirection: 'column', gap: 2 }}>
            <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
                <Box component="h2" sx={{ m: 0, fontSize: '1.25rem' }}>{profile.title}</Box>
                <Box sx={{ color: 'text.secondary', flex: 1 }}>
                    {profile.id === null ? 'Built in: copy it to change it.' : `A copy of “${base.title}”. Differences are marked with a bar.`}
                </Box>
                {mayChange && (
                    <Button
                        disabled={!changed}
                        onClick={() => {
                            setControl(profile.control);
                            setReaders(profile.machines ?? []);
                            setRefusal(null);
                        }}
                    >
                        Discard
                    </Button>
                )}
                {mayChange && <Button variant="contained" disabled={!changed || storing} onClick={() => void store()}>Save and check again</Button>}
            </Box>
            {refusal !== null && <Box role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>{refusal.message}</Box>}
            <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1.15fr) minmax(0, 1fr)', gap: 2, alignItems: 'start' }}>
                <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
                    <Sheet title="How it reads a program">
                        {switchesOf(profile.control).map(({ name, label, choices, kind }) => (
                            <Row key={name} label={label} differs={control[name] !== base.control[name]}>
                                {choices !== undefined && (
                                    <Select
                                        size="small"
                                        fullWidth
                                        disabled={!mayChange}
                                        sx={{ '&& .MuiSelect-select.MuiSelect-outlined.MuiInputBase-input': { whiteSpace: 'normal' } }}
                                        value={String(control[name])}
                                        inputProps={{ 'aria-label': label }}
                                        onChange={(event) => setControl({ ...control, [name]: event.target.value })}
                                    >
                                        {choices.map(([value, words]) => <MenuItem key={value} value={value}>{words}</MenuItem>)}
                                    </Select>
                                )}
                                {kind === 'yes' && (
                                    <Checkbox
                                        size="small"
                                        disabled={!mayChange}
                                        checked={control[name] === true}
                                        onChange={(event) => setControl({ ...control, [name]: event.target.checked })}
                                        slotProps={{ input: { 'aria-label': label } }}
                                        sx={{ p: 0.5 }}
                                    />
                                )}
                                {(kind === 'length' || kind === 'count') && (
                                    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, maxWidth: 170 }}>
                                        <NumberField
                                            label={label}
                                            path={name}
                                            unit={kind === 'length' ? 'mm' : undefined}
                                            required
                                            value={Number(control[name])}
                                            readOnly={!mayChange}
                                            error={refusal?.fields[name]}
                                            onChange={(value) => setControl({ ...control, [name]: value })}
                                        />
                                        {kind === 'length' && <span>mm</span>}
                                    </Box>
                                )}
                            </Row>
                        ))}
                    </Sheet>
                    {profile.id !== null && (
                        <Sheet title="Machines with this control">
                            {machines.map((machine) => (
                                <FormControlLabel
                                    key={machine.id} label={machine.name} disabled={!mayChange}
                                    control={<Checkbox
                                        size="small"
                                        checked={readers.includes(machine.id)}
                                        onChange={(event) =>
                                            setReaders(event.target.checked ? [...readers, machine.id] : readers.filter((id) => id !== machine.id))
                                        }
                                    />}
                                />
                            ))}
                            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
                                Saving checks every program on these machines again.
                            </Box>
                        </Sheet>
                    )}
                </Box>
                <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
                    <Sheet title="Letters">
                        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 64px', gap: 0.5, alignItems: 'center' }}>
                            {meanings.flatMap(({ meaning, words }) => [
                                <Marked key={`${meaning}l`} differs={control.words?.[meaning] !== undefined}>{words}</Marked>,
                                <Short
                                    key={meaning}
                                    label={`Letter: ${words}`}
                                    value={control.words?.[meaning] ?? base.words[meaning] ?? ''}
                                    error={refusal?.fields[`words.${meaning}`]}
                                    readOnly={!mayChange}
                                    onChange={(value) => setControl(withEntry(control, 'words', meaning, value, base.words[meaning]))}
                                />,
                            ])}
                        </Box>
                    </Sheet>
                    <Sheet title="Codes">
                        <TextField
                            size="small"
                            fullWidth
                            value={wanted}
                            onChange={(event) => setWanted(event.target.value)}
                            placeholder="Find a function or a code"
                            slotProps={{ htmlInput: { 'aria-label': 'Find a function or a code' } }}
                            sx={{ mb: 1 }}
                        />
                        <Box
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: 'minmax(0, 1fr) 84px',
                                gap: 0.5,
                                alignItems: 'center',
                                maxHeight: 330,
                                overflow: 'auto',
                            }}
                            tabIndex={0}
                            role="region"
                            aria-label="Codes by function"
                        >
                            {found(functions, { ...base.codes, ...control.codes }, wanted).flatMap((row) => [
                                <Marked key={`${row.function}l`} differs={control.codes?.[row.function] !== undefined}>{row.words}</Marked>,
                                <Short
                                    key={row.function}
                                    label={`Code: ${row.words}`}
                                    value={codeOf(row.function)}
                                    error={refusal?.fields[`codes.${row.function}`]}
                                    readOnly={!mayChange}
                                    onChange={(value) => setControl(withEntry(control, 'codes', row.function, value, base.codes[row.function]))}
                                />,
                            ])}
                        </Box>
                    </Sheet>
                </Box>
            </Box>
        </Box>
    );
}

function Sheet({ title, children }: { title: string; children: ReactNode }) {
    return (
        <Box
            component="section"
            aria-label={title}
            sx={{ background: 'var(--sheet)', border: '1px solid var(--frame)', p: 1.5, display: 'flex', flexDirection: 'column' }}
        >
            <Box component="h3" sx={{ m: 0, mb: 1, fontSize: '1rem' }}>{title}</Box>
            {children}
        </Box>
    );
}

function Marked({ differs, children }: { differs: boolean; children: ReactNode }) {
    return (
        <Box sx={{ pl: 1, borderLeft: `3px solid ${differs ? 'var(--oak)' : 'transparent'}`, fontWeight: differs ? 600 : 400 }}>
            {children}
            {differs && <span className="hidden-label"> (differs)</span>}
        </Box>
    );
}

function Row({ label, differs, children }: { label: string; differs: boolean; children: ReactNode }) {
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1.1fr)', gap: 1, alignItems: 'center', minHeight: 38 }}>
            <Marked differs={differs}>{label}</Marked>
            <Box>{children}</Box>
        </Box>
    );
}

/** A code or a letter; it counts when the field is left. */
function Short({
    label, value, error, readOnly, onChange,
}: {
    label: string; value: string; error: string | undefined; readOnly: boolean; onChange: (value: string) => void;
}) {
    return (
        <TextField
            key={value} size="small" defaultValue={value} disabled={readOnly} error={error !== undefined} helperText={error}
            onBlur={(event) => event.target.value !== value && onChange(event.target.value)}
            slotProps={{
                htmlInput: { 'aria-label': label, maxLength: 8, className: 'mono', style: { padding: '4px 8px' } },
                formHelperText: { sx: { mx: 0 } },
            }}
        />
    );
}
