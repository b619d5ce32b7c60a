<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * Reads and writes procedures (see docs/formats/procedure.schema.json).
 */
final class ProcedureFormat
{
    private const MOST_BYTES = 200_000;
    public const MOST_STEPS = 80;
    public const MOST_LINES = 30;
    public const LONGEST_LINE = 1000;

    /** Seconds in a day: what takes longer is no wait of a procedure. */
    public const LONGEST_WAIT = 86_400;

    /** @throws ProcedureError */
    public static function read(string $json): Procedure
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new ProcedureError('A procedure is at most 200 kB long.');
        }
        try {
            $data = json_decode($json, true, 16, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new ProcedureError("The text is not complete JSON: {$error->getMessage()}.");
        }
        try {
            return self::procedure($data);
        } catch (FileError $error) {
            throw new ProcedureError($error->getMessage());
        }
    }

    /** @return array<string, mixed> */
    public static function toArray(Procedure $procedure): array
    {
        return [
            'format' => Procedure::NAME,
            'version' => Procedure::VERSION,
            'key' => $procedure->key,
            'title' => $procedure->title,
            'summary' => $procedure->summary,
            'families' => $procedure->families,
            'cautions' => $procedure->cautions,
            'steps' => array_map(
                static fn(Step $step): array => array_filter(
                    [
                        'text' => $step->text,
                        'cautions' => $step->cautions,
                        'wait' =>
                            $step->wait === null
                                ? null
                                : array_filter(
                                    [
                                        'least' => $step->wait->least,
                                        'most' => $step->wait->most,
                                        'reason' => $step->wait->reason,
                                        'formula' => $step->wait->formula,
                                    ],
                                    static fn(mixed $one): bool => $one !== null,
                                ),
                        'expect' => $step->expect,
                        'otherwise' => $step->otherwise,
                        'confirm' => $step->confirm,
                    ],
                    static fn(mixed $one): bool => $one !== null && $one !== [],
                ),
                $procedure->steps,
            ),
            'abort' => $procedure->abort,
        ];
    }

    private static function procedure(mixed $data): Procedure
    {
        $record = Record::document($data, 'procedure', Procedure::NAME, Procedure::VERSION, [
            'key',
            'title',
            'summary',
            'families',
            'cautions',
            'steps',
            'abort',
        ]);
        $key = $record->text('key');
        if (preg_match('/^[a-z][a-z0-9-]{1,58}$/', $key) !== 1) {
            throw FileError::at('key', 'is made of lower case letters, digits and hyphens.');
        }
        $steps = [];
        foreach ($record->items('steps', self::MOST_STEPS) as $number => $item) {
            $steps[] = self::step($item, "steps[$number]");
        }
        $families = self::texts($record, 'families', 'families');

        return new Procedure(
            $key,
            $record->text('title'),
            $record->text('summary'),
            $families,
            self::some(self::texts($record, 'cautions', 'cautions'), 'cautions'),
            self::some($steps, 'steps'),
            self::some(self::texts($record, 'abort', 'abort'), 'abort'),
        );
    }

    private static function step(mixed $item, string $path): Step
    {
        $record = new Record($item, $path, ['text', 'cautions', 'wait', 'expect', 'otherwise', 'confirm']);
        $wait = null;
        if ($record->get('wait') !== null) {
            $told = new Record($record->get('wait'), "$path.wait", ['least', 'most', 'reason', 'formula']);
            $least = $told->count('least', self::LONGEST_WAIT);
            $most = $told->get('most') === null ? null : $told->count('most', self::LONGEST_WAIT);
            $formula = $told->optionalText('formula');
            if (($most !== null && $most < $least) || ($formula !== null && $formula !== StoredCharge::FORMULA)) {
                throw FileError::at(
                    "$path.wait",
                    'needs least in seconds, most not below it, and no other formula than "' .
                        StoredCharge::FORMULA .
                        '".',
                );
            }
            $wait = new Wait($least, $most, $told->text('reason'), $formula);
        }
        if ($record->optionalText('otherwise') !== null && $record->optionalText('expect') === null) {
            throw FileError::at("$path.otherwise", 'says what to do when "expect" is not seen: give that too.');
        }

        return new Step(
            $record->text('text'),
            self::texts($record, 'cautions', "$path.cautions"),
            $wait,
            $record->optionalText('expect'),
            $record->optionalText('otherwise'),
            $record->optionalText('confirm'),
        );
    }

    /** @return list<string> */
    private static function texts(Record $record, string $field, string $path): array
    {
        $texts = [];
        foreach ($record->get($field) === null ? [] : $record->items($field, self::MOST_LINES) as $number => $text) {
            if (!\is_string($text) || trim($text) === '' || mb_strlen($text) > self::LONGEST_LINE) {
                throw FileError::at("{$path}[$number]", 'must be a text.');
            }
            $texts[] = $text;
        }

        return $texts;
    }

    /**
     * @template T
     *
     * @param list<T> $items
     *
     * @return non-empty-list<T>
     */
    private static function some(array $items, string $path): array
    {
        return $items === [] ? throw FileError::at($path, 'must not be empty.') : $items;
    }
}
