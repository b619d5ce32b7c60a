<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Trial\Leak;
use Ispira\Core\Job\Practice;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

/**
 * A practice unit with what somebody complains of: what is hidden, and what the unit does in each position. The same
 * seed makes the same unit.
 */
final readonly class PracticeChoice
{
    private const MOST_TRIED = 60;

    /**
     * @param array<string, string> $states  by position
     * @param array<string, string> $answers to what is asked with the complaint, where they stand out
     * @param string                $says    the complaint in a customer's words, which may mislead
     */
    private function __construct(
        public Practice $practice,
        public array $states,
        public array $answers,
        public string $says,
    ) {}

    /**
     * A unit with values of its own, of whose fault somebody who steps through the positions takes notice.
     *
     * @param string|null $fault key that it is to be, in whatever degree; null for as often as each is met
     *
     * @throws \LogicException where no fault of that kind is noticed
     */
    public static function of(CircuitModel $circuit, HiddenKind $kind, int $seed, ?string $fault = null): self
    {
        $chance = new RandomSource($seed);
        $faults = self::faults($circuit, $kind);
        if ($fault !== null) {
            $faults = array_filter(
                $faults,
                static fn(Hypothesis $one): bool => rtrim($one->faultKey(), '~') === $fault,
            );
        }
        $weights = array_map(static fn(Hypothesis $one): float => $one->prior, $faults);
        for ($try = 0; $try < self::MOST_TRIED && $weights !== []; ++$try) {
            $practice = new Practice(
                $chance->pick($weights),
                $seed + $try,
                true,
                $kind === HiddenKind::Outside ? Leak::drawn($circuit, $chance) : null,
            );
            $machine = HiddenMachine::of($circuit, $practice, $kind === HiddenKind::Intermittent);
            $made = $machine === null ? null : self::noticed($circuit, $kind, $practice, $machine, $chance);
            if ($made !== null) {
                return $made;
            }
        }
        throw new \LogicException("No fault of the kind $kind->value is noticed in this circuit.");
    }

    /** @return array<string, Hypothesis> by key */
    private static function faults(CircuitModel $circuit, HiddenKind $kind): array
    {
        $all = HypothesisList::of($circuit, $kind === HiddenKind::Intermittent);

        return array_filter(
            $all,
            static fn(Hypothesis $one): bool => match ($kind) {
                HiddenKind::Single => \count($one->faults) === 1 && !$one->comesAndGoes,
                HiddenKind::Chain => \count($one->faults) === 2,
                HiddenKind::Intermittent => \count($one->faults) === 1 && $one->comesAndGoes,
                HiddenKind::Outside, HiddenKind::None => $one->key === HypothesisList::NOTHING_WRONG,
            },
        );
    }

    private static function noticed(
        CircuitModel $circuit,
        HiddenKind $kind,
        Practice $practice,
        HiddenMachine $machine,
        RandomSource $chance,
    ): ?self {
        $asked = array_map(
            static fn(Test $test): Reading => $machine->read('asked', $test),
            array_values(array_filter($circuit->tests, static fn(Test $test): bool => $test->asked)),
        );
        $map = $machine->map();
        $right = SpeedState::Right->value;
        $isOdd = static fn(Reading $one): bool => $one->value !== $right && $machine->isOdd($one);
        $told = array_filter($asked, $isOdd);
        if ($kind === HiddenKind::None) {
            // A sound machine, of which one position is called wrongly.
            if ($told !== [] || array_filter($map, static fn(Reading $one): bool => $one->value !== $right) !== []) {
                return null;
            }
            $number = (int) $chance->between(0.0, \count($map));
            $test = $circuit->tests[$map[$number]->test];
            $answers = array_values(array_diff(Judged::answers($circuit, $test), [$right]));
            $map[$number] = $map[$number]->showing(\in_array('slow', $answers, true) ? 'slow' : $answers[0]);
        } elseif ($told === [] && array_filter($map, $isOdd) === []) {
            return null;
        }
        $states = [];
        foreach (array_values($circuit->positions) as $n => $position) {
            $states[$position->key] = (string) $map[$n]->value;
        }
        $answers = [];
        foreach ($told as $one) {
            $answers[$one->test] = (string) $one->value;
        }

        return new self($practice, $states, $answers, self::says($circuit, $machine, $states, $chance));
    }

    /** @param array<string, string> $states */
    private static function says(
        CircuitModel $circuit,
        HiddenMachine $machine,
        array $states,
        RandomSource $chance,
    ): string {
        $odd = array_count_values(array_diff($states, [SpeedState::Right->value]));
        arsort($odd);
        $kind = (string) (array_key_first($odd) ?? 'other');
        $moving = array_filter($states, static fn(string $state): bool => $state === SpeedState::Right->value);
        if ($kind === 'dead' && \count($moving) <= 2 && \count($odd) === 1) {
            $kind = 'dead-all';
        }
        $sentence = PracticeTexts::find("says.$kind.0") === null ? 'says.other' : "says.$kind";
        $said = PracticeTexts::get("$sentence." . ($chance->happens(0.5) ? '0' : '1'));
        $add = $chance->pick([
            'none' => 0.35,
            'part' => 0.25,
            'changed' => 0.1,
            'battery' => 0.1,
            'wet' => 0.1,
            'tapped' => 0.1,
        ]);
        if ($add === 'none') {
            return $said;
        }
        // What a friend knows is not what is wrong, and what is new is not bad.
        $others = array_values(array_diff(array_keys($circuit->parts), explode('+', implode('+', $machine->right))));
        $part = $others === [] ? 'fuse' : $others[(int) $chance->between(0.0, \count($others))];

        return "$said " .
            PracticeTexts::get("adds.$add", [
                'part' => lcfirst($circuit->texts->find("parts.$part") ?? $part),
            ]);
    }
}
