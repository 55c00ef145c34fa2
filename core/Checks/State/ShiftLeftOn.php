<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\NoticeCase;
use OakTrace\Core\Checks\NoticeCheck;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Trace\Notice;

/** A shift, rotation, scale or mirror still in force at the end. */
final class ShiftLeftOn extends NoticeCheck
{
    /** What is left on, in the words of the notice => the code that ends it. */
    private const CANCEL = ['rotation' => Code::RotateOff, 'scaling' => Code::ScaleOff, 'mirror' => Code::MirrorOff, 'radius and angle' => Code::PolarOff];

    public function name(): string
    {
        return 'state.shift-left-on';
    }

    protected function edit(Evidence $evidence, Notice $notice): ?Edit
    {
        $codes = [];
        foreach (self::CANCEL as $what => $cancel) {
            if (str_contains($notice->word('what'), $what)) {
                $codes[] = $cancel;
            }
        }

        return $evidence->amend->before($notice->line, ...$codes);
    }

    protected function cases(): array
    {
        return [
            new NoticeCase(
                'shift-left-on', Severity::Caution,
                'Still in force at the end of the program: {what}. The next run begins with it.',
                'Cancel it before the end.',
            ),
        ];
    }
}
