import { Box } from '@mui/material';

export const REMINDER = 'Prove the program out: Oak Trace does not see the machine. Follow its manual, the shop’s rules and local codes for guarding; '
    + 'in doubt, ask a qualified person.';

/** The caution that stands with every verdict. */
export function Reminder() {
    return <Box component="p" sx={{ m: 0, fontSize: '0.8125rem', color: 'text.secondary', lineHeight: 1.35 }}>{REMINDER}</Box>;
}
