<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\CaseFile;

/**
 * What a job knows, put into the fields of a planner.
 */
final readonly class KnownOfJob
{
    /** @param array<string, mixed> $circuit values of its circuit */
    public function __construct(private array $circuit, private CaseFile $case) {}

    /**
     * @param array<string, list<string>> $fields keys of circuit values, the first that is known, by field
     *
     * @return array<string, string>
     */
    public function values(array $fields): array
    {
        $filled = [];
        foreach ($fields as $field => $keys) {
            foreach ($keys as $key) {
                $value = ParameterList::numberIn($this->circuit, $key);
                if ($value !== null && !isset($filled[$field])) {
                    $filled[$field] = self::typed($value);
                }
            }
        }

        return $filled;
    }

    /**
     * @param array<string, string> $fields names of tests by field: the newest standing reading since the last repair
     *
     * @return array<string, string>
     */
    public function readings(array $fields): array
    {
        $filled = [];
        foreach ($this->case->present() as $reading) {
            foreach (array_keys($fields, Test::nameIn($reading->test), true) as $field) {
                if (!\is_string($reading->value)) {
                    $filled[$field] = $reading->value === null ? 'OL' : self::typed($reading->value);
                }
            }
        }

        return $filled;
    }

    /**
     * @param list<string> $allowed
     *
     * @return array<string, string> a field filled with a choice of the circuit, where it is one of these
     */
    public function choice(string $field, string $key, array $allowed): array
    {
        $chosen = $this->circuit[$key] ?? null;

        return \is_string($chosen) && \in_array($chosen, $allowed, true) ? [$field => $chosen] : [];
    }

    private static function typed(float $value): string
    {
        return rtrim(rtrim(number_format($value, 6, '.', ''), '0'), '.');
    }
}
