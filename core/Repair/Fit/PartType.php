<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

/**
 * Kinds of part that have the same things to compare.
 */
enum PartType: string
{
    case Motor = 'motor';
    case Module = 'module';
    case Pack = 'pack';
    case Board = 'board';
    case Relay = 'relay';
    case Capacitor = 'capacitor';
    case Selector = 'selector';
    case Actuator = 'actuator';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Motor => 'Motor or fan',
            self::Module => 'Electronic module',
            self::Pack => 'Resistor pack (coils)',
            self::Board => 'Control board or head',
            self::Relay => 'Relay or contactor',
            self::Capacitor => 'Capacitor',
            self::Selector => 'Switch or stalk',
            self::Actuator => 'Actuator or linkage',
            self::Other => 'Something else',
        };
    }

    /** @return list<FitAttribute> what has to be compared, the costliest surprise first */
    public function attributes(): array
    {
        return array_values(
            array_filter(FitAttribute::cases(), fn(FitAttribute $one): bool => \in_array($this, $one->types(), true)),
        );
    }
}
