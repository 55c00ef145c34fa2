import { Box, Button } from '@mui/material';
import { operationOf, type OperationRow, type Section } from './sheet';

interface Props {
    sections: Section[];
    operations: OperationRow[];
    /** The operation at hand. */
    at: string;
    readOnly: boolean;
    onTake: (keys: string[]) => void;
    onLines: (section: Section) => void;
}

/** Lines that were changed by hand: kept, until somebody says that the sheet's are to be taken. */
export function HandLines({ sections, operations, at, readOnly, onTake, onLines }: Props) {
    // What has to be chosen is shown wherever one is; what is only kept stands with its operation.
    const shown = sections.filter(({ key, standing }) => standing === 'both' || standing === 'left' || (standing === 'by-hand' && isOf(key, at)));
    return (
        <>
            {shown.map((section) => {
                const row = operations.find(({ id }) => id === operationOf(section.key));
                const name = row?.name ?? row?.kind ?? ({ head: 'the head', end: 'the end' }[section.key] ?? 'an operation that is gone');
                const words = {
                    both: `Lines of ${name} were changed by hand, and the sheet writes others now. Those by hand stand.`,
                    left: `Lines of ${name} were changed by hand and have stayed.`,
                    'by-hand': `Lines of ${name} were changed by hand.`, written: '',
                }[section.standing];
                return (
                    <Box key={section.key} role="status" sx={{ p: 1, borderBottom: '1px solid var(--hair)', background: 'var(--pick)', fontSize: '0.875rem' }}>
                        {words}
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5 }}>
                            <Button onClick={() => onLines(section)}>Lines {section.lines[0]}–{section.lines[1]}</Button>
                            {!readOnly && (
                                <Button onClick={() => onTake([section.key])}>
                                    {section.standing === 'left' ? 'Take them out' : 'Take the sheet’s lines'}
                                </Button>
                            )}
                        </Box>
                    </Box>
                );
            })}
        </>
    );
}

function isOf(key: string, at: string): boolean {
    return key === 'head' || key === 'end' ? at === 'header' : operationOf(key) === at;
}
