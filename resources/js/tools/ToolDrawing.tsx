import { Box } from '@mui/material';
import { shapesOf, type Definition } from './tool';

const INK = { cutting: 'var(--stock)', shank: 'var(--sheet)', holder: 'var(--margin)' } as const;

/** A tool in its holder, to scale and standing on its tip. */
export function ToolDrawing({ tool }: { tool: Partial<Definition> }) {
    const shapes = shapesOf(tool);
    if (shapes.length === 0) return <Box sx={{ color: 'text.secondary', fontSize: '0.875rem' }}>Drawn once its diameter is known.</Box>;
    const high = Math.max(...shapes.flatMap(({ side }) => side.map(([, z]) => z)));
    const wide = Math.max(...shapes.flatMap(({ side }) => side.map(([r]) => r)));
    const size = Math.max(high, 3 * wide);
    const ink = size / 160;
    return (
        <Box
            component="svg" role="img" aria-label={`${tool.name ?? 'The tool'} in its holder, to scale`}
            viewBox={`${-size / 2.4} ${-high - 2 * ink} ${size / 1.2} ${high + 4 * ink}`} sx={{ width: '100%', height: '100%', maxHeight: '22rem' }}
        >
            <line x1="0" x2="0" y1={-high} y2="0" stroke="var(--soft)" strokeWidth={ink / 2} strokeDasharray={`${8 * ink} ${2 * ink} ${ink} ${2 * ink}`} />
            {shapes.map(({ what, side }, n) => (
                <polygon
                    key={n} fill={INK[what]} fillOpacity="0.85" stroke="var(--frame)" strokeWidth={what === 'cutting' ? 1.4 * ink : ink} strokeLinejoin="round"
                    points={[...side, ...side.map(([r, z]): [number, number] => [-r, z]).reverse()].map(([r, z]) => `${r},${-z}`).join(' ')}
                />
            ))}
        </Box>
    );
}
