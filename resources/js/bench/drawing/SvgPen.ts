import type { Pen } from './pen';

const escaped = (text: string) => text.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);
const round = (value: number) => String(Math.round(value * 100) / 100);

/** Writes what is drawn as SVG, so that the file and the paper look as the screen does. */
export class SvgPen implements Pen {
    strokeStyle = '#000';
    fillStyle = '#000';
    lineWidth = 1;
    lineCap: CanvasLineCap = 'butt';
    font = '';
    textAlign: CanvasTextAlign = 'left';
    globalAlpha = 1;

    private dash: number[] = [];

    private path: string[] = [];

    private readonly parts: string[] = [];

    /** Styles put by, and how many groups were opened since. */
    private readonly kept: {
        style: Pick<SvgPen, 'strokeStyle' | 'fillStyle' | 'lineWidth' | 'lineCap' | 'font' | 'textAlign' | 'globalAlpha'>;
        groups: number;
    }[] = [];

    private clips = 0;

    constructor(
        private readonly width: number,
        private readonly height: number,
        private readonly measure: (text: string, font: string) => number,
    ) {}

    save(): void {
        const { strokeStyle, fillStyle, lineWidth, lineCap, font, textAlign, globalAlpha } = this;
        this.kept.push({ style: { strokeStyle, fillStyle, lineWidth, lineCap, font, textAlign, globalAlpha }, groups: 0 });
    }

    restore(): void {
        const kept = this.kept.pop();
        if (kept === undefined) return;
        this.parts.push('</g>'.repeat(kept.groups));
        Object.assign(this, kept.style);
    }

    clip(): void {
        const name = `clip${++this.clips}`;
        this.parts.push(`<clipPath id="${name}"><path d="${this.path.join('')}"/></clipPath><g clip-path="url(#${name})">`);
        const kept = this.kept.at(-1);
        if (kept !== undefined) kept.groups++;
    }

    beginPath(): void {
        this.path = [];
    }

    moveTo(x: number, y: number): void {
        this.path.push(`M${round(x)} ${round(y)}`);
    }

    lineTo(x: number, y: number): void {
        this.path.push(`L${round(x)} ${round(y)}`);
    }

    rect(x: number, y: number, width: number, height: number): void {
        this.path.push(`M${round(x)} ${round(y)}h${round(width)}v${round(height)}h${round(-width)}Z`);
    }

    /** Whole circles are all that is drawn. */
    arc(x: number, y: number, radius: number): void {
        this.path.push(
            `M${round(x - radius)} ${round(y)}` +
                `a${round(radius)} ${round(radius)} 0 1 0 ${round(2 * radius)} 0a${round(radius)} ${round(radius)} 0 1 0 ${round(-2 * radius)} 0`,
        );
    }

    closePath(): void {
        this.path.push('Z');
    }

    stroke(): void {
        if (this.path.length > 0) this.parts.push(`<path d="${this.path.join('')}" fill="none"${this.stroked()}/>`);
    }

    fill(): void {
        if (this.path.length > 0) this.parts.push(`<path d="${this.path.join('')}" fill="${escaped(this.fillStyle)}"${this.opacity()}/>`);
    }

    fillRect(x: number, y: number, width: number, height: number): void {
        this.parts.push(
            `<rect x="${round(x)}" y="${round(y)}" width="${round(width)}" height="${round(height)}" fill="${escaped(this.fillStyle)}"${this.opacity()}/>`,
        );
    }

    strokeRect(x: number, y: number, width: number, height: number): void {
        this.parts.push(`<rect x="${round(x)}" y="${round(y)}" width="${round(width)}" height="${round(height)}" fill="none"${this.stroked()}/>`);
    }

    fillText(text: string, x: number, y: number): void {
        this.text(text, x, y, `fill="${escaped(this.fillStyle)}"${this.opacity()}`);
    }

    strokeText(text: string, x: number, y: number): void {
        this.text(text, x, y, `fill="none" stroke-linejoin="round"${this.stroked()}`);
    }

    setLineDash(dash: number[]): void {
        this.dash = dash;
    }

    measureText(text: string): TextMetrics {
        return { width: this.measure(text, this.font) } as TextMetrics;
    }

    /** The file, with the size of a pixel of it on paper, mm, and a style for its letters. */
    svg(title: string, pixel: number, style = ''): string {
        const paper = (length: number) => `${round(length * pixel)}mm`;
        const size = `width="${paper(this.width)}" height="${paper(this.height)}" viewBox="0 0 ${this.width} ${this.height}"`;
        const letters = style === '' ? '' : `<style>${style}</style>`;
        return `<svg xmlns="http://www.w3.org/2000/svg" ${size}><title>${escaped(title)}</title>${letters}${this.parts.join('')}</svg>\n`;
    }

    private text(text: string, x: number, y: number, how: string): void {
        const [, weight = '400', size = '13', family = 'sans-serif'] = /^(\d+)? ?([\d.]+)px (.*)$/.exec(this.font) ?? [];
        const anchor = this.textAlign === 'center' ? 'middle' : this.textAlign === 'right' ? 'end' : 'start';
        this.parts.push(
            `<text x="${round(x)}" y="${round(y)}" font-family="${escaped(family).replaceAll('&#34;', '')}" font-size="${size}" ` +
                `font-weight="${weight}" text-anchor="${anchor}" ${how}>${escaped(text)}</text>`,
        );
    }

    private stroked(): string {
        const dash = this.dash.length > 0 ? ` stroke-dasharray="${this.dash.join(' ')}"` : '';
        return ` stroke="${escaped(this.strokeStyle)}" stroke-width="${round(this.lineWidth)}" stroke-linecap="${this.lineCap}"${dash}${this.opacity()}`;
    }

    private opacity(): string {
        return this.globalAlpha < 1 ? ` opacity="${this.globalAlpha}"` : '';
    }
}
