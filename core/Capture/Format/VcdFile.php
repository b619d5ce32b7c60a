<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\SampleStore;
use Ispira\Core\Kernel\Text;

/**
 * A value change dump (IEEE 1364-2005, clause 18): scalar and real variables. Buses of several bits are left out.
 *
 * Its changes are held until the next, at an even interval that meets every one of them where that is
 * possible with the samples that a capture may have.
 */
final class VcdFile
{
    private const UNITS = ['s' => 1.0, 'ms' => 1e-3, 'us' => 1e-6, 'ns' => 1e-9, 'ps' => 1e-12, 'fs' => 1e-15];
    private const LONGEST_LINE = 65536;

    private float $tick = 1e-9;

    /** @var array<string, int> channel by identifier code */
    private array $channels = [];

    /** @var list<string> */
    private array $names = [];

    /** @var list<string> */
    private array $units = [];

    /** @var list<string> */
    private array $leftOut = [];

    /** @param resource $file at its beginning */
    public function __construct(private readonly mixed $file) {}

    /** @throws CaptureError */
    public function into(SampleStore $store, ImportSettings $settings): Head
    {
        $this->declarations();
        if ($this->names === []) {
            throw new CaptureError('The VCD file declares no variable that can be drawn.');
        }
        $body = (int) ftell($this->file);
        [$first, $last, $step, $changes] = $this->times();
        if ($changes < 2 || $last <= $first) {
            throw new CaptureError('The VCD file holds no changes: nothing was captured.');
        }
        $ticks = max($step, ($last - $first) / Held::most($changes));
        $start = $first * $this->tick;
        $held = new Held($store, $start, $ticks * $this->tick, \count($this->names));
        fseek($this->file, $body);
        $bad = 0;
        foreach ($this->lines() as $line) {
            if ($line[0] === '#') {
                is_numeric(substr($line, 1)) && $held->until((float) substr($line, 1) * $this->tick);
                continue;
            }
            $bad += $this->change($line, $held, $settings->probe) ? 0 : 1;
        }
        // The last values last one sample.
        $held->until($last * $this->tick + $ticks * $this->tick);
        $repairs = $bad > 0 ? ["$bad lines could not be read and were left out."] : [];
        if ($this->leftOut !== []) {
            $repairs[] = 'Left out, of several bits: ' . implode(', ', \array_slice($this->leftOut, 0, 5)) . '.';
        }

        return new Head($this->names, $this->units, $ticks * $this->tick, $start, $held->finish(), $repairs);
    }

    private function declarations(): void
    {
        $words = [];
        while (($line = fgets($this->file, self::LONGEST_LINE)) !== false) {
            foreach (preg_split('/\s+/', trim($line), -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                if ($word !== '$end') {
                    $words[] = $word;
                    continue;
                }
                $keyword = $words[0] ?? '';
                if ($keyword === '$timescale') {
                    $this->timescale(implode('', \array_slice($words, 1)));
                } elseif ($keyword === '$var') {
                    $this->variable($words);
                } elseif ($keyword === '$enddefinitions') {
                    return;
                }
                $words = [];
            }
            if (\count($words) > 10_000) {
                break;
            }
        }
        throw new CaptureError('The VCD file has no end of its declarations: it may have been cut off.');
    }

    private function timescale(string $text): void
    {
        if (preg_match('/^(1|10|100)([munpf]?s)$/', $text, $found) !== 1) {
            throw new CaptureError(
                "The VCD file's time scale \"" .
                    Text::cut($text, 20) .
                    '" is not one of 1, 10 or 100 with s, ms, us, ns, ps or fs.',
            );
        }
        $this->tick = (float) $found[1] * self::UNITS[$found[2]];
    }

    /** @param list<string> $words */
    private function variable(array $words): void
    {
        [, $type, $bits, $code, $name] = $words + ['', '', '0', '', ''];
        if ($code === '' || isset($this->channels[$code])) {
            return;
        }
        $real = $type === 'real' || $type === 'realtime';
        if ((!$real && $bits !== '1') || \count($this->names) >= Head::MOST_CHANNELS) {
            $this->leftOut[] = $name;

            return;
        }
        $this->channels[$code] = \count($this->names);
        $this->names[] = Text::cut($name, 40, '');
        $this->units[] = $real ? 'V' : '';
    }

    /** @return array{0: float, 1: float, 2: float, 3: int} first and last time, the greatest step that meets all, and how many, in ticks */
    private function times(): array
    {
        [$first, $last, $step, $count] = [null, 0.0, 0.0, 0];
        foreach ($this->lines() as $line) {
            if ($line[0] !== '#') {
                continue;
            }
            if (preg_match('/^#(\d{1,18})$/', $line, $found) !== 1) {
                continue;
            }
            $time = (int) $found[1];
            if ($first === null) {
                $first = $time;
            } elseif ($time > $last) {
                $step = self::divisor((int) $step, $time - (int) $last);
            } elseif ($time < $last) {
                throw new CaptureError('The times of the VCD file run backwards: it is damaged.');
            }
            $last = $time;
            ++$count;
        }

        return [(float) ($first ?? 0), (float) $last, (float) max(1, $step), $count];
    }

    private static function divisor(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }

    private function change(string $change, Held $held, float $probe): bool
    {
        $mark = $change[0];
        if ($mark === 'r' || $mark === 'R') {
            [$value, $code] = explode(' ', $change) + [1 => ''];
            $number = substr($value, 1);
            if (!is_numeric($number)) {
                return false;
            }
            if (isset($this->channels[$code])) {
                $held->set($this->channels[$code], (float) $number * $probe);
            }

            return $code !== '';
        }
        if ($mark === '0' || $mark === '1') {
            $channel = $this->channels[substr($change, 1)] ?? null;
            if ($channel !== null) {
                $held->set($channel, (float) $mark);
            }
        }

        // Unknown and floating levels keep the one before; buses and keywords are passed over.
        return str_contains('01xXzZbB$', $mark);
    }

    /** @return \Generator<int, non-empty-string> moments and changes, one by one; a value of several characters with its code behind a space */
    private function lines(): \Generator
    {
        $value = null;
        while (($line = fgets($this->file, self::LONGEST_LINE)) !== false) {
            foreach (preg_split('/\s+/', trim($line), -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                if ($value !== null) {
                    yield "$value $word";
                    $value = null;
                } elseif (\in_array($word[0], ['r', 'R', 'b', 'B'], true)) {
                    $value = $word;
                } elseif ($word !== '$end') {
                    yield $word;
                }
            }
        }
    }
}
