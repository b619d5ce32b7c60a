<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Diagnosis\Trial\Leak;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * What is hidden in the make-believe unit of a job that is done for practice, and what was done with it.
 */
final readonly class Practice
{
    /**
     * @param string $fault    key of the hidden hypothesis
     * @param int    $seed     of the values of its parts and of what its meter errs by
     * @param bool   $wide     whether its values differ as those of real machines do, not as the engine expects
     * @param Leak|null $leak  a path that no drawing has, where that is what is wrong
     * @param bool   $guesses  whether what is believed is set down before the odds are shown
     * @param list<PracticeAct> $acts in the order done
     */
    public function __construct(
        public string $fault,
        public int $seed,
        public bool $wide = false,
        public ?Leak $leak = null,
        public PracticeWay $way = PracticeWay::Guided,
        public bool $guesses = false,
        public array $acts = [],
    ) {}

    public function withAct(PracticeAct $act): self
    {
        return new self($this->fault, $this->seed, $this->wide, $this->leak, $this->way, $this->guesses, [
            ...$this->acts,
            $act,
        ]);
    }

    /** @return list<PracticeAct> */
    public function of(PracticeActKind $kind): array
    {
        return array_values(array_filter($this->acts, static fn(PracticeAct $one): bool => $one->kind === $kind));
    }

    /** Whether something was named, or the exercise was stopped. */
    public function isOver(): bool
    {
        return $this->of(PracticeActKind::Named) !== [] || $this->of(PracticeActKind::Danger) !== [];
    }

    /** Whether odds, proposals and reasons stay hidden on its pages. */
    public function hides(): bool
    {
        return $this->way->hides() && !$this->isOver();
    }

    /** @throws FileError */
    public static function read(mixed $item): self
    {
        $record = new Record($item, 'practice', ['fault', 'seed', 'wide', 'leak', 'way', 'guesses', 'acts']);
        $leak = null;
        if ($record->get('leak') !== null) {
            $path = new Record($record->get('leak'), 'practice.leak', ['from', 'to', 'ohms']);
            $leak = new Leak($path->text('from'), $path->text('to'), $path->optionalNumber('ohms') ?? 1.0);
        }
        $acts = [];
        foreach ($record->items('acts', 2000) as $number => $act) {
            $acts[] = PracticeAct::read($act, "practice.acts[$number]");
        }

        return new self(
            $record->text('fault'),
            (int) ($record->optionalNumber('seed') ?? 0.0),
            $record->get('wide') === true,
            $leak,
            PracticeWay::tryFrom($record->optionalText('way') ?? '') ?? PracticeWay::Guided,
            $record->get('guesses') === true,
            $acts,
        );
    }
}
