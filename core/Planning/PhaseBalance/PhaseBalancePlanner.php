<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PhaseBalance;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Planning\Worksheet;

/**
 * Three windings against each other: the resistances between three terminals, alike or not.
 */
final class PhaseBalancePlanner implements Worksheet, FilledFromJob
{
    /** Tests of a job in which the pairs are read. */
    private const TESTS = ['ab' => 'phase-ab', 'bc' => 'phase-bc', 'ca' => 'phase-ca'];

    private const PAIRS = ['ab' => 'A – B', 'bc' => 'B – C', 'ca' => 'C – A'];

    /** Share of the mean within which three phases are alike. */
    private const ALIKE_WITHIN = 0.1;

    /** Ω to the case under which a motor is not fitted to a new module. */
    private const CASE_FROM = 1e6;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'phase-balance';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::reading('ab', 'Ω', 0.0, 1e5, 11.8)->example(),
            Parameter::reading('bc', 'Ω', 0.0, 1e5, 12.0)->example(),
            Parameter::reading('ca', 'Ω', 0.0, 1e5, 11.9)->example(),
            Parameter::reading('case', 'Ω', 0.0, 1e9, null),
        ]);
    }

    public function quantities(): array
    {
        return [Quantity::Ohms];
    }

    public function tests(): array
    {
        return array_values(self::TESTS);
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->readings(self::TESTS);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $pairs = ['ab' => $n('ab') ?? 0.0, 'bc' => $n('bc') ?? 0.0, 'ca' => $n('ca') ?? 0.0];
        $open = array_keys(array_filter($pairs, is_infinite(...)));
        $findings = [];
        $figures = [];
        if ($open !== []) {
            $findings[] = $this->openFinding($open);
        } else {
            $mean = array_sum($pairs) / 3.0;
            $balance = $mean > 0.0 ? (max($pairs) - min($pairs)) / $mean : 0.0;
            $alike = $mean > 0.0 && $balance <= self::ALIKE_WITHIN;
            $findings[] = $this->texts()->get(
                $mean <= 0.0 ? 'findings.shorted' : ($alike ? 'findings.alike' : 'findings.unlike'),
                ['balance' => number_format(100.0 * $balance, 1), 'odd' => $this->odd($pairs, $mean)],
            );
            $figures = [
                new Figure(
                    $this->texts()->get('figures.balance'),
                    number_format(100.0 * $balance, 1) . ' %',
                    $alike ? 'fine' : 'refused',
                    $this->texts()->get('figures.limit'),
                ),
                new Figure($this->texts()->get('figures.mean'), number_format($mean, 2) . ' Ω'),
                // In a star each reading is two windings in row.
                ...array_map(
                    fn(string $winding, float $ohms): Figure => new Figure(
                        $this->texts()->get('figures.winding', ['winding' => $winding]),
                        number_format($ohms, 2) . ' Ω',
                    ),
                    ['A', 'B', 'C'],
                    [
                        0.5 * ($pairs['ab'] + $pairs['ca'] - $pairs['bc']),
                        0.5 * ($pairs['ab'] + $pairs['bc'] - $pairs['ca']),
                        0.5 * ($pairs['bc'] + $pairs['ca'] - $pairs['ab']),
                    ],
                ),
            ];
        }
        $case = $n('case');
        if ($case !== null) {
            $findings[] = $this->texts()->get($case < self::CASE_FROM ? 'findings.to-case' : 'findings.clear-of-case');
        }

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: $findings,
            steps: $this->texts()->list('steps'),
            figures: $figures,
            worked: array_map(
                static fn(string $pair): Worked => new Worked(
                    Quantity::Ohms,
                    $pairs[$pair],
                    self::PAIRS[$pair],
                    self::TESTS[$pair],
                ),
                array_keys($pairs),
            ),
        );
    }

    /** @param non-empty-list<string> $open */
    private function openFinding(array $open): string
    {
        // The winding that both open pairs share is the open one.
        $shared = ['ab,bc' => 'B', 'ab,ca' => 'A', 'bc,ca' => 'C'][implode(',', $open)] ?? null;

        return $shared === null
            ? $this->texts()->get(\count($open) === 3 ? 'findings.all-open' : 'findings.open', [
                'pair' => self::PAIRS[$open[0]],
            ])
            : $this->texts()->get('findings.winding-open', ['winding' => $shared]);
    }

    /** @param array<string, float> $pairs */
    private function odd(array $pairs, float $mean): string
    {
        $off = array_map(static fn(float $ohms): float => abs($ohms - $mean), $pairs);
        arsort($off);

        return self::PAIRS[array_key_first($off) ?? 'ab'];
    }
}
