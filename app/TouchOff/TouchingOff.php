<?php

declare(strict_types=1);

namespace App\TouchOff;

use App\Logbook\SetupChange;
use App\Models\Setup;
use App\Models\TouchOff;
use App\Models\User;
use App\Shop\OffsetTrust;
use App\Shop\ShopProblem;
use Illuminate\Support\Facades\DB;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\TouchOff\AmongOthers;
use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\Questions;
use OakTrace\Core\TouchOff\ReadingProblem;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Taken;
use OakTrace\Core\TouchOff\TypedBack;
use OakTrace\Core\TouchOff\Worksheet;

/** Touching off, from the first reading to an offset that is trusted. What was begun and not finished is a stop, and says so. */
final readonly class TouchingOff
{
    /** Minutes after which a reading that was begun is not gone on with. */
    public const PATIENCE_MINUTES = 10;

    public function __construct(private SetupChange $changes, private SetupFile $files)
    {
    }

    /** Begins a worksheet: its offset is not trusted from now on, whatever stands there. */
    public function begin(Setup $setup, Subject $subject, User $by): TouchOff
    {
        return DB::transaction(function () use ($setup, $subject, $by): TouchOff {
            $before = TouchOff::where('setup_id', $setup->id)->where('subject', $subject->words())->first();
            // What was begun and is begun again is still measured again.
            $measuredFirst = $before?->state === TouchState::Begun ? $before->measured_first : self::firstOfRow($setup, $subject)?->value;
            $touch = TouchOff::updateOrCreate(['setup_id' => $setup->id, 'subject' => $subject->words()], [
                'user_id' => $by->id, 'state' => TouchState::Begun, 'method' => null, 'readings' => null, 'value' => null, 'simulated' => false,
                'measured_first' => $measuredFirst,
                'begun_at' => now(),
                'turn' => (int) TouchOff::where('setup_id', $setup->id)->max('turn') + 1,
            ]);
            $at = now((string) config('oak.time_zone'))->format('Y-m-d H:i');
            $this->changes->touch(
                $setup, static fn (object $document): object => OffsetTrust::begun($document, $subject->offset, $subject->axis, $at),
                'touching off was begun',
            );

            return $touch;
        });
    }

    /**
     * The readings are in. What is odd is asked about first, and nothing is kept until it is confirmed.
     *
     * @param  array<string, float>  $values  mm
     * @return array{Worksheet, list<array{string, array<string, Quantity|string|int>}>} the worksheet, and what is asked where it was not confirmed
     *
     * @throws ReadingProblem|ShopProblem
     */
    public function read(Setup $setup, Subject $subject, Method $method, array $values, User $by, bool $isConfirmed, bool $isSimulated): array
    {
        $situation = new Situation(
            $setup->core($this->files), self::taken($setup),
            TouchOff::where('setup_id', $setup->id)->where('subject', $subject->words())->first()?->measured_first,
        );
        if (! $method->isFor($subject, $situation)) {
            throw new ShopProblem("{$subject->words()} cannot be touched off like this. Choose another way.");
        }
        $worksheet = $method->work($values, $subject, $situation);
        $worksheet = $worksheet->with(AmongOthers::besides($method, $values, $subject, $situation));
        foreach ($method->readings() as $reading) {
            self::refuseOutside($reading->name, $reading->is, $values[$reading->name] ?? 0.0, $subject, $situation);
        }
        $asks = Questions::about($worksheet, $subject, $situation, $method, $values);
        if ($asks !== [] && ! $isConfirmed) {
            return [$worksheet, $asks];
        }

        return DB::transaction(function () use ($setup, $subject, $method, $values, $by, $isSimulated, $worksheet): array {
            $touch = TouchOff::where('setup_id', $setup->id)->where('subject', $subject->words())->lockForUpdate()->first();
            $why = self::interruption($touch, $by);
            if ($touch === null || $why !== null) {
                throw new ShopProblem($why ?? "{$subject->words()} was not begun. Begin it.");
            }
            $touch->update([
                'state' => TouchState::Read, 'method' => $method->name(), 'readings' => $values, 'value' => $worksheet->value, 'simulated' => $isSimulated,
            ]);

            return [$worksheet, []];
        });
    }

    /**
     * The figure as the control shows it, typed a second time. The same: the offset is trusted.
     *
     * @return string|null what is other; null where it is the same, and the offset stands
     *
     * @throws ShopProblem
     */
    public function typeBack(Setup $setup, Subject $subject, string $typed, User $by): ?string
    {
        return DB::transaction(function () use ($setup, $subject, $typed): ?string {
            $touch = TouchOff::where('setup_id', $setup->id)->where('subject', $subject->words())->lockForUpdate()->first();
            if ($touch === null || $touch->state !== TouchState::Read || $touch->value === null) {
                throw new ShopProblem("{$subject->words()} has no reading to type back. Begin it.");
            }
            $units = self::units($setup);
            $shown = number_format($touch->value / $units->millimetres(), $units->decimals(), '.', '');
            $other = TypedBack::difference($shown, $typed);
            if ($other === null) {
                $touch->update(['state' => TouchState::Trusted]);
                $this->store($setup, $subject, $shown, self::why($touch));
            }

            return $other;
        });
    }

    /** Adds to an offset that is trusted, as on a control: +.005 or -.02, in the units of the setup. */
    public function adjust(Setup $setup, Subject $subject, float $by, string $why): void
    {
        DB::transaction(function () use ($setup, $subject, $by, $why): void {
            $value = (new Situation($setup->core($this->files)))->value($subject);
            if ($value === null || ! OffsetTrust::isTrusted($setup->document, $subject->offset, $subject->axis)) {
                throw new ShopProblem("{$subject->words()} is not set, or not trusted: touch it off first.");
            }
            $units = self::units($setup);
            $this->store(
                $setup, $subject, number_format($value / $units->millimetres() + $by, $units->decimals() + 1, '.', ''),
                'by hand'.($why === '' ? '' : ": {$why}"),
            );
        });
    }

    /** Puts an offset back to an earlier value, in the units of the setup. */
    public function takeBack(Setup $setup, Subject $subject, float $value, string $since): void
    {
        $this->store($setup, $subject, number_format($value, self::units($setup)->decimals() + 1, '.', ''), 'taken back from '.substr($since, 0, 16));
    }

    /** Why a worksheet cannot be gone on with; null where it can. */
    public static function interruption(?TouchOff $touch, User $by): ?string
    {
        if ($touch === null || $touch->state !== TouchState::Begun) {
            return $touch === null ? null : "{$touch->subject} was not begun. Begin it.";
        }
        $at = $touch->begun_at->setTimezone((string) config('oak.time_zone'))->format('H:i');
        $again = "{$touch->subject} was begun at {$at} and not finished: do it again.";
        if ($touch->user_id !== $by->id) {
            return "Somebody else has begun {$touch->subject} in between. Do it again, or leave it to them.";
        }
        $later = TouchOff::where('setup_id', $touch->setup_id)->where('user_id', $by->id)->where('id', '!=', $touch->id)
            ->where('turn', '>', $touch->turn)->exists();

        return $later || $touch->begun_at->isBefore(now()->subMinutes(self::PATIENCE_MINUTES)) ? $again : null;
    }

    /** @return list<Taken> what has been read in a setup, in the order it was begun */
    public static function taken(Setup $setup): array
    {
        return array_map(
            static fn (TouchOff $touch): Taken => new Taken($touch->subject, (string) $touch->method, $touch->readings ?? []),
            array_values(TouchOff::where('setup_id', $setup->id)->whereNotNull('readings')->orderBy('turn')->get()->all()),
        );
    }

    /** The worksheet of a bore that was measured before the others of its row. */
    private static function firstOfRow(Setup $setup, Subject $subject): ?TouchOff
    {
        $first = (AmongOthers::rows(self::taken($setup))[$subject->axis ?? ''] ?? [null])[0];

        return $first === $subject->words() ? TouchOff::where('setup_id', $setup->id)->where('subject', $first)->first() : null;
    }

    public static function units(Setup $setup): Units
    {
        return Units::tryFrom((string) ($setup->document->units ?? '')) ?? Units::Millimetre;
    }

    /** Puts a figure where it belongs, and trusts it. */
    private function store(Setup $setup, Subject $subject, string $figure, string $why): void
    {
        $this->changes->touch($setup, static function (object $document) use ($subject, $figure): object {
            /** @var array<string, mixed> $fields */
            $fields = json_decode((string) json_encode($document), true);
            if ($subject->isLength()) {
                $now = $fields['offsets']['H'][(string) $subject->number()] ?? null;
                $fields['offsets']['H'][(string) $subject->number()] = [
                    'geometry' => (float) $figure, 'wear' => is_array($now) ? (float) ($now['wear'] ?? 0.0) : 0.0,
                ];
            } else {
                $fields['workOffsets'][$subject->offset][(string) $subject->axis] = (float) $figure;
            }
            foreach (['offsets', 'workOffsets'] as $group) {
                // Groups that hold nothing are groups all the same, and no lists.
                $fields[$group] = (object) array_map(
                    static fn (mixed $rows): mixed => is_array($rows) ? (object) $rows : $rows, (array) ($fields[$group] ?? []),
                );
            }
            /** @var object $next */
            $next = json_decode((string) json_encode((object) $fields), false);

            return OffsetTrust::trusted($next, $subject->offset, $subject->axis);
        }, $why);
    }

    private static function why(TouchOff $touch): string
    {
        return ($touch->simulated ? 'simulated, ' : '').str_replace('-', ' ', (string) $touch->method);
    }

    private static function refuseOutside(string $reading, string $is, float $value, Subject $subject, Situation $situation): void
    {
        if ($is !== 'position') {
            return;
        }
        $axis = $subject->axis ?? $situation->lengthAxis();
        [$min, $max] = $situation->travel($axis);
        if (($min !== null && $value < $min - 1e-6) || ($max !== null && $value > $max + 1e-6)) {
            throw ReadingProblem::at($reading, 'The reading {value} is outside the travel of {axis}, {min} to {max}.', [
                'value' => Quantity::length($value), 'axis' => $axis, 'min' => $min === null ? 'no limit' : Quantity::length($min),
                'max' => $max === null ? 'no limit' : Quantity::length($max),
            ]);
        }
    }
}
