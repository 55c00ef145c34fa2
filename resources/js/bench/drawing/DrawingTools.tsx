import { Box, Button, Tooltip } from '@mui/material';
import type { ReactNode } from 'react';
import { Icon, type IconName } from '../../shared/Icon';

/** What is opened below the drawing. */
export type Tray = 'zero' | 'show' | 'measure';

interface Props {
    aim: 'job' | 'travel' | 'own' | '3d';
    withEnd: boolean;
    /** Of a lathe, which has one flat view: whether it stands as the operator of a front turret sees it, and whether the stock is as cut. */
    lathe: { isOver: boolean; onOver: () => void; asCut: boolean; onCut: (() => void) | null } | null;
    tray: Tray | null;
    /** Whether only a part of the run is drawn. */
    shows: boolean;
    /** The work offset whose zero may be moved; null for those who may not. */
    work: string | null;
    /** Whether the moves are drawn on the part; null where nothing turns it. */
    onPart: boolean | null;
    full: { isFull: boolean; onFull: () => void } | null;
    onAim: (aim: 'job' | 'travel') => void;
    onEnd: () => void;
    on3d: () => void;
    onOnPart: () => void;
    onTray: (tray: Tray) => void;
    onPrint: () => void;
    onFile: () => void;
}

/** What can be done to the drawing, in three groups: views, reading aids, output. */
export function DrawingTools({ aim, withEnd, lathe, tray, shows, work, onPart, full, onAim, onEnd, on3d, onOnPart, onTray, onPrint, onFile }: Props) {
    return (
        <Box
            role="toolbar"
            aria-label="Drawing"
            sx={{
                display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5, p: 0.5, minHeight: 40, borderBottom: '1px solid var(--hair)',
                background: 'var(--margin)',
            }}
        >
            <Group name="Views">
                <Tool title="Fit the stock and the cuts" access="j" pressed={aim === 'job'} onClick={() => onAim('job')}>Job</Tool>
                {lathe === null && <Tool title="Fit the machine’s travel" access="t" pressed={aim === 'travel'} onClick={() => onAim('travel')}>Travel</Tool>}
                {lathe === null && <Tool title="End view, from the right" access="v" pressed={withEnd} onClick={onEnd}>End view</Tool>}
                {lathe !== null && (
                    <Tool title="X plus down, as the operator sees a front turret" pressed={lathe.isOver && aim !== '3d'} onClick={lathe.onOver}>X down</Tool>
                )}
                <Tool title="The run and the cut stock in 3D" access="d" pressed={aim === '3d'} onClick={on3d}>3D</Tool>
                {lathe !== null && lathe.onCut !== null && (
                    <Tool title="The stock as cut up to the cursor; else as the program leaves it" access="s" pressed={lathe.asCut} onClick={lathe.onCut}>
                        Cut stock
                    </Tool>
                )}
                {onPart !== null && (
                    <Tool title="Moves turned back onto the part; else as the machine makes them" pressed={onPart} onClick={onOnPart}>On part</Tool>
                )}
            </Group>
            <Group name="Reading aids">
                <Tool
                    title="Choose what is drawn: tool, operation, kind of move, height"
                    access="w"
                    pressed={tray === 'show' || shows}
                    opens="show"
                    onClick={() => onTray('show')}
                >
                    {shows ? 'Show: part' : 'Show'}
                </Tool>
                <Tool
                    title="Measure a move, or between two points" access="u" pressed={tray === 'measure'} opens="measure"
                    onClick={() => onTray('measure')}
                >
                    Measure
                </Tool>
                {work !== null && (
                    <Tool
                        title={`Move the ${work} zero: drag its mark in the plan, or type`}
                        access="m"
                        pressed={tray === 'zero'}
                        opens="zero"
                        onClick={() => onTray('zero')}
                    >
                        Zero
                    </Tool>
                )}
            </Group>
            <Box sx={{ flex: 1 }} />
            <Group name="Output">
                <Tool title="Print the sheet" access="l" icon="print" name="Print" onClick={onPrint} />
                <Tool title="Download the sheet as SVG" access="q" icon="file" name="SVG" onClick={onFile} />
                {full !== null && (
                    <Tooltip title={full.isFull ? 'Back to the bench (Alt+F)' : 'Fill the window (Alt+F)'}>
                        <Button
                            variant="text" aria-label={full.isFull ? 'Back to the bench' : 'Fill the window'} aria-pressed={full.isFull} onClick={full.onFull}
                            sx={{ px: 0.75 }}
                        >
                            <Icon name={full.isFull ? 'back' : 'full'} />
                        </Button>
                    </Tooltip>
                )}
            </Group>
        </Box>
    );
}

function Group({ name, children }: { name: string; children: ReactNode }) {
    // One frame about a group, hairlines within.
    return (
        <Box
            role="group"
            aria-label={name}
            sx={{ display: 'flex', border: '1px solid var(--frame)', background: 'var(--sheet)', '& > * + *': { borderLeft: '1px solid var(--hair)' } }}
        >
            {children}
        </Box>
    );
}

interface ToolProps {
    title: string;
    access?: string;
    pressed?: boolean;
    icon?: IconName;
    /** The tray it opens, by which it is found again when that is closed. */
    opens?: Tray;
    /** Where the icon stands alone. */
    name?: string;
    onClick: () => void;
    children?: ReactNode;
}

function Tool({ title, access, pressed, icon, name, opens, onClick, children }: ToolProps) {
    return (
        <Tooltip title={access === undefined ? title : `${title} (Alt+${access.toUpperCase()})`}>
            <Button
                variant="text" accessKey={access} aria-label={name} aria-pressed={pressed} data-opens={opens} onClick={onClick}
                sx={{ px: 0.5, fontSize: '0.8125rem', background: pressed === true ? 'var(--pick)' : undefined, fontWeight: pressed === true ? 700 : 600 }}
            >
                {icon === undefined ? children : <Icon name={icon} />}
            </Button>
        </Tooltip>
    );
}
