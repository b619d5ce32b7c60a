<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\SampleStore;

/**
 * A table of samples, or of changes, with or without times.
 */
final class CsvFile
{
    private const FIRST_LINES = 120;
    private const LONGEST_LINE = 4096;
    private const BUFFER = 4096;

    /** Share of the mean interval by which intervals may differ before the table counts as one of changes. */
    private const EVEN_WITHIN = 0.5;

    /** Mean intervals between two different times up to which they count as rounded. */
    private const COARSE = 50.0;

    /** Share of lines that may be unreadable. */
    private const MOST_BAD = 0.02;

    private int $bad = 0;

    /** @param resource $file at its beginning */
    public function __construct(private readonly mixed $file) {}

    /** @throws CaptureError */
    public function into(SampleStore $store, ImportSettings $settings): Head
    {
        $layout = CsvLayout::of($this->firstLines());
        $this->toBody($layout);
        if ($layout->time === null) {
            $interval = $layout->interval ?? ($settings->rate === null ? null : 1.0 / $settings->rate);
            if ($interval === null) {
                throw new CaptureError(
                    'The file has no times. Type how many samples a second it has, and import it again.',
                );
            }

            return $this->even($layout, $store, $settings, $interval) ??
                throw new CaptureError('The file holds no samples.');
        }
        $head = $this->even($layout, $store, $settings, null);
        if ($head !== null) {
            return $head;
        }
        $store->restart();
        $this->bad = 0;
        $this->toBody($layout);

        return $this->changes($layout, $store, $settings);
    }

    /**
     * @param float|null $interval in s; null to take it from the times
     *
     * @return Head|null null when the times are uneven
     */
    private function even(CsvLayout $layout, SampleStore $store, ImportSettings $settings, ?float $interval): ?Head
    {
        $channels = \count($layout->columns);
        $waiting = array_fill(0, $channels, []);
        $scales = array_map(static fn(float $scale): float => $scale * $settings->probe, $layout->scales);
        [$count, $start, $before, $least, $most] = [0, 0.0, 0.0, \INF, 0.0];
        foreach ($this->rows($layout) as $row) {
            foreach ($scales as $channel => $scale) {
                $waiting[$channel][] = $row[$channel + 1] * $scale;
            }
            $time = $row[0];
            if ($count === 0) {
                $start = $time;
            } else {
                $step = $time - $before;
                $least = $step < $least ? $step : $least;
                $most = $step > $most ? $step : $most;
            }
            $before = $time;
            if (++$count % self::BUFFER === 0) {
                foreach ($waiting as $channel => $values) {
                    $store->append($channel, $values);
                    $waiting[$channel] = [];
                }
                Head::within($count);
            }
        }
        foreach ($waiting as $channel => $values) {
            $store->append($channel, $values);
        }
        Head::within($count);
        if ($count < 2) {
            throw new CaptureError('The file holds fewer than two samples.');
        }
        $repairs = $this->repairs($count);
        if ($interval === null) {
            if ($least < 0.0) {
                throw new CaptureError(
                    'The times of the file run backwards: it is damaged, or several captures stand in one file.',
                );
            }
            $interval = ($before - $start) / ($count - 1);
            if ($interval <= 0.0) {
                throw new CaptureError('The times of the file do not go on: a capture needs at least two moments.');
            }
            $coarse = $least === 0.0 && $most < self::COARSE * $interval;
            if ($coarse) {
                $repairs[] = 'The times are coarser than the samples: they are spread evenly.';
            } elseif ($least < (1.0 - self::EVEN_WITHIN) * $interval || $most > (1.0 + self::EVEN_WITHIN) * $interval) {
                return null;
            }
        }

        return new Head($layout->names, $layout->units, $interval, $start, $count, $repairs);
    }

    private function changes(CsvLayout $layout, SampleStore $store, ImportSettings $settings): Head
    {
        [$first, $last, $least, $changes] = [null, 0.0, \INF, 0];
        foreach ($this->rows($layout) as $row) {
            ++$changes;
            $step = $first === null ? 0.0 : $row[0] - $last;
            $least = $step > 0.0 ? min($least, $step) : $least;
            $first ??= $row[0];
            $last = $row[0];
        }
        $first ??= 0.0;
        $step = max($least, ($last - $first) / Held::most($changes));
        $this->bad = 0;
        $this->toBody($layout);
        $held = new Held($store, $first, $step, \count($layout->columns));
        $rows = 0;
        foreach ($this->rows($layout) as $row) {
            $held->until($row[0]);
            foreach ($layout->scales as $channel => $scale) {
                $held->set($channel, $row[$channel + 1] * $scale * $settings->probe);
            }
            ++$rows;
        }
        $held->until($last + $step);
        $count = $held->finish();

        return new Head($layout->names, $layout->units, $step, $first, $count, [
            'The times are uneven: each value is held until the next.',
            ...$this->repairs($rows),
        ]);
    }

    /**
     * Time in s (0 without one) and the channels of each line; what cannot be read keeps the value before.
     *
     * @return \Generator<int, non-empty-list<float>>
     */
    private function rows(CsvLayout $layout): \Generator
    {
        $before = null;
        $width = max($layout->time ?? 0, ...$layout->columns);
        while (($line = fgets($this->file, self::LONGEST_LINE)) !== false) {
            if ($layout->decimalComma) {
                $line = str_replace(',', '.', $line);
            }
            $cells = explode($layout->delimiter, $line);
            if (\count($cells) <= $width) {
                if (trim($line) !== '') {
                    ++$this->bad;
                }
                continue;
            }
            if ($layout->time === null) {
                $row = [0.0];
            } else {
                $cell = trim($cells[$layout->time], " \t\r\n\"");
                if (!is_numeric($cell)) {
                    ++$this->bad;
                    continue;
                }
                $row = [(float) $cell * $layout->seconds];
            }
            foreach ($layout->columns as $channel => $column) {
                $cell = trim($cells[$column], " \t\r\n\"");
                if (is_numeric($cell) && abs((float) $cell) < 1e9) {
                    $row[] = (float) $cell;
                } else {
                    ++$this->bad;
                    $row[] = $before[$channel + 1] ?? 0.0;
                }
            }
            yield ($before = $row);
        }
    }

    /**
     * @return list<string>
     *
     * @throws CaptureError
     */
    private function repairs(int $rows): array
    {
        if ($this->bad > max(2, self::MOST_BAD * $rows)) {
            throw new CaptureError(
                \sprintf(
                    '%s of %s lines cannot be read as numbers: is this the right file?',
                    number_format($this->bad),
                    number_format($rows + $this->bad),
                ),
            );
        }

        return $this->bad === 0
            ? []
            : [
                $this->bad === 1
                    ? 'One place could not be read as a number: the value before it stands there.'
                    : "$this->bad places could not be read as numbers: the value before each stands there.",
            ];
    }

    /** @return list<string> */
    private function firstLines(): array
    {
        $lines = [];
        while (\count($lines) < self::FIRST_LINES && ($line = fgets($this->file, self::LONGEST_LINE)) !== false) {
            $lines[] = rtrim($line, "\r\n");
        }

        return $lines;
    }

    private function toBody(CsvLayout $layout): void
    {
        rewind($this->file);
        for ($line = 0; $line < $layout->headRows; ++$line) {
            fgets($this->file, self::LONGEST_LINE);
        }
    }
}
