import { Box, Button, MenuItem, Select } from '@mui/material';
import { useState } from 'react';
import type { Stock } from '../contracts/oak-setup-1';
import { inUnits, isBar, type SetupDocument } from './document';
import { heightsOf, solidOf } from './files';
import { FieldNotes } from './FieldNotes';
import { notesOf, type Fields } from './fields';
import { PointsEntry } from './PointsEntry';
import type { Points } from './points';
import { FromFile, Remove, Sheet, Table } from '../shared/Sheet';

/** A box to begin with, in round figures of the setup's units. */
const newBox = (unit: string): Stock => ({
    shape: 'box',
    min: [inUnits(unit)(-50), inUnits(unit)(-50), inUnits(unit)(-20)],
    max: [inUnits(unit)(50), inUnits(unit)(50), 0],
});

/** The stock of the setup, and what else is clamped at other work offsets. */
export function StockSheet({ document, fields, isLathe }: { document: SetupDocument; fields: Fields; isLathe: boolean }) {
    const { unit, mayChange, change } = fields;
    const more = document.moreStock ?? [];
    const offset = document.stock?.workOffset ?? 'G54';
    return (
        <Sheet title="Stock" id={document.stock === undefined ? undefined : 'stock'} note={document.stock === undefined ? undefined : `in ${unit}`}>
            {document.stock === undefined && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                    <Box id="stock" tabIndex={-1}>Without stock, heights are not checked against material.</Box>
                    {mayChange && <Button onClick={() => change('stock', { ...newBox(unit), workOffset: 'G54' })}>Add stock</Button>}
                </Box>
            )}
            <FieldNotes notes={[...notesOf(fields.notes, 'stock', true), ...notesOf(fields.notes, 'moreStock', true)]} />
            {document.stock !== undefined && <Piece stock={document.stock} path="stock" name="Stock" document={document} fields={fields} isLathe={isLathe} />}
            {more.map((stock, n) => (
                <Piece key={n} stock={stock} path={`moreStock.${n}`} name={`Stock ${n + 2}`} document={document} fields={fields} isLathe={isLathe} />
            ))}
            {document.stock !== undefined && mayChange && !isLathe && (
                <Button
                    sx={{ mt: 1 }}
                    onClick={() =>
                        change('moreStock', [
                            ...more,
                            { ...newBox(unit), workOffset: Object.keys(document.workOffsets ?? {}).find((name) => name !== offset) ?? 'G55' },
                        ])
                    }
                >
                    Add stock at another work offset
                </Button>
            )}
        </Sheet>
    );
}

function Piece(
    { stock, path, name, document, fields, isLathe }: {
        stock: Stock;
        path: string;
        name: string;
        document: SetupDocument;
        fields: Fields;
        isLathe: boolean;
    },
) {
    const { unit, mayChange, change, field } = fields;
    const [problem, setProblem] = useState<string | null>(null);
    const says = problem ?? fields.errors[`${path}.stl`] ?? Object.entries(fields.errors).find(([at]) => at.startsWith(`${path}.heights`))?.[1];
    const place = stock.workOffset === undefined ? {} : { workOffset: stock.workOffset };
    const choose = (shape: string) =>
        change(path, shape === 'cylinder' ? { ...place, shape, diameter: inUnits(unit)(50), length: inUnits(unit)(50) } : { ...newBox(unit), ...place });
    const solid = async (file: File) => {
        const solid = await solidOf(file);
        setProblem(typeof solid === 'string' ? solid : null);
        if (typeof solid !== 'string') change(path, { ...place, shape: 'solid', ...solid });
    };
    const heights = async (file: File) => {
        const rows = heightsOf(await file.text());
        if (rows === null)
            return setProblem(`${file.name} has text in it that is not a number. It should hold one row of heights per line, from front to back.`);
        setProblem(null);
        const lowest = Math.min(...rows.flat().filter((height) => height !== null));
        change(path, {
            ...place,
            shape: 'heights',
            name: file.name,
            at: [0, 0],
            square: 1,
            bottom: lowest - (document.units === 'mm' ? 10 : 0.4),
            heights: rows,
        });
    };
    return (
        <Box sx={{ '& + &': { mt: 1.5, pt: 1.5, borderTop: '1px solid var(--hair)' } }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
                <Select
                    size="small"
                    value={isBar(stock) ? 'cylinder' : stock.shape}
                    disabled={!mayChange}
                    inputProps={{ 'aria-label': `${name} shape` }}
                    onChange={(event) => choose(event.target.value)}
                    sx={{ minWidth: 140 }}
                >
                    <MenuItem value="box">box</MenuItem>
                    <MenuItem value="cylinder">round bar</MenuItem>
                    {stock.shape === 'solid' && <MenuItem value="solid">solid from a file</MenuItem>}
                    {stock.shape === 'heights' && <MenuItem value="heights">heights from a file</MenuItem>}
                </Select>
                <Select
                    size="small"
                    value={stock.workOffset ?? 'G54'}
                    disabled={!mayChange}
                    inputProps={{ 'aria-label': `${name} work offset` }}
                    onChange={(event) => change(`${path}.workOffset`, event.target.value)}
                >
                    {[...new Set([stock.workOffset ?? 'G54', ...Object.keys(document.workOffsets ?? {})])].map((code) => (
                        <MenuItem key={code} value={code}>
                            {code}
                        </MenuItem>
                    ))}
                </Select>
                {mayChange && !isLathe && <FromFile label="Solid (STL)" accept=".stl,model/stl" onFile={(file) => void solid(file)} />}
                {mayChange && !isLathe && <FromFile label="Heights (text)" accept=".txt,.csv,text/plain,text/csv" onFile={(file) => void heights(file)} />}
                {path !== 'stock' && <Remove label={`Remove ${name}`} show={mayChange} onClick={() => change(path, undefined)} />}
            </Box>
            {says !== undefined && <Box role="alert" sx={{ color: 'error.main', mb: 1 }}>{says}</Box>}
            {stock.shape === 'box' && (
                <Table heads={['', 'X', 'Y', 'Z']} columns="90px repeat(3, minmax(110px, 160px))">
                    {(['min', 'max'] as const).flatMap((end) => [
                        <Box key={end} sx={{ fontWeight: 600 }}>{end === 'min' ? 'from' : 'to'}</Box>,
                        ...['X', 'Y', 'Z'].map((axis, i) =>
                            field(`${name} ${end === 'min' ? 'from' : 'to'} ${axis}`, `${path}.${end}.${i}`, stock[end]?.[i], { unit, required: true }),
                        ),
                    ])}
                </Table>
            )}
            {isBar(stock) && (
                <Table heads={['Ø', 'Length', 'Stock on face', 'Bore Ø', 'Along', 'Material towards']} columns="repeat(4, minmax(80px, 120px)) 80px 110px">
                    {field(
                        `${name} diameter`, `${path}.diameter`, stock.diameter,
                        {
                            unit, required: stock.acrossFlats === undefined && stock.shape !== 'profile',
                            readOnly: !mayChange || stock.acrossFlats !== undefined,
                        },
                    )}
                    {field(`${name} length`, `${path}.length`, stock.length, { unit, required: stock.shape !== 'profile' })}
                    {field(`${name} stock on face`, `${path}.face`, stock.face)}
                    {field(`${name} bore`, `${path}.bore`, stock.bore)}
                    <Select
                        size="small"
                        value={stock.axis ?? 'Z'}
                        disabled={!mayChange}
                        inputProps={{ 'aria-label': `${name} along` }}
                        onChange={(event) => change(`${path}.axis`, event.target.value)}
                    >
                        {['X', 'Y', 'Z'].map((axis) => <MenuItem key={axis} value={axis}>{axis}</MenuItem>)}
                    </Select>
                    <Select
                        size="small"
                        value={stock.towards ?? 'minus'}
                        disabled={!mayChange}
                        inputProps={{ 'aria-label': `${name} towards` }}
                        onChange={(event) => change(`${path}.towards`, event.target.value)}
                    >
                        <MenuItem value="minus">minus</MenuItem><MenuItem value="plus">plus</MenuItem>
                    </Select>
                </Table>
            )}
            {isBar(stock) && isLathe && (
                <Box sx={{ display: 'flex', gap: 2, mt: 1 }}>
                    <Box sx={{ width: 150 }}>
                        <Box sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>Hexagon, across flats {unit}</Box>
                        {field(`${name} across flats`, `${path}.acrossFlats`, stock.acrossFlats)}
                    </Box>
                    {([['outer', `Outside already turned, Z Ø R ${unit}`], ['inner', `Hole already bored, Z Ø R ${unit}`]] as const).map(([key, label]) => (
                        <PointsEntry
                            key={key} label={label} path={`${path}.${key}`} value={stock[key] as Points | undefined} readOnly={!mayChange}
                            onChange={(points) => change(`${path}.${key}`, points)}
                        />
                    ))}
                </Box>
            )}
            {stock.shape === 'heights' && (
                <Table heads={['Left X', 'Front Y', 'Square', 'Bottom Z', '']} columns="repeat(4, minmax(80px, 120px)) minmax(0, 1fr)">
                    {field(`${name} left X`, `${path}.at.0`, stock.at?.[0], { unit, required: true })}
                    {field(`${name} front Y`, `${path}.at.1`, stock.at?.[1], { unit, required: true })}
                    {field(`${name} square`, `${path}.square`, stock.square, { unit, required: true })}
                    {field(`${name} bottom Z`, `${path}.bottom`, stock.bottom, { unit, required: true })}
                    <Box sx={{ color: 'text.secondary' }}>{stock.name} · {stock.heights?.length} rows of {stock.heights?.[0]?.length}</Box>
                </Table>
            )}
            {stock.shape === 'solid' && (
                <Box sx={{ color: 'text.secondary' }}>
                    {stock.name ?? 'A solid'}, in its own coordinates from {stock.workOffset ?? 'G54'}. What lies under an overhang counts as material.
                </Box>
            )}
        </Box>
    );
}
