<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What stays on the machine from setup to setup, in machine coordinates. Lengths in millimetres. */
final readonly class OnMachine
{
    /**
     * @param  array<string, array<string, float>>  $places  usual place of a fixture => where the zero is there, by axis name
     * @param  array<string, RotaryCenter>  $rotaryCenters  by axis name
     * @param  ProgramFileStyle|null  $programFiles  how its control wants program files; null where it is not said
     */
    public function __construct(public array $places = [], public array $rotaryCenters = [], public ?ProgramFileStyle $programFiles = null)
    {
    }
}
