import { Box, Button } from '@mui/material';
import type { ReactNode } from 'react';
import { Choice } from '../shared/Choice';
import { Remove, Sheet, Table } from '../shared/Sheet';
import { nextWorkOffset, notTrustedWords, type SetupDocument } from './document';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';

interface Props {
    document: SetupDocument;
    fields: Fields;
    axes: string[];
    /** Usual places of the machine. */
    places: string[];
}

/** Part zero in machine coordinates, a row for each work offset. */
export function OffsetsSheet({ document, fields, axes, places }: Props) {
    const { unit, mayChange, change, field, notes } = fields;
    const next = nextWorkOffset(document);
    return (
        <Sheet title="Work offsets" id="workOffsets" note={`part zero in machine coordinates, ${unit}`}>
            {Object.keys(document.workOffsets ?? {}).length > 0 && (
                <Table
                    heads={['Code', ...axes, ...(places.length > 0 ? ['At'] : []), '']}
                    columns={`4rem repeat(${axes.length}, minmax(5rem, 9rem)) ${places.length > 0 ? 'minmax(7rem, 11rem) ' : ''}2.5rem`}
                >
                    {Object.entries(document.workOffsets ?? {}).flatMap(([name, position]): ReactNode[] => [
                        <Box key={name} id={`workOffsets.${name}`} tabIndex={-1} className="mono" sx={{ fontWeight: 600 }}>{name}</Box>,
                        ...axes.map((axis) =>
                            field(`${name} ${axis}`, `workOffsets.${name}.${axis}`, position[axis], {
                                unit: 'ABC'.includes(axis.charAt(0)) ? 'degrees' : unit,
                            })),
                        ...(places.length === 0 ? [] : [
                            <Choice<string>
                                key={`${name}p`} label={`${name} is at`} readOnly={!mayChange} value={document.places?.[name] ?? ''}
                                choices={[['', 'no usual place'], ...places.map((place): [string, string] => [place, place])]}
                                onChange={(place) => change(`places.${name}`, place === '' ? undefined : place)}
                            />,
                        ]),
                        <Remove key={`${name}x`} label={`Remove ${name}`} show={mayChange} onClick={() => change(`workOffsets.${name}`, undefined)} />,
                        <Box key={`${name}n`} sx={{ gridColumn: '1 / -1', '&:empty': { display: 'none' } }}>
                            {notTrustedWords(document, name) !== null && <NotTrusted words={notTrustedWords(document, name)} />}
                            <FieldNotes notes={notesOf(notes, `workOffsets.${name}`, true)} />
                        </Box>,
                    ])}
                </Table>
            )}
            <FieldNotes
                notes={notes.filter(({ field: at }) => at.startsWith('workOffsets.') && document.workOffsets?.[at.split('.')[1] ?? ''] === undefined)}
            />
            {mayChange && next !== null && (
                <Button sx={{ mt: 1 }} onClick={() => change(`workOffsets.${next}`, Object.fromEntries(axes.map((axis) => [axis, 0])))}>Add {next}</Button>
            )}
        </Sheet>
    );
}

export function NotTrusted({ words }: { words: string | null }) {
    return words === null ? null : <Box sx={{ color: 'error.main', fontSize: '0.8125rem', fontWeight: 600 }}>{words}</Box>;
}
