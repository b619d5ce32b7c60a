<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PinMatrix;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Texts;
use Ispira\Core\Kernel\MeasureReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\PlanTable;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Planning\Worksheet;

/**
 * Resistors of a pack from readings between its pins.
 */
final class PinMatrixPlanner implements Worksheet
{
    private const MOST_PINS = 10;
    private const MOST_PAIRS = 60;

    /** Orders that are shown where several fit. */
    private const SHOWN = 8;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'pin-matrix';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('known', ['yes', 'no'], 'yes'),
            Parameter::text('order', '1 2 3 4')->example(),
            Parameter::text('pairs', "1 2 1.4\n2 3 0.8\n3 4 0.5\n1 3 2.3\n1 4 2.7")->example(),
            Parameter::figure('leads', 'Ω', 0.0, 2.0, 0.0),
        ]);
    }

    public function quantities(): array
    {
        return [Quantity::Ohms];
    }

    public function tests(): array
    {
        return [];
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $pins =
            preg_split(
                '/[\s,;]+/',
                \is_string($values['order'] ?? null) ? trim($values['order']) : '',
                -1,
                \PREG_SPLIT_NO_EMPTY,
            ) ?:
            [];
        if (\count($pins) < 2 || \count($pins) > self::MOST_PINS || \count($pins) !== \count(array_unique($pins))) {
            throw new ParameterError([
                'order' => $this->texts()->get('problems.order', ['most' => (string) self::MOST_PINS]),
            ]);
        }
        $readings = $this->pairs(
            \is_string($values['pairs'] ?? null) ? $values['pairs'] : '',
            $pins,
            ParameterList::numberIn($values, 'leads') ?? 0.0,
        );
        if (($values['known'] ?? 'yes') === 'yes') {
            return $this->worked(ResistorRow::of($pins, $readings), []);
        }
        if (\count($pins) > PinOrders::MOST_PINS) {
            throw new ParameterError([
                'order' => $this->texts()->get('problems.orders', ['most' => (string) PinOrders::MOST_PINS]),
            ]);
        }
        $orders = PinOrders::fitting($pins, $readings);

        return match (\count($orders->rows)) {
            0 => new Plan(
                cautions: $this->texts()->list('cautions'),
                findings: [$this->texts()->get('findings.no-order')],
            ),
            1 => $this->worked($orders->rows[0], [
                $this->texts()->get('findings.one-order', ['order' => implode(' ', $orders->rows[0]->pins)]),
            ]),
            default => $this->ambiguous($orders),
        };
    }

    private function ambiguous(PinOrders $orders): Plan
    {
        $next = $orders->decides();

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: [
                $this->texts()->get('findings.orders', ['count' => (string) \count($orders->rows)]),
                $next === null
                    ? $this->texts()->get('findings.never')
                    : $this->texts()->get('findings.next', ['pair' => implode(' – ', $next)]),
            ],
            tables: [
                new PlanTable(
                    $this->texts()->get('tables.orders'),
                    [$this->texts()->get('tables.order'), 'Ω'],
                    array_map(
                        fn(ResistorRow $row): array => [
                            implode(' ', $row->pins),
                            implode(', ', array_map($this->written(...), $row->ohms)),
                        ],
                        \array_slice($orders->rows, 0, self::SHOWN),
                    ),
                ),
            ],
        );
    }

    /** @param list<string> $findings */
    private function worked(ResistorRow $row, array $findings): Plan
    {
        $resistors = $worked = [];
        $possible = PinOrders::fits($row) || min([0.0, ...array_filter($row->ohms, is_float(...))]) >= 0.0;
        if (!$possible) {
            $findings[] = $this->texts()->get('findings.negative');
        }
        foreach ($row->ohms as $n => $ohms) {
            $between = $row->pins[$n] . ' – ' . $row->pins[$n + 1];
            $resistors[] = [$between, $this->written($ohms)];
            if ($ohms === null) {
                $findings[] = $this->texts()->get('findings.unknown', ['between' => $between]);
            } elseif (is_infinite($ohms)) {
                $findings[] = $this->texts()->get('findings.open', ['between' => $between]);
            }
            if ($ohms !== null && $ohms >= 0.0) {
                $worked[] = new Worked(Quantity::Ohms, $ohms, $between);
            }
        }
        $pairs = $marked = [];
        foreach ($row->readings as $n => ['from' => $from, 'to' => $to, 'read' => $read, 'sum' => $sum]) {
            $off = $sum === null || is_infinite($read) || is_infinite($sum) ? null : $read - $sum;
            $pairs[] = [
                "$from – $to",
                $this->written($read),
                $this->written($sum),
                $off === null ? '' : \sprintf('%+.2f', $off),
            ];
            if (ResistorRow::isOff($read, $sum)) {
                $marked[] = $n;
                $findings[] = $this->texts()->get('findings.off', [
                    'pair' => "$from – $to",
                    'read' => $this->written($read),
                    'sum' => $this->written($sum),
                ]);
            }
        }
        if ($marked === []) {
            $findings[] = $this->texts()->get($row->surplus() > 0 ? 'findings.fits' : 'findings.no-surplus');
        }

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: $findings,
            figures: [
                new Figure(
                    $this->texts()->get('figures.residual'),
                    number_format($row->residual(), 3) . ' Ω',
                    $marked === [] ? '' : 'refused',
                ),
                new Figure($this->texts()->get('figures.surplus'), (string) max(0, $row->surplus())),
            ],
            tables: [
                new PlanTable(
                    $this->texts()->get('tables.resistors'),
                    [$this->texts()->get('tables.between'), 'Ω'],
                    $resistors,
                ),
                new PlanTable(
                    $this->texts()->get('tables.pairs'),
                    [
                        $this->texts()->get('tables.pair'),
                        $this->texts()->get('tables.read'),
                        $this->texts()->get('tables.sum'),
                        $this->texts()->get('tables.off'),
                    ],
                    $pairs,
                    $marked,
                ),
            ],
            worked: $worked,
        );
    }

    /**
     * @param list<string> $pins
     *
     * @return list<array{0: string, 1: string, 2: float}>
     *
     * @throws ParameterError
     */
    private function pairs(string $text, array $pins, float $leads): array
    {
        $pairs = [];
        foreach (preg_split('/\R/', trim($text)) ?: [] as $number => $line) {
            if (trim($line) === '') {
                continue;
            }
            [$from, $to, $read] = (preg_split('/[\s;]+/', trim($line), 3) ?: []) + ['', '', ''];
            if (
                !\in_array($from, $pins, true) ||
                !\in_array($to, $pins, true) ||
                $from === $to ||
                \count($pairs) >= self::MOST_PAIRS
            ) {
                throw new ParameterError([
                    'pairs' => $this->texts()->get('problems.pair', ['line' => (string) ($number + 1)]),
                ]);
            }
            try {
                $ohms = MeasureReader::read($read, 'Ω')->inBase();
            } catch (UnreadableNumber $error) {
                throw new ParameterError([
                    'pairs' => $this->texts()->get('problems.line', [
                        'line' => (string) ($number + 1),
                        'message' => $error->getMessage(),
                    ]),
                ]);
            }
            $pairs[] = [$from, $to, $ohms === null ? \INF : max(0.0, $ohms - $leads)];
        }

        return $pairs === [] ? throw new ParameterError(['pairs' => $this->texts()->get('problems.none')]) : $pairs;
    }

    private function written(?float $ohms): string
    {
        return $ohms === null
            ? $this->texts()->get('unknown')
            : (is_infinite($ohms)
                ? $this->texts()->get('open')
                : ($ohms < PinOrders::BELOW_ZERO
                    ? $this->texts()->get('impossible')
                    : number_format(max(0.0, $ohms), 2)));
    }
}
