<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Units;

/** Draws a setup for paper: lines, boxes, sizes with their arrows. Places in the units of the picture, sizes in millimetres. */
final class SvgPen
{
    /** @var list<string> */
    private array $parts = [];

    /** @param  Units  $units  sizes are written in */
    public function __construct(private readonly Units $units)
    {
    }

    public function svg(float $width, float $height): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="0 0 %1$s %2$s">', self::at($width), self::at($height))
            .implode('', $this->parts).'</svg>';
    }

    public function level(float $from, float $to, float $y, float $size): void
    {
        $this->line($from, $y, $to, $y);
        $this->line($from, $y - 3, $from, $y + 3);
        $this->line($to, $y - 3, $to, $y + 3);
        $this->text(($from + $to) / 2, $y - 3, $this->figure($size));
    }

    public function upright(float $from, float $to, float $x, float $size, bool $isLeft = false): void
    {
        $this->line($x, $from, $x, $to);
        $this->line($x - 3, $from, $x + 3, $from);
        $this->line($x - 3, $to, $x + 3, $to);
        $this->text($x + ($isLeft ? -5 : 5), ($from + $to) / 2 + 3, $this->figure($size), $isLeft ? 'end' : 'start');
    }

    public function zero(float $x, float $y, string $name): void
    {
        $this->parts[] = sprintf('<circle cx="%s" cy="%s" r="4" fill="none" stroke="#7f501f" stroke-width="1.2"/>', self::at($x), self::at($y));
        $this->line($x - 9, $y, $x + 9, $y, '#7f501f');
        $this->line($x, $y - 9, $x, $y + 9, '#7f501f');
        $this->text($x + 8, $y - 6, $name, 'start');
    }

    public function line(float $x, float $y, float $toX, float $toY, string $ink = '#34403a'): void
    {
        $this->parts[] = sprintf(
            '<line x1="%s" y1="%s" x2="%s" y2="%s" stroke="%s" stroke-width="0.8"/>', self::at($x), self::at($y), self::at($toX), self::at($toY), $ink,
        );
    }

    public function box(float $left, float $top, float $right, float $bottom, string $fill, string $ink, float $width): void
    {
        $this->parts[] = sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="%s" stroke="%s" stroke-width="%s"/>', self::at($left), self::at($top),
            self::at($right - $left), self::at($bottom - $top), $fill, $ink, self::at($width),
        );
    }

    /** @param  list<array{float, float}>  $points */
    public function polygon(array $points): void
    {
        $written = array_map(static fn (array $point): string => self::at($point[0]).','.self::at($point[1]), $points);
        $this->parts[] = '<polygon points="'.implode(' ', $written).'" fill="#dcd5c4" stroke="#34403a" stroke-width="1"/>';
    }

    public function text(float $x, float $y, string $text, string $anchor = 'middle'): void
    {
        $this->parts[] = sprintf(
            '<text x="%s" y="%s" font-size="9" font-family="DejaVu Sans, sans-serif" text-anchor="%s" fill="#1d2822">%s</text>', self::at($x), self::at($y),
            $anchor, htmlspecialchars($text, ENT_QUOTES | ENT_XML1),
        );
    }

    public function figure(float $millimetres): string
    {
        return rtrim(rtrim(number_format($millimetres / $this->units->millimetres(), $this->units->decimals(), '.', ''), '0'), '.');
    }

    private static function at(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }
}
