<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Control\AngleWords;
use OakTrace\Core\Control\ArcOver180;
use OakTrace\Core\Control\ArcSense;
use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\ChangesTool;
use OakTrace\Core\Control\ClampActs;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlOptions;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\CycleRunsOn;
use OakTrace\Core\Control\DIs;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\HolePlane;
use OakTrace\Core\Control\HoleReturn;
use OakTrace\Core\Control\HomeThrough;
use OakTrace\Core\Control\LeadAxis;
use OakTrace\Core\Control\OffsetCarries;
use OakTrace\Core\Control\OutsideCorner;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Control\RapidPath;
use OakTrace\Core\Control\RepeatIn;
use OakTrace\Core\Control\RoughingCompensation;
use OakTrace\Core\Control\RoughKind;
use OakTrace\Core\Control\RoughRetract;
use OakTrace\Core\Control\RoundInWord;
use OakTrace\Core\Control\SecondSense;
use OakTrace\Core\Control\SpeedFrom;
use OakTrace\Core\Control\SpeedInRapid;
use OakTrace\Core\Control\StartAngleUnit;
use OakTrace\Core\Control\ThreadDepths;
use OakTrace\Core\Control\ThreadShift;
use OakTrace\Core\Control\ToolShift;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Control\TurningOptions;
use OakTrace\Core\Control\UnknownFunction;
use OakTrace\Core\Control\WordLetters;
use OakTrace\Core\Control\WordsInProfile;
use ReflectionClass;

/** The part of a setup file that says how its control reads: a profile, its switches, the codes and letters that differ. */
final readonly class ControlFields
{
    private const LENGTHS = ['arcTolerance', 'peckClearance', 'chipBreakRetract'];

    private const CHOICES = [
        'rapidPath' => RapidPath::class, 'bareNumbers' => BareNumbers::class, 'dwellUnit' => DwellUnit::class, 'dIs' => DIs::class,
        'outsideCorner' => OutsideCorner::class, 'subprogramRepeats' => RepeatIn::class, 'cycleRunsOn' => CycleRunsOn::class,
        'roundInWord' => RoundInWord::class,
    ];

    /** Switch => greatest value; 1 for a switch that is on or off. */
    private const PLAIN = ['lookAheadBlocks' => 1000, 'cyclesAreMotion' => 1, 'shrinkingPecks' => 1, 'semicolonComments' => 1, 'mostBlocks' => 20_000_000];

    /** Of lathes. */
    private const TURNING_CHOICES = [
        'toolWord' => ToolWord::class, 'toolShift' => ToolShift::class, 'arcSense' => ArcSense::class, 'cornerWords' => CornerWords::class,
        'angleWords' => AngleWords::class, 'cycleForm' => CycleForm::class, 'intsInCycles' => CycleNumbers::class,
        'roughRetract' => RoughRetract::class, 'threadShift' => ThreadShift::class,
        'roughKind' => RoughKind::class, 'clampActs' => ClampActs::class, 'startAngleUnit' => StartAngleUnit::class, 'threadDepths' => ThreadDepths::class,
        'offsetCarries' => OffsetCarries::class, 'changesTool' => ChangesTool::class, 'arcOver180' => ArcOver180::class, 'leadAxis' => LeadAxis::class,
        'wordsInProfile' => WordsInProfile::class, 'roughingCompensation' => RoughingCompensation::class,
        'surfaceSpeedInRapid' => SpeedInRapid::class, 'surfaceSpeedFrom' => SpeedFrom::class,
        'holePlane' => HolePlane::class, 'holeReturn' => HoleReturn::class, 'secondSense' => SecondSense::class, 'home' => HomeThrough::class,
    ];

    /** Switch => greatest value. */
    private const TURNING_PLAIN = ['incrementWords' => 1, 'roughLast' => 1, 'finishReturns' => 1, 'feedModeKeepsF' => 1, 'compensationOnRapid' => 1];

    /** M6, in tenths: what brings a tool in where T alone does not and nothing else is said. */
    private const USUAL_CHANGE = 60;

    private const IN_LEADS = 'threadPullOff';

    /** @param  float  $unit mm in the file's unit of length */
    public function __construct(private float $unit)
    {
    }

    /**
     * @param  array<string, mixed>  $file
     *
     * @throws SetupFileError
     */
    public function read(array $file): ControlProfile
    {
        $entry = new FileEntry($file);
        $name = $entry->string('profile', 'iso-mill');
        $profile = Profiles::named($name);
        if ($profile === null) {
            throw new SetupFileError(['machine.control.profile' => "There is no control profile “{$name}”. Known: ".implode(', ', Profiles::names()).'.']);
        }
        try {
            $profile = $profile->withCodes($entry->strings('codes'));
        } catch (UnknownFunction $wrong) {
            throw new SetupFileError(['machine.control.codes.'.$wrong->entry => 'No function of this name can have that code.']);
        }
        foreach (array_keys($entry->strings('words')) as $meaning) {
            if (! isset(WordLetters::MEANINGS[$meaning])) {
                throw new SetupFileError(
                    ["machine.control.words.$meaning" => 'No word has this meaning. Known: '.implode(', ', array_keys(WordLetters::MEANINGS)).'.'],
                );
            }
        }

        $options = $this->options($entry, $profile->options);

        return $profile->with(
            title: $entry->string('title', $profile->title),
            mCodes: $profile->mCodes + ($options->turning->changesTool === ChangesTool::OnCode && $profile->codeOf(Code::ToolChange) === null
                ? [self::USUAL_CHANGE => Code::ToolChange] : []),
            options: $options,
            letters: $profile->letters->with($entry->strings('words')),
            ownWords: $entry->strings('words'),
        );
    }

    /**
     * Fields that did not come from a file the schema has looked at.
     *
     * @param  array<string, mixed>  $file
     *
     * @throws SetupFileError naming the field that is wrong
     */
    public function check(array $file): void
    {
        foreach (self::CHOICES + self::TURNING_CHOICES as $switch => $choice) {
            if (isset($file[$switch]) && (! is_string($file[$switch]) || $choice::tryFrom($file[$switch]) === null)) {
                throw new SetupFileError([$switch => 'Choose one of the values in the list.']);
            }
        }
        foreach ([...self::LENGTHS, self::IN_LEADS] as $switch) {
            if (isset($file[$switch]) && (! is_numeric($file[$switch]) || $file[$switch] < 0)) {
                throw new SetupFileError([$switch => 'This is a length, 0 or more.']);
            }
        }
        foreach (self::PLAIN + self::TURNING_PLAIN as $switch => $most) {
            if (isset($file[$switch]) && ! self::isWithin($file[$switch], $most)) {
                throw new SetupFileError([$switch => $most === 1 ? 'This is on or off.' : "This is a whole number from 0 to {$most}."]);
            }
        }
        foreach (['codes' => '/^[GM]\d{1,4}(\.\d)?$/', 'words' => '/^[A-Z]$/'] as $table => $pattern) {
            foreach ((array) ($file[$table] ?? []) as $entry => $value) {
                if (! is_string($value) || preg_match($pattern, $value) !== 1) {
                    throw new SetupFileError(
                        ["{$table}.{$entry}" => $table === 'codes' ? 'A code is G or M and a number: G83, M98, G54.1.' : 'This is one capital letter.'],
                    );
                }
            }
        }
        $this->read($file);
    }

    private static function isWithin(mixed $value, int $most): bool
    {
        return $most === 1 ? is_bool($value) : is_int($value) && $value >= 0 && $value <= $most;
    }

    /** @return array<string, mixed> */
    public function write(ControlProfile $control): array
    {
        $file = ['profile' => $control->name];
        foreach (array_keys(self::CHOICES) as $switch) {
            $file[$switch] = $control->options->$switch->value;
        }
        foreach (self::LENGTHS as $switch) {
            $file[$switch] = round($control->options->$switch / $this->unit, 9) + 0.0;
        }
        foreach (array_keys(self::PLAIN) as $switch) {
            $file[$switch] = $control->options->$switch;
        }
        $turning = self::writeTurning($control->options->turning);
        // Of a mill's, corners, and what it has that is not as usual.
        $file += $control->isOfLathe() ? $turning
            : ['cornerWords' => $turning['cornerWords']] + array_diff_assoc($turning, self::writeTurning(new TurningOptions));
        if ($control->title !== Profiles::named($control->name)?->title) {
            $file['title'] = $control->title;
        }

        return $file + array_filter(['codes' => $control->ownCodes, 'words' => $control->ownWords]) + $control->options->more;
    }

    /** @return array<string, bool|float|string> */
    private static function writeTurning(TurningOptions $options): array
    {
        $file = [self::IN_LEADS => $options->threadPullOff];
        foreach (array_keys(self::TURNING_CHOICES) as $switch) {
            $file[$switch] = $options->$switch->value;
        }
        foreach (array_keys(self::TURNING_PLAIN) as $switch) {
            $file[$switch] = $options->$switch;
        }

        return $file;
    }

    private static function turning(FileEntry $file, TurningOptions $usual): TurningOptions
    {
        $values = get_object_vars($usual);
        foreach (self::TURNING_CHOICES as $switch => $choice) {
            $values[$switch] = $file->has($switch) ? $choice::from($file->string($switch)) : $values[$switch];
        }
        foreach (array_keys(self::TURNING_PLAIN) as $switch) {
            $values[$switch] = $file->has($switch) ? $file->bool($switch) : $values[$switch];
        }
        $values[self::IN_LEADS] = $file->has(self::IN_LEADS) ? $file->float(self::IN_LEADS) : $usual->threadPullOff;

        return (new ReflectionClass(TurningOptions::class))->newInstanceArgs($values);
    }

    private function options(FileEntry $file, ControlOptions $usual): ControlOptions
    {
        $values = get_object_vars($usual);
        foreach (self::CHOICES as $switch => $choice) {
            $values[$switch] = $file->has($switch) ? $choice::from($file->string($switch)) : $values[$switch];
        }
        foreach (self::LENGTHS as $switch) {
            $values[$switch] = $file->has($switch) ? $file->float($switch) * $this->unit : $values[$switch];
        }
        foreach (array_keys(self::PLAIN) as $switch) {
            $values[$switch] = $file->values[$switch] ?? $values[$switch];
        }
        $values['turning'] = self::turning($file, $usual->turning);
        $turning = [...array_keys(self::TURNING_CHOICES), ...array_keys(self::TURNING_PLAIN), self::IN_LEADS];
        $known = [...array_keys(self::CHOICES), ...self::LENGTHS, ...array_keys(self::PLAIN), ...$turning, 'profile', 'title', 'codes', 'words'];

        return (new ReflectionClass(ControlOptions::class))->newInstanceArgs(['more' => array_diff_key($file->source(), array_flip($known))] + $values);
    }
}
