import { Link } from '@inertiajs/react';
import { Box } from '@mui/material';
import { AnswerField } from './AnswerField';
import { Pick } from './Pick';
import { problemAt, typedFigure, type OpenedSheet, type RunningTool, type SheetDocument } from './sheet';

interface Props {
    document: SheetDocument;
    tools: OpenedSheet['tools'];
    units: string;
    setup: number;
    problems: Record<string, string>;
    readOnly: boolean;
    onDocument: (next: (document: SheetDocument) => SheetDocument) => void;
}

/** How the tools of the setup run in this sheet. */
export function ToolQuestions({ document, tools, units, setup, problems, readOnly, onDocument }: Props) {
    const used = new Set(document.operations.map(({ tool }) => tool));
    const set = (number: number, change: Partial<RunningTool>) => onDocument((now) => {
        const before = now.tools?.find((tool) => tool.number === number) ?? { number };
        const after = Object.fromEntries(Object.entries({ ...before, ...change }).filter(([, value]) => value !== undefined)) as unknown as RunningTool;
        return { ...now, tools: [...(now.tools ?? []).filter((tool) => tool.number !== number), after].sort((one, other) => one.number - other.number) };
    });
    return (
        <Box sx={{ display: 'grid', gap: 1 }}>
            {tools.length === 0 && <Box>This setup has no tools yet.</Box>}
            {[...tools].sort((one, other) => Number(used.has(other.number)) - Number(used.has(one.number)) || one.number - other.number).map((tool) => {
                const running = document.tools?.find(({ number }) => number === tool.number);
                const name = `T${tool.number}`;
                const problem = problemAt(problems, `tools.${name}`);
                const figure = (field: 'rpm' | 'feed' | 'plungeFeed' | 'springStroke', words: string, usual = '') => (
                    <Box component="label" sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
                        {words}
                        <AnswerField
                            label={`${name} ${words}`} path={`tools.${name}.${field}`} value={running?.[field] === undefined ? '' : String(running[field])}
                            usual={usual} readOnly={readOnly} wrong={problems[`tools.${name}.${field}`] !== undefined}
                            onAnswer={(typed) => set(tool.number, { [field]: typedFigure(typed) } as Partial<RunningTool>)}
                        />
                    </Box>
                );
                const pick = (field: 'coolant' | 'stop', words: string, choices: [string, string][]) => (
                    <Box component="label" sx={{ fontSize: '0.8125rem', color: 'text.secondary' }}>
                        {words}
                        <Pick
                            label={`${name} ${words}`} path={`tools.${name}.${field}`} value={running?.[field] ?? ''} choices={choices} readOnly={readOnly}
                            onAnswer={(value) => set(tool.number, { [field]: value === '' ? undefined : value } as Partial<RunningTool>)}
                        />
                    </Box>
                );
                return (
                    <Box key={tool.number} component="section" aria-label={`${name} ${tool.name}`}
                        sx={{ border: '1px solid var(--hair)', p: 0.75, background: 'var(--sheet)' }}>
                        <Box sx={{ fontWeight: 600, mb: 0.25 }}>
                            <span className="mono">{name}</span> {tool.name}
                            {!used.has(tool.number) && <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}> not used here</Box>}
                        </Box>
                        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 1fr))', gap: 0.75 }}>
                            {figure('rpm', 'rev/min')}
                            {tool.isTap ? <Box sx={{ alignSelf: 'end', fontSize: '0.8125rem', color: 'text.secondary' }}>feed from the pitch</Box>
                                : figure('feed', `feed, ${units}/min`)}
                            {figure('plungeFeed', `down, ${units}/min`, 'a third')}
                            {pick('coolant', 'coolant', [['', 'off'], ['flood', 'flood'], ['mist', 'mist']])}
                            {pick('stop', 'stop before it', [['', 'optional'], ['program', 'always'], ['none', 'none']])}
                            {figure('springStroke', `spring, ${units}`, 'none')}
                        </Box>
                        {problem !== undefined && <Box role="alert"
                            sx={{ color: 'var(--clay)', fontWeight: 600, fontSize: '0.8125rem', mt: 0.5 }}>{problem}</Box>}
                    </Box>
                );
            })}
            <Box sx={{ fontSize: '0.875rem' }}>Diameters, flutes and lengths are those of the <Link
                href={`/setups/${setup}#tools`}>tools of the setup</Link>.</Box>
        </Box>
    );
}
