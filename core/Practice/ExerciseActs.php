<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Presentation\TestCard;
use Ispira\Core\Job\PracticeAct;
use Ispira\Core\Job\PracticeActKind;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * What is done in an exercise, read from what was sent.
 */
final readonly class ExerciseActs
{
    /** @param \Closure(): Diagnosis $diagnosis as it stands: asked for hints only */
    public function __construct(private Exercise $exercise, private \Closure $diagnosis) {}

    /**
     * @param array<array-key, mixed> $given fields as they were sent
     *
     * @throws EntryRefused
     */
    public function read(string $id, string $kind, array $given): PracticeAct
    {
        if ($this->exercise->practice->isOver()) {
            throw new EntryRefused('kind', PracticeTexts::get('refused.over'));
        }
        $text = static fn(string $field): string => \is_string($given[$field] ?? null) ? $given[$field] : '';
        $flag = static fn(string $field): bool => filter_var($given[$field] ?? false, \FILTER_VALIDATE_BOOLEAN);

        return match ($kind) {
            'measured' => $this->measured(
                $id,
                $this->test($text('test')),
                new HookUp($text('red'), $text('black'), $flag('isolated'), $flag('discharged')),
            ),
            'hint' => $this->hint($id),
            'guess' => $this->guess($id, $given['shares'] ?? null),
            'shortcut' => $this->shortcut($id, $text('shortcut')),
            'named' => $this->named($id, $text('remedy')),
            default => throw new EntryRefused('kind', PracticeTexts::get('refused.test')),
        };
    }

    private function measured(string $id, Test $test, HookUp $hookUp): PracticeAct
    {
        $places = HookUp::places($this->exercise->job->circuit);
        foreach (['red' => $hookUp->red, 'black' => $hookUp->black] as $field => $node) {
            if ($node !== '' && !\in_array($node, $places, true)) {
                throw new EntryRefused($field, PracticeTexts::get('refused.place'));
            }
        }
        $danger = Danger::of($this->exercise->job->circuit, $test, $hookUp);
        if ($danger !== null) {
            return $this->act($id, PracticeActKind::Danger, ['reason' => $danger->reason, 'test' => $test->key]);
        }

        return $this->act($id, PracticeActKind::Measured, [
            'test' => $test->key,
            'red' => $hookUp->red,
            'black' => $hookUp->black,
            'isolated' => $hookUp->isolated,
            'discharged' => $hookUp->discharged,
        ]);
    }

    private function hint(string $id): PracticeAct
    {
        if ($this->exercise->practice->way === PracticeWay::Examination) {
            throw new EntryRefused('kind', PracticeTexts::get('refused.hints'));
        }
        $diagnosis = ($this->diagnosis)();
        $next = $diagnosis->next;
        if ($next === null) {
            return $this->act($id, PracticeActKind::Hint, ['test' => '', 'why' => '']);
        }
        $card = (new TestCard($this->exercise->job->circuit, $this->exercise->job->case, $diagnosis))->of($next->test);

        return $this->act($id, PracticeActKind::Hint, ['test' => $next->test->key, 'why' => $card->why]);
    }

    private function guess(string $id, mixed $shares): PracticeAct
    {
        $remedies = $this->exercise->remedies();
        $kept = [];
        foreach (\is_array($shares) ? $shares : [] as $remedy => $share) {
            if (isset($remedies[$remedy]) && is_numeric($share) && $share > 0.0 && $share <= 100.0) {
                $kept[(string) $remedy] = (float) $share;
            }
        }
        $total = array_sum($kept);
        if ($total <= 0.0) {
            throw new EntryRefused('shares', PracticeTexts::get('refused.shares'));
        }

        return $this->act(
            $id,
            PracticeActKind::Guess,
            array_map(static fn(float $share): float => $share / $total, $kept),
        );
    }

    private function shortcut(string $id, string $key): PracticeAct
    {
        $danger = Danger::shortcut($this->exercise->job->circuit, $key);

        return $danger === null
            ? throw new EntryRefused('shortcut', PracticeTexts::get('refused.shortcut'))
            : $this->act($id, PracticeActKind::Danger, ['reason' => $danger->reason, 'test' => '']);
    }

    private function named(string $id, string $remedy): PracticeAct
    {
        return isset($this->exercise->remedies()[$remedy])
            ? $this->act($id, PracticeActKind::Named, ['remedy' => $remedy])
            : throw new EntryRefused('remedy', PracticeTexts::get('refused.remedy'));
    }

    private function test(string $key): Test
    {
        $test = $this->exercise->job->circuit->tests[$key] ?? null;

        return $test !== null && $test->possible
            ? $test
            : throw new EntryRefused('test', PracticeTexts::get('refused.test'));
    }

    /** @param array<string, string|float|bool> $data */
    private function act(string $id, PracticeActKind $kind, array $data): PracticeAct
    {
        return new PracticeAct($id, $kind, $data, $this->exercise->written());
    }
}
