import { Box, Button, TextField, Tooltip } from '@mui/material';
import { useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import { Choice } from '../shared/Choice';
import { Mark } from '../shared/Mark';
import { figure } from '../shared/numbers';
import { ServerError, send } from '../shared/server';
import { Labelled } from '../shared/Sheet';
import { typedNumber } from '../shared/typed';
import { addition, firstFigures, standing, sum, type TouchRow, type Worked } from './row';

interface Props {
    row: TouchRow;
    setup: number;
    unit: string;
    decimals: number;
    mayChange: boolean;
    /** Figures that were typed last, by the name of the reading: a block or a setter's zero serves for every tool. */
    last: RefObject<Record<string, string>>;
    onNext: (field: 'reading' | 'typed') => void;
    onStored: () => void;
}

const time = (iso: string) => new Date(iso).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });

/** One worksheet: how it is touched off, the readings, the arithmetic, and the figure typed back from the control. */
export function TouchLine({ row, setup, unit, decimals, mayChange, last, onNext, onStored }: Props) {
    const url = `/setups/${setup}/touching-off`;
    const [method, setMethod] = useState(
        row.method !== null && row.methods.some(({ name }) => name === row.method) ? row.method : (row.methods[0]?.name ?? ''),
    );
    const chosen = row.methods.find(({ name }) => name === method) ?? row.methods[0];
    const readings = chosen?.readings ?? [];
    const [figures, setFigures] = useState<Record<string, string>>(() => firstFigures(readings, last.current));
    const [worked, setWorked] = useState<Worked | null>(null);
    const [errors, setErrors] = useState<Record<string, string>>({});
    const [message, setMessage] = useState<string | null>(null);
    const [typed, setTyped] = useState('');
    const [add, setAdd] = useState('');
    const begun = useRef<Promise<unknown> | null>(null);
    const simulated = useRef(0);
    const isSimulated = useRef(false);
    const { mark, words } = standing(row, time);

    const fail = (error: unknown) => {
        const said = error instanceof ServerError ? error : new ServerError('It was not stored.', 0, {});
        setErrors(said.fields);
        setMessage(Object.keys(said.fields).length === 0 ? said.message : null);
        if (said.status === 409) begun.current = null;
    };
    // The first figure typed begins the worksheet: from then on the old value is not trusted.
    const begin = () => (begun.current ??= send('POST', `${url}/begin`, { subject: row.subject }).catch((error: unknown) => {
        begun.current = null;
        fail(error);
    }));
    const type = (name: string, text: string) => {
        isSimulated.current = false;
        setFigures((before) => ({ ...before, [name]: text }));
        last.current = { ...last.current, [name]: text };
        setWorked(null);
        setMessage(null);
        setErrors({});
        if (name === readings[0]?.name && text.trim() !== '') void begin();
    };
    const read = async (confirmed: boolean) => {
        const values = Object.fromEntries(readings.map(({ name }) => [name, typedNumber(figures[name] ?? '')]));
        const missing = readings.find(({ name }) => values[name] === null);
        if (missing !== undefined) return setErrors({ [missing.name]: (figures[missing.name] ?? '').trim() === '' ? 'Enter the figure.' : 'Not a number.' });
        await begin();
        try {
            const answer = await send<Worked>('POST', `${url}/read`, {
                subject: row.subject, method, readings: values, confirmed, simulated: isSimulated.current,
            });
            setWorked(answer);
            if (answer.state === 'read') {
                begun.current = null;
                onStored();
                onNext('reading');
            }
        } catch (error) {
            fail(error);
        }
    };
    const typeBack = async () => {
        try {
            await send('POST', `${url}/type-back`, { subject: row.subject, typed });
            setTyped('');
            setWorked(null);
            setErrors({});
            setFigures(firstFigures(readings, last.current));
            onStored();
            onNext('typed');
        } catch (error) {
            fail(error);
        }
    };
    const adjust = async () => {
        const by = addition(add);
        if (by === null) return setErrors({ by: 'Such as +.005 or -.02' });
        try {
            await send('POST', `${url}/adjust`, { subject: row.subject, by });
            setAdd('');
            setErrors({});
            onStored();
        } catch (error) {
            fail(error);
        }
    };
    const simulate = async () => {
        try {
            simulated.current++;
            const { reading } = await send<{ reading: number }>('POST', `${url}/simulate`, { subject: row.subject, touch: simulated.current });
            type(readings[0]?.name ?? '', String(reading));
            isSimulated.current = true;
        } catch (error) {
            fail(error);
        }
    };
    const enter = (act: () => void) => (event: KeyboardEvent) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        act();
    };
    const input = (
        label: string, value: string, change: (text: string) => void, act: () => void,
        more: { id?: string; error?: string | undefined; width?: string },
    ) => (
        <TextField
            size="small" value={value} id={more.id ?? ''} disabled={!mayChange} error={more.error !== undefined} helperText={more.error}
            sx={{ width: more.width ?? '6.25rem' }} onChange={(event) => change(event.target.value)} onKeyDown={enter(act)}
            slotProps={{
                htmlInput: { 'aria-label': `${row.subject} ${label}`, style: { textAlign: 'right', fontVariantNumeric: 'tabular-nums' }, autoComplete: 'off' },
                formHelperText: { sx: { mx: 0 } },
            }}
        />
    );
    return (
        <Box
            component="section" aria-label={row.subject}
            sx={{ display: 'grid', gridTemplateColumns: '11rem minmax(0, 1fr)', gap: 2, px: 2, py: 1, '& + &': { borderTop: '1px solid var(--hair)' } }}
        >
            <Box>
                <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                    <Box component="span" className="mono" sx={{ fontWeight: 700, fontSize: '1.0625rem' }}>{row.subject}</Box>
                    {row.value !== null && (
                        <Box
                            component="span"
                            sx={{ textDecoration: row.isTrusted ? 'none' : 'line-through', color: row.isTrusted ? 'text.primary' : 'text.secondary' }}
                        >
                            {figure(row.value, decimals)}
                        </Box>
                    )}
                </Box>
                <Box sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>{row.tool ?? ''}{!row.isUsed && ' (not used)'}</Box>
                <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'baseline', fontSize: '0.8125rem' }}>
                    <Mark kind={mark} size={12} /> <span>{words}</span>
                </Box>
            </Box>
            <Box>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'start' }}>
                    <Box sx={{ width: '12.5rem' }}>
                        <Labelled label="Touched off with">
                            <Choice
                                label={`${row.subject} touched off with`} value={chosen?.name ?? ''} readOnly={!mayChange}
                                choices={row.methods.map(({ name, words: how }) => [name, how])}
                                onChange={(name) => {
                                    setMethod(name);
                                    setFigures(firstFigures(row.methods.find((one) => one.name === name)?.readings ?? [], last.current));
                                    setWorked(null);
                                    setErrors({});
                                }}
                            />
                        </Labelled>
                    </Box>
                    {readings.map((reading, i) => (
                        <Labelled key={`${method}${reading.name}`} label={reading.words}>
                            {reading.is === 'side' ? (
                                <Box sx={{ width: '7.5rem' }}>
                                    <Choice
                                        label={`${row.subject} ${reading.words}`} value={Number(figures[reading.name] ?? -1) < 0 ? 'minus' : 'plus'}
                                        readOnly={!mayChange}
                                        choices={[['minus', 'minus side'], ['plus', 'plus side']]}
                                        onChange={(side) => type(reading.name, side === 'minus' ? '-1' : '1')}
                                    />
                                </Box>
                            ) : input(reading.words, figures[reading.name] ?? '', (text) => type(reading.name, text), () => void read(false), {
                                ...(i === 0 && { id: `read ${row.subject}` }), error: errors[reading.name],
                            })}
                        </Labelled>
                    ))}
                    {mayChange && row.value !== null && (
                        <Tooltip title="A reading of a probe or setter that is not there, for practice. What comes of it is marked as simulated.">
                            <Button sx={{ mt: '1.3rem' }} onClick={() => void simulate()}>Simulate</Button>
                        </Tooltip>
                    )}
                    <Labelled label="Typed back from the control">
                        {input(
                            'typed back',
                            typed,
                            (text) => {
                                setTyped(text);
                                setErrors({});
                            },
                            () => void typeBack(),
                            { id: `typed ${row.subject}`, error: errors.typed },
                        )}
                    </Labelled>
                    {row.isTrusted && row.value !== null && (
                        <Labelled label={`Add, ${unit}`}>{input('add', add, setAdd, () => void adjust(), { error: errors.by, width: '5rem' })}</Labelled>
                    )}
                </Box>
                {message !== null && <Box role="alert" sx={{ color: 'error.main', fontWeight: 600, mt: 0.5 }}>{message}</Box>}
                {worked !== null && (
                    <Box sx={{ mt: 0.75, fontSize: '0.875rem' }}>
                        {worked.state === 'asked'
                            ? <Box className="mono">{sum(worked.terms, worked.value, decimals)}</Box>
                            : <Box>Worked out. Enter the figure at the control, then type back what it shows.</Box>}
                        {Object.entries(worked.besides).map(([what, value]) => <Box key={what}>{what} {figure(value, decimals)}</Box>)}
                        {worked.state === 'asked' && Object.entries(worked.slips).map(([slip, value]) => (
                            <Box key={slip} sx={{ color: 'text.secondary' }}>{slip}: {figure(value, decimals)}</Box>
                        ))}
                        {worked.asks.map((ask) => <Box key={ask} role="alert" sx={{ fontWeight: 600 }}><Mark kind="caution" size={12} /> {ask}</Box>)}
                        {worked.state === 'asked' && (
                            <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
                                <Button variant="contained" onClick={() => void read(true)}>It is right</Button>
                                <Button
                                    onClick={() => {
                                        setWorked(null);
                                        document.getElementById(`read ${row.subject}`)?.focus();
                                    }}
                                >
                                    Read it again
                                </Button>
                            </Box>
                        )}
                    </Box>
                )}
            </Box>
        </Box>
    );
}
