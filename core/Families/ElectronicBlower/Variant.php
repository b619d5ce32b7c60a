<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

/**
 * Which of the family's circuits this is, and its command for each step.
 */
final readonly class Variant
{
    /** High level of the command, in V. */
    public const LEVEL = 5.0;

    /** Share of the command in the lowest and the highest step. */
    private const LEAST = 0.2;
    private const MOST = 0.9;

    /** What a control asks for at least on its highest step. */
    private const TOP_FROM = 0.3;

    /** Ω of a load lamp of which nobody says the watts: 48 W, 4 A. */
    private const LAMP = 3.0;

    /**
     * @param 'off'|'default'|'full' $open  what the module does without a command
     * @param list<float>|null       $duties of the climate control, from the lowest step up, 0 to 1; null when nobody
     *     typed all of them
     * @param float|null             $lampWatts of the load lamp, at 12 V
     */
    private function __construct(
        public int $steps,
        public bool $external,
        public bool $linear,
        public bool $relay,
        public bool $pulse,
        public bool $activeLow,
        public string $open,
        public ?float $motorAmps,
        private ?array $duties,
        private ?float $lampWatts,
    ) {}

    /** @param array<string, mixed> $values */
    public static function of(array $values): self
    {
        $external = ($values['module'] ?? 'external') === 'external';
        $open = $values['openCommand'] ?? 'off';
        $amps = $values['motorAmps'] ?? null;
        $steps = is_numeric($values['steps'] ?? null) ? (int) $values['steps'] : 5;
        $watts = $values['lampWatts'] ?? null;

        return new self(
            $steps,
            $external,
            $external && ($values['stage'] ?? 'chopper') === 'linear',
            $external && ($values['feed'] ?? 'permanent') === 'relay',
            ($values['command'] ?? 'pulse') === 'pulse',
            ($values['active'] ?? 'high') === 'low',
            $open === 'default' || $open === 'full' ? $open : 'off',
            \is_float($amps) ? $amps : null,
            self::duties(
                $steps,
                ($values['active'] ?? 'high') === 'low',
                $values['duties'] ?? null,
                $values['dutyTop'] ?? null,
            ),
            \is_float($watts) ? $watts : null,
        );
    }

    /**
     * A table that does not rise to at least this is no table of a control: then it is learned.
     *
     * @return list<float>|null of the signal, as typed
     */
    private static function duties(int $steps, bool $activeLow, mixed $below, mixed $top): ?array
    {
        $below = \is_array($below) ? array_values(array_filter($below, \is_float(...))) : [];
        if (!\is_float($top) || \count($below) !== $steps - 1) {
            return null;
        }
        $before = 0.0;
        $duties = [];
        foreach ([...$below, $top] as $percent) {
            $asks = $activeLow ? 1.0 - $percent / 100.0 : $percent / 100.0;
            if ($asks <= $before) {
                return null;
            }
            $before = $asks;
            $duties[] = $percent / 100.0;
        }

        return $before < self::TOP_FROM ? null : $duties;
    }

    /** Ω of the load lamp, when it is hot. */
    public function lampOhms(): float
    {
        return $this->lampWatts === null ? self::LAMP : 144.0 / $this->lampWatts;
    }

    /** What the motor and its electronics are replaced as. */
    public function motorPart(): string
    {
        return $this->external ? 'motor' : 'assembly';
    }

    public function modulePart(): string
    {
        return $this->external ? 'module' : 'assembly';
    }

    /** Mean of the command over its level, for a wanted share; none for "off". */
    public function signal(float $share): float
    {
        return $this->activeLow ? 1.0 - $share : $share;
    }

    /**
     * The command in each step.
     *
     * @param float $bow 1 for even steps; above, they are closer together at the low end
     *
     * @return array<int, float> wanted shares
     */
    public function shares(float $least, float $most, float $bow): array
    {
        if ($this->duties !== null) {
            // The signal's duty as typed; what it asks for is the rest of it where low means on.
            return array_combine(range(1, $this->steps), array_map($this->signal(...), $this->duties));
        }
        $shares = [];
        foreach (range(1, $this->steps) as $step) {
            $shares[$step] = $least + ($most - $least) * (($step - 1) / ($this->steps - 1)) ** $bow;
        }

        return $shares;
    }

    /** @return array<int, float> */
    public function typicalShares(): array
    {
        return $this->shares(self::LEAST, self::MOST, 1.0);
    }

    /** Share to which the module pulls its input when no command is there. */
    public function openShare(): float
    {
        return match ($this->open) {
            'default' => 0.45,
            'full' => 1.0,
            'off' => 0.0,
        };
    }

    /**
     * Duty that the module makes of the mean command voltage over its level.
     *
     * @return list<array{0: float, 1: float}>
     */
    public function table(): array
    {
        $table = [[0.08, 0.0], [0.12, 0.22], [0.85, 1.0]];
        if (!$this->activeLow) {
            return $table;
        }

        return array_map(static fn(array $point): array => [1.0 - $point[0], $point[1]], array_reverse($table));
    }

    /** Element between the fuse and the module's plug: the relay, or a wire where the feed is permanent. */
    public function behindFuse(): string
    {
        return $this->relay ? 'relay' : 'fused-wire';
    }
}
