import { Box, Button } from '@mui/material';
import { createContext, useContext, useState, type ReactNode } from 'react';
import { AnswerField } from './AnswerField';
import { Pick } from './Pick';
import { answered, isAsked, problemAt, toleranceWords, typedFigure, typedTolerance, type Ask, type Given, type OperationRow } from './sheet';

/** What the questions of one operation have in common. */
export interface Asking {
    problems: Record<string, string>;
    /** What was decided where nobody answered, by field of the operation. */
    choices: Record<string, string>;
    /** What stands where nobody answered. */
    usual: Record<string, string>;
    units: string;
    readOnly: boolean;
    /** The operations before, whose edges can be followed and which can be made again. */
    before: OperationRow[];
    /** Which question is at hand. */
    onActive: (field: string) => void;
}

export const AskingContext = createContext<Asking>({ problems: {}, choices: {}, usual: {}, units: 'mm', readOnly: true, before: [],
    onActive: () => undefined });

interface Props {
    ask: Ask;
    /** Dotted path of the group it stands in: operations.2 or operations.2.at. */
    path: string;
    /** Path inside the operation, as its drawing has it. */
    inside: string;
    given: Given | undefined;
    onAnswer: (value: Given | undefined) => void;
}

/** Words for the answers of a choice. */
const WORDS: Record<string, string> = {
    'by-tool': 'by tool', 'by-part': 'part by part', auto: 'as it fits', full: 'full depth', each: 'each pass', 'one-way': 'one way', control: 'in the control',
    initial: 'initial level',
};

interface ListProps {
    asks: Ask[];
    path: string;
    inside: string;
    answers: Record<string, Given | undefined>;
    onAnswer: (field: string, value: Given | undefined) => void;
}

/** Questions one after another. What is seldom wanted is called up, unless it is answered or wrong. */
export function Questions({ asks, path, inside, answers, onAnswer }: ListProps) {
    const { problems } = useContext(AskingContext);
    const [isOpen, setOpen] = useState(false);
    const isShown = (ask: Ask) => isOpen || !ask.isRare || answers[ask.field] !== undefined || problemAt(problems, `${path}.${ask.field}`) !== undefined;
    const hidden = asks.filter((ask) => !isShown(ask));
    return (
        <>
            {asks.filter(isShown).map((ask) => (
                <Question
                    key={ask.field} ask={ask} path={path} inside={inside} given={answers[ask.field]} onAnswer={(value) => onAnswer(ask.field, value)}
                />
            ))}
            {hidden.length > 0 && (
                <Button variant="text" onClick={() => setOpen(true)} sx={{ px: 0, color: 'text.secondary', textAlign: 'left', lineHeight: 1.3 }}>
                    More: {hidden.map(({ words }) => words.toLowerCase().replace('ø', 'Ø')).join(', ')}
                </Button>
            )}
        </>
    );
}

/** One question: what it is, its answer, and beneath it what is wrong or why it is decided so. */
function Question({ ask, path, inside, given, onAnswer }: Props) {
    const { problems, choices, units } = useContext(AskingContext);
    const at = `${path}.${ask.field}`;
    const field = inside === '' ? ask.field : `${inside}.${ask.field}`;
    const problem = ask.kind === 'group' ? problems[at] : problemAt(problems, at);
    const reason = choices[field];
    const unit = ask.kind === 'length' || ask.kind === 'size' || ask.kind === 'point' || ask.kind === 'points' ? units
        : ask.kind === 'angle' ? '°' : ask.kind === 'seconds' ? 's' : '';
    if (ask.kind === 'group') {
        return <Group ask={ask} at={at} inside={field} given={given} problem={problem} onAnswer={onAnswer} />;
    }
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(6rem, 38%) minmax(0, 1fr)', columnGap: 1, alignItems: 'center', py: 0.25 }}>
            <Box component="label" htmlFor={at} sx={{ fontSize: '0.875rem', lineHeight: 1.2 }}>
                {ask.words}{unit !== '' && <Box component="span" sx={{ color: 'text.secondary', ml: 0.5, fontSize: '0.8125rem' }}>{unit}</Box>}
            </Box>
            <Answer ask={ask} at={at} field={field} given={given} wrong={problem !== undefined} onAnswer={onAnswer} />
            {problem !== undefined && <Note colour="var(--clay)" alert>{problem}</Note>}
            {problem === undefined && reason !== undefined && <Note colour="var(--soft)">{reason}</Note>}
        </Box>
    );
}

function Note({ colour, alert = false, children }: { colour: string; alert?: boolean; children: ReactNode }) {
    return (
        <Box role={alert ? 'alert' : undefined}
            sx={{ gridColumn: 2, fontSize: '0.8125rem', lineHeight: 1.25, color: colour, fontWeight: alert ? 600 : 400, py: 0.25 }}>
            {children}
        </Box>
    );
}

/** Questions that belong together. Those of a choice beside them are only asked where it is so. */
function Group({ ask, at, inside, given, problem, onAnswer }: {
    ask: Ask; at: string; inside: string; given: Given | undefined; problem: string | undefined; onAnswer: (value: Given | undefined) => void;
}) {
    const answers = typeof given === 'object' && given !== null && !Array.isArray(given) ? given : {};
    return (
        <Box component="fieldset" aria-label={ask.words} sx={{ border: 'none', borderLeft: '2px solid var(--hair)', m: 0, my: 0.5, p: 0, pl: 1 }}>
            <Box component="legend" sx={{ fontSize: '0.8125rem', color: 'text.secondary', p: 0 }}>{ask.words}</Box>
            {problem !== undefined && <Note colour="var(--clay)" alert>{problem}</Note>}
            <Questions
                asks={ask.parts.filter((part) => isAsked(part, answers, ask.parts))} path={at} inside={inside} answers={answers}
                onAnswer={(field, value) => {
                    const next = answered(answers, field, value);
                    // Answers that belong to another pattern would be refused.
                    const isChoice = ask.parts.find((part) => part.field === field)?.kind === 'choice';
                    const kept = Object.entries(next).filter(([name]) => {
                        const one = ask.parts.find((part) => part.field === name);
                        return one === undefined || !isChoice || isAsked(one, next, ask.parts);
                    });
                    onAnswer(kept.length === 0 ? undefined : (Object.fromEntries(kept) as Record<string, Given>));
                }}
            />
        </Box>
    );
}

interface AnswerProps {
    ask: Ask;
    at: string;
    field: string;
    given: Given | undefined;
    wrong: boolean;
    onAnswer: (value: Given | undefined) => void;
}

function Answer(props: AnswerProps) {
    const { ask, at, field, given, wrong, onAnswer } = props;
    const { readOnly, before, choices, usual, onActive } = useContext(AskingContext);
    const common = { path: at, wrong, readOnly, onFocus: () => onActive(field) };
    const text = typeof given === 'string' || typeof given === 'number' ? String(given) : '';
    switch (ask.kind) {
        case 'flag':
            return (
                <Pick
                    {...common} label={ask.words} value={String(given ?? ask.choices[0])}
                        choices={ask.choices.map((one) => [one, one === 'true' ? 'yes' : 'no'] as const)}
                    onAnswer={(value) => onAnswer(value === (ask.choices[0] ?? 'false') ? undefined : value === 'true')}
                />
            );
        case 'choice':
            return (
                <Pick
                    {...common} label={ask.words} value={text} choices={choicesOf(ask, text, choices[field] !== undefined)}
                    onAnswer={(value) => onAnswer(value === '' ? undefined : value)}
                />
            );
        case 'operation':
            return (
                <Pick
                    {...common} label={ask.words} value={text} choices={[['', 'choose'], ...before.map((row) => [row.id, row.name ?? row.kind] as const)]}
                    onAnswer={(value) => onAnswer(value === '' ? undefined : value)}
                />
            );
        case 'operations':
            return <Operations {...props} before={before} />;
        case 'point':
            return <Point {...props} />;
        case 'points':
            return <Points {...props} />;
        case 'size':
            return <Size {...props} />;
        case 'numbers':
            return (
                <AnswerField
                    {...common} label={ask.words} value={Array.isArray(given) ? given.join(', ') : text} usual="none"
                    onAnswer={(typed) => onAnswer(numbersOf(typed))}
                />
            );
        case 'text':
            return <AnswerField {...common} label={ask.words} align="left" value={text} onAnswer={(typed) => onAnswer(typed === '' ? undefined : typed)} />;
        default:
            return (
                <AnswerField
                    {...common} label={ask.words} value={text} usual={usualIn(choices[field]) ?? usual[field]}
                    onAnswer={(typed) => onAnswer(typedFigure(typed))}
                />
            );
    }
}

/** What can be chosen: nothing is the usual, or what was decided for a reason. */
function choicesOf(ask: Ask, given: string, isDecided: boolean): (readonly [string, string])[] {
    const all = ask.choices.map((one) => [one, WORDS[one] ?? one] as const);
    if (isDecided) return [['', 'as below'], ...all];
    return given === ask.choices[0] ? [['', 'as it fits'], ...all] : [['', all[0]?.[1] ?? ''], ...all.slice(1)];
}

/** The figure at the end of a reason: what stands where nobody answers. */
function usualIn(reason: string | undefined): string | undefined {
    return /: (−?\d[\d.]*)(?: [a-z]+)?$/.exec(reason ?? '')?.[1];
}

function numbersOf(typed: string): Given | undefined {
    if (typed === '') return undefined;
    const parts = typed.split(/[\s,;]+/).filter((part) => part !== '');
    return parts.every((part) => /^\d+$/.test(part)) ? parts.map(Number) : typed;
}

/** A place by X and Y, by distance and angle, or from another place. */
function Point({ ask, at, field, given, wrong, onAnswer }: AnswerProps) {
    const { readOnly, onActive } = useContext(AskingContext);
    const isGroup = typeof given === 'object' && given !== null && !Array.isArray(given);
    const way = !isGroup ? 'xy' : 'radius' in given || 'angle' in given ? 'polar' : 'by';
    const names = way === 'xy' ? ['X', 'Y'] : way === 'polar' ? ['radius', 'angle'] : ['dx', 'dy'];
    const values = names.map((name, n) => {
        const one = Array.isArray(given) ? given[n] : typeof given === 'object' && given !== null ? given[name] : undefined;
        return one === undefined || one === null ? '' : String(one);
    });
    const take = (n: number, typed: string) => {
        const next = values.map((value, i) => typedFigure(i === n ? typed : value) ?? '');
        if (next.every((value) => value === '')) return onAnswer(undefined);
        if (way === 'xy') return onAnswer(next);
        const rest = typeof given === 'object' && given !== null && !Array.isArray(given) ? given : {};
        onAnswer({ ...rest, ...Object.fromEntries(names.map((name, i) => [name, next[i] ?? ''])) });
    };
    const signs = way === 'xy' ? ['X', 'Y'] : way === 'polar' ? ['R', '∠'] : ['+X', '+Y'];
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: '3.5rem auto minmax(0, 1fr) auto minmax(0, 1fr)', gap: 0.5, alignItems: 'center' }}>
            <Pick
                label={`${ask.words}: how it is given`} path={`${at}.way`} value={way} readOnly={readOnly} onFocus={() => onActive(field)}
                choices={[['xy', 'X Y'], ['polar', 'R ∠'], ['by', '+X +Y']]}
                onAnswer={(to) => onAnswer(to === 'xy' ? undefined : to === 'polar' ? { radius: '', angle: 0 } : { dx: '', dy: 0 })}
            />
            {names.map((name, n) => [
                <Box key={`${name}s`} component="span" sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{signs[n]}</Box>,
                <AnswerField
                    key={name} label={`${ask.words}, ${signs[n] ?? ''}`} path={n === 0 ? at : `${at}.${n}`} value={values[n] ?? ''}
                    usual={way === 'xy' ? '0' : ''}
                    wrong={wrong} readOnly={readOnly} onFocus={() => onActive(field)} onAnswer={(typed) => take(n, typed)}
                />,
            ])}
        </Box>
    );
}

function Points({ ask, at, field, given, wrong, onAnswer }: AnswerProps) {
    const { readOnly } = useContext(AskingContext);
    const places = Array.isArray(given) ? given : [];
    return (
        <Box sx={{ display: 'grid', gap: 0.5 }}>
            {[...places, undefined].map((place, n) => (
                <Box key={n} sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 1.75rem', gap: 0.5 }}>
                    <Point
                        ask={{ ...ask, words: `Hole ${n + 1}` }} at={n === 0 ? at : `${at}.${n}`} field={field} given={place} wrong={wrong}
                        onAnswer={(value) => {
                            const next = value === undefined ? places.toSpliced(n, 1) : places.toSpliced(n, 1, value);
                            onAnswer(next.length === 0 ? undefined : next);
                        }}
                    />
                    {place !== undefined && !readOnly && (
                        <Button aria-label={`Take out hole ${n + 1}`} onClick={() => onAnswer(places.length === 1 ? undefined : places.toSpliced(n, 1))}
                            sx={{ px: 0 }}>
                            ✕
                        </Button>
                    )}
                </Box>
            ))}
        </Box>
    );
}

const WAYS = [['diameter', 'Ø'], ['radius', 'R'], ['width', '↔']] as const;

/** A size as the drawing has it: across, as a radius or as a width, how far it may be off, and what is aimed at. */
function Size({ ask, at, field, given, wrong, onAnswer }: AnswerProps) {
    const { readOnly, onActive } = useContext(AskingContext);
    const size: Record<string, Given> = typeof given === 'object' && given !== null && !Array.isArray(given) ? given
        : given === undefined || given === null ? {} : { [ask.field === 'width' ? 'width' : 'diameter']: given };
    const way = WAYS.find(([name]) => name in size)?.[0] ?? (ask.field === 'width' ? 'width' : 'diameter');
    const figure = size[way];
    const set = (change: Record<string, Given | undefined>) => {
        const next = Object.fromEntries(Object.entries({ ...size, ...change }).filter(([, value]) => value !== undefined)) as Record<string, Given>;
        onAnswer(Object.keys(next).length === 0 ? undefined : next);
    };
    const common = { readOnly, wrong, onFocus: () => onActive(field) };
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: '3rem minmax(0, 1fr) minmax(0, 1fr)', gap: 0.5 }}>
            <Pick
                {...common} wrong={false} label={`${ask.words}: across, radius or width`} path={`${at}.way`} value={way} choices={WAYS}
                onAnswer={(to) => set({ [way]: undefined, [to]: figure ?? '' })}
            />
            <AnswerField
                {...common} label={ask.words} path={at} value={figure === undefined || figure === null ? '' : String(figure)}
                onAnswer={(typed) => set({ [way]: typedFigure(typed) })}
            />
            <AnswerField
                {...common} wrong={false} label={`${ask.words}: tolerance`} path={`${at}.tolerance`} value={toleranceWords(size.tolerance)} usual="± 0"
                onAnswer={(typed) => set({ tolerance: typedTolerance(typed) })}
            />
            {size.tolerance !== undefined && (
                <Box sx={{ gridColumn: '2 / -1', display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', gap: 0.5, alignItems: 'center',
                    fontSize: '0.8125rem' }}>
                    aim at
                    <Pick
                        {...common} wrong={false} label={`${ask.words}: aim at`} path={`${at}.aim`} value={typeof size.aim === 'string' ? size.aim : 'middle'}
                        choices={[['middle', 'middle'], ['low', 'low limit'], ['high', 'high limit']]}
                        onAnswer={(to) => set({ aim: to === 'middle' ? undefined : to })}
                    />
                </Box>
            )}
        </Box>
    );
}

function Operations({ ask, at, field, given, onAnswer, before }: AnswerProps & { before: OperationRow[] }) {
    const { readOnly, onActive } = useContext(AskingContext);
    const chosen = Array.isArray(given) ? given.map(String) : [];
    return (
        <Box role="group" aria-label={ask.words}>
            {before.map((row, n) => (
                <Box key={row.id} component="label" sx={{ display: 'block', fontSize: '0.875rem' }}>
                    <input
                        type="checkbox" id={n === 0 ? at : undefined} data-answer={at} checked={chosen.includes(row.id)} disabled={readOnly}
                        onFocus={() => onActive(field)}
                        onChange={(event) => {
                            const next = event.target.checked ? [...chosen, row.id] : chosen.filter((id) => id !== row.id);
                            onAnswer(next.length === 0 ? undefined : next);
                        }}
                    /> {row.name ?? row.kind}
                </Box>
            ))}
        </Box>
    );
}
