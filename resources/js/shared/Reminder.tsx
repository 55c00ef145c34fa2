import { Box } from '@mui/material';

/** The caution that stands with every verdict. */
export function Reminder() {
    return (
        <Box component="p" sx={{ m: 0, fontSize: 12.5, color: 'text.secondary', lineHeight: 1.35 }}>
            Prove the program out. Oak Trace does not see the machine: follow its manual, the shop’s rules and the local codes
            for guarding and protection; in doubt, ask a qualified person.
        </Box>
    );
}
