<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * One thing done in an exercise; nothing of it is changed afterwards.
 */
final readonly class PracticeAct
{
    /**
     * @param string $id a ULID
     * @param array<string, string|float|bool> $data see {@see PracticeActKind}
     * @param int $after readings that had been written down before
     */
    public function __construct(
        public string $id,
        public PracticeActKind $kind,
        public array $data,
        public int $after,
    ) {}

    public function text(string $field): string
    {
        $value = $this->data[$field] ?? '';

        return \is_string($value) ? $value : '';
    }

    /** @throws FileError */
    public static function read(mixed $item, string $path): self
    {
        $record = new Record($item, $path, ['id', 'kind', 'data', 'after']);
        $data = $record->get('data');
        $kept = [];
        foreach (\is_array($data) ? $data : [] as $field => $value) {
            if (\is_string($value) || \is_bool($value) || \is_int($value) || \is_float($value)) {
                $kept[(string) $field] = \is_int($value) ? (float) $value : $value;
            }
        }

        return new self(
            $record->text('id'),
            PracticeActKind::tryFrom($record->text('kind')) ?? throw FileError::at("$path.kind", 'is not known.'),
            $kept,
            (int) ($record->optionalNumber('after') ?? 0.0),
        );
    }
}
