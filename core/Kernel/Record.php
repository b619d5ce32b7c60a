<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Takes typed values out of an object of a JSON file, and refuses what it does not know.
 */
final class Record
{
    private const LONGEST_TEXT = 5000;

    /** @var array<string, mixed> */
    private readonly array $data;

    /**
     * @param list<string> $known every key the object may have
     *
     * @throws FileError
     */
    public function __construct(mixed $data, private readonly string $path, array $known)
    {
        if (!\is_array($data) || ($data !== [] && array_is_list($data))) {
            throw FileError::at($path, 'must be an object.');
        }
        $typed = [];
        foreach ($data as $key => $value) {
            if (!\in_array((string) $key, $known, true)) {
                throw FileError::at($path, "unknown field \"$key\".");
            }
            $typed[(string) $key] = $value;
        }
        $this->data = $typed;
    }

    /**
     * A whole document that says which format and version it is of.
     *
     * @param list<string> $known every key it may have beside those two
     *
     * @throws FileError
     */
    public static function document(mixed $data, string $path, string $name, int $version, array $known): self
    {
        if (!\is_array($data) || ($data['format'] ?? null) !== $name || ($data['version'] ?? null) !== $version) {
            throw FileError::at('format', "must be \"$name\", version $version.");
        }

        return new self($data, $path, ['format', 'version', ...$known]);
    }

    public function get(string $key): mixed
    {
        return $this->data[$key] ?? null;
    }

    public function text(string $key): string
    {
        return $this->optionalText($key) ?? throw FileError::at("$this->path.$key", 'must be a text.');
    }

    public function optionalText(string $key): ?string
    {
        $value = $this->data[$key] ?? null;
        if ($value !== null && (!\is_string($value) || mb_strlen($value) > self::LONGEST_TEXT)) {
            throw FileError::at("$this->path.$key", 'must be a text of at most ' . self::LONGEST_TEXT . ' characters.');
        }

        return $value;
    }

    /** A moment as ISO 8601 text. */
    public function moment(string $key): ?string
    {
        $text = $this->optionalText($key);
        if ($text === null) {
            return null;
        }
        try {
            Moment::read($text);
        } catch (UnreadableNumber $error) {
            throw FileError::at("$this->path.$key", $error->getMessage());
        }

        return $text;
    }

    public function day(string $key): ?string
    {
        $text = $this->optionalText($key);
        if ($text !== null && (preg_match('/^\d{4}-\d\d-\d\d$/', $text) !== 1 || date_create($text) === false)) {
            throw FileError::at("$this->path.$key", 'must be a day such as 2026-03-01.');
        }

        return $text;
    }

    public function flag(string $key, bool $default): bool
    {
        $value = $this->data[$key] ?? $default;

        return \is_bool($value) ? $value : throw FileError::at("$this->path.$key", 'must be true or false.');
    }

    public function count(string $key, int $most = 999): int
    {
        $value = $this->data[$key] ?? 0;

        return \is_int($value) && $value >= 0 && $value <= $most
            ? $value
            : throw FileError::at("$this->path.$key", "must be a whole number from zero to $most.");
    }

    public function optionalNumber(string $key): ?float
    {
        $value = $this->data[$key] ?? null;
        if ($value !== null && !\is_int($value) && !\is_float($value)) {
            throw FileError::at("$this->path.$key", 'must be a number.');
        }

        return $value === null ? null : (float) $value;
    }

    /** @return list<mixed> */
    public function items(string $key, int $most): array
    {
        $value = $this->data[$key] ?? [];
        if (!\is_array($value) || !array_is_list($value)) {
            throw FileError::at("$this->path.$key", 'must be a list.');
        }
        if (\count($value) > $most) {
            throw FileError::at("$this->path.$key", "may have at most $most entries.");
        }

        return $value;
    }
}
