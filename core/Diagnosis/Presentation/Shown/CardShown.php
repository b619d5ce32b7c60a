<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

use Ispira\Core\Device\Plug\PlugFace;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Titled;

/**
 * A test as it is shown to the person who does it.
 */
final readonly class CardShown
{
    /**
     * @param bool $bench whether a meter on the bench reads it
     * @param list<string> $units
     * @param string|null $red place of the lead in words
     * @param string $at node or element of the lead
     * @param bool $deadly whether a touch can kill: its cautions are never folded
     * @param list<string> $cautions
     * @param list<string> $tools
     * @param list<string> $access
     * @param bool $watch whether what the machine does meanwhile is worth noting
     * @param list<Choice> $choices
     * @param list<Titled> $onTheWay looked at in the same place before anything is measured there
     * @param string $why what it is worth, in one sentence without its stop
     * @param string $settles how much of what is open it settles on average; empty where nothing is
     * @param string $nextBest which test is next best, and how near it comes; empty where there is none
     * @param list<OutcomeShown> $outcomes
     * @param list<MarkShown> $marks
     * @param list<PlugFace> $plugs those at which it is taken
     */
    public function __construct(
        public string $key,
        public string $title,
        public Quantity $quantity,
        public string $unit,
        public bool $bench,
        public array $units,
        public string $setUp,
        public string $position,
        public ?string $red,
        public ?string $black,
        public string $at,
        public string $against,
        public string $meter,
        public string $danger,
        public bool $deadly,
        public array $cautions,
        public array $tools,
        public array $access,
        public bool $watch,
        public array $choices,
        public array $onTheWay,
        public ?string $again,
        public string $why,
        public string $settles,
        public string $nextBest,
        public array $outcomes,
        public array $marks,
        public array $plugs,
    ) {}

    /** What to do, and nothing of what it would mean. */
    public function withoutMeaning(): self
    {
        return new self(
            $this->key,
            $this->title,
            $this->quantity,
            $this->unit,
            $this->bench,
            $this->units,
            $this->setUp,
            $this->position,
            $this->red,
            $this->black,
            $this->at,
            $this->against,
            $this->meter,
            $this->danger,
            $this->deadly,
            $this->cautions,
            $this->tools,
            $this->access,
            $this->watch,
            $this->choices,
            $this->onTheWay,
            null,
            '',
            '',
            '',
            [],
            [],
            $this->plugs,
        );
    }
}
