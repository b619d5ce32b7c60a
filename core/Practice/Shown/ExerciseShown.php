<?php

declare(strict_types=1);

namespace Ispira\Core\Practice\Shown;

use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Titled;

/**
 * What an exercise asks and offers while it is going on.
 */
final readonly class ExerciseShown
{
    /**
     * @param bool          $hides      whether odds and proposals are not shown
     * @param bool          $over       whether something was named, or it was stopped
     * @param bool          $guessNow   whether what is believed is asked before the odds are shown
     * @param Keyed<int>    $believed   percent by remedy, as last set down
     * @param float         $minutes    so far, with hints
     * @param float         $hintMinutes what a hint costs
     * @param string|null   $hint       the test that was proposed since the last reading
     * @param list<Choice>  $remedies   what can be named
     * @param list<Titled>  $shortcuts  that are offered to who does not know better
     * @param bool          $stores     whether something in it holds a charge
     * @param list<Choice>  $places     of leads
     * @param bool          $leads      whether leads are put on for the test that is shown
     * @param bool          $near       whether hands or a meter come to what has to be dead for it, or may be
     * @param string|null   $note       what there is to say of how the test was gone at
     */
    public function __construct(
        public PracticeWay $way,
        public bool $hides,
        public bool $over,
        public bool $guessNow,
        public Keyed $believed,
        public float $minutes,
        public float $hintMinutes,
        public int $hints,
        public ?string $hint,
        public ?string $hintWhy,
        public array $remedies,
        public array $shortcuts,
        public bool $stores,
        public array $places,
        public bool $leads,
        public bool $near,
        public ?string $note,
    ) {}
}
