import { Box } from '@mui/material';
import { useMemo, useState, type ReactElement } from 'react';
import { MoreMenu, type Action } from '../frame/MoreMenu';
import { AnswerField } from './AnswerField';
import { FigureView } from './FigureView';
import type { At } from './OperationList';
import { Pick } from './Pick';
import { AskingContext, Questions, type Asking } from './Question';
import {
    answered, copied, grouped, isAsked, moved, problemAt, renamedGroup, type Given, type Kind, type OpenedSheet, type OperationRow, type SheetDocument,
} from './sheet';
import type { SheetHand } from './useSheet';

interface Props {
    row: OperationRow;
    /** Its place in the sheet. */
    n: number;
    opened: OpenedSheet;
    sheet: SheetHand;
    problems: Record<string, string>;
    decimals: number;
    readOnly: boolean;
    onAt: (at: At) => void;
}

/** What one operation asks: first what the drawing says, then how it is cut. */
export function OperationQuestions({ row, n, opened, sheet, problems, decimals, readOnly, onAt }: Props) {
    const [active, setActive] = useState('');
    const { document } = sheet.state;
    const kind = opened.kinds.find((one) => one.kind === row.kind);
    const told = sheet.answer?.operations?.find(({ id }) => id === row.id);
    const path = `operations.${n}`;
    const set = (field: string, value: Given | undefined) => sheet.change((now) => ({
        ...now, operations: now.operations.map((one) => (one.id === row.id ? answered(one, field, value) as OperationRow : one)),
    }));
    const asking = useMemo((): Asking => ({
        problems, choices: told?.choices ?? {}, usual: told?.usual ?? {}, units: opened.units, readOnly,
        before: document.operations.slice(0, n).filter(({ off }) => off !== true), onActive: setActive,
    }), [problems, told, opened.units, readOnly, document.operations, n]);
    if (kind === undefined) return <Box sx={{ p: 1 }}>There is no operation “{row.kind}”.</Box>;
    const asked = kind.asks.filter((ask) => isAsked(ask, row, kind.asks));
    const ofTool = problemAt(problems, `${path}.tool`);
    const unplaced = problemsBeside(problems, path, asked.map(({ field }) => field));
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
                            readOnly={readOnly} choices={toolChoices(kind, opened)} onFocus={() => setActive('')}
                            onAnswer={(value) => set('tool', value === '' ? undefined : Number(value))}
                        />
                    )}
                    <MoreMenu of={row.name ?? kind.words} actions={readOnly ? [] : actionsOf(row, n, document, sheet, set, onAt)} />
                </Box>
                {row.group !== undefined && (
                    <AnswerField
                        label="Name of the group" path={`${path}.group`} align="left" value={row.group} readOnly={readOnly}
                        onAnswer={(typed) => typed !== '' && sheet.change((now) => renamedGroup(now, row.group ?? '', typed))}
                    />
                )}
                {[...unplaced, ofTool].filter((problem) => problem !== undefined).map((problem) => (
                    <Box key={problem} role="alert" sx={{ color: 'var(--clay)', fontWeight: 600, fontSize: '0.875rem' }}>{problem}</Box>
                ))}
                {([['From the drawing', false], ['How it is cut', true]] as const).map(([title, isCutting]) => (
                    <Part key={title} title={title} isEmpty={!asked.some((ask) => ask.isCutting === isCutting)}>
                        <Questions asks={asked.filter((ask) => ask.isCutting === isCutting)} path={path} inside="" answers={row} onAnswer={set} />
                    </Part>
                ))}
            </Box>
        </AskingContext.Provider>
    );
}

/** Questions under a title; nothing where there are none. */
function Part({ title, isEmpty, children }: { title: string; isEmpty: boolean; children: ReactElement }) {
    if (isEmpty) return null;
    return (
        <Box component="section" aria-label={title}>
            <Box
                component="h3"
                sx={{ fontSize: '0.8125rem', m: 0, mt: 0.75, mb: 0.25, color: 'text.secondary', borderBottom: '1px solid var(--hair)' }}
            >
                {title}
            </Box>
            {children}
        </Box>
    );
}

function toolChoices(kind: Kind, opened: OpenedSheet): (readonly [string, string])[] {
    return [['', kind.needsTool ? 'which tool?' : 'the same tool'], ...opened.tools.map(({ number, name }) => [String(number), `T${number} ${name}`] as const)];
}

/** What is wrong with an operation and no question that is asked here. */
function problemsBeside(problems: Record<string, string>, path: string, asked: string[]): string[] {
    const isAt = (field: string, at: string) => field === at || field.startsWith(`${at}.`);
    return Object.entries(problems)
        .filter(([field]) => isAt(field, path) && !isAt(field, `${path}.tool`) && !asked.some((one) => isAt(field, `${path}.${one}`)))
        .map(([, problem]) => problem);
}

/** What else can be done with an operation. */
function actionsOf(
    row: OperationRow, n: number, document: SheetDocument, sheet: SheetHand, set: (field: string, value: Given | undefined) => void, onAt: (at: At) => void,
): Action[] {
    const { operations } = document;
    return [
        { label: row.off === true ? 'Switch on' : 'Switch off', act: () => set('off', row.off === true ? undefined : true) },
        {
            label: 'Copy', act: () => {
                sheet.change((now) => copied(now, n)[0]);
                onAt(copied(document, n)[1]);
            },
        },
        ...(row.group === undefined && n > 0 ? [{ label: 'Group with the one above', act: () => sheet.change((now) => grouped(now, n)) }] : []),
        ...(row.group === undefined ? [] : [{ label: 'Take out of the group', act: () => set('group', undefined) }]),
        ...(n > 0 ? [{ label: 'Move up', act: () => sheet.change((now) => moved(now, n, -1)) }] : []),
        ...(n < operations.length - 1 ? [{ label: 'Move down', act: () => sheet.change((now) => moved(now, n, 1)) }] : []),
        {
            label: 'Delete', act: () => {
                sheet.change((now) => ({ ...now, operations: now.operations.filter(({ id }) => id !== row.id) }));
                onAt(operations[n + 1]?.id ?? operations[n - 1]?.id ?? 'header');
            },
        },
    ];
}
