<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Job\PracticeWay;

/**
 * One step of the ladder that a family of circuits is learned by.
 */
enum Rung: string
{
    /** The whole way once, in four minutes: stands on no ladder. */
    case First = 'first';

    /** With every proposal shown: what the pattern of speeds says, and what it leaves open. */
    case Map = 'map';

    /** Proposals shown; what is believed is set down first. */
    case Guess = 'guess';

    case OwnWay = 'own-way';
    case Chains = 'chains';
    case ComesAndGoes = 'comes-and-goes';

    /** Nothing is wrong with it: leave it alone. */
    case Nothing = 'nothing';

    /** What no list holds. */
    case Unlisted = 'unlisted';

    public function kind(): HiddenKind
    {
        return match ($this) {
            self::First, self::Map, self::Guess, self::OwnWay => HiddenKind::Single,
            self::Chains => HiddenKind::Chain,
            self::ComesAndGoes => HiddenKind::Intermittent,
            self::Nothing => HiddenKind::None,
            self::Unlisted => HiddenKind::Outside,
        };
    }

    public function way(): PracticeWay
    {
        return \in_array($this, [self::First, self::Map, self::Guess], true) ? PracticeWay::Guided : PracticeWay::Own;
    }

    public function guesses(): bool
    {
        return $this === self::Guess;
    }

    /** @return list<self> those of a family, lowest first */
    public static function of(CircuitModel $circuit): array
    {
        return array_values(
            array_filter(
                self::cases(),
                static fn(self $one): bool => $one !== self::First && $one->kind()->isPossible($circuit),
            ),
        );
    }

    public function title(): string
    {
        return PracticeTexts::get("rungs.$this->value.title");
    }

    public function about(): string
    {
        return PracticeTexts::get("rungs.$this->value.about");
    }
}
