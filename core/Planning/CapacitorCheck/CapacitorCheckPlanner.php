<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\CapacitorCheck;

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
 * A run capacitor, out of the circuit by a meter or in it by current and voltage.
 */
final class CapacitorCheckPlanner implements Worksheet, FilledFromJob
{
    /** Share of the printed value under which nothing is left of it. */
    private const OPEN_BELOW = 0.1;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'capacitor';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('printed', 'µF', 0.1, 500.0, 7.5)->example(),
            Parameter::figure('tolerance', '%', 0.5, 20.0, 6.0),
            Parameter::choice('way', ['out', 'load'], 'out'),
            Parameter::reading('measured', 'µF', 0.0, 1000.0, 7.4)->example()->onlyWith('way', 'out'),
            Parameter::figure('amps', 'A', 0.0, 50.0, 0.9)->example()->onlyWith('way', 'load'),
            Parameter::figure('volts', 'V', 1.0, 1000.0, 370.0)->example()->onlyWith('way', 'load'),
            Parameter::choice('hertz', ['50', '60'], '60')->onlyWith('way', 'load'),
        ]);
    }

    public function quantities(): array
    {
        return [Quantity::Capacitance];
    }

    public function tests(): array
    {
        return [];
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values(['printed' => ['capacitor']]) + $known->readings(['measured' => 'microfarads']);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $load = ($values['way'] ?? 'out') === 'load';
        $measured = $load
            ? // C = I / (2·π·f·V): the current that the auxiliary lead takes through it.
                (1e6 * ($n('amps') ?? 0.0)) /
                (2.0 * \M_PI * (($values['hertz'] ?? '60') === '50' ? 50.0 : 60.0) * max(1.0, $n('volts') ?? 1.0))
            : $n('measured') ?? 0.0;
        if (is_infinite($measured)) {
            return new Plan(
                cautions: $this->texts()->list('cautions'),
                findings: [$this->texts()->get('findings.short')],
                steps: $this->texts()->list('steps'),
            );
        }
        $printed = $n('printed') ?? 1.0;
        $tolerance = ($n('tolerance') ?? 0.0) / 100.0;
        $off = $measured / $printed - 1.0;
        $key = match (true) {
            $measured < self::OPEN_BELOW * $printed => 'open',
            $off < -$tolerance => 'weak',
            $off > $tolerance => 'high',
            default => 'good',
        };

        return new Plan(
            cautions: $this->texts()->list($load ? 'cautions-load' : 'cautions'),
            findings: [$this->texts()->get("findings.$key", ['off' => \sprintf('%+.1f', 100.0 * $off)])],
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure($this->texts()->get('figures.measured'), number_format($measured, 2) . ' µF'),
                new Figure(
                    $this->texts()->get('figures.off'),
                    \sprintf('%+.1f %%', 100.0 * $off),
                    $key === 'good' ? 'fine' : 'refused',
                ),
                new Figure(
                    $this->texts()->get('figures.range'),
                    number_format($printed * (1.0 - $tolerance), 2) .
                        ' to ' .
                        number_format($printed * (1.0 + $tolerance), 2) .
                        ' µF',
                ),
            ],
            worked: [new Worked(Quantity::Capacitance, $measured, $this->texts()->get('figures.measured'))],
        );
    }
}
