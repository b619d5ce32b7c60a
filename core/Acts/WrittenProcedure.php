<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\Step;
use Ispira\Core\Procedure\StoredCharge;
use Ispira\Core\Procedure\Wait;

/**
 * Reads a procedure from the fields in which a lead writes it, with a message at each field that is wrong.
 */
final class WrittenProcedure
{
    /** Words that stand in an address where the key of a procedure does. */
    public const ADDRESSES = ['new', 'import'];

    private const LONGEST_TITLE = 120;

    /** @var array<string, string> by field, as "steps.2.least" */
    private array $wrong = [];

    private function __construct() {}

    /**
     * @param array<array-key, mixed> $given    fields of a typed procedure
     * @param string|null             $key      of the one that is changed; null for a new one
     * @param list<string>            $families that there are
     *
     * @throws ParameterError
     */
    public static function read(array $given, ?string $key, array $families): Procedure
    {
        $reader = new self();
        $title = $reader->needed($given, 'title', '', 'Say what it is for, in a few words.');
        if (mb_strlen($title) > self::LONGEST_TITLE) {
            $reader->wrong['title'] = 'Keep the title under ' . self::LONGEST_TITLE . ' characters.';
        }
        $summary = $reader->needed($given, 'summary', '', 'Say in one sentence when it is worked.');
        $cautions = $reader->lines($given, 'cautions', '');
        $abort = $reader->lines($given, 'abort', '');
        if ($cautions === []) {
            $reader->wrong['cautions'] = 'Say what can hurt, before anything is done: one caution a line.';
        }
        if ($abort === []) {
            $reader->wrong['abort'] = 'Say what makes it safe when it is broken off: one thing a line.';
        }
        $steps = $reader->steps($given['steps'] ?? null);
        $ticked = \is_array($given['families'] ?? null) ? $given['families'] : [];
        $serves = array_values(
            array_filter($ticked, static fn(mixed $one): bool => \is_string($one) && \in_array($one, $families, true)),
        );
        $key ??= self::keyOf($title);
        if ($reader->wrong !== [] || $cautions === [] || $abort === [] || $steps === []) {
            throw new ParameterError($reader->wrong);
        }

        return new Procedure($key, $title, $summary, $serves, $cautions, $steps, $abort);
    }

    /** Lower case and hyphens, out of a title; never a word that is an address of its own. */
    public static function keyOf(string $title): string
    {
        $plain = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($title)), '-');
        $key = rtrim(substr(preg_match('/^[a-z]/', $plain) === 1 ? $plain : "own-$plain", 0, 58), '-');

        return match (true) {
            \strlen($key) < 2, $key === 'own' => 'own-procedure',
            \in_array($key, self::ADDRESSES, true) => "own-$key",
            default => $key,
        };
    }

    /** @return list<Step> */
    private function steps(mixed $given): array
    {
        $given = \is_array($given) ? array_values($given) : [];
        if ($given === []) {
            $this->wrong['steps'] = 'Write at least one step.';
        }
        if (\count($given) > ProcedureFormat::MOST_STEPS) {
            $this->wrong['steps'] =
                'That are more than ' . ProcedureFormat::MOST_STEPS . ' steps: make two procedures of it.';

            return [];
        }
        $steps = [];
        foreach ($given as $number => $one) {
            $steps[] = $this->step(\is_array($one) ? $one : [], "steps.$number.");
        }

        return $steps;
    }

    /** @param array<array-key, mixed> $one */
    private function step(array $one, string $at): Step
    {
        $expect = $this->text($one, 'expect', $at);
        $otherwise = $this->text($one, 'otherwise', $at);
        if ($otherwise !== null && $expect === null) {
            $this->wrong["{$at}expect"] = 'Say what should be seen: what else to do stands beside it.';
        }

        return new Step(
            $this->needed($one, 'text', $at, 'Say what is done.'),
            $this->lines($one, 'cautions', $at),
            $this->wait($one, $at),
            $expect,
            $otherwise,
            $this->text($one, 'confirm', $at),
        );
    }

    /** @param array<array-key, mixed> $one */
    private function wait(array $one, string $at): ?Wait
    {
        $least = $this->seconds($one, 'least', $at);
        $most = $this->seconds($one, 'most', $at);
        $reason = $this->text($one, 'reason', $at);
        $charge = filter_var($one['charge'] ?? false, \FILTER_VALIDATE_BOOLEAN);
        if ($least === null && !isset($this->wrong["{$at}least"])) {
            if ($most !== null || $reason !== null || $charge) {
                $this->wrong["{$at}least"] = 'Give the time that has to pass, or leave the wait out.';
            }

            return null;
        }
        if ($reason === null) {
            $this->wrong["{$at}reason"] = 'Say why it is waited for: nobody waits without a reason.';
        }
        $least ??= 0;
        if ($most !== null && $most < $least) {
            $this->wrong["{$at}most"] = 'The longest time is not below the shortest.';
        }

        return new Wait($least, $most, $reason ?? '', $charge ? StoredCharge::FORMULA : null);
    }

    /** @param array<array-key, mixed> $one */
    private function seconds(array $one, string $field, string $at): ?int
    {
        $typed = $this->text($one, $field, $at);
        if ($typed === null) {
            return null;
        }
        $seconds = match (true) {
            preg_match('/^(\d{1,4}):([0-5]\d)$/', $typed, $found) === 1 => 60 * (int) $found[1] + (int) $found[2],
            preg_match('/^(\d{1,5})\s*(s|sec|min|h)$/', $typed, $found) === 1 => (int) $found[1] *
                match ($found[2]) {
                    'h' => 3600,
                    'min' => 60,
                    default => 1,
                },
            default => null,
        };
        if ($seconds === null || $seconds === 0 || $seconds > ProcedureFormat::LONGEST_WAIT) {
            $this->wrong["$at$field"] = 'Type a time as 4:30, 90 s, 5 min or 2 h, of a day at most.';
        }

        return $seconds;
    }

    /** @param array<array-key, mixed> $one */
    private function needed(array $one, string $field, string $at, string $why): string
    {
        $text = $this->text($one, $field, $at);
        if ($text === null) {
            $this->wrong["$at$field"] ??= $why;
        }

        return $text ?? '';
    }

    /** @param array<array-key, mixed> $one */
    private function text(array $one, string $field, string $at): ?string
    {
        $text = \is_string($one[$field] ?? null) ? trim($one[$field]) : '';
        if (mb_strlen($text) > ProcedureFormat::LONGEST_LINE) {
            $this->wrong["$at$field"] = 'Keep it under ' . ProcedureFormat::LONGEST_LINE . ' characters.';
        }

        return $text === '' ? null : $text;
    }

    /**
     * @param array<array-key, mixed> $one
     *
     * @return list<string>
     */
    private function lines(array $one, string $field, string $at): array
    {
        $text = \is_string($one[$field] ?? null) ? $one[$field] : '';
        $lines = array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn($l) => $l !== ''));
        if (
            \count($lines) > ProcedureFormat::MOST_LINES ||
            array_filter($lines, static fn($line) => mb_strlen($line) > ProcedureFormat::LONGEST_LINE) !== []
        ) {
            $this->wrong["$at$field"] =
                'At most ' .
                ProcedureFormat::MOST_LINES .
                ' lines, of ' .
                ProcedureFormat::LONGEST_LINE .
                ' characters at most.';
        }

        return $lines;
    }
}
