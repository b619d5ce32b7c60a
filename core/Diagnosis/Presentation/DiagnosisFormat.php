<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Suspect;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Shown\BeyondShown;
use Ispira\Core\Diagnosis\Presentation\Shown\CauseShown;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Diagnosis\Presentation\Shown\FaultShown;
use Ispira\Core\Diagnosis\Presentation\Shown\MisfitShown;
use Ispira\Core\Diagnosis\Presentation\Shown\OriginShown;
use Ispira\Core\Diagnosis\Presentation\Shown\SuspectShown;
use Ispira\Core\Diagnosis\Presentation\Shown\TestChoiceShown;
use Ispira\Core\Diagnosis\Presentation\Shown\VerdictShown;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Reading;

/**
 * The one form in which a diagnosis leaves the core: for the page, the command and the file alike
 * (see docs/formats/diagnosis.schema.json).
 */
final readonly class DiagnosisFormat
{
    /** Suspects below this probability are left out, except the first three. */
    private const SHOWN_FROM = 0.001;

    /** Chance of a suspect, and share of it that a fault has, from which it is told how bad that fault is. */
    private const DEGREE_FROM = 0.1;
    private const DEGREE_SHARE = 0.3;

    private Words $words;

    private Reasons $reasons;

    private Learned $learned;

    public function __construct(
        private CircuitModel $circuit,
        private CaseFile $case,
        private Diagnosis $diagnosis,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($circuit, $units);
        $this->reasons = new Reasons($circuit, $case, $diagnosis, $units);
        $this->learned = new Learned($circuit, $diagnosis->evidence, $units);
    }

    /**
     * @param string|null $chosen key of a test to describe instead of the proposed one
     */
    public function shown(?string $chosen = null): DiagnosisShown
    {
        $d = $this->diagnosis;
        $cards = new TestCard($this->circuit, $this->case, $d, $this->words->units);
        $shown =
            $chosen !== null && isset($this->circuit->tests[$chosen])
                ? $this->circuit->tests[$chosen]
                : $d->next?->test;
        $suspects = array_filter(
            $d->suspects,
            static fn(Suspect $s, int $n): bool => $n < 3 || $s->probability >= self::SHOWN_FROM,
            \ARRAY_FILTER_USE_BOTH,
        );

        $told = new DiagnosisShown(
            suspects: array_map($this->suspect(...), array_values($suspects)),
            next: $d->next === null ? null : $this->choice($d->next),
            card: $shown === null ? null : $cards->of($shown),
            tests: array_map($this->choice(...), $d->choices()),
            beyond: array_map(
                fn(Test $test): BeyondShown => new BeyondShown(
                    key: $test->key,
                    title: $this->words->test($test),
                    tools: array_map($this->words->tool(...), $test->tools),
                ),
                $d->beyond,
            ),
            verdict: $d->verdict === null
                ? null
                : new VerdictShown(
                    remedy: $d->verdict->suspect->remedy,
                    label: $this->words->remedy($d->verdict->suspect->remedy),
                    probability: $d->verdict->suspect->probability,
                    byElimination: $d->verdict->byElimination,
                    final: $d->verdict->causesToCheck === [],
                    causes: array_map(
                        fn(CauseCheck $check): CauseShown => new CauseShown(
                            test: $check->test,
                            title: $this->words->test($this->circuit->tests[$check->test]),
                            question: $this->circuit->texts->get("causes.$check->text"),
                        ),
                        $d->verdict->causesToCheck,
                    ),
                ),
            misfit: $d->misfit === null
                ? null
                : array_map(
                    fn(string $id): MisfitShown => $this->reasons->misfit($this->readingOf($id)),
                    $d->misfit->spoiling,
                ),
            traps: (new Traps($this->circuit, $this->case, $d))->all(),
            guessing: $d->guessing,
            left: (new Why($d, $this->words))->left(),
            learned: $this->learned->values(),
            elsewhere: $d->suspects[0]->remedy === HypothesisList::SOMETHING_ELSE
                ? (new Elsewhere($this->circuit, $this->case, $d, $this->words->units))->shown()
                : null,
        );
        // What a fault does where it is at work was worked out only for telling it.
        $d->evidence->predictions->keep();

        return $told;
    }

    private function suspect(Suspect $suspect): SuspectShown
    {
        $faults = [];
        foreach (\array_slice($suspect->faults, 0, 4, true) as $key => $probability) {
            $told =
                $suspect->probability >= self::DEGREE_FROM &&
                $probability >= self::DEGREE_SHARE * $suspect->probability;
            $faults[] = new FaultShown(
                key: $key,
                label: $this->words->hypothesis($suspect->examples[$key]),
                probability: $probability,
                degree: $told ? $this->learned->degree($key) : null,
                elements: array_values(
                    array_filter(
                        array_map(static fn($fault): string => $fault->element, $suspect->examples[$key]->faults),
                    ),
                ),
            );
        }
        $origins = [];
        $total = array_sum($suspect->origins);
        foreach ($suspect->origins as $origin => $share) {
            if ($total > 0.0 && $share / $total > 0.1) {
                $origins[] = new OriginShown(
                    origin: $origin,
                    label: Words::general("origins.$origin"),
                    share: $share / $total,
                );
            }
        }

        return new SuspectShown(
            remedy: $suspect->remedy,
            label: $this->words->remedy($suspect->remedy),
            probability: $suspect->probability,
            cost: $suspect->cost,
            faults: $faults,
            reasons: $suspect->probability >= self::SHOWN_FROM ? $this->reasons->of($suspect) : [],
            origins: $origins,
        );
    }

    private function choice(TestChoice $choice): TestChoiceShown
    {
        return new TestChoiceShown(
            key: $choice->test->key,
            title: $this->words->test($choice->test),
            gain: $choice->gain(),
            saves: $choice->saves,
            cost: $choice->cost,
            minutes: $choice->minutes,
            information: $choice->information,
            elements: array_values(array_filter([$choice->test->probe->at, $choice->test->probe->against])),
        );
    }

    private function readingOf(string $id): Reading
    {
        foreach ($this->case->readings as $reading) {
            if ($reading->id === $id) {
                return $reading;
            }
        }

        throw new \LogicException("No reading has the id $id.");
    }
}
