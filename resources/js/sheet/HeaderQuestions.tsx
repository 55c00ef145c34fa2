import { Box, Button } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { duration } from '../shared/numbers';
import { AnswerField } from './AnswerField';
import { Pick } from './Pick';
import { problemAt, typedFigure, type SheetAnswer, type SheetDocument } from './sheet';

interface Props {
    document: SheetDocument;
    units: string;
    workOffsets: string[];
    answer: SheetAnswer | null;
    readOnly: boolean;
    onDocument: (next: (document: SheetDocument) => SheetDocument) => void;
}

/** What holds for the whole sheet: where it is made, how high it is crossed, names for figures, notes for whoever runs it. */
export function HeaderQuestions({ document, units, workOffsets, answer, readOnly, onDocument }: Props) {
    const problems = answer?.problems ?? {};
    const set = (change: Partial<SheetDocument>) => onDocument((now) => {
        const next = { ...now, ...change };
        return Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as unknown as SheetDocument;
    });
    const chosen = document.workOffsets ?? [];
    const orders = answer?.orders ?? null;
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(6rem, 38%) minmax(0, 1fr)', columnGap: 1, rowGap: 0.5, alignItems: 'center' }}>
            <Line label="Program number" problem={problems.programNumber}>
                <AnswerField
                    label="Program number" path="programNumber" value={document.programNumber === undefined ? '' : String(document.programNumber)}
                    readOnly={readOnly} usual="none" wrong={problems.programNumber !== undefined}
                    onAnswer={(typed) => set({ programNumber: typedFigure(typed) } as Partial<SheetDocument>)}
                />
            </Line>
            <Line label="Name" problem={problems.name}>
                <AnswerField
                    label="Name of the sheet" path="name" align="left" value={document.name} readOnly={readOnly}
                    onAnswer={(typed) => typed !== '' && set({ name: typed })}
                />
            </Line>
            <Line label="Made at" problem={problemAt(problems, 'workOffsets')}>
                <Box role="group" aria-label="Work offsets it is made at" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                    {(workOffsets.length === 0 ? ['G54'] : workOffsets).map((offset, n) => (
                        <Box key={offset} component="label" className="mono" sx={{ fontSize: '0.875rem' }}>
                            <input
                                type="checkbox" data-answer="workOffsets" disabled={readOnly} checked={chosen.length === 0 ? n === 0 : chosen.includes(offset)}
                                onChange={(event) => {
                                    const before = chosen.length === 0 ? [workOffsets[0] ?? 'G54'] : chosen;
                                    const next = event.target.checked ? [...before, offset].sort() : before.filter((one) => one !== offset);
                                    if (next.length > 0) set({ workOffsets: next });
                                }}
                            /> {offset}
                        </Box>
                    ))}
                </Box>
            </Line>
            {chosen.length > 1 && (
                <Line label="Order">
                    <Pick
                        label="Order" path="order" value={document.order ?? 'by-tool'} readOnly={readOnly}
                        choices={(['by-tool', 'by-part'] as const).map((order) => [
                            order, `${order === 'by-tool' ? 'tool by tool' : 'part by part'}${orders === null ? ''
                                : `: ${orders[order].changes} tool changes, ${duration(orders[order].seconds)}`}`,
                        ])}
                        onAnswer={(value) => set({ order: value as 'by-tool' | 'by-part' })}
                    />
                </Line>
            )}
            <Line label="Z" problem={problems.style}>
                <Pick
                    label="Z is moved" path="style" value={document.style ?? 'three-axis'} readOnly={readOnly} wrong={problems.style !== undefined}
                    choices={[['three-axis', 'by the control'], ['two-axis', 'by hand: each depth a message and a stop']]}
                    onAnswer={(value) => set({ style: value === 'two-axis' ? value : undefined } as Partial<SheetDocument>)}
                />
            </Line>
            <Line label="Zero">
                <Pick
                    label="Zero" path="zero" value={document.zero ?? 'top'} readOnly={readOnly}
                    choices={[['top', 'top of the part'], ['bottom', 'underside of the part']]}
                    onAnswer={(value) => set({ zero: value as 'top' | 'bottom' })}
                />
            </Line>
            {([['clearance', 'Clearance above'], ['crossing', 'Crossed at'], ['homeZ', 'Home, machine Z']] as const).map(([field, words]) => (
                <Line key={field} label={words} unit={units} problem={problems[field]}>
                    <AnswerField
                        label={words} path={field} value={document[field] === undefined ? '' : String(document[field])} readOnly={readOnly}
                        wrong={problems[field] !== undefined}
                        usual={{ clearance: units === 'mm' ? '2' : '0.1', crossing: units === 'mm' ? '25' : '1', homeZ: '0' }[field]}
                        onAnswer={(typed) => set({ [field]: typedFigure(typed) } as Partial<SheetDocument>)}
                    />
                </Line>
            ))}
            <Line label="Notes">
                <AnswerField
                    label="Notes, one after another with a semicolon" path="notes" align="left" value={(document.notes ?? []).join('; ')} readOnly={readOnly}
                    onAnswer={(typed) =>
                        set({ notes: typed === '' ? undefined : typed.split(/\s*;\s*/).filter((note) => note !== '') } as Partial<SheetDocument>)}
                />
            </Line>
            <Line label="Answers as comments">
                <Pick
                    label="Answers as comments in the program" path="figures" value={String(document.figures ?? false)} readOnly={readOnly}
                    choices={[['false', 'no'], ['true', 'yes']]}
                    onAnswer={(value) => set({ figures: value === 'true' ? true : undefined } as Partial<SheetDocument>)}
                />
            </Line>
            <Names document={document} problems={problems} usedBy={answer?.usedBy ?? {}} readOnly={readOnly} onNames={(names) => set({ names })} />
        </Box>
    );
}

/** Why a name cannot be one; empty where it can. */
function whyNot(name: string, names: Record<string, unknown>): string {
    if (name in names) return 'is there already.';
    return /^[A-Za-z_]\w{0,39}$/.test(name) ? '' : 'is no name: it begins with a letter, and has letters, figures and _.';
}

/** In which operations a name is used; undefined where that is not known. */
function usedWords(operations: string[] | undefined): string | undefined {
    return operations === undefined ? undefined : operations.length === 0 ? 'not used' : `in ${operations.join(', ')}`;
}

/** Figures with a name: each can stand in any field as #name. */
function Names({ document, problems, usedBy, readOnly, onNames }: {
    document: SheetDocument;
    problems: Record<string, string>;
    usedBy: Record<string, string[]>;
    readOnly: boolean;
    onNames: (names: Record<string, number | string>) => void;
}) {
    const names = Object.entries(document.names ?? {});
    const [refused, setRefused] = useState<string | null>(null);
    return (
        <>
            <Box sx={{ gridColumn: '1 / -1', mt: 1, fontSize: '0.8125rem', color: 'text.secondary' }}>
                Names: a figure that is used in several places. In a field it stands as <span className="mono">#name</span>.
            </Box>
            {names.map(([name, value]) => (
                <Line key={name} label={`#${name}`} note={usedWords(usedBy[name])} problem={problems[`names.${name}`]}>
                    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 1.75rem', gap: 0.5 }}>
                        <AnswerField
                            label={`#${name}`} path={`names.${name}`} value={String(value)} readOnly={readOnly} wrong={problems[`names.${name}`] !== undefined}
                            onAnswer={(typed) => onNames({ ...document.names, [name]: typedFigure(typed) ?? '' })}
                        />
                        {!readOnly && (
                            <Button
                                aria-label={`Take out #${name}`} sx={{ px: 0 }}
                                onClick={() => onNames(Object.fromEntries(names.filter(([one]) => one !== name)))}
                            >
                                ✕
                            </Button>
                        )}
                    </Box>
                </Line>
            ))}
            {!readOnly && (
                <Line label="New name" problem={refused === null ? undefined : `“${refused}” ${whyNot(refused, document.names ?? {})}`}>
                    <AnswerField
                        label="New name" path="names.new" align="left" value="" usual="width" onAnswer={(typed) => {
                            const isFree = typed === '' || whyNot(typed, document.names ?? {}) === '';
                            setRefused(isFree ? null : typed);
                            if (isFree && typed !== '') onNames({ ...document.names, [typed]: 0 });
                        }}
                    />
                </Line>
            )}
        </>
    );
}

interface LineProps {
    label: string;
    unit?: string;
    note?: string | undefined;
    problem?: string | undefined;
    children: ReactNode;
}

function Line({ label, unit, note, problem, children }: LineProps) {
    return (
        <>
            <Box sx={{ fontSize: '0.875rem', overflowWrap: 'anywhere' }}>
                {label}{unit !== undefined && <Box component="span" sx={{ color: 'text.secondary', ml: 0.5, fontSize: '0.8125rem' }}>{unit}</Box>}
                {note !== undefined && <Box component="span" sx={{ color: 'text.secondary', ml: 1, fontSize: '0.8125rem' }}>{note}</Box>}
            </Box>
            <Box>{children}</Box>
            {problem !== undefined && <Box role="alert" sx={{ gridColumn: 2, color: 'var(--clay)', fontWeight: 600, fontSize: '0.8125rem' }}>{problem}</Box>}
        </>
    );
}
