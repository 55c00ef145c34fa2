<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Wording\Finding;

/**
 * What a control calls things: a sentence that holds {code cutter-off} or {letter dwell} names them as the profile in use does. What it
 * has no code for is named by what it does.
 */
final class ControlNames
{
    public static function in(Finding $finding, ControlProfile $control): Finding
    {
        if (preg_match_all('/\{(code|letter) ([\w-]+)\}/', $finding->text.$finding->remedy, $names, PREG_SET_ORDER) === 0) {
            return $finding;
        }
        $letters = $control->letters->all();
        $figures = [];
        foreach ($names as [, $kind, $name]) {
            $code = Code::tryFrom($name);
            $figures["{$kind} {$name}"] = $kind === 'code' && $code !== null ? $control->codeOf($code) ?? "“{$code->words()}”" : $letters[$name];
        }

        return $finding->withFigures($figures);
    }
}
