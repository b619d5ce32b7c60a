<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Mechanical;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Texts;

/**
 * Air conditioning behind a cabin blower, where there is any: it cools when the outlet is colder than the air outside,
 * not when the lamp in its button is lit.
 */
final readonly class CabinAir
{
    public const TEST = 'outlet-cold';

    /** With a fault that leaves little air. */
    private const THROTTLED = ['cold' => 0.4, 'cool' => 0.5, 'warm' => 0.1];

    private bool $cools;

    /** @param array<string, mixed> $values of the parameters */
    public function __construct(array $values, private string $setUp)
    {
        $this->cools = ($values['cooling'] ?? 'no') === 'yes';
    }

    public static function parameter(): Parameter
    {
        return Parameter::choice('cooling', ['no', 'yes'], 'no');
    }

    public static function texts(): Texts
    {
        return Texts::fromFile(__DIR__ . '/cabin-air.en.json');
    }

    /** @return list<Test> */
    public function tests(): array
    {
        return $this->cools
            ? [
                new Test(
                    self::TEST,
                    self::TEST,
                    $this->setUp,
                    Probe::observation(self::TEST),
                    6.0,
                    tools: ['thermometer'],
                    contact: Contact::Probes,
                ),
            ]
            : [];
    }

    /** @return list<Observation> */
    public function observations(): array
    {
        return $this->cools ? [new Observation(self::TEST, ['cold' => 0.9, 'cool' => 0.06, 'warm' => 0.04])] : [];
    }

    /**
     * @param list<Fault> $faults
     *
     * @return list<Fault>
     */
    public function in(array $faults): array
    {
        return !$this->cools
            ? $faults
            : array_map(
                static fn(Fault $one): Fault => $one->key === 'air-blocked'
                    ? $one->alsoSeen([self::TEST => self::THROTTLED])
                    : $one,
                $faults,
            );
    }
}
