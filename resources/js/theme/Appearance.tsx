import { CssBaseline, ThemeProvider, createTheme } from '@mui/material';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { dark, light, type Inks } from './inks';

const KEY = 'oak-look';

interface AppearanceState {
    inks: Inks;
    setAppearance: (look: 'light' | 'dark') => void;
}

const AppearanceContext = createContext<AppearanceState>({ inks: light, setAppearance: () => undefined });

export const useAppearance = (): AppearanceState => useContext(AppearanceContext);

function themeOf(inks: Inks) {
    return createTheme({
        palette: {
            mode: inks.dark ? 'dark' : 'light',
            primary: { main: inks.oak },
            error: { main: inks.clay },
            warning: { main: inks.ochre },
            success: { main: inks.moss },
            background: { default: inks.paper, paper: inks.sheet },
            text: { primary: inks.ink, secondary: inks.soft },
            divider: inks.hair,
        },
        typography: { fontFamily: '"Source Sans 3", sans-serif', fontSize: 14, button: { textTransform: 'none', fontWeight: 600, fontSize: '0.875rem' } },
        shape: { borderRadius: 0 },
        transitions: { create: () => 'none' },
        components: {
            MuiButtonBase: { defaultProps: { disableRipple: true } },
            MuiButton: {
                defaultProps: { variant: 'outlined', disableElevation: true, size: 'small' },
                styleOverrides: {
                    root: {
                        borderColor: inks.frame,
                        color: inks.ink,
                        padding: '2px 10px',
                        minWidth: 0,
                        minHeight: 28,
                        '&:hover': { background: inks.pick, borderColor: inks.ink },
                    },
                    contained: { background: inks.ink, color: inks.sheet, '&:hover': { background: inks.oak } },
                },
            },
            MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { border: `1px solid ${inks.frame}`, backgroundImage: 'none' } } },
            MuiPopover: { defaultProps: { elevation: 0 } },
            MuiTooltip: {
                styleOverrides: { tooltip: { background: inks.ink, color: inks.sheet, fontSize: '0.8125rem', borderRadius: 0 } },
                // A tooltip waits until the pointer rests, and steps aside for the next one.
                defaultProps: { disableInteractive: true, describeChild: true, enterDelay: 600, enterNextDelay: 400 },
            },
            MuiOutlinedInput: {
                defaultProps: { notched: true },
                styleOverrides: {
                    root: {
                        background: inks.sheet,
                        '& fieldset': { borderColor: inks.hair },
                        '&:hover fieldset': { borderColor: `${inks.frame} !important` },
                        '&.Mui-focused fieldset': { borderWidth: '2px !important' },
                    },
                    input: { padding: '6px 8px' },
                },
            },
            MuiInputLabel: { defaultProps: { shrink: true } },
        },
    });
}

/**
 * The look of every screen: warm paper, or the dark variant for dim shops. Remembered on this computer, so that the screen
 * is in it before it is known who is there.
 */
export function AppearanceProvider({ children }: { children: ReactNode }) {
    const [isDark, setDark] = useState(() => localStorage.getItem(KEY) === 'dark');
    const inks = isDark ? dark : light;
    useEffect(() => {
        localStorage.setItem(KEY, isDark ? 'dark' : 'light');
        const root = document.documentElement;
        for (const [name, value] of Object.entries(inks)) {
            if (typeof value === 'string') root.style.setProperty(`--${name}`, value);
        }
        root.style.colorScheme = isDark ? 'dark' : 'light';
    }, [inks, isDark]);
    const setAppearance = useCallback((look: 'light' | 'dark') => setDark(look === 'dark'), []);
    const state = useMemo(() => ({ inks, setAppearance }), [inks, setAppearance]);
    const theme = useMemo(() => themeOf(inks), [inks]);
    return (
        <AppearanceContext.Provider value={state}>
            <ThemeProvider theme={theme}>
                <CssBaseline />
                {children}
            </ThemeProvider>
        </AppearanceContext.Provider>
    );
}
