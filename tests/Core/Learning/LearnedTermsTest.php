<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Learning\LearnedTerms;
use Ispira\Core\Learning\NotedTerm;
use Ispira\Core\Learning\NotedTerms;
use Ispira\Core\Learning\TermKind;
use Ispira\Core\Learning\TermRow;
use Ispira\Core\Learning\WorkingHours;
use PHPUnit\Framework\TestCase;

final class LearnedTermsTest extends TestCase
{
    private const TODAY = '2026-11-30';

    public function testWithoutJobsAllIsAsShipped(): void
    {
        foreach (FamilyRegistry::shipped()->all() as $key => $_) {
            $circuit = self::circuit($key);
            $terms = LearnedTerms::of($circuit, [], [], [], self::TODAY)->terms();
            self::assertEquals(new Terms(), $terms);
            foreach ($circuit->tests as $test) {
                self::assertSame($circuit->minutes($test, []), $terms->minutes($circuit, $test, []), $test->key);
            }
        }
    }

    public function testOneOddJobMovesLittleAndManyMoveMuch(): void
    {
        $circuit = self::circuit('stepped-blower');
        $slow = static fn(int $jobs): float => self::row(
            LearnedTerms::of($circuit, self::noted(TermKind::Test, 'motor-volts', $jobs, 3.0), [], [], self::TODAY),
            TermKind::Test,
            'motor-volts',
        )->own;
        $shipped = $circuit->tests['motor-volts@4']->minutes;
        self::assertLessThan(1.3 * $shipped, $slow(1));
        self::assertGreaterThan(2.5 * $shipped, $slow(40));
        // A coffee between two readings is no news about the test.
        $mixed = [
            ...self::noted(TermKind::Test, 'motor-volts', 20, 1.0),
            ...self::noted(TermKind::Test, 'motor-volts', 4, 5.0),
        ];
        self::assertEqualsWithDelta(
            $shipped,
            self::row(LearnedTerms::of($circuit, $mixed, [], [], self::TODAY), TermKind::Test, 'motor-volts')->own,
            1e-6,
        );
    }

    public function testJobsOfTheModelLieNearerThanThoseOfTheFamily(): void
    {
        $circuit = self::circuit('stepped-blower');
        $cheap = self::noted(TermKind::Price, 'motor', 20, 0.5);
        $dear = self::noted(TermKind::Price, 'motor', 20, 2.0);
        $own = static fn(NotedTerm ...$all): float => self::row(
            LearnedTerms::of(
                $circuit,
                array_values(array_filter($all, static fn(NotedTerm $one): bool => $one->value < 1.0)),
                array_values(array_filter($all, static fn(NotedTerm $one): bool => $one->value > 1.0)),
                [],
                self::TODAY,
            ),
            TermKind::Price,
            'motor',
        )->own;
        $shipped = $circuit->parts['motor']->price;
        self::assertLessThan(0.6 * $shipped, $own(...$cheap));
        self::assertGreaterThan(1.5 * $shipped, $own(...$cheap, ...$dear));
        self::assertLessThan($own(...$dear), $own(...$cheap, ...$dear));
    }

    public function testComingBackLivesAndWaitingAreCounted(): void
    {
        $circuit = self::circuit('stepped-blower');
        $back = [
            ...self::noted(TermKind::ComeBack, 'pack', 10, 1.0),
            ...self::noted(TermKind::ComeBack, 'pack', 10, 0.0),
        ];
        // (20 · 0.03 + 10) / 40
        self::assertEqualsWithDelta(0.265, self::own($circuit, $back, TermKind::ComeBack, 'pack'), 1e-9);
        $wait = self::noted(TermKind::Lead, 'pack', 6, 12.0);
        self::assertEqualsWithDelta((3 * 3.0 + 6 * 12.0) / 9, self::own($circuit, $wait, TermKind::Lead, 'pack'), 1e-9);
        // One unit went through three packs in two years: two lives ended in them.
        $fitted = array_map(
            static fn(string $on): NotedTerm => new NotedTerm(TermKind::Life, 'pack', '', 0.0, 'unit', $on),
            ['2024-11-30', '2025-06-30', '2026-02-01'],
        );
        self::assertEqualsWithDelta((2 * 10.0 + 2.0) / 4, self::own($circuit, $fitted, TermKind::Life, 'pack'), 0.01);
    }

    public function testWhatIsPinnedCountsInPlaceOfWhatWasLearned(): void
    {
        $circuit = self::circuit('stepped-blower');
        $noted = self::noted(TermKind::Price, 'motor', 20, 2.0);
        $learned = LearnedTerms::of(
            $circuit,
            $noted,
            [],
            ['price motor' => 33.0, 'test motor-volts' => 9.0],
            self::TODAY,
        );
        self::assertSame(33.0, self::row($learned, TermKind::Price, 'motor')->value());
        $settings = new DecisionSettings(terms: $learned->terms());
        self::assertSame(33.0, $settings->price($circuit->parts['motor']));
        self::assertEqualsWithDelta(
            33.0 + $settings->labour($circuit->parts['motor']->minutes),
            (new Money($circuit, $settings))->ofRemedy('motor'),
            1e-9,
        );
        $test = $circuit->tests['motor-volts@4'];
        self::assertEqualsWithDelta(
            $circuit->minutes($test, []) - $test->minutes + 9.0,
            $settings->terms->minutes($circuit, $test, []),
            1e-9,
        );
        self::assertEquals($learned->terms(), Terms::read(json_decode((string) json_encode($learned->terms()), true)));
    }

    public function testThePastSaysWhatThingsTook(): void
    {
        $kinds = [];
        foreach (PastJobs::all() as $job) {
            foreach (NotedTerms::of($job, 'unit', new WorkingHours()) as $one) {
                $kinds[$one->kind->value][] = $one->value;
                self::assertGreaterThanOrEqual(0.0, $one->value);
            }
        }
        foreach (TermKind::cases() as $kind) {
            self::assertArrayHasKey($kind->value, $kinds);
        }
        self::assertEqualsWithDelta(1.0, LearnedTerms::median($kinds['test'] ?? [0.0]), 0.25);
        self::assertEqualsWithDelta(1.0, LearnedTerms::median($kinds['fitting'] ?? [0.0]), 0.35);
    }

    /** @return list<NotedTerm> */
    private static function noted(TermKind $kind, string $key, int $times, float $value): array
    {
        return array_fill(0, $times, new NotedTerm($kind, $key, '', $value, '', '2026-05-01'));
    }

    /** @param list<NotedTerm> $noted */
    private static function own(CircuitModel $circuit, array $noted, TermKind $kind, string $key): float
    {
        return self::row(LearnedTerms::of($circuit, $noted, [], [], self::TODAY), $kind, $key)->own;
    }

    private static function row(LearnedTerms $learned, TermKind $kind, string $key): TermRow
    {
        foreach ($learned->rows as $row) {
            if ($row->kind === $kind && $row->key === $key) {
                return $row;
            }
        }
        self::fail("No term $kind->value $key.");
    }

    private static function circuit(string $family): CircuitModel
    {
        $one = FamilyRegistry::shipped()->get($family);

        return $one->circuit($one->parameters()->read([]));
    }
}
