<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

/**
 * Which of the family's circuits this is.
 */
final readonly class Layout
{
    public const WORDS = ['a' => 'main fan', 'b' => 'second fan'];

    public const ARRANGEMENTS = [
        'resistor',
        'two-input',
        'pair',
        'master',
        'two-inputs-each',
        'second-with-low',
        'second-with-high',
        'second-before-low',
    ];

    /**
     * @param value-of<self::ARRANGEMENTS> $arrangement
     * @param bool         $relays    whether relays make the speeds; else a thermal switch carries the current itself
     * @param float|null   $motorAmps rated current of one fan on high
     */
    private function __construct(public string $arrangement, public bool $relays, public ?float $motorAmps) {}

    /** @param array<string, mixed> $values */
    public static function of(array $values): self
    {
        $arrangement = $values['arrangement'] ?? 'resistor';
        $arrangement = \in_array($arrangement, self::ARRANGEMENTS, true) ? $arrangement : 'resistor';
        $amps = $values['motorAmps'] ?? null;

        return new self(
            $arrangement,
            $arrangement === 'pair' || ($values['control'] ?? 'switch') === 'relays',
            \is_float($amps) ? $amps : null,
        );
    }

    /** @return list<string> */
    public function fans(): array
    {
        return $this->arrangement === 'resistor' || $this->arrangement === 'two-input' ? ['a'] : ['a', 'b'];
    }

    /** Whether a fan has a low and a high input of its own. */
    public function twoInputs(string $fan): bool
    {
        return match ($this->arrangement) {
            'resistor', 'pair', 'master' => false,
            'two-inputs-each' => true,
            default => $fan === 'a',
        };
    }

    /** Whether a fan turns under a request when nothing is wrong. */
    public function runs(string $request, string $fan): bool
    {
        // A second fan beside the high input turns on low as well: the main fan's windings feed it backwards. One before
        // the low input has the supply at both its ends on high.
        return match ($request) {
            'low' => true,
            'high' => !($fan === 'b' && $this->arrangement === 'second-before-low'),
            default => false,
        };
    }

    /** The highest request under which a fan turns. */
    public function running(string $fan): string
    {
        return $this->runs('high', $fan) ? 'high' : 'low';
    }

    /** Name of what the main fan has under the same name, without a suffix. */
    public static function own(string $name, string $fan): string
    {
        return $fan === 'a' ? $name : "$name-$fan";
    }

    /** The node at the plus side of the armature. */
    public function plus(string $fan): string
    {
        return $this->twoInputs($fan) ? self::own('inner', $fan) : "$fan-plus";
    }

    /** The node behind the minus pin of a fan's plug. */
    public function return(string $fan): string
    {
        return match (true) {
            $this->pair() && $fan === 'a' => 'a-return',
            $this->arrangement === 'second-before-low' && $fan === 'b' => 'b-return',
            default => "$fan-ground",
        };
    }

    public function hasGround(string $fan): bool
    {
        return $this->return($fan) === "$fan-ground";
    }

    /**
     * The contacts of a fan's plug but its minus, as element => the node on the harness side.
     *
     * @return non-empty-array<string, string>
     */
    public function feedPins(string $fan): array
    {
        if ($this->twoInputs($fan)) {
            return [
                self::own('plug-low', $fan) => self::own('low-pin', $fan),
                self::own('plug-high', $fan) => self::own('high-pin', $fan),
            ];
        }

        return ["plug-$fan" => $this->dropsInResistor() ? 'fan-feed' : "$fan-feed"];
    }

    /** Key of the words for where a load lamp goes at the plug of the main fan. */
    public function lampText(): string
    {
        return match (true) {
            $this->twoInputs('a') => 'lamp-inputs',
            $this->pair() => 'lamp-pair',
            default => 'lamp',
        };
    }

    public function pair(): bool
    {
        return $this->arrangement === 'pair';
    }

    public function dropsInResistor(): bool
    {
        return $this->arrangement === 'resistor' || $this->arrangement === 'master';
    }

    /** @return list<string> wires from the control to the fans */
    public function lineWires(): array
    {
        return match ($this->arrangement) {
            'pair' => [],
            'two-inputs-each' => ['low-wire', 'high-wire', 'low-wire-b', 'high-wire-b'],
            'second-with-low', 'second-with-high', 'second-before-low' => ['low-wire', 'high-wire', 'second-wire'],
            default => ['low-wire', 'high-wire'],
        };
    }

    /** Key of the cell of a fan under a request. */
    public function cell(string $request, string $fan): string
    {
        return \count($this->fans()) === 1 ? $request : "$request-$fan";
    }

    public function label(string $request, string $fan): string
    {
        $words = ['off' => 'key off', 'low' => 'low', 'high' => 'high'];

        return $words[$request] . (\count($this->fans()) === 1 ? '' : ', ' . self::WORDS[$fan]);
    }

    /**
     * Relays with what they do: letter of the request from which on they pull.
     *
     * @return array<string, 'low'|'high'>
     */
    public function relaysByRequest(): array
    {
        return match (true) {
            !$this->relays => [],
            $this->pair() => ['k1' => 'low', 'k2' => 'high', 'k3' => 'high'],
            default => ['k-low' => 'low', 'k-high' => 'high'],
        };
    }

    /** @return array<string, string> relays whose coils hang on one request, so that each is measured by itself */
    public function besideEachOther(): array
    {
        return $this->pair() ? ['k2' => 'k3', 'k3' => 'k2'] : [];
    }
}
