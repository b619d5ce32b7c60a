<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * The sentences of a family, kept apart from its logic so that they can be translated.
 */
final class Texts
{
    /** @param array<string, string> $sentences by dotted key */
    private function __construct(private readonly array $sentences) {}

    /** @throws \RuntimeException when the file is missing or is not a JSON object of texts */
    public static function fromFile(string $path): self
    {
        $data = json_decode((string) file_get_contents($path), true);
        if (!\is_array($data)) {
            throw new \RuntimeException("The texts in $path are not a JSON object.");
        }

        return new self(self::flatten($data, ''));
    }

    /** These sentences, and those of another list where these say nothing. */
    public function over(self $base): self
    {
        return new self($this->sentences + $base->sentences);
    }

    /**
     * Where nodes are found: by their own sentence, or, for "tap-3", by that of "tap" with the rest as {k}.
     *
     * @param list<string> $nodes
     *
     * @return array<array-key, string>
     */
    public function places(array $nodes): array
    {
        $places = [];
        foreach ($nodes as $node) {
            [$base, $k] = [$node, ''];
            if (!isset($this->sentences["places.$node"]) && preg_match('/^(.+)-(\w+)$/', $node, $found) === 1) {
                [, $base, $k] = $found;
            }
            $places[$node] = $this->get("places.$base", ['k' => $k]);
        }

        return $places;
    }

    /** @param array<string, string> $words values for {placeholders} */
    public function get(string $key, array $words = []): string
    {
        $sentence = $this->sentences[$key] ?? throw new \OutOfBoundsException("No sentence is called \"$key\".");
        $replacements = [];
        foreach ($words as $name => $word) {
            $replacements['{' . $name . '}'] = $word;
        }

        return strtr($sentence, $replacements);
    }

    /**
     * Sentences that stand in a list.
     *
     * @return list<string>
     */
    public function list(string $key): array
    {
        $list = [];
        while (isset($this->sentences["$key." . \count($list)])) {
            $list[] = $this->sentences["$key." . \count($list)];
        }

        return $list;
    }

    /** @param array<string, string> $words */
    public function find(string $key, array $words = []): ?string
    {
        return isset($this->sentences[$key]) ? $this->get($key, $words) : null;
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return array<string, string>
     */
    private static function flatten(array $data, string $prefix): array
    {
        $flat = [];
        foreach ($data as $key => $value) {
            if (\is_array($value)) {
                $flat += self::flatten($value, "$prefix$key.");
            } elseif (\is_string($value)) {
                $flat["$prefix$key"] = $value;
            }
        }

        return $flat;
    }
}
