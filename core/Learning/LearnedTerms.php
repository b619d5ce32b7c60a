<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Terms;

/**
 * What tests and parts of a circuit take in a workshop: from the jobs of its family, and closer from those of its model.
 *
 * What ships counts as some observations (TermKind::strength); the family moves it, and what came of it is the
 * expectation that the model moves. What is long or dear now and then does not count more than what is usual: of
 * minutes, money and days the median is taken.
 */
final readonly class LearnedTerms
{
    /** Ordinary terms of a bought part, see Remedies: days until it is here, chance of coming back, years. */
    private const LEAD_DAYS = 3.0;
    private const COME_BACK = 0.03;
    private const LIFE_YEARS = 10.0;

    private const DAYS_A_YEAR = 365.25;

    /** @param list<TermRow> $rows by kind, in the order of the circuit */
    private function __construct(public array $rows) {}

    /**
     * @param list<NotedTerm> $others of the family on other models
     * @param list<NotedTerm> $own    of its model
     * @param array<string, float> $pinned by kind and key, as "test motor-volts"
     * @param string $today YYYY-MM-DD
     */
    public static function of(CircuitModel $circuit, array $others, array $own, array $pinned, string $today): self
    {
        [$others, $own] = [self::grouped($others), self::grouped($own)];
        $rows = [];
        foreach (self::shipped($circuit) as [$kind, $key, $shipped]) {
            $name = "$kind->value $key";
            [$ofOthers, $ofOwn] = [$others[$name] ?? [], $own[$name] ?? []];
            $family = self::moved($kind, $shipped, $ofOthers, $today);
            $rows[] = new TermRow(
                $kind,
                $key,
                $shipped,
                self::moved($kind, $family, $ofOwn, $today, $shipped),
                \count($ofOthers) + \count($ofOwn),
                $pinned[$name] ?? null,
            );
        }

        return new self($rows);
    }

    /** As the engine and the remedies take them. */
    public function terms(): Terms
    {
        $of = array_fill_keys(array_map(static fn(TermKind $one): string => $one->value, TermKind::cases()), []);
        foreach ($this->rows as $row) {
            if ($row->isAsShipped()) {
                continue;
            }
            $isValue = $row->kind === TermKind::Price || $row->kind === TermKind::Lead;
            $of[$row->kind->value][$row->key] =
                $isValue || $row->shipped <= 0.0 ? $row->value() : $row->value() / $row->shipped;
        }

        return new Terms(
            $of[TermKind::Test->value],
            $of[TermKind::Access->value],
            $of[TermKind::Fitting->value],
            $of[TermKind::Price->value],
            $of[TermKind::Lead->value],
            $of[TermKind::ComeBack->value],
            $of[TermKind::Life->value],
        );
    }

    /** @return list<array{TermKind, string, float}> kind, key and what ships */
    private static function shipped(CircuitModel $circuit): array
    {
        $rows = [];
        foreach (self::names($circuit) as $name => $test) {
            $rows[] = [TermKind::Test, $name, $test->minutes];
        }
        foreach ($circuit->accessMinutes as $place => $minutes) {
            $rows[] = [TermKind::Access, (string) $place, $minutes];
        }
        foreach ($circuit->parts as $part) {
            if ($part->key !== Part::HOOK_UP) {
                array_push(
                    $rows,
                    [TermKind::Fitting, $part->key, $part->minutes],
                    [TermKind::Price, $part->key, $part->price],
                    [TermKind::Lead, $part->key, self::LEAD_DAYS],
                    [TermKind::ComeBack, $part->key, self::COME_BACK],
                    [TermKind::Life, $part->key, self::LIFE_YEARS],
                );
            }
        }

        return $rows;
    }

    /** @return array<string, Test> the first of each name */
    private static function names(CircuitModel $circuit): array
    {
        $names = [];
        foreach ($circuit->tests as $test) {
            if ($test->offered && !$test->asked) {
                $names[$test->name()] ??= $test;
            }
        }

        return $names;
    }

    /**
     * @param list<NotedTerm> $noted
     *
     * @return array<string, list<NotedTerm>> by kind and key
     */
    private static function grouped(array $noted): array
    {
        $groups = [];
        foreach ($noted as $one) {
            $groups["{$one->kind->value} $one->key"][] = $one;
        }

        return $groups;
    }

    /**
     * @param float           $expected before these were seen
     * @param list<NotedTerm> $noted
     * @param float|null      $shipped  of what a ratio is taken; null where that is what was expected
     */
    private static function moved(
        TermKind $kind,
        float $expected,
        array $noted,
        string $today,
        ?float $shipped = null,
    ): float {
        if ($noted === []) {
            return $expected;
        }
        $shipped ??= $expected;
        $strength = $kind->strength();
        $values = array_map(static fn(NotedTerm $one): float => $one->value, $noted);
        $count = \count($values);
        if ($kind === TermKind::Life) {
            [$years, $failed] = self::lived($noted, $today);

            // Of a life that ends at any moment alike, what is expected counts as so many that ended.
            return ($strength * $expected + $years) / ($strength + $failed);
        }
        if ($kind === TermKind::ComeBack) {
            return ($strength * $expected + array_sum($values)) / ($strength + $count);
        }
        if (!$kind->isRatio()) {
            return ($strength * $expected + $count * self::median($values)) / ($strength + $count);
        }
        if ($expected <= 0.0 || $shipped <= 0.0) {
            return $expected;
        }
        $logs = array_map(static fn(float $value): float => log(max(0.05, $value)), $values);
        $log = ($strength * log($expected / $shipped) + $count * self::median($logs)) / ($strength + $count);

        return $shipped * exp($log);
    }

    /**
     * @param list<NotedTerm> $noted days on which a part was fitted
     *
     * @return array{float, int} years in which all of them ran, and how many of them ended
     */
    private static function lived(array $noted, string $today): array
    {
        $fitted = [];
        foreach ($noted as $one) {
            $fitted[$one->unit][] = (int) strtotime($one->on);
        }
        $days = 0.0;
        $ended = 0;
        foreach ($fitted as $moments) {
            sort($moments);
            $ended += \count($moments) - 1;
            $days += max(0.0, ((int) strtotime($today) - $moments[0]) / 86_400.0);
        }

        return [$days / self::DAYS_A_YEAR, $ended];
    }

    /** @param non-empty-list<float> $values */
    public static function median(array $values): float
    {
        sort($values);
        $middle = intdiv(\count($values), 2);

        return \count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2.0;
    }
}
