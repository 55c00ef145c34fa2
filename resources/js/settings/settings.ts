/** What a person has set for themselves. */
export interface Settings {
    /** Units everything is shown in; as the setup and the program have them, unless set. */
    units: 'program' | 'mm' | 'inch';
    look: 'light' | 'dark';
    size: 'usual' | 'large' | 'largest';
}

export const UNITS: Record<Settings['units'], string> = { program: 'as in the program', mm: 'millimetres', inch: 'inches' };
export const LOOKS: Record<Settings['look'], string> = { light: 'light', dark: 'dark' };
export const SIZES: Record<Settings['size'], string> = { usual: 'usual', large: 'large', largest: 'largest' };

/** The size of one rem. */
export const REM: Record<Settings['size'], string> = { usual: '16px', large: '18px', largest: '20px' };
