import { Box, Button, Tooltip } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Mark } from '../shared/Mark';
import { clock, figure, short } from '../shared/numbers';
import { useAltKeys } from '../shared/useAltKeys';
import { MOVED, NEW, OTHER_FEED, reachChanges, type CompareAnswer, type ToldFinding } from '../bench/difference';

const MOST = 12;

/** What changed in figures: lines, moves, time, travel and findings; and the lines whose motion changed, to be stepped through. */
export function Figures({ answer, onRow }: { answer: CompareAnswer; onRow: (row: number) => void }) {
    const { was, is, lines, counts, changes, newFindings, goneFindings } = answer;
    const { decimals, units } = is.scene;
    const [most, setMost] = useState(MOST);
    const [at, setAt] = useState(-1);
    const go = (n: number) => {
        const change = changes[n];
        if (change === undefined) return;
        setAt(n);
        setMost((before) => Math.max(before, n + 1));
        onRow(change.row);
    };
    const step = (by: 1 | -1) => go((Math.max(at, by === 1 ? -1 : 0) + by + changes.length) % changes.length);
    useAltKeys({ KeyN: (event) => step(event.shiftKey ? -1 : 1) });
    const by = is.seconds - was.seconds;
    const reach = reachChanges(was.reach, is.reach);
    const parts = (...all: [number, string][]) => all.flatMap(([count, words]) => (count > 0 ? [`${count} ${words}`] : [])).join(', ') || 'the same';
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
                <Entry name="Lines">{parts([lines.changed, 'changed'], [lines.added, 'added'], [lines.removed, 'removed'])}</Entry>
                <Entry name="Moves">
                    {parts([counts.moved, 'changed'], [counts.new, 'new'], [counts.gone, 'gone'], [counts.otherFeed, 'at a different feed'])}
                </Entry>
                <Entry name="Time">
                    {clock(was.seconds)} → {clock(is.seconds)} (
                    {Math.abs(by) < 0.05 ? 'the same' : `${figure(Math.abs(by), 1)} s ${by > 0 ? 'longer' : 'shorter'}`})
                </Entry>
                <Entry name="Verdict">{was.verdict} → {is.verdict}</Entry>
                <Entry name="Findings">{parts([goneFindings.length, 'settled'], [newFindings.length, 'new'])}</Entry>
                {reach.map(({ axis, side, was: before, is: now }) => (
                    <Entry key={axis + side} name={`Spare ${axis}${side}`}>
                        {short(before, decimals)} → {short(now, decimals)} {units}
                    </Entry>
                ))}
            </Box>
            {changes.length > 0 && (
                <Box
                    role="group"
                    aria-label="Changed lines"
                    sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center', maxHeight: 92, overflow: 'auto' }}
                >
                    <Tooltip title="Previous change (Alt+Shift+N)">
                        <Button aria-label="Previous change" onClick={() => step(-1)} sx={{ px: 0.75 }}>
                            ‹
                        </Button>
                    </Tooltip>
                    <Tooltip title="Next change (Alt+N)"><Button aria-label="Next change" onClick={() => step(1)} sx={{ px: 0.75 }}>›</Button></Tooltip>
                    {changes.slice(0, most).map(({ line, change, by: distance }, n) => (
                        <Button key={line} aria-pressed={n === at} onClick={() => go(n)} sx={{ background: n === at ? 'var(--pick)' : undefined }}>
                            line {line}: {what(change, distance)}
                        </Button>
                    ))}
                    {changes.length > most && <Button onClick={() => setMost(most + 50)}>{changes.length - most} more</Button>}
                </Box>
            )}
            {changes.length + counts.gone > 0 && (
                <Box sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>
                    Drawing and strip: banded = new or changed, dotted = as it was, cross = moves removed.
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
                    <Mark kind={severity} size={13} /> {name === 'New findings' ? 'New' : 'Settled'}, line {line}: {text}
                </li>
            ))}
        </Box>
    );
}
