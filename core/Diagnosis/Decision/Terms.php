<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Test;

/**
 * What tests and parts take in a workshop, where that is known better than as shipped.
 */
final readonly class Terms implements \JsonSerializable
{
    private const KINDS = ['tests', 'access', 'fitting', 'prices', 'leadDays', 'comeBack', 'life'];

    /**
     * @param array<string, float> $tests    by what the minutes of a test are multiplied, by its name
     * @param array<string, float> $access   the same for the way to a place
     * @param array<string, float> $fitting  the same for fitting a part
     * @param array<string, float> $prices   of purchase, by part
     * @param array<string, float> $leadDays until a part is here
     * @param array<string, float> $comeBack by what the chance that a part comes back is multiplied
     * @param array<string, float> $life     the same for its years
     */
    public function __construct(
        public array $tests = [],
        public array $access = [],
        public array $fitting = [],
        public array $prices = [],
        public array $leadDays = [],
        public array $comeBack = [],
        public array $life = [],
    ) {}

    /**
     * Minutes of a test with what must still be reached for it.
     *
     * @param list<string> $opened places already reached
     */
    public function minutes(CircuitModel $circuit, Test $test, array $opened): float
    {
        $minutes = $test->minutes * ($this->tests[$test->name()] ?? 1.0);
        foreach (array_diff($test->access, $opened) as $place) {
            $minutes += $circuit->accessMinutes[$place] * ($this->access[$place] ?? 1.0);
        }

        return $minutes;
    }

    public function fitting(Part $part): float
    {
        return $part->minutes * ($this->fitting[$part->key] ?? 1.0);
    }

    /**
     * Mean over some parts of a factor that is 1 where nothing is known.
     *
     * @param array<string, float> $factors
     * @param list<string>         $parts
     */
    public static function mean(array $factors, array $parts): float
    {
        $of = array_map(static fn(string $part): float => $factors[$part] ?? 1.0, $parts);

        return $of === [] ? 1.0 : array_sum($of) / \count($of);
    }

    /** @return array<string, object> as {@see read} takes it */
    public function jsonSerialize(): array
    {
        $all = get_object_vars($this);

        return array_map(
            static fn(mixed $one): object => (object) $one,
            array_intersect_key($all, array_flip(self::KINDS)),
        );
    }

    /** From what was written; what is no number from zero is left out. */
    public static function read(mixed $data): self
    {
        $terms = [];
        foreach (self::KINDS as $kind) {
            $terms[$kind] = [];
            $given = \is_array($data) && \is_array($data[$kind] ?? null) ? $data[$kind] : [];
            foreach ($given as $key => $value) {
                if ((\is_float($value) || \is_int($value)) && $value >= 0.0) {
                    $terms[$kind][(string) $key] = (float) $value;
                }
            }
        }

        return new self(...$terms);
    }
}
