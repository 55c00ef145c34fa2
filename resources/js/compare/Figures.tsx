import { Box, Button } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Mark } from '../shared/Mark';
import { clock, figure, short } from '../shared/numbers';
import { MOVED, NEW, OTHER_FEED, reachChanges, type CompareAnswer, type ToldFinding } from '../bench/difference';

const MOST = 8;

/** What changed in figures: moves, time, reach and findings; and the lines that went furthest. */
export function Figures({ answer, onRow }: { answer: CompareAnswer; onRow: (row: number) => void }) {
    const { was, is, counts, greatest, newFindings, goneFindings } = answer;
    const { decimals, units } = is.scene;
    const [most, setMost] = useState(MOST);
    const by = is.seconds - was.seconds;
    const reach = reachChanges(was.reach, is.reach);
    const moves = [
        counts.moved > 0 && `${counts.moved} changed`,
        counts.new > 0 && `${counts.new} new`,
        counts.gone > 0 && `${counts.gone} gone`,
        counts.otherFeed > 0 && `${counts.otherFeed} at a different feed`,
    ].filter((part) => part !== false);
    const what = (change: number, distance: number) =>
        change === NEW
            ? 'new'
            : change === OTHER_FEED
              ? 'different feed'
              : change === MOVED && distance === 0
                ? 'different kind of move'
                : `${short(distance, decimals)} ${units}`;
    return (
        <Box component="section" aria-label="What changed" sx={{ p: 1, display: 'grid', gap: 0.5, fontSize: '0.875rem' }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 0.25 }}>
                <Entry name="Moves">{moves.length === 0 ? 'the same' : moves.join(', ')}</Entry>
                <Entry name="Time">
                    {clock(was.seconds)} → {clock(is.seconds)} (
                    {Math.abs(by) < 0.05 ? 'the same' : `${figure(Math.abs(by), 1)} s ${by > 0 ? 'longer' : 'shorter'}`})
                </Entry>
                <Entry name="Verdict">{was.verdict} → {is.verdict}</Entry>
                {reach.map(({ axis, side, was: before, is: now }) => (
                    <Entry key={axis + side} name={`Spare ${axis}${side}`}>
                        {short(before, decimals)} → {short(now, decimals)} {units}
                    </Entry>
                ))}
            </Box>
            {greatest.length > 0 && (
                <Box
                    role="group"
                    aria-label="Changed lines"
                    sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center', maxHeight: 92, overflow: 'auto' }}
                >
                    {greatest.slice(0, most).map(({ line, row, change, by: distance }) => (
                        <Button key={line} onClick={() => onRow(row)}>
                            line {line}: {what(change, distance)}
                        </Button>
                    ))}
                    {greatest.length > most && <Button onClick={() => setMost(most + 50)}>{greatest.length - most} more</Button>}
                </Box>
            )}
            {greatest.length + counts.gone > 0 && (
                <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>
                    In the drawing and on the strip: on a band, what is new or changed; in dots, as it was; a cross, where moves have gone.
                </Box>
            )}
            <Findings name="New findings" findings={newFindings} />
            <Findings name="Settled findings" findings={goneFindings} />
        </Box>
    );
}

function Entry({ name, children }: { name: string; children: ReactNode }) {
    return <Box><Box component="span" sx={{ color: 'text.secondary' }}>{name}</Box> <b>{children}</b></Box>;
}

function Findings({ name, findings }: { name: string; findings: ToldFinding[] }) {
    if (findings.length === 0) return null;
    return (
        <Box component="ul" aria-label={name} sx={{ m: 0, p: 0, listStyle: 'none', maxHeight: 84, overflow: 'auto' }}>
            {findings.map(({ severity, line, text }, i) => (
                <li key={i}>
                    <Mark kind={severity} size={13} /> {name === 'New findings' ? 'New' : 'Gone'}, line {line}: {text}
                </li>
            ))}
        </Box>
    );
}
