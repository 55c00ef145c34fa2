<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\RoundInWord;
use OakTrace\Core\Language\Expressions\ArithmeticProblem;
use OakTrace\Core\Language\Expressions\Expression;
use OakTrace\Core\Language\Expressions\Parameters;
use OakTrace\Core\Quantities\Quantity;

/** What ROUND rounds to where it stands in a word: to the word's least increment, as the profile says, or to a whole number. */
final readonly class RoundedWords
{
    /** Letters of places, ways and feeds; codes, numbers and counts are whole on every control. */
    private const LETTERS = 'XYZUVWABCIJKRQF';

    private const ANGLES = 'ABC';

    public function __construct(private Context $context)
    {
    }

    /** The least increment of a word in the unit of the program; 1 where ROUND makes a whole number, as in what is handed to a macro. */
    public function step(string $letter): float
    {
        if ($this->context->machine->control->options->roundInWord === RoundInWord::Whole
            || ! str_contains(self::LETTERS, ltrim($letter, ',')) || $this->context->callsMacro()) {
            return 1.0;
        }

        return str_contains(self::ANGLES, $letter) ? BareWords::THOUSANDTH : $this->context->modal->modes->units->leastIncrement() / $this->context->unit;
    }

    /** Notes a word that is another place where ROUND makes whole numbers. */
    public function tell(string $letter, float $value, Expression $expression, Parameters $parameters): void
    {
        try {
            $whole = $expression->evaluate($parameters);
        } catch (ArithmeticProblem) {
            $whole = null; // 1/ROUND[.3]: one of the two readings has no value, and it is not this control's
        }
        if ($whole === null || abs($value - $whole) > $this->step($letter)) {
            $this->context->notice('rounded-word', $letter, [
                'word' => $letter.Quantity::written($value), 'whole' => $whole === null ? 'nothing' : $letter.Quantity::written($whole),
            ]);
        }
    }
}
