<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** The plane arcs and cycles lie in. First and second axis are in right-hand order (ISO 841). */
enum Plane: string
{
    case XY = 'XY';
    case ZX = 'ZX';
    case YZ = 'YZ';

    public static function of(Code $code): self
    {
        return match ($code) {
            Code::PlaneZX => self::ZX,
            Code::PlaneYZ => self::YZ,
            default => self::XY,
        };
    }

    public function code(): Code
    {
        return match ($this) {
            self::XY => Code::PlaneXY,
            self::ZX => Code::PlaneZX,
            self::YZ => Code::PlaneYZ,
        };
    }

    public function first(): string
    {
        return $this->value[0];
    }

    public function second(): string
    {
        return $this->value[1];
    }

    /** @return array{int, int} where its two axes are in X, Y, Z */
    public function places(): array
    {
        return match ($this) {
            self::XY => [0, 1],
            self::ZX => [2, 0],
            self::YZ => [1, 2],
        };
    }

    /** The axis square to the plane, along which cycles go down. */
    public function normal(): string
    {
        return match ($this) {
            self::XY => 'Z',
            self::ZX => 'Y',
            self::YZ => 'X',
        };
    }

    /** The letter that gives an arc's centre along an axis. */
    public static function centerLetter(string $axis): string
    {
        return match ($axis) {
            'X' => 'I',
            'Y' => 'J',
            default => 'K',
        };
    }
}
