<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PackRebuild;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\PlanTable;

/**
 * From the wanted speeds of a blower to the resistors of its pack, and what each tap then gives.
 */
final class PackRebuildPlanner implements FilledFromJob
{
    private const POSITIONS = ['3', '4', '5', '6', '7'];

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'pack-rebuild';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('positions', self::POSITIONS, '4'),
            Parameter::figure('volts', 'V', 6.0, 32.0, 13.2)->example(),
            Parameter::figure('amps', 'A', 1.0, 60.0, 17.0)->example(),
            Parameter::numbers('speeds', '%', 10.0, 95.0, 'positions'),
            Parameter::numbers('survived', 'Ω', 0.0, 50.0, 'positions'),
            Parameter::choice('series', ['E12', 'E24'], 'E24'),
            Parameter::figure('derating', '', 1.0, 5.0, 2.5),
            Parameter::choice('cutOut', ['yes', 'no'], 'yes'),
        ]);
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values(['amps' => ['motorAmps']]) + $known->choice('positions', 'positions', self::POSITIONS);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): float => ParameterList::numberIn($values, $key) ?? 0.0;
        $motor = new FanMotor($n('volts'), $n('amps'));
        $shares = $this->shares($values);
        $fine = ($values['series'] ?? 'E24') === 'E24';
        // Totals from the lowest step up; a section is what one step has more than the next faster one.
        $wanted = array_map($motor->ohmsFor(...), $shares);
        $sections = self::sections($wanted, \is_array($values['survived'] ?? null) ? $values['survived'] : [], $fine);
        $refusals = $bought = $taps = [];
        $lockedOver = false;
        foreach ($sections as $step => $section) {
            $total = array_sum(array_column(\array_slice($sections, $step), 'ohms'));
            $share = $motor->shareWith($total);
            $amps = $share > 0.0 ? $motor->ampsAt($share) : $motor->ampsLocked($total);
            if (!$motor->starts($total)) {
                $refusals[] = $this->say('refusals.start', ['step' => (string) ($step + 1)]);
            }
            $locked = $motor->ampsLocked($total);
            foreach (self::each($section, $amps) as [$ohms, $watts]) {
                $rating = PreferredValues::rating($watts * $n('derating'));
                if ($section['how'] === 'kept') {
                    $bought[] = [
                        $step + 1 . ' ' . $this->say('how.kept'),
                        self::ohms($ohms),
                        number_format($watts, 1),
                        '',
                        '',
                    ];
                    continue;
                }
                if ($rating === null) {
                    $refusals[] = $this->say('refusals.watts', [
                        'step' => (string) ($step + 1),
                        'watts' => number_format($watts * $n('derating')),
                    ]);
                }
                $blocked = $watts * ($locked / max(1e-9, $amps)) ** 2;
                $lockedOver = $lockedOver || $blocked > ($rating ?? 0.0);
                $bought[] = [
                    $step + 1 . ' ' . $this->say("how.{$section['how']}"),
                    self::ohms($ohms),
                    number_format($watts, 1),
                    $rating === null ? '' : number_format($rating),
                    number_format($blocked),
                ];
            }
            $taps[] = [
                (string) ($step + 1),
                self::ohms($total),
                self::ohms($wanted[$step]),
                number_format(100.0 * $shares[$step]),
                number_format(100.0 * $share),
                number_format($amps, 1),
                number_format($motor->volts - $amps * $total, 1),
                number_format($amps * $amps * $total),
            ];
        }
        $taps[] = [
            (string) (\count($shares) + 1),
            '0',
            '0',
            '100',
            '100',
            number_format($n('amps'), 1),
            number_format($motor->volts, 1),
            '0',
        ];
        if (($values['cutOut'] ?? 'yes') === 'no') {
            $refusals[] = $this->say('refusals.cut-out');
        }

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            refusals: $refusals,
            findings: [$this->say('findings.chain'), ...$lockedOver ? [$this->say('findings.locked')] : []],
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure($this->say('figures.total'), self::ohms(array_sum(array_column($sections, 'ohms'))) . ' Ω'),
                new Figure(
                    $this->say('figures.hottest'),
                    number_format(
                        max(
                            0.0,
                            ...array_map(static fn(array $tap): float => (float) str_replace(',', '', $tap[7]), $taps),
                        ),
                    ) . ' W',
                    '',
                    $this->say('figures.air'),
                ),
                new Figure(
                    $this->say('figures.lowest'),
                    $taps[0][4] . ' %',
                    $refusals === [] ? 'fine' : '',
                    $this->say('figures.wanted', ['wanted' => $taps[0][3]]),
                ),
            ],
            tables: [
                new PlanTable(
                    $this->say('bought.title'),
                    [
                        $this->say('bought.section'),
                        'Ω',
                        $this->say('bought.watts'),
                        $this->say('bought.rating'),
                        $this->say('bought.locked'),
                    ],
                    $bought,
                ),
                new PlanTable(
                    $this->say('taps.title'),
                    [
                        $this->say('taps.step'),
                        $this->say('taps.ohms'),
                        $this->say('taps.exact'),
                        $this->say('taps.wanted'),
                        $this->say('taps.gets'),
                        'A',
                        $this->say('taps.volts'),
                        $this->say('taps.watts'),
                    ],
                    $taps,
                ),
            ],
            charts: [
                new Chart(
                    $this->say('chart.title'),
                    'Ω',
                    '%',
                    [
                        [
                            'label' => $this->say('chart.speed'),
                            'points' => self::curve($motor, 1.15 * max($wanted)),
                            'style' => 'heavy',
                        ],
                    ],
                    array_map(
                        static fn(array $tap): array => [
                            'x' => (float) $tap[1],
                            'y' => (float) $tap[4],
                            'label' => $tap[0],
                        ],
                        $taps,
                    ),
                ),
            ],
        );
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return non-empty-list<float> shares of full speed, from the lowest step up
     *
     * @throws ParameterError
     */
    private function shares(array $values): array
    {
        $count = (int) (\is_string($values['positions'] ?? null) ? $values['positions'] : '4') - 1;
        $given = [];
        foreach (\is_array($values['speeds'] ?? null) ? $values['speeds'] : [] as $percent) {
            $given[] = \is_float($percent) || \is_int($percent) ? $percent / 100.0 : 0.0;
        }
        if ($given === []) {
            // Evenly from 45 % up to full.
            $given = array_map(static fn(int $step): float => 0.45 + (0.55 * $step) / $count, range(0, $count - 1));
        }
        foreach (\array_slice($given, 1) as $step => $share) {
            if ($share <= $given[$step]) {
                throw new ParameterError(['speeds' => $this->say('rising')]);
            }
        }

        return $given;
    }

    /**
     * What stands between one step and the next faster one: a coil that survived, or what is bought for it.
     *
     * @param non-empty-list<float>    $wanted   Ω in all, from the lowest step up
     * @param array<array-key, mixed>  $survived Ω of each coil, from the lowest step up; 0 for one that is gone
     *
     * @return non-empty-list<array{how: 'single'|'series'|'parallel'|'kept', values: list<float>, ohms: float}>
     */
    private static function sections(array $wanted, array $survived, bool $fine): array
    {
        $sections = [];
        $faster = 0.0;
        foreach (array_reverse($wanted, true) as $step => $ohms) {
            $kept = $survived[$step] ?? 0.0;
            $section =
                \is_float($kept) && $kept > 0.0
                    ? ['how' => 'kept', 'values' => [$kept], 'ohms' => $kept]
                    : PreferredValues::nearest(
                        max(0.01, $ohms - ($survived === [] ? $wanted[$step + 1] ?? 0.0 : $faster)),
                        $fine,
                    );
            $faster += $section['ohms'];
            $sections[] = $section;
        }

        return array_reverse($sections);
    }

    /** @return list<array{0: float, 1: float}> per cent of full speed over Ω in series */
    private static function curve(FanMotor $motor, float $most): array
    {
        return array_map(
            static fn(int $point): array => [
                ($most * $point) / 40.0,
                100.0 * $motor->shareWith(($most * $point) / 40.0),
            ],
            range(0, 40),
        );
    }

    /**
     * Ohms and watts of each resistor of a section.
     *
     * @param array{how: 'single'|'series'|'parallel'|'kept', values: list<float>, ohms: float} $section
     *
     * @return list<array{0: float, 1: float}>
     */
    private static function each(array $section, float $amps): array
    {
        $volts = $amps * $section['ohms'];

        return array_map(
            static fn(float $ohms): array => [
                $ohms,
                $section['how'] === 'parallel' ? ($volts * $volts) / $ohms : $amps * $amps * $ohms,
            ],
            $section['values'],
        );
    }

    private static function ohms(float $ohms): string
    {
        return rtrim(rtrim(number_format($ohms, $ohms < 1.0 ? 3 : 2, '.', ''), '0'), '.');
    }

    /** @param array<string, string> $words */
    private function say(string $key, array $words = []): string
    {
        return $this->texts()->get($key, $words);
    }
}
