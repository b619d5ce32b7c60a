<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * How a person writes numbers. Typed ones are read either way.
 */
enum NumberLanguage: string
{
    case Point = 'point';
    case Comma = 'comma';

    /** A thin space, which does not break: thousands beside a comma. */
    private const THIN = "\u{202f}";

    public function figure(float $number, int $digits): string
    {
        return number_format($number, $digits, $this === self::Comma ? ',' : '.', '');
    }

    /** A sentence whose numbers are written with points, and their thousands with commas, in this language. */
    public function said(string $sentence): string
    {
        if ($this === self::Point) {
            return $sentence;
        }

        return (string) preg_replace_callback(
            // Not a number are versions and addresses, with several points, and what is part of a word.
            '/(?<![\w.,])\d+(?:,\d{3})*(?:\.\d+)?(?![\w]|[.,]\d)/u',
            static fn(array $found): string => strtr($found[0], [',' => self::THIN, '.' => ',']),
            $sentence,
        );
    }

    /**
     * The same for every text of a list, however deep.
     *
     * @template T of array<array-key, mixed>
     *
     * @param T $said
     *
     * @return T
     */
    public function all(array $said): array
    {
        if ($this === self::Point) {
            return $said;
        }
        array_walk_recursive($said, function (mixed &$one): void {
            $one = \is_string($one) ? $this->said($one) : $one;
        });

        return $said;
    }
}
