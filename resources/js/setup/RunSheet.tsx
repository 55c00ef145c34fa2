import { Box, Button, Checkbox, FormControlLabel, TextField } from '@mui/material';
import { useState } from 'react';
import { Labelled, Remove, Sheet, Table } from '../shared/Sheet';
import type { SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';

/** What the run begins with and how near things may come: margins, start, switches on the panel, rotary centres. */
export function RunSheet({ document, fields, axes, rotary }: { document: SetupDocument; fields: Fields; axes: string[]; rotary: string[] }) {
    const { unit, mayChange, change, field, notes } = fields;
    const skips = document.switches?.blockSkip ?? [];
    const margin = (label: string, path: 'clearance' | 'breakThrough' | 'nearLimit' | 'thinnest') => (
        <Box>
            <Labelled label={`${label}, ${unit}`}>{field(label, path, document[path])}</Labelled>
            <FieldNotes notes={notesOf(notes, path)} />
        </Box>
    );
    return (
        <>
            <Sheet title="Margins and switches">
                <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(11rem, 1fr))', gap: 1.5, alignItems: 'start' }}>
                    {margin('Clearance over the stock', 'clearance')}
                    {margin('Break-through', 'breakThrough')}
                    {margin('Travel warning margin', 'nearLimit')}
                    {margin('Thinnest floor or wall', 'thinnest')}
                </Box>
                <Box id="switches" tabIndex={-1} sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'center', mt: 1 }}>
                    <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>On at the panel:</Box>
                    <FormControlLabel
                        label="optional stop"
                        control={<Checkbox
                            size="small" checked={document.switches?.optionalStop === true} disabled={!mayChange}
                            onChange={(event) => change('switches', { ...document.switches, optionalStop: event.target.checked })}
                        />}
                    />
                    {[1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => (
                        <FormControlLabel
                            key={n} label={n === 1 ? 'block skip /' : `/${n}`} sx={{ mr: 0 }}
                            control={<Checkbox
                                size="small" checked={skips.includes(n)} disabled={!mayChange} sx={{ p: 0.5 }}
                                onChange={(event) =>
                                    change('switches', {
                                        ...document.switches,
                                        blockSkip: event.target.checked ? [...skips, n].sort() : skips.filter((one) => one !== n),
                                    })}
                            />}
                        />
                    ))}
                </Box>
                <Box sx={{ mt: 1 }}>
                    <Table heads={['', ...axes]} columns={`11rem repeat(${axes.length}, minmax(4.5rem, 8rem))`}>
                        <Box id="start" tabIndex={-1}>Start of the run, machine</Box>
                        {axes.map((axis) =>
                            field(`Start ${axis}`, `start.${axis}`, document.start?.[axis], { unit: 'ABC'.includes(axis.charAt(0)) ? 'degrees' : unit }),
                        )}
                    </Table>
                    <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>Empty: it starts from home, which stands on the machine’s page.</Box>
                </Box>
            </Sheet>
            {rotary.length > 0 && (
                <Sheet
                    title="Rotary centres"
                    id="rotaryCenters"
                    note={`centre of rotation in ${document.rotaryCenters?.[rotary[0] ?? '']?.workOffset ?? 'G54'}, ${unit}. Empty: that of the machine`}
                >
                    <Table heads={['Axis', 'X', 'Y', 'Z', 'Table at Z']} columns="4rem repeat(4, minmax(5rem, 10rem))">
                        {rotary.flatMap((axis) => [
                            <Box key={axis} id={`rotaryCenters.${axis}`} tabIndex={-1} sx={{ fontWeight: 600 }}>{axis}</Box>,
                            ...['X', 'Y', 'Z'].map((name) =>
                                field(`${axis} turns about ${name}`, `rotaryCenters.${axis}.at.${name}`, document.rotaryCenters?.[axis]?.at[name])),
                            field(`The table under ${axis}`, `rotaryCenters.${axis}.table`, document.rotaryCenters?.[axis]?.table),
                        ])}
                    </Table>
                    <FieldNotes notes={notesOf(notes, 'rotaryCenters', true)} />
                </Sheet>
            )}
        </>
    );
}

/** Programs this setup's programs call, kept with it. */
export function SubprogramsSheet({ document, fields }: { document: SetupDocument; fields: Fields }) {
    const { mayChange, change } = fields;
    const [number, setNumber] = useState('');
    const programs = Object.entries(document.subprograms ?? {});
    const name = `O${number.replace(/^O/i, '')}`;
    if (programs.length === 0 && !mayChange) return null;
    return (
        <Sheet
            title="Subprograms"
            id="subprograms"
            note="called by this setup’s programs; a program of the setup that ends in a return is found by its number too"
        >
            {programs.map(([called, text]) => (
                <Box key={called} sx={{ display: 'grid', gridTemplateColumns: '5rem minmax(0, 1fr) 2.5rem', gap: 1, alignItems: 'start', mb: 1 }}>
                    <Box className="mono" sx={{ fontWeight: 600, pt: 0.5 }}>{called}</Box>
                    <TextField
                        multiline minRows={3} maxRows={14} size="small" defaultValue={text} disabled={!mayChange} id={`subprograms.${called}`}
                        slotProps={{ htmlInput: { 'aria-label': `Text of ${called}`, className: 'mono', spellCheck: false } }}
                        onBlur={(event) => event.target.value !== text && change(`subprograms.${called}`, event.target.value)}
                    />
                    <Remove label={`Remove ${called}`} show={mayChange} onClick={() => change(`subprograms.${called}`, undefined)} />
                </Box>
            ))}
            {mayChange && (
                <Box sx={{ display: 'flex', gap: 0.75 }}>
                    <TextField
                        size="small" value={number} onChange={(event) => setNumber(event.target.value)} sx={{ width: '7rem' }} placeholder="2000"
                        slotProps={{ htmlInput: { 'aria-label': 'Number of the subprogram' } }}
                    />
                    <Button
                        disabled={!/^O?\d{1,8}$/i.test(number) || document.subprograms?.[name] !== undefined}
                        onClick={() => {
                            change(`subprograms.${name}`, 'M99\n');
                            setNumber('');
                        }}
                    >
                        Add a subprogram
                    </Button>
                </Box>
            )}
        </Sheet>
    );
}

interface LoweredRow {
    check: string;
    reason: string;
    by?: string;
    on: string;
}

/** Cautions a lead has made notes of, with the reasons. */
export function LoweredSheet({ lowered }: { lowered: LoweredRow[] }) {
    if (lowered.length === 0) return null;
    return (
        <Sheet title="Cautions lowered to notes" note="by a lead, from the finding on the bench">
            <Table heads={['Check', 'Reason', 'By', 'For']} columns="minmax(8rem, 14rem) minmax(0, 1fr) 7rem 7rem">
                {lowered.flatMap(({ check, reason, by, on }) => [
                    <Box key={`${on}${check}`} sx={{ fontWeight: 600 }}>{check.replace(/.*\./, '').replaceAll('-', ' ')}</Box>,
                    <Box key={`${on}${check}w`}>{reason}</Box>,
                    <Box key={`${on}${check}b`}>{by ?? ''}</Box>,
                    <Box key={`${on}${check}o`}>{on}</Box>,
                ])}
            </Table>
        </Sheet>
    );
}
