import { Box } from '@mui/material';

interface Props {
    label: string;
    path: string;
    value: string;
    choices: readonly (readonly [string, string])[];
    wrong?: boolean;
    readOnly?: boolean;
    onAnswer: (value: string) => void;
    onFocus?: () => void;
}

/** One of a few answers; arrow keys change it without opening it. */
export function Pick({ label, path, value, choices, wrong = false, readOnly = false, onAnswer, onFocus }: Props) {
    return (
        <Box
            component="select" id={path} aria-label={label} aria-invalid={wrong} data-answer={path} value={value} disabled={readOnly}
            onChange={(event) => onAnswer((event.target as unknown as HTMLSelectElement).value)} onFocus={onFocus}
            sx={{
                width: '100%', minWidth: 0, height: 28, font: 'inherit', fontSize: '0.875rem', color: 'inherit', background: 'var(--sheet)', px: 0.25,
                border: `1px solid ${wrong ? 'var(--clay)' : 'var(--hair)'}`, borderRadius: 0,
                '&:focus-visible': { outline: '2px solid var(--oak)', outlineOffset: '-1px' },
            }}
        >
            {choices.map(([one, words]) => <option key={one} value={one}>{words}</option>)}
        </Box>
    );
}
