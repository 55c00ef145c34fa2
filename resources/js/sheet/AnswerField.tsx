import { InputBase } from '@mui/material';
import { useEffect, useRef, useState } from 'react';

interface Props {
    label: string;
    /** Dotted path of the field in the sheet. */
    path: string;
    value: string;
    /** What stands where nobody answers. */
    usual?: string | undefined;
    wrong?: boolean;
    align?: 'left' | 'right';
    readOnly?: boolean;
    onAnswer: (typed: string) => void;
    onFocus?: () => void;
}

/** One answer of a sheet, as it is typed. It counts when the field is left or Enter is pressed, so that half a number never does. */
export function AnswerField({ label, path, value, usual, wrong = false, align = 'right', readOnly = false, onAnswer, onFocus }: Props) {
    const [text, setText] = useState(value);
    const [isTyping, setTyping] = useState(false);
    useEffect(() => {
        if (!isTyping) setText(value);
    }, [value, isTyping]);
    /** Whether something has been typed that has not counted yet: Enter takes it, and then the field is left. */
    const isOpen = useRef(false);
    const take = () => {
        if (!isOpen.current) return;
        isOpen.current = false;
        setTyping(false);
        if (text.trim() !== value) onAnswer(text.trim());
    };
    // What was typed counts too when the field goes away.
    const open = useRef<(() => void) | null>(null);
    useEffect(() => {
        open.current = take;
    });
    useEffect(() => () => open.current?.(), []);
    return (
        <InputBase
            id={path} value={text} disabled={readOnly} placeholder={usual ?? ''} error={wrong}
            inputProps={{ 'aria-label': label, 'aria-invalid': wrong, 'data-answer': path, maxLength: 200, spellCheck: false, autoComplete: 'off' }}
            onChange={(event) => {
                setText(event.target.value);
                setTyping(true);
                isOpen.current = true;
            }}
            onFocus={(event) => {
                event.target.select();
                onFocus?.();
            }}
            onBlur={take} onKeyDown={(event) => {
                if (event.key === 'Enter') take();
                // While something is being typed Ctrl+Z takes back letters, not answers.
                if ((event.ctrlKey || event.metaKey) && event.code === 'KeyZ' && isOpen.current) event.stopPropagation();
            }}
            sx={{
                width: '100%', minWidth: 0, height: 28, px: 0.75, fontSize: '0.875rem', background: 'var(--sheet)',
                border: `1px solid ${wrong ? 'var(--clay)' : 'var(--hair)'}`,
                '& input': { p: 0, textAlign: align, fontVariantNumeric: 'tabular-nums' },
                '& input::placeholder': { color: 'var(--soft)', opacity: 1 },
                '&.Mui-focused': { outline: '2px solid var(--oak)', outlineOffset: '-1px' },
            }}
        />
    );
}
