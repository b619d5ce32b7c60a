<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * The samples of a capture in a folder: one file of 32-bit floats a channel, one of least and greatest values a block.
 *
 * Nothing here holds more than a few thousand samples in memory, however long the capture is.
 */
final class SampleStore
{
    /** Samples that one pair of least and greatest value stands for. */
    public const BLOCK = 256;

    private const CHUNK = 8192;

    /** @var array<int, resource> */
    private array $samples = [];

    /** @var array<int, resource> */
    private array $blocks = [];

    /** @var array<int, list<float>> samples of the block that is not full yet, by channel */
    private array $begun = [];

    private int $bytes = 0;

    /** @param int $most bytes of samples that may be added */
    public function __construct(private readonly string $folder, private readonly int $most = \PHP_INT_MAX) {}

    /**
     * Adds samples to a channel.
     *
     * @param list<float> $values
     *
     * @throws CaptureError when the disk is full, or more is added than may be
     */
    public function append(int $channel, array $values): void
    {
        if ($values === []) {
            return;
        }
        $this->samples[$channel] ??= $this->opened("$channel.f32", 'w');
        $packed = pack('g*', ...$values);
        $this->bytes += \strlen($packed);
        if ($this->bytes > $this->most) {
            throw new CaptureError(
                'The samples would take more room on the disk than is left for this job. Cut the capture, or take it ' .
                    'at a lower rate.',
            );
        }
        if (@fwrite($this->samples[$channel], $packed) !== \strlen($packed)) {
            throw new CaptureError('The capture could not be stored: is the disk full?');
        }
        $begun = [...$this->begun[$channel] ?? [], ...$values];
        while (\count($begun) >= self::BLOCK) {
            $this->block($channel, \array_slice($begun, 0, self::BLOCK));
            $begun = \array_slice($begun, self::BLOCK);
        }
        $this->begun[$channel] = $begun;
    }

    /** Forgets what was added. */
    public function restart(): void
    {
        foreach ([...$this->samples, ...$this->blocks] as $file) {
            fclose($file);
        }
        $this->samples = $this->blocks = $this->begun = [];
        $this->bytes = 0;
    }

    /** Closes the files and keeps what the capture is. */
    public function finish(Head $head): void
    {
        foreach ($this->begun as $channel => $values) {
            if ($values !== []) {
                $this->block($channel, $values);
            }
        }
        $this->restart();
        file_put_contents(
            "$this->folder/head.json",
            json_encode($head->toArray(), \JSON_PRESERVE_ZERO_FRACTION | \JSON_THROW_ON_ERROR),
        );
    }

    /** @throws CaptureError */
    public function head(): Head
    {
        return Head::fromArray(json_decode((string) @file_get_contents("$this->folder/head.json"), true));
    }

    /**
     * The samples of a channel, a few thousand at a time.
     *
     * @return \Generator<int, non-empty-list<float>> number of the first one of each part as its key
     *
     * @throws CaptureError
     */
    public function parts(int $channel, int $from = 0, ?int $to = null): \Generator
    {
        yield from $this->floats("$channel.f32", $from, $to ?? $this->head()->count);
    }

    /**
     * Least and greatest value of each of the columns of a picture.
     *
     * @param int $from first sample
     * @param int $to   after the last one
     *
     * @return list<array{0: float, 1: float}>
     */
    public function envelope(int $channel, int $from, int $to, int $columns): array
    {
        $each = max(1.0, ($to - $from) / $columns);
        $blocks = $each > 2 * self::BLOCK;
        $envelope = [];
        if ($blocks) {
            $number = intdiv($from, self::BLOCK) * 2;
            $least = null;
            foreach ($this->floats("$channel.blocks", $number, intdiv($to - 1, self::BLOCK) * 2 + 2) as $values) {
                foreach ($values as $value) {
                    if ($least === null) {
                        $least = $value;
                        continue;
                    }
                    $column = max(0, (int) ((intdiv($number, 2) * self::BLOCK - $from) / $each));
                    self::widen($envelope, min($column, $columns - 1), $least, $value);
                    $least = null;
                    $number += 2;
                }
            }
        } else {
            foreach ($this->parts($channel, $from, $to) as $first => $values) {
                foreach ($values as $offset => $value) {
                    self::widen(
                        $envelope,
                        min((int) (($first + $offset - $from) / $each), $columns - 1),
                        $value,
                        $value,
                    );
                }
            }
        }

        return array_values($envelope);
    }

    /** @param array<int, array{0: float, 1: float}> $envelope */
    private static function widen(array &$envelope, int $column, float $least, float $most): void
    {
        $envelope[$column] = isset($envelope[$column])
            ? [min($envelope[$column][0], $least), max($envelope[$column][1], $most)]
            : [$least, $most];
    }

    /** @return \Generator<int, non-empty-list<float>> */
    private function floats(string $name, int $from, int $to): \Generator
    {
        $file = @fopen("$this->folder/$name", 'r');
        if ($file === false) {
            throw new CaptureError('The samples of this capture are gone: import it again.');
        }
        fseek($file, 4 * $from);
        for ($at = $from; $at < $to; $at += self::CHUNK) {
            $bytes = fread($file, 4 * max(1, min(self::CHUNK, $to - $at)));
            /** @var array<int, float>|false $values */
            $values = $bytes === false ? false : unpack('g*', $bytes);
            if ($values === false || $values === []) {
                break;
            }
            yield $at => array_values($values);
        }
        fclose($file);
    }

    /** @param non-empty-list<float> $values */
    private function block(int $channel, array $values): void
    {
        $this->blocks[$channel] ??= $this->opened("$channel.blocks", 'w');
        fwrite($this->blocks[$channel], pack('g2', min($values), max($values)));
    }

    /**
     * @return resource
     *
     * @throws CaptureError
     */
    private function opened(string $name, string $mode)
    {
        if (!is_dir($this->folder)) {
            @mkdir($this->folder, 0o775, true);
        }

        return @fopen("$this->folder/$name", $mode) ?:
            throw new CaptureError('The capture could not be stored: the folder cannot be written.');
    }
}
