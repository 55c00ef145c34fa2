import { Box, Button } from '@mui/material';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useAltKeys } from '../shared/useAltKeys';
import { HandLines } from './HandLines';
import { HeaderQuestions } from './HeaderQuestions';
import { OperationList, type At, type Took } from './OperationList';
import { OperationQuestions } from './OperationQuestions';
import { switchedGroup, withOperation, type OpenedSheet, type OperationRow, type Section, type SheetDocument } from './sheet';
import { SheetHead } from './SheetHead';
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
        const all = Object.keys(problems).map((field) => ({ field, place: placeOf(field, operations) }))
            .sort((one, other) => orderOf(one.place, operations) - orderOf(other.place, operations));
        const { activeElement: focus } = window.document;
        const here = pane.current?.contains(focus) === true ? (focus?.getAttribute('data-answer') ?? '') : '';
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
        if ((event.ctrlKey || event.metaKey) && event.code === 'KeyZ') {
            const step = event.shiftKey ? sheet.redo : sheet.undo;
            event.preventDefault();
            event.stopPropagation();
            step?.();
        }
    };
    return (
        <Box
            ref={pane} component="section" aria-label="Operation sheet" onKeyDown={onKey}
            sx={{
                height: '100%', display: 'grid', gridTemplateRows: 'auto auto auto minmax(0, 1fr)', gridTemplateColumns: 'minmax(0, 1fr)',
                background: 'var(--paper)',
            }}
        >
            <SheetHead
                kinds={opened.kinds} sheet={sheet} missing={Object.values(wrong).reduce((sum, count) => sum + count, 0)} readOnly={readOnly} adding={adding}
                onFold={onFold} onNext={toNext} onAdd={add}
            />
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
                                Nothing is cut yet. <Button onClick={() => adding.current?.click()}>Add the first operation</Button>
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
                        <ToolQuestions
                            document={document} tools={opened.tools} units={opened.units} setup={setup} problems={problems} readOnly={readOnly}
                            onDocument={sheet.change}
                        />
                    </Box>
                )}
                {row !== undefined && (
                    <OperationQuestions
                        key={row.id} row={row} n={n} opened={opened} sheet={sheet} problems={problems} decimals={decimals} readOnly={readOnly} onAt={onAt}
                    />
                )}
            </Box>
        </Box>
    );
}

/** Where it is made. */
function madeAt(document: SheetDocument, opened: OpenedSheet): string {
    const offsets = document.workOffsets ?? opened.workOffsets.slice(0, 1);
    return offsets.join(' ');
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
