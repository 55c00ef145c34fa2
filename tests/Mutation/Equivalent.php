<?php

declare(strict_types=1);

namespace Tests\Mutation;

/** A fault that changes nothing a test could find, and why: a way that is only quicker, a bound that cannot be met. */
final readonly class Equivalent
{
    /**
     * @param  string  $from  what stands once in the file, as Fault::sound() writes it
     * @param  string  $to  what the fault makes of it
     */
    private function __construct(public string $file, public string $from, public string $to, public string $why)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /** @var array<string, list<array{string, string, string}>> $known file => [from, to, why] */
        $known = require __DIR__.'/equivalents.php';
        $all = [];
        foreach ($known as $file => $ones) {
            foreach ($ones as [$from, $to, $why]) {
                $all[] = new self($file, $from, $to, $why);
            }
        }

        return $all;
    }

    /** The one that is this fault; null where none is known. */
    public static function to(Fault $fault): ?self
    {
        foreach (self::all() as $equivalent) {
            if ($equivalent->file === $fault->file && $equivalent->is($fault->sound(), $fault->planted())) {
                return $equivalent;
            }
        }

        return null;
    }

    /** Whether it makes the one text of the other. */
    public function is(string $sound, string $planted): bool
    {
        return substr_count($sound, $this->from) === 1 && str_replace($this->from, $this->to, $sound) === $planted;
    }
}
