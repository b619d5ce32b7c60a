<?php

declare(strict_types=1);

namespace Tests\Core;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;

/**
 * What a hurried person might fill in: choices as they come, numbers anywhere in their range and often at its ends, and
 * much left empty.
 */
final class RandomFields
{
    private function __construct() {}

    /** @return array<string, mixed> as a form sends it */
    public static function of(ParameterList $list): array
    {
        $raw = [];
        foreach ($list->parameters as $key => $parameter) {
            if (mt_rand(0, 2) === 0) {
                continue;
            }
            if ($parameter->kind === 'choice') {
                $raw[$key] = $parameter->choices[mt_rand(0, \count($parameter->choices) - 1)];
            } elseif ($parameter->kind === 'number') {
                $raw[$key] = self::number($parameter);
            } elseif ($parameter->kind === 'numbers') {
                $count =
                    (int) (is_numeric($raw[$parameter->countOf] ?? null)
                        ? $raw[$parameter->countOf]
                        : (is_numeric($list->parameters[$parameter->countOf]->default ?? null)
                            ? $list->parameters[$parameter->countOf]->default
                            : 1)) - 1;
                $raw[$key] = array_map(
                    static fn(): string => self::number($parameter),
                    $count > 0 ? range(1, $count) : [],
                );
            }
        }

        return $raw;
    }

    private static function number(Parameter $parameter): string
    {
        $share = match (mt_rand(0, 5)) {
            0 => 0.0,
            1 => 1.0,
            default => mt_rand() / mt_getrandmax(),
        };
        // Small values of a wide range are as likely as large ones.
        $number =
            $parameter->least > 0.0 && $parameter->most > 20.0 * $parameter->least
                ? $parameter->least * ($parameter->most / $parameter->least) ** $share
                : $parameter->least + $share * ($parameter->most - $parameter->least);

        return sprintf('%.6g', max($parameter->least, min($parameter->most, $number)));
    }
}
