<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Figure;

/**
 * Each value against its limit, and why it is refused where it does not hold.
 */
final readonly class SupplyChecks
{
    /** A capacitor and a surge absorber stand this far above the highest normal voltage. */
    private const VOLTAGE_MARGIN = 1.05;

    /** Share of a resistor's rated power that it is loaded with. */
    private const LOADING = 0.6;

    private const LONGEST_WAIT = 120.0;
    private const LAMP_LEAST = 0.002;
    private const LAMP_MOST = 0.005;

    /** Share of the bus that the ripple may take. */
    private const MOST_RIPPLE = 0.15;

    /** Command in V at which a motor is nearly full. */
    private const FULL_COMMAND = 5.0;

    /** A fuse holds this many times the motor's current, and opens before the rectifier does. */
    private const FUSE_LEAST = 2.0;
    private const FUSE_MOST = 12.0;

    public function __construct(private SupplyDesign $design, private Texts $texts) {}

    /** @return list<array{0: Figure, 1: string}> value, and the reason of its refusal */
    public function all(): array
    {
        return [...$this->bus(), ...$this->bleeder(), ...$this->logic(), ...$this->signals()];
    }

    /** @return list<array{0: Figure, 1: string}> */
    private function bus(): array
    {
        $d = $this->design;
        $high = $d->highBus()->peak();
        $ripple = $d->lowBus()->ripple($d->busAmps());

        return [
            $this->check('vm', self::volts($high), $high <= $d->of('busMost'), [
                'usual' => self::volts($d->nominalBus()->peak()),
                'least' => self::volts($d->lowBus()->peak()),
                'limit' => self::volts($d->of('busMost')),
            ]),
            $this->check(
                'busRating',
                self::volts($d->of('busRating')),
                $d->of('busRating') >= self::VOLTAGE_MARGIN * $high,
                ['most' => self::volts($high)],
            ),
            $this->check(
                'ripple',
                number_format($ripple, 1) . ' V',
                $ripple <= self::MOST_RIPPLE * $d->lowBus()->peak(),
                [
                    'amps' => number_format($d->busAmps(), 2),
                    'rule' => number_format($d->lowBus()->ripplePerHalfWave($d->busAmps()), 1),
                ],
            ),
            $this->check(
                'fuse',
                number_format($d->of('fuse'), 2) . ' A',
                $d->of('fuse') >= self::FUSE_LEAST * $d->busAmps() &&
                    $d->of('fuse') <= max(1.0, self::FUSE_MOST * $d->busAmps()),
                ['amps' => number_format($d->busAmps(), 2)],
            ),
            $this->check(
                'surge',
                number_format($d->of('surge')) . ' V',
                $d->of('surge') >= (self::VOLTAGE_MARGIN * $high) / M_SQRT2,
                ['mains' => number_format($high / M_SQRT2)],
            ),
        ];
    }

    /** @return list<array{0: Figure, 1: string}> */
    private function bleeder(): array
    {
        $d = $this->design;
        $ohms = $d->bleederOhms();
        if ($ohms <= 0.0) {
            return [$this->check('bleeder', $this->texts->get('words.none'), false, [])];
        }
        $high = $d->highBus()->peak();
        $pieces = $d->of('bleederPieces');
        $watts = $high ** 2 / $ohms / $pieces;
        $time = $d->highBus()->bleeds($ohms, SupplyDesign::SAFE_VOLTS);

        return [
            $this->check('bleedTime', number_format($time) . ' s', $time <= self::LONGEST_WAIT, [
                'limit' => number_format(self::LONGEST_WAIT),
            ]),
            $this->check(
                'bleederWatts',
                number_format($watts, 2) . ' W',
                $watts <= self::LOADING * $d->of('bleederWatts'),
                ['rated' => number_format($d->of('bleederWatts'), 1)],
            ),
            $this->check('bleederVolts', self::volts($high / $pieces), $high / $pieces <= $d->of('bleederVolts'), [
                'rated' => self::volts($d->of('bleederVolts')),
            ]),
        ];
    }

    /** @return list<array{0: Figure, 1: string}> */
    private function logic(): array
    {
        $d = $this->design;

        return [
            $this->check('headroom', number_format($d->headroom(), 2) . ' V', $d->headroom() >= $d->of('dropOut'), [
                'needed' => number_format($d->of('dropOut'), 1),
                'peak' => number_format($d->lowLogic()->peak(), 1),
                'ripple' => number_format($d->lowLogic()->ripple($d->logicAmps()), 2),
            ]),
            $this->check(
                'regulatorInput',
                number_format($d->highLogic()->peak(), 1) . ' V',
                $d->highLogic()->peak() <= $d->of('regulatorMost'),
                ['limit' => self::volts($d->of('regulatorMost'))],
            ),
            $this->check('regulatorHeat', number_format($d->regulatorHeat(), 2) . ' W', true, []),
        ];
    }

    /** @return list<array{0: Figure, 1: string}> */
    private function signals(): array
    {
        $d = $this->design;
        $worst = $d->commandHigh();
        $lamp = $d->lampAmps(SupplyDesign::LOGIC_HIGH);
        $dim = $d->lampAmps(SupplyDesign::LOGIC_LOW);

        return [
            $this->check('command', number_format($d->divider()->at(1.0), 2) . ' V', $worst <= $d->of('commandMost'), [
                'worst' => number_format($worst, 2),
                'limit' => number_format($d->of('commandMost'), 1),
            ]),
            $this->check(
                'commandLeast',
                number_format($d->divider()->at(1.0), 2) . ' V',
                $d->divider()->at(1.0) >= self::FULL_COMMAND,
                ['full' => number_format(self::FULL_COMMAND, 1), 'least' => number_format($d->commandLow(), 2)],
            ),
            $this->check(
                'lamp',
                number_format(1e3 * $dim, 1) . ' to ' . number_format(1e3 * $lamp, 1) . ' mA',
                $dim >= self::LAMP_LEAST && $lamp <= min(self::LAMP_MOST, $d->of('feedbackMilliamps') / 1e3),
                ['rated' => number_format($d->of('feedbackMilliamps'), 1)],
            ),
        ];
    }

    /**
     * @param array<string, string> $words
     *
     * @return array{0: Figure, 1: string}
     */
    private function check(string $key, string $value, bool $holds, array $words): array
    {
        $words['value'] = $value;

        return [
            new Figure(
                $this->texts->get("checks.$key.label"),
                $value,
                $holds ? 'fine' : 'refused',
                $this->texts->get("checks.$key.note", $words),
            ),
            $this->texts->get("checks.$key.refusal", $words),
        ];
    }

    private static function volts(float $volts): string
    {
        return number_format($volts) . ' V';
    }
}
