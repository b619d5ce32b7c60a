<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\Levels;
use Ispira\Core\Capture\SampleStore;

/**
 * Writes a capture as logic: each channel high or low about the middle between its levels (IEEE 1364-2005, clause 18).
 */
final readonly class VcdExport
{
    private const SCALES = ['1 us' => 1e-6, '1 ns' => 1e-9, '1 ps' => 1e-12];

    public function __construct(private SampleStore $store) {}

    /** @return \Generator<int, string> the text, in parts */
    public function parts(): \Generator
    {
        $head = $this->store->head();
        [$scale, $tick] = $this->scale($head->interval);
        $text = "\$timescale $scale \$end\n\$scope module capture \$end\n";
        foreach ($head->channels as $channel => $name) {
            $text .=
                '$var wire 1 ' .
                \chr(33 + $channel) .
                ' ' .
                (preg_replace('/[^A-Za-z0-9_]+/', '_', $name) ?: "channel_$channel") .
                " \$end\n";
        }
        yield "$text\$upscope \$end\n\$enddefinitions \$end\n";
        $levels = array_map(
            fn(int $channel): Levels => Levels::of($this->store, $channel),
            array_keys($head->channels),
        );
        $readers = array_map(
            fn(int $channel): \Generator => $this->store->parts($channel),
            array_keys($head->channels),
        );
        $states = [];
        $per = $head->interval / $tick;
        while ($readers[0]->valid()) {
            $first = $readers[0]->key();
            $parts = array_map(static fn(\Generator $reader): array => (array) $reader->current(), $readers);
            $text = '';
            foreach (array_keys($parts[0]) as $offset) {
                $changes = '';
                foreach ($parts as $channel => $values) {
                    $state = ($values[$offset] ?? 0.0) > $levels[$channel]->middle();
                    if (($states[$channel] ?? null) !== $state) {
                        $states[$channel] = $state;
                        $changes .= ($state ? '1' : '0') . \chr(33 + $channel) . "\n";
                    }
                }
                if ($changes !== '') {
                    $text .= '#' . (int) round(($first + (int) $offset) * $per) . "\n$changes";
                }
            }
            yield $text;
            array_walk($readers, static fn(\Generator $reader) => $reader->next());
        }
        yield '#' . (int) round(($head->count - 1) * $per) . "\n";
    }

    /** @return array{0: string, 1: float} the coarsest scale in which the interval is nearly whole */
    private function scale(float $interval): array
    {
        foreach (self::SCALES as $scale => $tick) {
            $ticks = $interval / $tick;
            if ($ticks >= 1.0 && abs($ticks - round($ticks)) < 1e-6 * $ticks) {
                return [$scale, $tick];
            }
        }

        return ['1 ps', 1e-12];
    }
}
