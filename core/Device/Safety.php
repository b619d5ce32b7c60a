<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What is dangerous about a circuit, and which cautions follow from it.
 *
 * Hands in, and power or motion, exclude each other: a circuit that declares both is not built. The cautions of a test
 * are derived from what stands in its set-up and from what a person does there, so that words and state agree.
 */
final readonly class Safety
{
    /**
     * @param list<Hazard> $hazards   of each set-up that is not isolated
     * @param list<string> $isolated  keys of cautions before a set-up that is: how it is made dead and stays so
     * @param list<string> $powered   before leads, sticks or hands come near what is powered
     * @param list<string> $runs      where it turns or travels
     * @param list<string> $mayStart  where it stands and may start
     * @param list<string> $watched   always, also for eyes and ears
     */
    public function __construct(
        public array $hazards,
        private array $isolated,
        private array $powered = [],
        private array $runs = ['hands-clear'],
        private array $mayStart = ['may-start'],
        private array $watched = [],
    ) {}

    /** @return list<Hazard> */
    public function hazards(SetUp $setUp): array
    {
        if ($setUp->isolated) {
            return $setUp->besides;
        }
        $hazards = array_filter($this->hazards, static fn(Hazard $h): bool => !$setUp->still || $h !== Hazard::Moving);

        return array_values(array_unique([...$hazards, ...$setUp->besides], \SORT_REGULAR));
    }

    /** @return list<string> keys of the cautions of a test, the derived ones first */
    public function cautions(Test $test, SetUp $setUp, PositionKind $kind): array
    {
        $moving = \in_array(Hazard::Moving, $this->hazards($setUp), true);
        $derived = match (true) {
            $setUp->isolated => [...$this->watched, ...$this->isolated],
            default => [
                ...$this->watched,
                ...$test->contact === Contact::Eyes ? [] : $this->powered,
                ...$test->contact === Contact::Stick ? ['insulated-stick'] : [],
                ...!$moving || ($test->contact === Contact::Eyes && $test->access === [])
                    ? []
                    : ($kind === PositionKind::Stands
                        ? $this->mayStart
                        : $this->runs),
            ],
        };
        if (\in_array($test->probe->quantity, [Quantity::Ohms, Quantity::Capacitance], true)) {
            $derived[] = 'ohms-dead';
        }

        return array_values(array_unique([...$derived, ...$test->cautions]));
    }

    /**
     * Refuses what would hurt somebody.
     *
     * @throws UnsafeTest
     */
    public function check(Test $test, SetUp $setUp): void
    {
        $hazards = $this->hazards($setUp);
        foreach ($hazards as $hazard) {
            $refused = match ($test->contact) {
                Contact::Hands => $hazard->keepsHandsOut(),
                Contact::Wires => $hazard->shocks(),
                default => false,
            };
            if ($refused) {
                throw UnsafeTest::of($test, $setUp, $hazard);
            }
            if ($test->probe->quantity === Quantity::Ohms && $hazard->shocks()) {
                throw UnsafeTest::of($test, $setUp, $hazard);
            }
        }
    }
}
