<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Kernel\MeasureReader;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * The parameters of a family, and the reading of values for them.
 */
final readonly class ParameterList
{
    private const LONGEST_TEXT = 20000;

    /** @var array<string, Parameter> */
    public array $parameters;

    /** @param list<Parameter> $parameters */
    public function __construct(array $parameters)
    {
        $this->parameters = array_column($parameters, null, 'key');
    }

    /**
     * Checks and completes values; what is missing takes its default, or stays unknown (null).
     *
     * Numbers may be numbers or texts such as "0.42", "0,42" or "420m".
     *
     * @param array<array-key, mixed> $raw
     *
     * @return array<string, string|float|list<float>|null>
     *
     * @throws ParameterError
     */
    public function read(array $raw): array
    {
        $values = [];
        $messages = [];
        foreach (array_keys($raw) as $key) {
            if (!isset($this->parameters[$key])) {
                $messages[(string) $key] = "The circuit has no field \"$key\".";
            }
        }
        foreach ($this->parameters as $key => $parameter) {
            $given = $raw[$key] ?? null;
            try {
                // A text that was emptied is empty; a number that was is not known.
                $given = $parameter->kind === 'text' && \array_key_exists($key, $raw) ? $given ?? '' : $given;
                $values[$key] =
                    $given === null || ($parameter->kind !== 'text' && $given === '') || $given === []
                        ? $parameter->default
                        : match ($parameter->kind) {
                            'choice' => $this->choice($parameter, $given),
                            'number' => $this->number($parameter, $given),
                            'numbers' => $this->numbers($parameter, $given, $values),
                            'text' => self::text($given),
                        };
            } catch (UnreadableNumber $error) {
                $messages[$key] = $error->getMessage();
            }
        }
        if ($messages !== []) {
            throw new ParameterError($messages);
        }

        return $values;
    }

    /**
     * The same for what a person just typed: values that contradict each other are refused too. What was stored before
     * stays readable.
     *
     * @param array<array-key, mixed> $raw
     *
     * @return array<string, string|float|list<float>|null>
     *
     * @throws ParameterError
     */
    public function typed(array $raw): array
    {
        $values = $this->read($raw);
        $messages = [];
        $taken = [];
        foreach ($this->parameters as $key => $parameter) {
            $least = $parameter->above === null ? null : self::numberIn($values, $parameter->above);
            $most = self::numberIn($values, $key);
            if ($least !== null && $most !== null && $most <= $least) {
                $messages[$key] = "Give more than the least, $least $parameter->unit.";
            }
            if ($parameter->steadyTo !== null && !self::isSteady($values, $key, $parameter->steadyTo)) {
                $messages[$key] = 'Give all of them and the last one, each more than the one before, or each less.';
            }
            $value = $values[$key] ?? null;
            if ($parameter->distinct === null || $value === null || $value === Parameter::UNKNOWN) {
                continue;
            }
            $said = \is_float($value) ? (string) $value : (\is_string($value) ? $value : '');
            if (isset($taken[$parameter->distinct][$said])) {
                $messages[$key] = "\"$said\" is taken already: give each its own, or leave it open.";
            }
            $taken[$parameter->distinct][$said] = true;
        }
        if ($messages !== []) {
            throw new ParameterError($messages);
        }

        return $values;
    }

    /** @param array<string, mixed> $values */
    private static function isSteady(array $values, string $key, string $last): bool
    {
        $list = \is_array($values[$key] ?? null) ? array_values(array_filter($values[$key], \is_float(...))) : [];
        $end = self::numberIn($values, $last);
        if ($list === [] || $end === null) {
            return $list === [] && $end === null;
        }
        $ways = [];
        foreach ([...\array_slice($list, 1), $end] as $number => $value) {
            $ways[] = $value <=> $list[$number];
        }

        return \count(array_unique($ways)) === 1 && $ways[0] !== 0;
    }

    /** @return array<string, string> nothing, wherever the default is only an example's */
    public function blank(): array
    {
        return array_fill_keys(
            array_keys(array_filter($this->parameters, static fn(Parameter $one): bool => $one->example)),
            '',
        );
    }

    /**
     * Whether everything that only an example gives still stands as the example has it.
     *
     * @param array<array-key, mixed> $values as returned by {@see read()}
     */
    public function isExample(array $values): bool
    {
        $examples = array_filter($this->parameters, static fn(Parameter $one): bool => $one->example);
        foreach ($examples as $key => $one) {
            if (($values[$key] ?? $one->default) !== $one->default) {
                return false;
            }
        }

        return $examples !== [];
    }

    /** @return array<string, string|float|null> */
    public function defaults(): array
    {
        return array_map(static fn(Parameter $one): string|float|null => $one->default, $this->parameters);
    }

    /**
     * Numbers that were left empty and have no default but an example's.
     *
     * @param array<array-key, mixed> $raw
     *
     * @return array<string, string> message by key
     */
    public function leftEmpty(array $raw): array
    {
        $empty = [];
        foreach ($this->parameters as $key => $one) {
            $given = $raw[$key] ?? '';
            $only = $one->onlyWith;
            $chosen = $only === null ? null : $raw[$only['key']] ?? ($this->parameters[$only['key']]->default ?? null);
            $asked = $only === null || \in_array($chosen, $only['values'], true);
            $left = \array_key_exists($key, $raw) && \is_string($given) && trim($given) === '';
            if ($asked && $left && $one->example && $one->kind === 'number') {
                $empty[$key] = 'Fill this in.';
            }
        }

        return $empty;
    }

    /**
     * A number among values that were read.
     *
     * @param array<string, mixed> $values as returned by {@see read()}
     *
     * @return float|null null when it is not known
     */
    public static function numberIn(array $values, string $key): ?float
    {
        $value = $values[$key] ?? null;

        return \is_float($value) ? $value : null;
    }

    private function choice(Parameter $parameter, mixed $given): string
    {
        $given = \is_int($given) ? (string) $given : $given;
        if (!\is_string($given) || !\in_array($given, $parameter->choices, true)) {
            throw new UnreadableNumber('Choose one of: ' . implode(', ', $parameter->choices) . '.');
        }

        return $given;
    }

    private static function text(mixed $given): string
    {
        return \is_string($given) && \strlen($given) <= self::LONGEST_TEXT
            ? $given
            : throw new UnreadableNumber('Type at most ' . self::LONGEST_TEXT . ' characters.');
    }

    private function number(Parameter $parameter, mixed $given): float
    {
        if ($parameter->orOpen && MeasureReader::read($given, $parameter->unit)->isOverRange()) {
            return \INF;
        }
        $number = NumberReader::read($given, $parameter->unit);
        if ($number < $parameter->least || $number > $parameter->most) {
            throw new UnreadableNumber("Give a value from $parameter->least to $parameter->most $parameter->unit.");
        }

        return $number;
    }

    /**
     * @param array<string, mixed> $values read so far
     *
     * @return list<float>
     */
    private function numbers(Parameter $parameter, mixed $given, array $values): array
    {
        $of = $parameter->countOf === null ? null : $values[$parameter->countOf] ?? null;
        $count = is_numeric($of) ? (int) $of - 1 : 0;
        if (!\is_array($given) || \count($given) !== $count) {
            throw new UnreadableNumber("Give all $count values, or leave all of them empty.");
        }

        return array_map(fn(mixed $one): float => $this->number($parameter, $one), array_values($given));
    }
}
