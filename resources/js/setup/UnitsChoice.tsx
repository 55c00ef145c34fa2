import { Box, Button, Dialog } from '@mui/material';
import { useState } from 'react';
import { Choice } from '../shared/Choice';
import { ServerError, send } from '../shared/server';
import type { SetupDocument } from './document';

type Units = SetupDocument['units'];

const WORDS = { mm: 'millimetres', inch: 'inches' } as const;

interface Props {
    setup: number;
    document: SetupDocument;
    readOnly: boolean;
    onDocument: (next: SetupDocument) => void;
}

/** The units of a setup. To change them is to convert every figure, or to say that the figures were meant in the other unit. */
export function UnitsChoice({ setup, document, readOnly, onDocument }: Props) {
    const [asked, setAsked] = useState<Units | null>(null);
    const [refusal, setRefusal] = useState<string | null>(null);
    const close = () => {
        setAsked(null);
        setRefusal(null);
    };
    const convert = async (units: Units) => {
        try {
            onDocument((await send<{ document: SetupDocument }>('POST', `/setups/${setup}/in-units`, { document, units })).document);
            close();
        } catch (error) {
            setRefusal(error instanceof ServerError ? error.message : 'The figures were not converted.');
        }
    };
    return (
        <>
            <Choice<Units>
                label="Units of this setup" id="units" readOnly={readOnly} value={document.units} choices={[['mm', WORDS.mm], ['inch', WORDS.inch]]}
                onChange={(units) => units !== document.units && setAsked(units)}
            />
            {asked !== null && (
                <Dialog open onClose={close} aria-labelledby="units-title">
                    <Box sx={{ p: 2.5, maxWidth: '30rem', display: 'grid', gap: 1.5 }}>
                        <Box component="h2" id="units-title" sx={{ m: 0, fontSize: '1.125rem' }}>This setup in {WORDS[asked]}</Box>
                        <Box>
                            Convert the figures, and everything stays the size it is: {asked === 'inch' ? '25.4 mm becomes 1 in' : '1 in becomes 25.4 mm'}.
                            Keep them if they were meant in {WORDS[asked]} all along: {asked === 'inch' ? '25.4 mm becomes 25.4 in' : '1 in becomes 1 mm'}.
                        </Box>
                        {refusal !== null && <Box role="alert" sx={{ color: 'error.main' }}>{refusal}</Box>}
                        <Box sx={{ display: 'flex', gap: 1, justifyContent: 'flex-end' }}>
                            <Button onClick={close}>Cancel</Button>
                            <Button
                                onClick={() => {
                                    onDocument({ ...document, units: asked });
                                    close();
                                }}
                            >
                                Keep the figures
                            </Button>
                            <Button variant="contained" autoFocus onClick={() => void convert(asked)}>Convert</Button>
                        </Box>
                    </Box>
                </Dialog>
            )}
        </>
    );
}
