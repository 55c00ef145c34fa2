<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;

/** Which words of a program are lengths, feeds or surface speeds, line by line; what cannot be told is refused with its line. */
final class LengthWords
{
    private const LENGTHS = ['X', 'Y', 'Z', 'U', 'V', 'W', 'I', 'J', 'K', 'R', 'Q', 'F', ',C', ',R'];

    /** With these a word of a place is an angle, a factor or a time. */
    private const NO_LENGTHS = [Code::InverseTime, Code::RotateOn, Code::ScaleOn, Code::PolarOn, Code::CallMacro, Code::CallAfterMoves];

    private int $line = 0;

    /** @var list<Code> of the line */
    private array $codes = [];

    private readonly Leads $leads;

    private Code $feedMode;

    private ?Code $speedMode = null;

    private bool $isCycle = false;

    public function __construct(private readonly Scope $scope)
    {
        $this->leads = new Leads;
        $this->feedMode = $scope->firstFeedMode();
    }

    /**
     * Goes on to a line.
     *
     * @param  list<Code>  $codes
     *
     * @throws TransformProblem
     */
    public function take(int $line, array $codes): void
    {
        $this->line = $line;
        $this->codes = $codes;
        $this->leads->take($codes);
        foreach ($codes as $code) {
            if (in_array($code, self::NO_LENGTHS, true)) {
                throw new TransformProblem("Line {$line} has words that are not lengths where they stand ({$code->words()}); convert it by hand.");
            }
            match ($code->group()) {
                ModalGroup::Motion => $this->isCycle = false,
                ModalGroup::Cycle => $this->isCycle = $code !== Code::CycleOff,
                ModalGroup::FeedMode => $this->feedMode = $code,
                ModalGroup::SpeedMode => $this->speedMode = $code,
                default => null,
            };
        }
    }

    /**
     * @param  array{letter: string, number: string, at: int}  $word  of the line
     *
     * @throws TransformProblem
     */
    public function isLength(array $word): bool
    {
        $this->refuseUncertain($word);
        $letter = $word['letter'];
        $isCount = $this->isCycle && $letter === $this->scope->control->letters->cycleRepeats;
        if (! in_array($letter, self::LENGTHS, true) || $isCount || in_array(Code::Dwell, $this->codes, true)) {
            return false;
        }

        // Blocks of a shape, a start angle, where a tip points.
        $isNumber = $this->leads->isThread() || TurningCatalogue::repeated($this->codes) !== null || in_array(Code::SetOffsets, $this->codes, true);

        return $letter !== 'Q' || ! $isNumber;
    }

    /** Whether S is a surface speed here, and not the most the spindle may turn. */
    public function isSurfaceSpeed(string $letter): bool
    {
        return $letter === 'S' && $this->speedMode === Code::SurfaceSpeed && array_intersect(
            array_column($this->codes, 'value'), [Code::SetPosition->value, Code::ScaleOff->value],
        ) === [];
    }

    /** Whether F is a length a turn here, which may be small. */
    public function isFeedPerTurn(): bool
    {
        return $this->leads->isLead() || TurningCatalogue::repeated($this->codes) !== null || $this->feedMode === Code::FeedPerRevolution;
    }

    /** @param  array{letter: string, number: string, at: int}  $word */
    private function refuseUncertain(array $word): void
    {
        $letter = $word['letter'];
        $control = $this->scope->control;
        if ($letter === AxisName::C && $control->options->turning->cornerWords === CornerWords::Plain) {
            throw new TransformProblem("Line {$this->line} has a C, which may be a chamfer or an axis; convert it by hand.");
        }
        $cycle = TurningCatalogue::repeated($this->codes);
        $namesBlocks = $cycle !== null && (TurningCatalogue::hasShape($cycle) || $cycle === Code::FinishShape);
        if ($cycle !== null && ($letter === 'D' || (! $namesBlocks && in_array($letter, ['P', 'Q'], true)))) {
            throw new TransformProblem("Line {$this->line} has a {$letter} that counts in a unit of its own ({$cycle->words()}); convert it by hand.");
        }
        $isPeck = $cycle === null && $control->isOfLathe() && $letter === $control->letters->peck && ! $this->leads->isThread();
        if ($isPeck && ! str_contains($word['number'], '.') && ! in_array(Code::SetOffsets, $this->codes, true)) {
            throw new TransformProblem("Line {$this->line} has a {$letter} that may count least increments; convert it by hand.");
        }
    }
}
