import { Box, Button, Menu, MenuItem, Tooltip } from '@mui/material';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Icon } from '../shared/Icon';
import { useAltKeys } from '../shared/useAltKeys';
import { MoreMenu, type Action } from '../frame/MoreMenu';
import { AnswerField } from './AnswerField';
import { FigureView } from './FigureView';
import { HandLines } from './HandLines';
import { HeaderQuestions } from './HeaderQuestions';
import { OperationList, type At, type Took } from './OperationList';
import { Pick } from './Pick';
import { AskingContext, Question, type Asking } from './Question';
import {
    answered, copied, grouped, isAsked, moved, problemAt, renamedGroup, switchedGroup, withOperation,
    type Given, type OpenedSheet, type OperationRow, type Section, type SheetDocument,
} from './sheet';
import { ToolQuestions } from './ToolQuestions';
import type { SheetHand } from './useSheet';

interface Props {
    opened: OpenedSheet;
    sheet: SheetHand;
    setup: number;
    decimals: number;
    readOnly: boolean;
    at: At;
    took: Record<string, Took>;
    onAt: (at: At) => void;
    onFold: () => void;
    /** To the lines of an operation. */
    onLines: (section: Section) => void;
}

/** The operation sheet: its operations, and the questions of the one at hand. */
export function SheetPane({ opened, sheet, setup, decimals, readOnly, at, took, onAt, onFold, onLines }: Props) {
    const { document } = sheet.state;
    const { operations } = document;
    const problems = useMemo(() => sheet.answer?.problems ?? {}, [sheet.answer]);
    const pane = useRef<HTMLDivElement>(null);
    const adding = useRef<HTMLButtonElement>(null);
    const [isAdding, setAdding] = useState(false);
    /** A field that is to have the focus once it is there. */
    const [wanted, setWanted] = useState<string | null>(null);
    const n = operations.findIndex(({ id }) => id === at);
    const row = operations[n];
    const wrong = useMemo(() => wrongOf(problems, operations), [problems, operations]);
    const sections = sheet.answer?.sections ?? [];

    useEffect(() => {
        if (wanted === null) return;
        const field = pane.current?.querySelector<HTMLElement>(`[data-answer="${CSS.escape(wanted)}"], [id="${CSS.escape(wanted)}"]`);
        if (field == null) return;
        field.focus();
        setWanted(null);
    }, [wanted, at, document]);

    /** To the next answer that is missing or wrong, after the one at hand and round. */
    const toNext = () => {
        const fields = Object.keys(problems);
        const all = fields.map((field) => ({ field, place: placeOf(field, operations) })).sort((one, other) =>
            orderOf(one.place, operations) - orderOf(other.place, operations));
        const here = pane.current?.contains(window.document.activeElement) === true ? (window.document.activeElement?.getAttribute('data-answer') ?? '') : '';
        const now = all.findIndex(({ field }) => field === here || field.startsWith(`${here}.`) && here !== '');
        const next = all[(now + 1) % Math.max(1, all.length)];
        if (next === undefined) return;
        onAt(next.place);
        setWanted(next.field);
    };
    const add = (kind: string) => {
        const what = opened.kinds.find((one) => one.kind === kind);
        if (what === undefined) return;
        const [, id] = withOperation(document, what, n < 0 ? operations.length - 1 : n);
        sheet.change((now) => withOperation(now, what, n < 0 ? now.operations.length - 1 : n)[0]);
        onAt(id);
        const index = n < 0 ? operations.length : n + 1;
        setWanted(`operations.${index}.${what.needsTool && row?.tool === undefined ? 'tool' : 'name'}`);
        setAdding(false);
    };
    useAltKeys({
        Digit5: () => focusFirst(pane.current),
        Digit6: () => adding.current?.click(),
        Enter: toNext,
    });
    /** Enter goes on to the next field, as at a control. */
    const onKey = (event: KeyboardEvent) => {
        const target = event.target as HTMLElement;
        if (event.key === 'Enter' && !event.altKey && !event.ctrlKey && target.hasAttribute('data-answer')) {
            event.preventDefault();
            const fields = [...(pane.current?.querySelectorAll<HTMLElement>('[data-answer]:not(:disabled)') ?? [])];
            fields[fields.indexOf(target) + (event.shiftKey ? -1 : 1)]?.focus();
        }
        if ((event.ctrlKey || event.metaKey) && event.code === 'KeyZ' && !(target instanceof HTMLInputElement && target.value !== target.defaultValue)) {
            const step = event.shiftKey ? sheet.redo : sheet.undo;
            event.preventDefault();
            event.stopPropagation();
            step?.();
        }
    };
    const missing = Object.values(wrong).reduce((sum, count) => sum + count, 0);
    return (
        <Box
            ref={pane} component="section" aria-label="Operation sheet" onKeyDown={onKey}
            sx={{ height: '100%', display: 'grid', gridTemplateRows: 'auto auto auto minmax(0, 1fr)', gridTemplateColumns: 'minmax(0, 1fr)',
                background: 'var(--paper)' }}
        >
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, p: 0.5, borderBottom: '1px solid var(--hair)', background: 'var(--margin)' }}>
                <Tooltip title="Fold the sheet away"><Button variant="text" aria-label="Fold the sheet" onClick={onFold} sx={{ px: 0.75 }}>‹</Button></Tooltip>
                <Box component="h2" sx={{ m: 0, fontSize: '0.9375rem', flex: 1, whiteSpace: 'nowrap' }}>Sheet</Box>
                {missing > 0 && (
                    <Tooltip title="To the next answer that is missing (Alt+Enter)"><Button onClick={toNext}
                        sx={{ color: 'var(--clay)' }}>{missing} to answer</Button></Tooltip>
                )}
                {!readOnly && (
                    <>
                        <Tooltip title="Undo in the sheet (Ctrl+Z)">
                            <span><Button aria-label="Undo in the sheet" disabled={sheet.undo === null} onClick={() => sheet.undo?.()}
                                sx={{ px: 0.75 }}><Icon name="undo" /></Button></span>
                        </Tooltip>
                        <Tooltip title="Redo in the sheet (Ctrl+Shift+Z)">
                            <span><Button aria-label="Redo in the sheet" disabled={sheet.redo === null} onClick={() => sheet.redo?.()}
                                sx={{ px: 0.75 }}><Icon name="redo" /></Button></span>
                        </Tooltip>
                        <Tooltip title="Add an operation (Alt+6)"><Button ref={adding} aria-haspopup="menu"
                            onClick={() => setAdding(true)}>Add</Button></Tooltip>
                    </>
                )}
                <Menu open={isAdding} anchorEl={() => adding.current} onClose={() => setAdding(false)}
                    slotProps={{ list: { 'aria-label': 'Operations to add', dense: true } }}>
                    {opened.kinds.map(({ kind, words }, i) => <MenuItem key={kind} autoFocus={i === 0} onClick={() => add(kind)}>{words}</MenuItem>)}
                </Menu>
            </Box>
            <OperationList
                operations={operations} at={at} wrong={wrong} took={took} sections={sections} onAt={onAt}
                onGroup={readOnly ? null : (group) => sheet.change((now) => switchedGroup(now, group))}
                headerWords={madeAt(document, opened)}
                toolsWords={`${opened.tools.length}`}
            />
            <Box>
                {sheet.error !== null && <Box role="alert" sx={{ p: 1, color: 'var(--clay)', fontWeight: 600 }}>{sheet.error.message}</Box>}
                {problems[''] !== undefined && <Box role="alert" sx={{ p: 1, color: 'var(--clay)', fontWeight: 600 }}>{problems['']}</Box>}
                {sheet.rewrite !== null && (
                    <Box role="status" sx={{ p: 1, display: 'flex', gap: 1, alignItems: 'center', background: 'var(--pick)' }}>
                        <span>This sheet writes other lines by now: its setup has changed since, or Oak Trace has.</span>
                        {!readOnly && <Button onClick={sheet.rewrite}>Write them</Button>}
                    </Box>
                )}
                <HandLines sections={sections} operations={operations} at={at} readOnly={readOnly} onTake={sheet.take} onLines={onLines} />
            </Box>
            <Box sx={{ overflow: 'auto', minHeight: 0 }}>
                {at === 'header' && (
                    <Box sx={{ p: 1 }}>
                        {operations.length === 0 && !readOnly && (
                            <Box sx={{ mb: 1, p: 1, background: 'var(--pick)' }}>
                                Nothing is cut yet. <Button onClick={() => setAdding(true)}>Add the first operation</Button>
                            </Box>
                        )}
                        <HeaderQuestions
                            document={document} units={opened.units} workOffsets={opened.workOffsets} answer={sheet.answer} readOnly={readOnly}
                                onDocument={sheet.change}
                        />
                    </Box>
                )}
                {at === 'tools' && (
                    <Box sx={{ p: 1 }}>
                        <ToolQuestions document={document} tools={opened.tools} units={opened.units} setup={setup} problems={problems} readOnly={readOnly}
                            onDocument={sheet.change} />
                    </Box>
                )}
                {row !== undefined && (
                    <OperationQuestions key={row.id} row={row} n={n} opened={opened} sheet={sheet} problems={problems} decimals={decimals}
                        readOnly={readOnly} onAt={onAt} />
                )}
            </Box>
        </Box>
    );
}

/** What one operation asks: first what the drawing says, then how it is cut. */
function OperationQuestions({ row, n, opened, sheet, problems, decimals, readOnly, onAt }: {
    row: OperationRow; n: number; opened: OpenedSheet; sheet: SheetHand; problems: Record<string,
        string>; decimals: number; readOnly: boolean; onAt: (at: At) => void;
}) {
    const [active, setActive] = useState('');
    const { document } = sheet.state;
    const kind = opened.kinds.find((one) => one.kind === row.kind);
    const told = sheet.answer?.operations?.find(({ id }) => id === row.id);
    const path = `operations.${n}`;
    const change = (next: (row: OperationRow) => OperationRow) =>
        sheet.change((now) => ({ ...now, operations: now.operations.map((one) => (one.id === row.id ? next(one) : one)) }));
    const set = (field: string, value: Given | undefined) => change((now) => answered(now, field, value) as OperationRow);
    const asking = useMemo((): Asking => ({
        problems, choices: told?.choices ?? {}, usual: told?.usual ?? {}, units: opened.units, readOnly,
            before: document.operations.slice(0, n).filter(({ off }) => off !== true), onActive: setActive,
    }), [problems, told, opened.units, readOnly, document.operations, n]);
    if (kind === undefined) return <Box sx={{ p: 1 }}>There is no operation “{row.kind}”.</Box>;
    const asked = kind.asks.filter((ask) => isAsked(ask, row, kind.asks));
    const actions: Action[] = readOnly ? [] : [
        { label: row.off === true ? 'Switch on' : 'Switch off', act: () => set('off', row.off === true ? undefined : true) },
        { label: 'Copy', act: () => { const [, id] = copied(document, n); sheet.change((now) => copied(now, n)[0]); onAt(id); } },
        ...(row.group === undefined && n > 0 ? [{ label: 'Group with the one above', act: () => sheet.change((now) => grouped(now, n)) }] : []),
        ...(row.group === undefined ? [] : [{ label: 'Take out of the group', act: () => set('group', undefined) }]),
        ...(n > 0 ? [{ label: 'Move up', act: () => sheet.change((now) => moved(now, n, -1)) }] : []),
        ...(n < document.operations.length - 1 ? [{ label: 'Move down', act: () => sheet.change((now) => moved(now, n, 1)) }] : []),
        { label: 'Delete', act: () => {
            sheet.change((now) => ({ ...now, operations: now.operations.filter(({ id }) => id !== row.id) }));
            onAt(document.operations[n + 1]?.id ?? document.operations[n - 1]?.id ?? 'header');
        } },
    ];
    /** What is wrong with no question that is asked here. */
    const general = Object.entries(problems).filter(([field]) => field === path || (
        field.startsWith(`${path}.`) && !field.startsWith(`${path}.tool`)
            && !asked.some((ask) => field === `${path}.${ask.field}` || field.startsWith(`${path}.${ask.field}.`))
    )).map(([, problem]) => problem);
    const ofTool = problemAt(problems, `${path}.tool`);
    return (
        <AskingContext.Provider value={asking}>
            {told?.figure != null && told.figure.lines.length > 0 && (
                <Box sx={{ position: 'sticky', top: 0, zIndex: 1 }}><FigureView figure={told.figure} active={active} decimals={decimals} /></Box>
            )}
            <Box sx={{ p: 1, pt: 0.75 }}>
                <Box sx={{ display: 'grid', gridTemplateColumns: `minmax(0, 1fr) ${kind.mayHaveTool ? 'minmax(0, 1fr)' : ''} auto`, gap: 0.5, mb: 0.5 }}>
                    <AnswerField
                        label="Name of the operation" path={`${path}.name`} align="left" value={row.name ?? ''} usual={kind.words} readOnly={readOnly}
                        onFocus={() => setActive('')} onAnswer={(typed) => set('name', typed === '' ? undefined : typed)}
                    />
                    {kind.mayHaveTool && (
                        <Pick
                            label="Tool" path={`${path}.tool`} value={row.tool === undefined ? '' : String(row.tool)} wrong={ofTool !== undefined}
                                readOnly={readOnly}
                            choices={[['', kind.needsTool ? 'which tool?' : 'the same tool'],
                                ...opened.tools.map(({ number, name }) => [String(number), `T${number} ${name}`] as const)]}
                            onFocus={() => setActive('')} onAnswer={(value) => set('tool', value === '' ? undefined : Number(value))}
                        />
                    )}
                    <MoreMenu of={row.name ?? kind.words} actions={actions} />
                </Box>
                {row.group !== undefined && (
                    <AnswerField
                        label="Name of the group" path={`${path}.group`} align="left" value={row.group} readOnly={readOnly}
                        onAnswer={(typed) => typed !== '' && sheet.change((now) => renamedGroup(now, row.group ?? '', typed))}
                    />
                )}
                {[...general, ofTool].filter((problem) => problem !== undefined).map((problem) => (
                    <Box key={problem} role="alert" sx={{ color: 'var(--clay)', fontWeight: 600, fontSize: '0.875rem' }}>{problem}</Box>
                ))}
                {[false, true].map((isCutting) => {
                    const questions = asked.filter((ask) => ask.isCutting === isCutting);
                    if (questions.length === 0) return null;
                    return (
                        <Box key={String(isCutting)} component="section" aria-label={isCutting ? 'How it is cut' : 'From the drawing'}>
                            <Box component="h3" sx={{ fontSize: '0.8125rem', m: 0, mt: 0.75, mb: 0.25, color: 'text.secondary',
                                borderBottom: '1px solid var(--hair)' }}>
                                {isCutting ? 'How it is cut' : 'From the drawing'}
                            </Box>
                            {questions.map((ask) => (
                                <Question key={ask.field} ask={ask} path={path} inside="" given={row[ask.field]} onAnswer={(value) => set(ask.field, value)} />
                            ))}
                        </Box>
                    );
                })}
            </Box>
        </AskingContext.Provider>
    );
}

/** Where it is made, and in which order where that is more than one place. */
function madeAt(document: SheetDocument, opened: OpenedSheet): string {
    const offsets = document.workOffsets ?? opened.workOffsets.slice(0, 1);
    return `${offsets.join(' ')}${offsets.length > 1 ? `, ${document.order === 'by-part' ? 'part by part' : 'tool by tool'}` : ''}`;
}

/** Header, tools, or the operation a field is of. */
function placeOf(field: string, operations: OperationRow[]): At {
    const n = /^operations\.(\d+)/.exec(field)?.[1];
    return n !== undefined ? (operations[Number(n)]?.id ?? 'header') : field.startsWith('tools') ? 'tools' : 'header';
}

function orderOf(at: At, operations: OperationRow[]): number {
    return at === 'header' ? -2 : at === 'tools' ? operations.length : operations.findIndex(({ id }) => id === at);
}

function wrongOf(problems: Record<string, string>, operations: OperationRow[]): Record<string, number> {
    const wrong: Record<string, number> = {};
    for (const field of Object.keys(problems)) {
        if (field === '' || field === 'operations') continue;
        const place = placeOf(field, operations);
        wrong[place] = (wrong[place] ?? 0) + 1;
    }
    return wrong;
}

function focusFirst(pane: HTMLElement | null): void {
    (pane?.querySelector<HTMLElement>('[aria-current=true]') ?? pane?.querySelector<HTMLElement>('[data-answer]'))?.focus();
}
