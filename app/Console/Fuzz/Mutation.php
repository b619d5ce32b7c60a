<?php

declare(strict_types=1);

namespace App\Console\Fuzz;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Spoils what was right: fields of a request, bytes of a file. The same seed spoils in the same way.
 */
final class Mutation
{
    private const TEXTS = [
        '',
        ' ',
        '0',
        '-1',
        '1e309',
        'NaN',
        '-0',
        '99999999999999999999',
        '0x1F',
        '1,5',
        '1.5.5',
        "\u{202E}",
        "a\0b",
        "\xC3\x28",
        "\xED\xA0\x80",
        '🛥️',
        '=1+1',
        "'; DROP TABLE jobs; --",
        '<script>alert(1)</script>',
        '../../../../etc/passwd',
        '{{7*7}}',
        '%00',
        'yesterday',
        '2026-02-30',
        '0000-00-00',
        '9999-12-31T23:59:59Z',
        '-271821-04-20T00:00:00Z',
        '1969-12-31',
        'true',
        'null',
        '[]',
        'on',
    ];

    private readonly Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function below(int $number): int
    {
        return $this->chance->getInt(0, max(0, $number - 1));
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $of
     *
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->below(count($of))];
    }

    /**
     * One to three fields of a body are spoilt, left out, doubled or put elsewhere.
     *
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    public function body(array $body): array
    {
        for ($times = 1 + $this->below(3); $times > 0; --$times) {
            $body = $this->onceIn($body);
        }

        return $body;
    }

    public function value(): mixed
    {
        return match ($this->below(12)) {
            0 => null,
            1 => [],
            2 => [[], [1, ['a' => 'b']]],
            3 => $this->chance->getInt(PHP_INT_MIN, PHP_INT_MAX),
            4 => -1.5e300,
            5 => (bool) $this->below(2),
            6 => str_repeat($this->one(['a', 'ä', '9', '(']), $this->one([200, 5000, 70_000])),
            7 => ['x' => str_repeat('y', 300)],
            8 => strtolower(bin2hex($this->chance->getBytes(13))),
            9 => array_fill(0, 200, 'z'),
            default => $this->one(self::TEXTS),
        };
    }

    public function bytes(string $bytes): string
    {
        for ($times = 1 + $this->below(6); $times > 0 && $bytes !== ''; --$times) {
            $at = $this->below(strlen($bytes));
            $length = max(1, min(strlen($bytes) - $at, 1 + $this->below(40)));
            $bytes = match ($this->below(7)) {
                0 => substr_replace($bytes, chr($this->below(256)), $at, 1),
                1 => substr($bytes, 0, $at),
                2 => substr_replace($bytes, '', $at, $length),
                3 => substr_replace($bytes, str_repeat(substr($bytes, $at, $length), 1 + $this->below(30)), $at, 0),
                4 => substr_replace($bytes, $this->chance->getBytes($length), $at, $length),
                5 => substr_replace(
                    $bytes,
                    $this->one([...self::TEXTS, '1e99', '-', '"', ',', "\n", '{', ']']),
                    $at,
                    $length,
                ),
                default => (string) preg_replace(
                    '/\d+/',
                    (string) $this->one([0, -7, 1e20, 4_294_967_296]),
                    $bytes,
                    1 + $this->below(3),
                ),
            };
        }

        return $bytes;
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    private function onceIn(array $body): array
    {
        if ($body === [] || $this->below(12) === 0) {
            return $body + [(string) $this->one(['id', 'extra', '_method', 'job', 'states', '']) => $this->value()];
        }
        $key = $this->one(array_keys($body));
        if (is_array($body[$key]) && $this->below(3) > 0) {
            $body[$key] = $this->onceIn($body[$key]);

            return $body;
        }
        if ($this->below(6) === 0) {
            unset($body[$key]);

            return $body;
        }
        $body[$key] =
            is_string($body[$key]) && $body[$key] !== '' && $this->below(4) === 0
                ? $this->bytes($body[$key])
                : $this->value();

        return $body;
    }
}
