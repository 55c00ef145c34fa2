import { describe, expect, it } from 'vitest';
import { SvgPen } from './SvgPen';

const pen = () => new SvgPen(100, 50, (text) => text.length * 7);

describe('the writer of SVG', () => {
    it('writes what is stroked and filled, in its ink', () => {
        const svg = pen();
        svg.strokeStyle = '#1d2822';
        svg.lineWidth = 0.8;
        svg.setLineDash([6, 5]);
        svg.globalAlpha = 0.7;
        svg.beginPath();
        svg.moveTo(1.234, 2);
        svg.lineTo(3, 4);
        svg.stroke();
        expect(svg.svg('A drawing', 0.5)).toContain(
            '<path d="M1.23 2L3 4" fill="none" stroke="#1d2822" stroke-width="0.8" stroke-linecap="butt" stroke-dasharray="6 5" opacity="0.7"/>',
        );
    });

    it('closes what a clip has opened, and takes the ink up again', () => {
        const svg = pen();
        svg.fillStyle = 'red';
        svg.save();
        svg.beginPath();
        svg.rect(0, 0, 10, 10);
        svg.clip();
        svg.fillStyle = 'blue';
        svg.restore();
        svg.fillRect(1, 1, 2, 2);
        expect(svg.svg('', 0.5)).toContain(
            '<clipPath id="clip1"><path d="M0 0h10v10h-10Z"/></clipPath><g clip-path="url(#clip1)"></g><rect x="1" y="1" width="2" height="2" fill="red"/>',
        );
    });

    it('keeps words words', () => {
        const svg = pen();
        svg.font = '600 13px "Source Sans 3", sans-serif';
        svg.textAlign = 'right';
        svg.fillText('<script>"&', 5, 6);
        const text = svg.svg('a < b', 0.5);
        expect(text).toContain('font-family="Source Sans 3, sans-serif" font-size="13" font-weight="600" text-anchor="end"');
        expect(text).toContain('&#60;script&#62;&#34;&#38;</text>');
        expect(text).not.toContain('<script');
    });
});
