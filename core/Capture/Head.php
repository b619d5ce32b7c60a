<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * What a capture is, apart from its samples.
 */
final readonly class Head
{
    public const MOST_CHANNELS = 8;
    public const MOST_SAMPLES = 20_000_000;

    /**
     * @param non-empty-list<string> $channels names
     * @param list<string>           $units    of the samples, by channel: V, or empty for logic
     * @param float                  $interval between samples, in s
     * @param float                  $start    time of the first sample, in s
     * @param int                    $count    samples of each channel
     * @param list<string>           $repairs  what was wrong with the file and was mended, in words
     */
    public function __construct(
        public array $channels,
        public array $units,
        public float $interval,
        public float $start,
        public int $count,
        public array $repairs = [],
    ) {}

    /** @throws CaptureError when a channel has more samples than can be kept */
    public static function within(int $count): void
    {
        if ($count > self::MOST_SAMPLES) {
            throw new CaptureError(
                'The capture is longer than ' .
                    number_format(self::MOST_SAMPLES) .
                    ' samples. Cut it, or capture at a lower rate.',
            );
        }
    }

    /** Time from the first sample to the last, in s. */
    public function span(): float
    {
        return max(0, $this->count - 1) * $this->interval;
    }

    /** @return array{channels: non-empty-list<string>, units: list<string>, interval: float, start: float, count: int, repairs: list<string>} */
    public function toArray(): array
    {
        return [
            'channels' => $this->channels,
            'units' => $this->units,
            'interval' => $this->interval,
            'start' => $this->start,
            'count' => $this->count,
            'repairs' => $this->repairs,
        ];
    }

    /** @throws CaptureError when it was not written by {@see toArray()} */
    public static function fromArray(mixed $data): self
    {
        if (
            !\is_array($data) ||
            !\is_array($data['channels'] ?? null) ||
            $data['channels'] === [] ||
            !\is_array($data['units'] ?? null) ||
            !is_numeric($data['interval'] ?? null) ||
            !is_numeric($data['start'] ?? null) ||
            !\is_int($data['count'] ?? null)
        ) {
            throw new CaptureError('The capture is damaged: import it again.');
        }
        $texts = static fn(mixed $list): array => array_values(
            array_map(static fn(mixed $one): string => \is_string($one) ? $one : '', \is_array($list) ? $list : []),
        );

        return new self(
            array_values(array_map(static fn(mixed $one): string => \is_string($one) ? $one : '', $data['channels'])),
            $texts($data['units']),
            (float) $data['interval'],
            (float) $data['start'],
            $data['count'],
            $texts($data['repairs'] ?? []),
        );
    }
}
