<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Kernel\Choice;

/**
 * What a kind of part is compared by, as a form shows it.
 */
final class AttributeView
{
    /** @return list<AttributeShown> */
    public static function of(PartType $type): array
    {
        return array_map(
            static fn(FitAttribute $one): AttributeShown => new AttributeShown(
                key: $one->value,
                label: $one->label(),
                unit: $one->unit(),
                hint: $one->hint(),
                choices: array_map(
                    static fn(string $value, string $label): Choice => new Choice(value: $value, label: $label),
                    array_map(strval(...), array_keys($one->choices())),
                    array_values($one->choices()),
                ),
            ),
            $type->attributes(),
        );
    }
}
