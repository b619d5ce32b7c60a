<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * The questions that lead whoever does not know his circuit to its kind, in three presses.
 */
final class Finder
{
    private const MOST = 30;

    private function __construct() {}

    /**
     * @return non-empty-list<FinderStep> the first question first
     *
     * @throws FileError when the shipped file is not as it should be
     */
    public static function steps(): array
    {
        $file = new Record(
            json_decode((string) file_get_contents(__DIR__ . '/finder.en.json'), true, 8, \JSON_THROW_ON_ERROR),
            'finder',
            ['first', 'steps'],
        );
        $first = $file->text('first');
        $told = $file->get('steps');
        $steps = [];
        foreach (\is_array($told) ? $told : [] as $key => $step) {
            $record = new Record($step, "steps.$key", ['question', 'choices']);
            $choices = array_map(
                static fn(mixed $one): FinderChoice => self::choice($one, "steps.$key"),
                $record->items('choices', self::MOST),
            );
            $steps[(string) $key] = new FinderStep(
                (string) $key,
                $record->text('question'),
                $choices === [] ? throw FileError::at("steps.$key", 'has no choices.') : $choices,
            );
        }
        $start = $steps[$first] ?? throw FileError::at('first', 'is no step.');
        unset($steps[$first]);

        return [$start, ...array_values($steps)];
    }

    private static function choice(mixed $item, string $path): FinderChoice
    {
        $record = new Record($item, $path, ['label', 'sign', 'next', 'family']);

        return new FinderChoice(
            $record->text('label'),
            $record->text('sign'),
            $record->optionalText('next'),
            $record->optionalText('family'),
        );
    }
}
