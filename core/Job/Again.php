<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * A part that was replaced not long before on this unit, or several times on its model: then what destroys it, or
 * leads to it, is suspected more.
 */
final readonly class Again
{
    /** On a model the same part has to go so often at least before it is said. */
    public const OFTEN = 3;

    /** Parts that count as replaced before, where something was replaced once on the unit or often on the model. */
    private const AS_REPLACED = 2;

    private const LONGEST = 200;

    /**
     * @param string      $part   label of what was replaced
     * @param string|null $on     day of the newest, YYYY-MM-DD
     * @param string|null $job    number of that job
     * @param bool        $ofUnit whether it was this unit; otherwise its model
     * @param int         $times  within the time that the workshop looks back
     */
    public function __construct(
        public string $part,
        public ?string $on,
        public ?string $job,
        public bool $ofUnit,
        public int $times,
    ) {}

    /**
     * How many parts count as replaced before, given those that were noted.
     *
     * @param list<self> $again
     */
    public static function replacedBefore(array $again, int $noted): int
    {
        $ofUnit = array_sum(array_map(static fn(self $one): int => $one->ofUnit ? $one->times : 0, $again));

        return $again === [] ? $noted : max($noted, self::AS_REPLACED, $ofUnit);
    }

    /**
     * @return list<self>
     *
     * @throws FileError
     */
    public static function list(mixed $given, string $path): array
    {
        $list = [];
        foreach ((new Record(['again' => $given ?? []], $path, ['again']))->items('again', 20) as $number => $item) {
            $record = new Record($item, "$path.again[$number]", ['part', 'on', 'job', 'ofUnit', 'times']);
            $list[] = new self(
                mb_substr($record->text('part'), 0, self::LONGEST),
                $record->day('on'),
                $record->optionalText('job'),
                $record->flag('ofUnit', true),
                $record->count('times'),
            );
        }

        return $list;
    }
}
