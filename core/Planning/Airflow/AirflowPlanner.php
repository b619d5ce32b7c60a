<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;

/**
 * Chooses the taps of a blower from the maker's table, the measured static pressure and the plate's temperature rise.
 */
final class AirflowPlanner implements FilledFromJob
{
    private const TABLES = [
        'metric' =>
            "static; high; medium-high; medium-low; low\n0; 2550; 2240; 1950; 1620\n50; 2450; 2170; 1900; 1580\n100; 2320; 2080; 1830; 1530\n150; 2160; 1950; 1730; 1450\n200; 1960; 1790; 1590; 1320\n250; 1690; 1560; 1390; 1130",
        'us' =>
            "static; high; medium-high; medium-low; low\n0.0; 1500; 1320; 1150; 955\n0.2; 1440; 1280; 1120; 930\n0.4; 1365; 1225; 1075; 900\n0.6; 1270; 1150; 1020; 855\n0.8; 1155; 1055; 935; 775\n1.0; 995; 920; 820; 665",
    ];

    /** Metric and US unit, least, most and default of each figure. */
    private const FIGURES = [
        'supplyStatic' => [['Pa', 0.0, 1000.0, 75.0], ['in w.c.', 0.0, 4.0, 0.3]],
        'returnStatic' => [['Pa', -1000.0, 1000.0, 50.0], ['in w.c.', -4.0, 4.0, 0.2]],
        'oldFilter' => [['Pa', 0.0, 500.0, 30.0], ['in w.c.', 0.0, 2.0, 0.12]],
        'newFilter' => [['Pa', 0.0, 500.0, 30.0], ['in w.c.', 0.0, 2.0, 0.12]],
        'ratedStatic' => [['Pa', 10.0, 1000.0, 200.0], ['in w.c.', 0.05, 4.0, 0.8]],
        'input' => [['kW', 1.0, 200.0, 20.0], ['BTU/h', 3000.0, 700000.0, 68000.0]],
        'riseFrom' => [['K', 5.0, 80.0, 22.0], ['°F', 9.0, 140.0, 40.0]],
        'riseTo' => [['K', 5.0, 80.0, 39.0], ['°F', 9.0, 140.0, 70.0]],
        'altitude' => [['m', 0.0, 4000.0, 0.0], ['ft', 0.0, 13000.0, 0.0]],
        'cooling' => [['kW', 0.0, 100.0, 10.5], ['t', 0.0, 30.0, 3.0]],
    ];

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'airflow';
    }

    public function parameters(): ParameterList
    {
        $parameters = [Parameter::choice('units', ['metric', 'us'], 'metric')];
        foreach (['metric', 'us'] as $system => $units) {
            $parameters[] = Parameter::text("table-$units", self::TABLES[$units])
                ->onlyWith('units', $units)
                ->example();
            foreach (self::FIGURES as $key => $figures) {
                [$unit, $least, $most, $default] = $figures[$system];
                $figure = Parameter::figure("$key-$units", $unit, $least, $most, $default);
                $parameters[] = ($key === 'altitude' ? $figure : $figure->example())->onlyWith('units', $units);
            }
        }

        return new ParameterList([
            ...$parameters,
            Parameter::figure('efficiency', '%', 30.0, 100.0, 90.0),
            Parameter::figure('derate', '%', 0.0, 60.0, 0.0),
            Parameter::text('measuredOn', 'medium-low')->example(),
            Parameter::text('heatNow', 'medium-low')->example(),
            Parameter::text('coolNow', 'high')->example(),
            Parameter::text('fanNow', ''),
            Parameter::text('heatWanted', ''),
            Parameter::text('coolWanted', ''),
        ]);
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values([
            'riseFrom-metric' => ['riseLeast'],
            'riseTo-metric' => ['riseMost'],
        ]);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $input = AirflowInput::read($values);
        $system = $this->system($input);
        $results = TapResult::all($input->curves, $system, $input->watts, $input->density);
        $now = TapResult::all($input->curves, $this->systemNow($input), $input->watts, $input->density);
        $proposed = Assignment::proposed($results, $input->range, $input->cooling, isset($input->now->taps['fan']));
        $words = new AirflowWords($this->texts(), $input, $results, $system, $now);
        $wanted = new Assignment(array_filter($input->wanted->taps + ($proposed->taps ?? []) + $input->now->taps));
        $refusals = $this->refusals($words, $input, $results, $wanted);
        $chosen = $input->wanted->taps === [] ? $proposed : ($refusals === [] ? $wanted : null);

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            refusals: $refusals,
            findings: $words->findings($proposed),
            steps: $chosen === null ? [] : $words->steps($chosen),
            figures: [
                new Figure(
                    $this->texts()->get('figures.total'),
                    $input->units->pressure($input->static),
                    $input->static <= $input->ratedStatic ? 'fine' : 'refused',
                    $this->texts()->get('figures.rated', ['rated' => $input->units->pressure($input->ratedStatic)]),
                ),
                new Figure(
                    $this->texts()->get('figures.flow'),
                    $input->units->flow((float) $this->measuredFlow($input)),
                ),
                new Figure(
                    $this->texts()->get('figures.output'),
                    number_format($input->watts / 1000.0, 1) .
                        ' kW · ' .
                        number_format($input->watts / Units::Us->watts()) .
                        ' BTU/h',
                ),
                new Figure($this->texts()->get('figures.density'), number_format($input->density, 3)),
            ],
            tables: [$words->table($chosen)],
            charts: [$words->chart()],
        );
    }

    private function measuredFlow(AirflowInput $input): ?float
    {
        foreach ($input->curves as $curve) {
            if ($curve->tap === $input->measuredOn) {
                return $curve->flowAt($input->static);
            }
        }

        return null;
    }

    /** @throws ParameterError */
    private function system(AirflowInput $input): SystemCurve
    {
        return $this->systemNow($input)->withFilter(
            $input->newFilter - $input->oldFilter,
            (float) $this->measuredFlow($input),
        ) ?? throw new ParameterError(["oldFilter-{$input->units->value}" => $this->texts()->get('problems.filter')]);
    }

    /** As it was measured, with the filter that was in it. @throws ParameterError */
    private function systemNow(AirflowInput $input): SystemCurve
    {
        $flow = $this->measuredFlow($input);
        if ($flow === null) {
            throw new ParameterError([
                "supplyStatic-{$input->units->value}" => $this->texts()->get('problems.no-crossing', [
                    'static' => $input->units->pressure($input->static),
                    'tap' => $input->measuredOn,
                ]),
            ]);
        }

        return SystemCurve::through($input->static, $flow);
    }

    /**
     * @param list<TapResult> $results
     *
     * @return list<string>
     */
    private function refusals(AirflowWords $words, AirflowInput $input, array $results, Assignment $wanted): array
    {
        $refusals = [];
        $joined = $wanted->joined();
        if ($joined !== null) {
            $refusals[] = $this->texts()->get('refusals.joined', [
                'first' => $joined[0],
                'second' => $joined[1],
                'tap' => $joined[2],
            ]);
        }
        $heat = $input->wanted->taps['heat'] ?? null;
        $now = $input->now->taps['heat'] ?? null;
        $order = array_column($results, null, 'tap');
        if ($heat !== null && !$order[$heat]->isInside($input->range)) {
            $slower = $now !== null && ($order[$heat]->flow ?? 0.0) < ($order[$now]->flow ?? 0.0);
            $refusals[] = $this->texts()->get($slower ? 'refusals.slower' : 'refusals.outside', [
                'tap' => $heat,
                'rise' =>
                    $order[$heat]->rise === null
                        ? $this->texts()->get('words.no-crossing')
                        : $input->units->rise($order[$heat]->rise),
                'range' => $words->range(),
            ]);
        }

        return $refusals;
    }
}
