import { Link } from '@inertiajs/react';
import { Box, Button, MenuItem, Select } from '@mui/material';
import { useState } from 'react';
import { Choice } from '../shared/Choice';
import { NumberField } from '../shared/NumberField';
import { LONG_UNITS } from '../shared/numbers';
import { Remove, Sheet, Table } from '../shared/Sheet';
import { TextEntry } from '../shared/TextEntry';
import { KINDS, kindWords, type Definition, type FieldRow, type Usuals } from '../tools/tool';
import { ToolDrawing } from '../tools/ToolDrawing';
import { ToolForm } from '../tools/ToolForm';
import { nextToolNumber, notTrustedWords, offsetOf, otherOffsets, renumbered, withoutTool, withOffset, type SetupDocument, type ToolRow } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';
import { NotTrusted } from './OffsetsSheet';
import { TURNING_HEADS, TurningOffsetFields } from './TurningOffsetFields';

export interface CribRow {
    id: number;
    definition: Definition;
}

interface Props {
    document: SetupDocument;
    fields: Fields;
    toolFields: FieldRow[];
    usuals: Usuals;
    crib: CribRow[];
    /** The tool whose details a link leads to. */
    opened: number | null;
    isLathe: boolean;
    onDocument: (next: (document: SetupDocument) => SetupDocument) => void;
}

const TURNING_COLUMNS = '3.5rem minmax(7rem, 1.4fr) minmax(6rem, 1fr) repeat(2, minmax(5rem, 6rem) 4rem) 4rem minmax(5.5rem, 7rem) 2rem 2rem';

const COLUMNS = '3.5rem minmax(7rem, 1.6fr) minmax(6rem, 1fr) 4.5rem minmax(5rem, 7rem) 4.5rem minmax(5rem, 6rem) 4.5rem 2rem 2rem';

/** The diameter of a mill's tool stands in its line; the others are of a turret. */
const NOT_ON_A_MILL = ['diameter', 'projection', 'driven'];

/** The tools in the machine with their offsets, a line each; every other field of a tool under its line. */
export function ToolsSheet({ document, fields, toolFields, usuals, crib, opened, isLathe, onDocument }: Props) {
    const { unit, mayChange, change, notes } = fields;
    const [open, setOpen] = useState<number[]>(opened === null ? [] : [opened]);
    const tools = document.tools ?? [];
    const add = (definition: Definition) => onDocument((now) => ({ ...now, tools: [...(now.tools ?? []), { ...definition, number: nextToolNumber(now) }] }));
    return (
        <Sheet title="Tools" id="tools" note={`lengths and diameters in ${LONG_UNITS[unit]}`}>
            <FieldNotes notes={notesOf(notes, 'tools')} />
            {tools.length > 0 && (
                <Table
                    heads={['T', 'Name', 'Kind', ...(isLathe ? TURNING_HEADS : ['Ø', 'Length H', 'Wear', 'Cutter D', 'Wear']), '', '']}
                    columns={isLathe ? TURNING_COLUMNS : COLUMNS}
                >
                    {tools.flatMap((tool, i) => [
                        <ToolLine
                            key={`${i}l`} tool={tool} i={i} document={document} fields={fields} isOpen={open.includes(i)}
                            isLathe={isLathe} onDocument={onDocument}
                            onOpen={() => setOpen((list) => (list.includes(i) ? list.filter((one) => one !== i) : [...list, i]))}
                        />,
                        <Box key={`${i}n`} sx={{ gridColumn: '2 / -1', '&:empty': { display: 'none' } }}>
                            <NotTrusted words={notTrustedWords(document, `H${tool.number}`)} />
                            <NotTrusted words={notTrustedWords(document, `D${tool.number}`)} />
                            <FieldNotes
                                notes={[
                                    ...notesOf(notes, `tools.${i}`, true), ...notesOf(notes, `offsets.H.${tool.number}`, true),
                                    ...notesOf(notes, `offsets.D.${tool.number}`, true), ...notesOf(notes, `offsets.T.${tool.number}`, true),
                                ]}
                            />
                        </Box>,
                        open.includes(i) && (
                            <Box
                                key={`${i}d`}
                                sx={{
                                    gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(6rem, 9rem)', gap: 2,
                                    background: 'var(--paper)',
                                    border: '1px solid var(--hair)', p: 1.5, mb: 1,
                                }}
                            >
                                <ToolForm
                                    tool={tool} called={`T${tool.number}`} path={`tools.${i}`}
                                    fields={toolFields.filter(({ field }) => isLathe || !NOT_ON_A_MILL.includes(field))}
                                    usuals={usuals} unit={unit} readOnly={!mayChange} errors={ownErrors(fields.errors, `tools.${i}.`)}
                                    onChange={(field, value) => change(`tools.${i}.${field}`, value)}
                                />
                                <ToolDrawing tool={tool} />
                            </Box>
                        ),
                    ])}
                </Table>
            )}
            {mayChange && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1, alignItems: 'center' }}>
                    <Button onClick={() => add({ name: 'New tool', kind: isLathe ? 'turning' : 'end-mill' })}>Add a tool</Button>
                    {crib.length > 0 && (
                        <Select<string>
                            size="small" displayEmpty value="" SelectDisplayProps={{ id: 'add-from-crib' }}
                            inputProps={{ 'aria-label': 'Add a tool from the crib' }} sx={{ minWidth: '14rem' }}
                            onChange={(event) => {
                                const picked = crib.find(({ id }) => String(id) === event.target.value);
                                if (picked !== undefined) add(picked.definition);
                            }}
                        >
                            <MenuItem value="">Add from the tool crib…</MenuItem>
                            {crib.map(({ id, definition }) => (
                                <MenuItem key={id} value={String(id)}>{definition.name} · {kindWords(definition.kind ?? '')}</MenuItem>
                            ))}
                        </Select>
                    )}
                    <Link href="/tools">Tool crib</Link>
                </Box>
            )}
            {!isLathe && <OtherOffsets document={document} fields={fields} onDocument={onDocument} />}
        </Sheet>
    );
}

interface LineProps extends Pick<Props, 'document' | 'fields' | 'isLathe' | 'onDocument'> {
    tool: ToolRow;
    i: number;
    isOpen: boolean;
    onOpen: () => void;
}

function ToolLine({ tool, i, document, fields, isOpen, isLathe, onDocument, onOpen }: LineProps) {
    const { unit, mayChange, change, field, errors } = fields;
    const at = `tools.${i}`;
    const offset = (letter: 'H' | 'D', part: 'geometry' | 'wear') => {
        const path = `offsets.${letter}.${tool.number}`;
        const value = offsetOf(document, letter, tool.number);
        return (
            <NumberField
                label={`${letter}${tool.number} ${part === 'wear' ? 'wear' : letter === 'H' ? 'length' : 'diameter'}`}
                path={part === 'wear' ? `${path}.wear` : path}
                unit={unit} value={value[part]} readOnly={!mayChange || (part === 'wear' && value.geometry === undefined)}
                error={errors[part === 'wear' ? `${path}.wear` : path]}
                onChange={(next) => onDocument((now) => withOffset(now, letter, tool.number, part, next))}
            />
        );
    };
    return (
        <>
            <NumberField
                label={`Number of T${tool.number}`} path={`${at}.number`} value={tool.number} required readOnly={!mayChange} error={errors[`${at}.number`]}
                onChange={(number) => number !== undefined && onDocument((now) => renumbered(now, i, number))}
            />
            <TextEntry label={`T${tool.number} name`} value={tool.name ?? ''} readOnly={!mayChange} onChange={(name) => change(`${at}.name`, name)} />
            <Choice
                label={`T${tool.number} kind`} id={`${at}.kind`} value={tool.kind ?? 'end-mill'} readOnly={!mayChange}
                choices={KINDS.map((kind) => [kind, kindWords(kind)])} onChange={(kind) => change(`${at}.kind`, kind)}
            />
            {isLathe
                ? <TurningOffsetFields number={tool.number} document={document} fields={fields} onDocument={onDocument} />
                : (
                    <>
                        {field(`T${tool.number} diameter`, `${at}.diameter`, tool.diameter)}
                        {offset('H', 'geometry')}
                        {offset('H', 'wear')}
                        {offset('D', 'geometry')}
                        {offset('D', 'wear')}
                    </>
                )}
            <Button
                variant="text" id={at} aria-expanded={isOpen} aria-label={`${isOpen ? 'Fold' : 'Open'} the details of T${tool.number}`} onClick={onOpen}
                sx={{ px: 0.5 }}
            >
                {isOpen ? '▴' : '▾'}
            </Button>
            <Remove label={`Remove T${tool.number}`} show={mayChange} onClick={() => onDocument((now) => withoutTool(now, i))} />
        </>
    );
}

/** Offsets whose number is no tool's own. */
function OtherOffsets({ document, fields, onDocument }: Pick<Props, 'document' | 'fields' | 'onDocument'>) {
    const { unit, mayChange, errors } = fields;
    const [number, setNumber] = useState<number | undefined>(undefined);
    const others = otherOffsets(document);
    if (others.length === 0 && !mayChange) return null;
    return (
        <Box id="offsets" tabIndex={-1} sx={{ mt: 1.5 }}>
            <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>Offsets under other numbers, for a tool with two edges or two heights</Box>
            {others.map(({ letter, number: of }) => (
                <Box key={`${letter}${of}`} sx={{ display: 'grid', gridTemplateColumns: '3.5rem 7rem 6rem 2.5rem', gap: 0.75, alignItems: 'center', pt: 0.5 }}>
                    <Box className="mono" sx={{ fontWeight: 600 }}>{letter}{of}</Box>
                    {(['geometry', 'wear'] as const).map((part) => (
                        <NumberField
                            key={part} label={`${letter}${of} ${part === 'wear' ? 'wear' : 'value'}`} unit={unit} value={offsetOf(document, letter, of)[part]}
                            path={`offsets.${letter}.${of}${part === 'wear' ? '.wear' : ''}`} readOnly={!mayChange} error={errors[`offsets.${letter}.${of}`]}
                            onChange={(next) => onDocument((now) => withOffset(now, letter, of, part, next))}
                        />
                    ))}
                    <Remove
                        label={`Remove ${letter}${of}`}
                        show={mayChange}
                        onClick={() => onDocument((now) => withOffset(now, letter, of, 'geometry', undefined))}
                    />
                </Box>
            ))}
            {mayChange && (
                <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'center', pt: 0.5 }}>
                    <Box sx={{ width: '5rem' }}>
                        <NumberField label="Number of another offset" path="other-offset" value={number} readOnly={false} onChange={setNumber} />
                    </Box>
                    {(['H', 'D'] as const).map((letter) => (
                        <Button
                            key={letter} disabled={number === undefined || !Number.isInteger(number) || number < 1}
                            onClick={() => onDocument((now) =>
                                withOffset(now, letter, number ?? 0, 'geometry', offsetOf(now, letter, number ?? 0).geometry ?? 0))}
                        >
                            Add {letter}{number ?? ''}
                        </Button>
                    ))}
                </Box>
            )}
        </Box>
    );
}

function ownErrors(errors: Record<string, string>, prefix: string): Record<string, string> {
    return Object.fromEntries(Object.entries(errors).filter(([name]) => name.startsWith(prefix)).map(([name, words]) => [name.slice(prefix.length), words]));
}
