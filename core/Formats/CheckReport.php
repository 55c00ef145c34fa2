<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Question;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;

/** A verification as lines of text for a terminal. */
final class CheckReport
{
    private const CAUTION = 'Prove the program out: Oak Trace does not see the machine. Follow its manual, the shop\'s rules and local codes '
        .'for guarding; in doubt, ask a qualified person.';

    /** Lines named beside the one of a finding. */
    private const MOST_LINES = 12;

    /** @return iterable<string> */
    public static function lines(Verification $verification): iterable
    {
        $units = $verification->setup->units;
        $wording = new Wording($units);
        $sources = $verification->trace->sources;
        yield strtoupper($verification->verdict->value).': '.self::counts($verification->findings);
        $question = null;
        foreach ($verification->findings as $finding) {
            $asked = Question::of($finding->check);
            if ($asked !== $question) {
                $question = $asked;
                yield '';
                yield $asked->value;
            }
            yield sprintf('  line %s  %s  %s', $sources->words($finding->line), $finding->severity->word(), $wording->text($finding));
            if ($finding->remedy !== '') {
                yield '           '.$wording->remedy($finding);
            }
            // A program that is called twice has two places for each line.
            $also = array_diff(array_unique(array_map($sources->words(...), $finding->alsoAt)), [$sources->words($finding->line)]);
            if ($also !== []) {
                yield '           also on line '.implode(', ', array_slice($also, 0, self::MOST_LINES)).(
                    count($also) > self::MOST_LINES ? ' and '.(count($also) - self::MOST_LINES).' more' : ''
                );
            }
            yield '           '.$finding->check;
        }
        $gaps = Gaps::of($verification->input);
        if ($gaps !== []) {
            yield '';
            yield 'Not checked';
            foreach ($gaps as $gap) {
                yield "  {$gap->question->value}  {$gap->text}";
            }
        }
        yield '';
        foreach ($verification->setup->machine->axes as $name => $axis) {
            $extent = $verification->input->reach->machine[$name];
            if (! $extent->isEmpty() && $axis->min !== null && $axis->max !== null) {
                yield sprintf(
                    '%s uses %s to %s; spare %s and %s', $name,
                    $wording->figure($axis->shown($extent->min)), $wording->figure($axis->shown($extent->max)),
                    ...array_map(
                        static fn (float $spare): string => $axis->isRotary()
                            && $spare > Axis::OPEN ? 'open' : $wording->figure($axis->shown($spare)),
                        [$extent->min - $axis->min, $axis->max - $extent->max],
                    ),
                );
            }
        }
        $stock = $verification->input->stock;
        if ($stock !== null) {
            $volume = static fn (float $cubicMillimetres): string => number_format(
                $cubicMillimetres / $units->millimetres() ** 3, StockResult::decimals($cubicMillimetres, $units),
            ).' '.$units->symbol().'³';
            yield sprintf(
                'Stock: %s removed, %s left%s (cells of %s)', $volume($stock->removed()), $volume($stock->left()),
                $stock->isComplete() ? '' : ', as far as it is simulated', $wording->figure(Quantity::length($stock->field()->cell())),
            );
        }
        foreach ($stock->loads->strongest ?? [] as $load) {
            yield sprintf(
                'T%d needs at most %s of cutting power, %s and %s, at a removal rate of %s (line %s)', $load->tool,
                $wording->figure(Quantity::power($load->power)), $wording->figure(Quantity::torque($load->torque)),
                $wording->figure(Quantity::force($load->force)), $wording->figure(Quantity::removalRate($load->rate)), $sources->words($load->line),
            );
        }
        yield '';
        yield self::CAUTION;
    }

    /** @param  list<Finding>  $findings */
    private static function counts(array $findings): string
    {
        $counts = [];
        foreach (Severity::cases() as $severity) {
            $count = count(array_filter($findings, static fn (Finding $finding): bool => $finding->severity === $severity));
            if ($count > 0) {
                $counts[] = "{$count} {$severity->word()}".($count === 1 ? '' : 's');
            }
        }

        return $counts === [] ? 'nothing found' : implode(', ', $counts);
    }
}
