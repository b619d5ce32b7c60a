<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Mechanical;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Severity;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Texts;

/**
 * What any fan can have besides its circuit: noise, wobble, rubbing, a loose wheel, a bent shaft;
 * and, where it feeds outlets, an air door that sends the air to the wrong place.
 *
 * These faults hardly change a speed: they are told by what is heard and seen.
 */
final readonly class Mechanical
{
    /** From a touch to a wheel that hardly turns: a third of the ordinary drag, and three times as much. */
    private const RUBS_WITHIN = 3.0;

    /** Minutes to take the wheel off its shaft, once it is reached. */
    public const ACCESS_MINUTES = ['wheel-off' => 6.0];

    public const QUIET = [
        'quiet' => 0.86,
        'rumble' => 0.03,
        'rub' => 0.025,
        'squeal' => 0.03,
        'tick' => 0.02,
        'hum' => 0.01,
        'rattle' => 0.025,
    ];

    /**
     * @param string $motor   element whose shaft the wheel sits on
     * @param string $setUp   in which it runs fast enough to be heard
     * @param string $dead    an isolated one, in which hands may go to the wheel
     * @param string $access  place from which the wheel is seen and turned
     * @param float  $torque  drag in N·m of a wheel that rubs, in the middle of its degrees
     * @param bool   $outlets whether doors behind it lead the air
     */
    public function __construct(
        private string $motor,
        private string $setUp,
        private string $dead,
        private string $access,
        private float $torque,
        private bool $outlets,
        private string $motorPart = 'motor',
    ) {}

    public static function texts(): Texts
    {
        return Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    /**
     * What is heard with a fault, as an entry of its observations.
     *
     * @param array<string, float> $heard chances that stand out; the rest is quiet
     *
     * @return array<string, array<string, float>>
     */
    public static function noise(array $heard): array
    {
        $rest = array_fill_keys(array_keys(self::QUIET), 0.01);
        $chances = $heard + $rest;
        $chances['quiet'] = max(0.01, 1.0 - array_sum(array_diff_key($chances, ['quiet' => 0])));

        return ['noise' => $chances];
    }

    /** @return list<Observation> */
    public function observations(): array
    {
        $observations = [
            new Observation('noise', self::QUIET),
            new Observation('wobble', ['true' => 0.96, 'wobbles' => 0.04]),
            new Observation('gaps', ['even' => 0.95, 'uneven' => 0.05]),
            new Observation('set-screw', ['tight' => 0.97, 'loose' => 0.03]),
            new Observation('bare-shaft', ['true' => 0.98, 'bent' => 0.02]),
            new Observation('look-mounting', ['whole' => 0.96, 'grommet' => 0.025, 'weight' => 0.015]),
        ];
        if ($this->outlets) {
            $observations[] = new Observation('outlets', [
                'right' => 0.96,
                'windscreen' => 0.01,
                'wrong' => 0.015,
                'one-side' => 0.015,
            ]);
            $observations[] = new Observation('door-moves', ['follows' => 0.96, 'stays' => 0.04]);
        }

        return $observations;
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        $loose = ['wobble' => ['true' => 0.12, 'wobbles' => 0.88], 'set-screw' => ['tight' => 0.05, 'loose' => 0.95]];
        $faults = [
            new Fault(
                'wheel-loose',
                'wheel-loose',
                'mounting',
                0.012,
                Severity::only(),
                $loose + self::noise(['rumble' => 0.6, 'rub' => 0.15, 'rattle' => 0.1]),
                element: $this->motor,
            ),
            new Fault(
                'shaft-bent',
                'shaft-bent',
                $this->motorPart,
                0.008,
                Severity::only(),
                ['wobble' => ['true' => 0.05, 'wobbles' => 0.95], 'bare-shaft' => ['true' => 0.03, 'bent' => 0.97]] +
                    self::noise(['rumble' => 0.75, 'rub' => 0.08]),
                element: $this->motor,
            ),
            new Fault(
                'wheel-rubs',
                'wheel-rubs',
                'mounting',
                0.012,
                Severity::adding(
                    "$this->motor.frictionTorque",
                    $this->torque / self::RUBS_WITHIN,
                    $this->torque * self::RUBS_WITHIN,
                    2,
                ),
                [
                    'gaps' => ['even' => 0.06, 'uneven' => 0.94],
                    'look-mounting' => ['whole' => 0.5, 'grommet' => 0.485, 'weight' => 0.015],
                    'spin' => ['free' => 0.3, 'gritty' => 0.68, 'locked' => 0.02],
                ] + self::noise(['rub' => 0.85]),
                element: $this->motor,
            ),
            new Fault(
                'weight-lost',
                'weight-lost',
                'wheel',
                0.006,
                Severity::only(),
                [
                    'wobble' => ['true' => 0.7, 'wobbles' => 0.3],
                    'look-mounting' => ['whole' => 0.1, 'grommet' => 0.02, 'weight' => 0.88],
                ] + self::noise(['rumble' => 0.8]),
                element: $this->motor,
            ),
            new Fault(
                'blade-cracked',
                'blade-cracked',
                'wheel',
                0.006,
                Severity::only(),
                ['look-wheel' => ['clean' => 0.1, 'debris' => 0.85, 'clogged' => 0.05]] +
                    self::noise(['tick' => 0.8, 'rumble' => 0.1]),
                element: $this->motor,
            ),
        ];
        if ($this->outlets) {
            $faults[] = new Fault('air-door', 'air-door', 'air-door', 0.012, Severity::only(), [
                'outlets' => ['right' => 0.02, 'windscreen' => 0.4, 'wrong' => 0.29, 'one-side' => 0.29],
                'door-moves' => ['follows' => 0.06, 'stays' => 0.94],
            ]);
        }

        return $faults;
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return $this->outlets
            ? [new Part('mounting', 6.0, 30.0), new Part('air-door', 55.0, 45.0)]
            : [new Part('mounting', 6.0, 30.0)];
    }

    /** @return list<Test> */
    public function tests(): array
    {
        $tests = [
            new Test('noise', 'noise', $this->setUp, Probe::observation('noise'), 0.3, asked: true),
            new Test('wobble', 'wobble', $this->setUp, Probe::observation('wobble'), 1.0, [$this->access]),
            $this->handsOn('gaps', 0.7, [$this->access]),
            $this->handsOn('look-mounting', 0.7, [$this->access]),
            $this->handsOn('set-screw', 0.7, [$this->access]),
            $this->handsOn('bare-shaft', 1.0, [$this->access, 'wheel-off']),
        ];
        if ($this->outlets) {
            $tests[] = new Test('outlets', 'outlets', $this->setUp, Probe::observation('outlets'), 0.3, asked: true);
            $tests[] = new Test('door-moves', 'door-moves', $this->setUp, Probe::observation('door-moves'), 2.0);
        }

        return $tests;
    }

    /** @param list<string> $access */
    private function handsOn(string $key, float $minutes, array $access): Test
    {
        return new Test($key, $key, $this->dead, Probe::observation($key), $minutes, $access, contact: Contact::Hands);
    }
}
