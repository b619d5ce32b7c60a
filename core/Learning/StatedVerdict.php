<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * What was replaced on a job, how sure the verdict was of it, and what came of it.
 */
final readonly class StatedVerdict implements \JsonSerializable
{
    /**
     * @param string     $remedy what was replaced
     * @param float|null $stated chance that it is the right one, as stated then; null where none was named
     * @param bool|null  $held   whether the machine ran right after it and stayed so; null where that is not known
     */
    public function __construct(public string $remedy, public ?float $stated, public ?bool $held) {}

    /** @return array{string, float|null, bool|null} as {@see list} reads it */
    public function jsonSerialize(): array
    {
        return [$this->remedy, $this->stated, $this->held];
    }

    /**
     * @param string $json of a list of them, as it was kept
     *
     * @return list<self>
     */
    public static function list(string $json): array
    {
        $verdicts = [];
        foreach ((array) json_decode($json, true) as $one) {
            if (\is_array($one) && \is_string($one[0] ?? null)) {
                $stated = $one[1] ?? null;
                $verdicts[] = new self(
                    $one[0],
                    \is_float($stated) || \is_int($stated) ? (float) $stated : null,
                    \is_bool($one[2] ?? null) ? $one[2] : null,
                );
            }
        }

        return $verdicts;
    }
}
