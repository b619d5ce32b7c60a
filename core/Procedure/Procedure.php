<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * Steps in their order, with cautions before them and a way to a safe state from any of them.
 */
final readonly class Procedure
{
    public const NAME = 'ispira-procedure';
    public const VERSION = 1;

    /**
     * @param string             $key      stable identifier: lower case and hyphens
     * @param list<string>       $families keys of the families that it serves; empty for all
     * @param non-empty-list<string> $cautions before anything is done
     * @param non-empty-list<Step>   $steps
     * @param non-empty-list<string> $abort    what makes it safe when it is broken off
     */
    public function __construct(
        public string $key,
        public string $title,
        public string $summary,
        public array $families,
        public array $cautions,
        public array $steps,
        public array $abort,
    ) {}

    public function serves(string $family): bool
    {
        return $this->families === [] || \in_array($family, $this->families, true);
    }

    /** Whether a wait of it depends on a capacitor that has to be told. */
    public function asksForCapacitor(): bool
    {
        foreach ($this->steps as $step) {
            if ($step->wait?->formula === StoredCharge::FORMULA) {
                return true;
            }
        }

        return false;
    }

    /** The same with its waits for a stored charge as long as that one needs. */
    public function withCharge(StoredCharge $charge): self
    {
        $steps = array_map(
            static fn(Step $step): Step => $step->wait?->formula === StoredCharge::FORMULA
                ? $step->waiting($step->wait->lasting(max($step->wait->least, (int) ceil($charge->seconds()))))
                : $step,
            $this->steps,
        );

        return new self(
            $this->key,
            $this->title,
            $this->summary,
            $this->families,
            $this->cautions,
            $steps,
            $this->abort,
        );
    }
}
