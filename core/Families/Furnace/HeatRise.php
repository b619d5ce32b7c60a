<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Furnace;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\PlateRange;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Unknown;

/**
 * How much warmer a furnace makes its air, against what its plate allows, and whether its limit holds over several calls.
 */
final readonly class HeatRise
{
    /** K where neither plate nor experience says anything. */
    private const USUAL = 32.0;

    private function __construct(private PlateRange $plate, private ?float $usual) {}

    /** @param array<string, mixed> $values of the parameters */
    public static function of(array $values): self
    {
        return new self(
            new PlateRange(ParameterList::numberIn($values, 'riseLeast'), ParameterList::numberIn($values, 'riseMost')),
            ParameterList::numberIn($values, 'rise'),
        );
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            Parameter::number('riseLeast', 'K', 5.0, 60.0),
            Parameter::number('riseMost', 'K', 10.0, 80.0)->above('riseLeast'),
            Parameter::number('rise', 'K', 10.0, 60.0),
        ];
    }

    /** @return list<Unknown> "heat": how much warmer than usual a sound furnace makes the air, as a factor */
    public function unknowns(): array
    {
        $middle = $this->plate->middle();
        if ($middle !== null && $this->plate->least !== null && $this->plate->most !== null) {
            return [Unknown::within('heat', $this->plate->least / $middle, $this->plate->most / $middle)];
        }

        return $this->usual === null ? [Populations::unknown('heat', 'heat of a furnace')] : [];
    }

    /** @return Observation what the limit does over several calls */
    public static function observation(): Observation
    {
        return new Observation('limit-holds', ['through' => 0.96, 'cuts-out' => 0.04]);
    }

    /** @return array<string, array<string, float>> what it does where the air is throttled */
    public static function throttled(): array
    {
        return ['limit-holds' => ['through' => 0.45, 'cuts-out' => 0.55]];
    }

    /**
     * @param string $motor element whose air takes the heat away; its parameter "heat" is the factor of {@see unknowns()}
     * @param float  $speed on a heat call when nothing is wrong, in rad/s
     *
     * @return list<Test>
     */
    public function tests(string $motor, float $speed): array
    {
        return [
            new Test(
                'rise',
                'rise',
                'heat',
                Probe::rise($motor, $this->plate->middle($this->usual) ?? self::USUAL, $speed, "$motor.heat"),
                14.0,
                ['ducts'],
                ['licensed', 'hot-air'],
                ['thermometers'],
                contact: Contact::Eyes,
                plate: $this->plate,
            ),
            new Test(
                'limit-holds',
                'limit-holds',
                'heat',
                Probe::observation('limit-holds'),
                40.0,
                [],
                ['licensed', 'hot-air'],
                contact: Contact::Eyes,
            ),
        ];
    }
}
