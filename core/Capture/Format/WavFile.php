<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\SampleStore;

/**
 * A sound file with samples as they are: RIFF WAVE, PCM of 8 to 32 bits or 32-bit floats.
 */
final readonly class WavFile
{
    private const PCM = 1;
    private const FLOAT = 3;
    private const EXTENSIBLE = 0xfffe;
    private const FRAMES = 4096;

    /** @param resource $file at its beginning */
    public function __construct(private mixed $file) {}

    /** @throws CaptureError */
    public function into(SampleStore $store, ImportSettings $settings): Head
    {
        if (substr($this->bytes(12), 8, 4) !== 'WAVE') {
            throw new CaptureError('The file begins as a RIFF file but is no WAV.');
        }
        $format = null;
        while (($chunk = fread($this->file, 8)) !== false && \strlen($chunk) === 8) {
            $size = self::number('V', substr($chunk, 4));
            $name = substr($chunk, 0, 4);
            if ($name === 'fmt ') {
                $format = $this->format($this->bytes(min($size, 64)));
                fseek($this->file, max(0, $size - 64) + ($size % 2), \SEEK_CUR);
            } elseif ($name === 'data') {
                return $this->data(
                    $format ?? throw new CaptureError('The WAV file has samples before it says what they are.'),
                    $size,
                    $store,
                    $settings,
                );
            } elseif (fseek($this->file, $size + ($size % 2), \SEEK_CUR) !== 0) {
                break;
            }
        }
        throw new CaptureError('The WAV file holds no samples: it may have been cut off.');
    }

    /** @return array{kind: int, channels: int<1, 8>, rate: int<1, max>, bytes: int<1, 4>} */
    private function format(string $bytes): array
    {
        if (\strlen($bytes) < 16) {
            throw new CaptureError('The WAV file is cut off in its head.');
        }
        $kind = self::number('v', $bytes);
        if ($kind === self::EXTENSIBLE && \strlen($bytes) >= 26) {
            $kind = self::number('v', substr($bytes, 24));
        }
        [$channels, $rate, $bits] = [
            self::number('v', substr($bytes, 2)),
            self::number('V', substr($bytes, 4)),
            self::number('v', substr($bytes, 14)),
        ];
        if ($channels < 1 || $channels > Head::MOST_CHANNELS || $rate < 1) {
            throw new CaptureError(
                "The WAV file has $channels channels at $rate samples a second: 1 to " .
                    Head::MOST_CHANNELS .
                    ' channels can be read.',
            );
        }
        if (
            !($kind === self::PCM && \in_array($bits, [8, 16, 24, 32], true)) &&
            !($kind === self::FLOAT && $bits === 32)
        ) {
            throw new CaptureError(
                'The WAV file is compressed or of an odd kind. Save it as plain PCM and import that.',
            );
        }

        return ['kind' => $kind, 'channels' => $channels, 'rate' => $rate, 'bytes' => max(1, min(4, intdiv($bits, 8)))];
    }

    /** @param array{kind: int, channels: int<1, 8>, rate: int<1, max>, bytes: int<1, 4>} $format */
    private function data(array $format, int $size, SampleStore $store, ImportSettings $settings): Head
    {
        ['kind' => $kind, 'channels' => $channels, 'rate' => $rate, 'bytes' => $bytes] = $format;
        $frame = $channels * $bytes;
        $most = min(intdiv($size, $frame), Head::MOST_SAMPLES + 1);
        $count = 0;
        while (
            $count < $most &&
            ($read = fread($this->file, max(1, $frame * min(self::FRAMES, $most - $count)))) !== false &&
            \strlen($read) >= $frame
        ) {
            $values = self::samples(
                substr($read, 0, \strlen($read) - (\strlen($read) % $frame)),
                $kind,
                $bytes,
                $settings->volts * $settings->probe,
            );
            if ($channels === 1) {
                $store->append(0, $values);
            } else {
                for ($channel = 0; $channel < $channels; ++$channel) {
                    $own = [];
                    for ($at = $channel, $end = \count($values); $at < $end; $at += $channels) {
                        $own[] = $values[$at];
                    }
                    $store->append($channel, $own);
                }
            }
            $count += intdiv(\count($values), $channels);
        }
        if ($count < 2) {
            throw new CaptureError('The WAV file holds no samples: it may have been cut off.');
        }
        Head::within($count);
        $repairs =
            $count < intdiv($size, $frame)
                ? [
                    \sprintf(
                        'The file is cut off: %s of %s samples are there.',
                        number_format($count),
                        number_format(intdiv($size, $frame)),
                    ),
                ]
                : [];

        return new Head(
            array_map(static fn(int $n): string => $channels === 1 ? 'sound' : "channel $n", range(1, $channels)),
            array_fill(0, $channels, 'V'),
            1.0 / $rate,
            0.0,
            $count,
            $repairs,
        );
    }

    /** @return list<float> in V */
    private static function samples(string $bytes, int $kind, int $width, float $volts): array
    {
        /** @var array<int, int|float>|false $numbers */
        $numbers = match (true) {
            $kind === self::FLOAT => unpack('g*', $bytes),
            $width === 1 => unpack('C*', $bytes),
            $width === 2 => unpack('v*', $bytes),
            $width === 3 => unpack(
                'V*',
                implode('', array_map(static fn(string $three): string => "\0$three", str_split($bytes, 3))),
            ),
            default => unpack('V*', $bytes),
        };
        $values = [];
        foreach ($numbers === false ? [] : $numbers as $number) {
            $values[] = match (true) {
                $kind === self::FLOAT => is_finite((float) $number) ? $number * $volts : 0.0,
                $width === 1 => (($number - 128) / 128.0) * $volts,
                $width === 2 => (($number >= 0x8000 ? $number - 0x10000 : $number) / 32768.0) * $volts,
                default => (($number >= 0x80000000 ? $number - 0x100000000 : $number) / 2147483648.0) * $volts,
            };
        }

        return $values;
    }

    private function bytes(int $count): string
    {
        return $count < 1 ? '' : (string) fread($this->file, $count);
    }

    private static function number(string $form, string $bytes): int
    {
        $found = unpack($form, str_pad($bytes, 4, "\0"));
        $number = $found === false ? 0 : reset($found);

        return \is_int($number) ? $number : 0;
    }
}
