import { Box, Button, Dialog, MenuItem, Select, TextField, Tooltip } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Edit } from '../contracts/oak-check-1';
import { send } from '../shared/server';
import { useAltKeys } from '../shared/useAltKeys';
import { defaults, isChoice, isComplete, type TextTransform, type Values } from './changes';
import { keyOf } from './textKey';
import { EditPreview } from './review/EditPreview';

interface Props {
    program: number;
    setupVersion: number;
    text: string;
    transforms: TextTransform[];
    selectedLines: () => [number, number] | null;
    onApply: (edit: Edit) => void;
}

/** Changes of the whole text or of some lines, shown before they are made and taken back in one step. */
export function ChangeText(props: Props) {
    const [open, setOpen] = useState(false);
    useAltKeys({ KeyC: () => setOpen(true) });
    return (
        <>
            <Tooltip title="Change words, numbers, layout or units of the text (Alt+C)"><Button onClick={() => setOpen(true)}>Change</Button></Tooltip>
            <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="change-title" maxWidth={false}>
                {open && <Changes {...props} onClose={() => setOpen(false)} />}
            </Dialog>
        </>
    );
}

function Changes({ program, setupVersion, text, transforms, selectedLines, onApply, onClose }: Props & { onClose: () => void }) {
    const [name, setName] = useState(transforms[0]?.name ?? '');
    const [all, setAll] = useState<Record<string, Values>>({});
    const [lines, setLines] = useState(() => {
        const selected = selectedLines();
        return { from: String(selected?.[0] ?? ''), to: String(selected?.[1] ?? '') };
    });
    const transform = transforms.find((other) => other.name === name);
    const values = transform === undefined ? {} : (all[name] ?? defaults(transform));
    const asked = { text, name, values, from: lines.from === '' ? null : Number(lines.from), to: lines.to === '' ? null : Number(lines.to) };
    const { data, error, isFetching } = useQuery({
        queryKey: ['transform', program, setupVersion, { ...asked, text: keyOf(text) }],
        queryFn: ({ signal }) => send<{ edit: Edit | null }>('POST', `/programs/${program}/transform`, asked, signal),
        enabled: transform !== undefined && isComplete(transform, values),
        retry: false,
    });
    if (transform === undefined) return null;
    const edit = data?.edit ?? null;
    const set = (field: string, value: string) => setAll({ ...all, [name]: { ...values, [field]: value } });
    const number = (label: string, value: string, onValue: (value: string) => void) => (
        <TextField
            size="small"
            value={value}
            sx={{ width: 100 }}
            onChange={(event) => onValue(event.target.value.replace(',', '.'))}
            slotProps={{ htmlInput: { 'aria-label': label, inputMode: 'decimal', style: { textAlign: 'right' } } }}
        />
    );
    return (
        <Box sx={{ p: 2.5, width: 680, display: 'grid', gap: 1.5 }}>
            <Box component="h2" id="change-title" sx={{ m: 0, fontSize: '1.125rem' }}>Change the text</Box>
            <Box role="group" aria-label="Change" sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
                {transforms.map((other) => (
                    <Button
                        key={other.name}
                        aria-pressed={other.name === name}
                        onClick={() => setName(other.name)}
                        sx={{ background: other.name === name ? 'var(--pick)' : undefined, fontWeight: other.name === name ? 700 : 400 }}
                    >
                        {other.title}
                    </Button>
                ))}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', minHeight: 40 }}>
                {transform.fields.map((field) => (
                    <Box key={field.name} component="label" sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
                        {field.label}
                        {isChoice(field)
                            ? (
                                <Select
                                    size="small"
                                    value={values[field.name] ?? ''}
                                    onChange={(event) => set(field.name, event.target.value)}
                                    inputProps={{ 'aria-label': field.label }}
                                >
                                    {Object.entries(field.choices).map(([value, words]) => <MenuItem key={value} value={value}>{words}</MenuItem>)}
                                </Select>
                            )
                            : number(field.label, values[field.name] ?? '', (value) => set(field.name, value))}
                    </Box>
                ))}
            </Box>
            {name !== 'convert-units' && (
                <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
                    in lines {number('From line', lines.from, (from) => setLines({ ...lines, from }))}{' '}
                    to {number('To line', lines.to, (to) => setLines({ ...lines, to }))}
                    <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>empty for all</Box>
                </Box>
            )}
            <Box sx={{ minHeight: 220, opacity: isFetching ? 0.6 : 1 }}>
                {error !== null && <Box role="alert" sx={{ color: 'error.main', fontWeight: 600 }}>{error.message}</Box>}
                {error === null && edit === null && data !== undefined && <Box role="status">Nothing to change.</Box>}
                {error === null && edit !== null && (
                    <>
                        <Box role="status" sx={{ fontWeight: 600 }}>{edit.also.length === 0 ? 'One change' : `${edit.also.length + 1} changes`}</Box>
                        <EditPreview text={text} edit={edit} most={12} />
                    </>
                )}
            </Box>
            <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                <Button onClick={onClose}>Cancel</Button>
                <Button
                    variant="contained" disabled={edit === null || isFetching || error !== null}
                    onClick={() => {
                        if (edit !== null) onApply(edit);
                        onClose();
                    }}
                >
                    Apply
                </Button>
            </Box>
        </Box>
    );
}
