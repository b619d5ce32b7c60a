<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Texts;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Suspect;
use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * Every way in which the suspects of a job can be cured, with its money and its chance.
 *
 * A part that is bought comes original, aftermarket or salvaged; one that is worked on (a wire, a joint, a fuse)
 * in one way. The family adds the component, the assembly, the conversion; the workshop the parts of its catalogue.
 */
final class Remedies
{
    /** The kind of option that replaces all there is. */
    private const APPLIANCE = 'appliance';

    /** Suspects below this share are not bought for. */
    private const TRIED_FROM = 0.003;

    /**
     * Ordinary terms of a bought part, as shares of its price; defaults that the catalogue of a workshop overrides.
     * A salvaged part is searched for, taken out and tested first: its minutes.
     *
     * @return list<array{make: string, kind: string, price: float, minutes: float, leadDays: int, warranty: int, life: float, comeBack: float, lost: float}>
     */
    private static function makes(): array
    {
        return [
            [
                'make' => 'original',
                'kind' => 'part',
                'price' => 1.0,
                'minutes' => 0.0,
                'leadDays' => 3,
                'warranty' => 24,
                'life' => 10.0,
                'comeBack' => 0.03,
                'lost' => 0.15,
            ],
            [
                'make' => 'aftermarket',
                'kind' => 'part',
                'price' => 0.6,
                'minutes' => 0.0,
                'leadDays' => 1,
                'warranty' => 12,
                'life' => 6.0,
                'comeBack' => 0.08,
                'lost' => 0.15,
            ],
            [
                'make' => 'salvage',
                'kind' => 'salvage',
                'price' => 0.4,
                'minutes' => 20.0,
                'leadDays' => 2,
                'warranty' => 1,
                'life' => 4.0,
                'comeBack' => 0.16,
                'lost' => 0.3,
            ],
        ];
    }

    private static ?Texts $texts = null;

    /**
     * @param list<OfferedRemedy> $own       options of the workshop's own catalogue
     * @param float               $standing  money lost a day while the machine stands
     * @param array<string, Quote> $quotes   what was told of an option in this job
     * @param bool                $potted    whether board or module is potted: no part of it can be reached
     */
    public function __construct(
        private readonly CircuitModel $circuit,
        private readonly RepairSheet $sheet,
        private readonly DecisionSettings $settings,
        private readonly array $own = [],
        private readonly float $standing = 0.0,
        private readonly bool $potted = false,
        private readonly array $quotes = [],
    ) {}

    /**
     * @return list<Priced> those that cure a suspect worth buying for, the least expected money for its chance first;
     *     what only bridges after what lasts, conversions last and only with a verdict
     */
    public function of(Diagnosis $diagnosis): array
    {
        $chances = self::chances($diagnosis);
        $priced = [];
        foreach ($this->offers($diagnosis) as $offer) {
            // A machine is not made into another one on a suspicion.
            if ($offer->isConversion() && $diagnosis->verdict === null) {
                continue;
            }
            $one = $this->price(($this->quotes[$offer->key] ?? null)?->on($offer) ?? $offer, $chances);
            if ($one->fixes >= self::TRIED_FROM) {
                $priced[] = $one;
            }
        }
        usort(
            $priced,
            static fn(Priced $a, Priced $b): int => [
                $a->offer->isConversion(),
                $a->offer->isTemporary(),
                $a->expected / $a->fixes,
            ] <=> [$b->offer->isConversion(), $b->offer->isTemporary(), $b->expected / $b->fixes],
        );

        return $priced;
    }

    /**
     * The best order of trial: of the options that cure the same, only those that something speaks for.
     *
     * @param list<Priced> $priced
     */
    public function order(array $priced, Diagnosis $diagnosis): TrialOrder
    {
        $kept = array_values(
            array_filter(
                $priced,
                static fn(Priced $one): bool => $one->canBeHad() &&
                    !$one->offer->isConversion() &&
                    !$one->offer->isTemporary() &&
                    !self::isBeaten($one, $priced),
            ),
        );
        usort($kept, static fn(Priced $a, Priced $b): int => $b->fixes <=> $a->fixes);
        $options = array_map(
            static fn(Priced $one): RemedyOption => new RemedyOption(
                $one->offer->key,
                $one->expected,
                $one->cures,
                $one->offer->lost,
            ),
            $kept,
        );

        return TrialOrder::best($options, self::chances($diagnosis), $this->settings->comeBack());
    }

    /** @return array<string, float> chance by "remedy|fault", adding up to 1 */
    public static function chances(Diagnosis $diagnosis): array
    {
        $chances = [];
        foreach ($diagnosis->suspects as $suspect) {
            $all = array_sum($suspect->faults);
            foreach ($suspect->faults as $fault => $share) {
                $chances["$suspect->remedy|$fault"] =
                    $suspect->probability * ($all > 0.0 ? $share / $all : 1.0 / \count($suspect->faults));
            }
        }

        return $chances;
    }

    /** @return list<OfferedRemedy> */
    private function offers(Diagnosis $diagnosis): array
    {
        $offers = [];
        foreach ($diagnosis->suspects as $suspect) {
            if ($suspect->namesParts() && $suspect->probability >= self::TRIED_FROM) {
                array_push($offers, ...$this->newParts($suspect));
            }
        }
        foreach ([...$this->sheet->options, ...$this->own] as $offer) {
            if (
                array_diff($offer->parts, array_keys($this->circuit->parts)) === [] &&
                !($this->potted && $offer->kind === 'component')
            ) {
                $offers[] = $offer;
            }
        }

        return $offers;
    }

    /** @return list<OfferedRemedy> */
    private function newParts(Suspect $suspect): array
    {
        $parts = explode('+', $suspect->remedy);
        $name = (new Words($this->circuit))->remedy($suspect->remedy);
        $price = $minutes = 0.0;
        $bought = [];
        foreach ($parts as $key) {
            $price += $this->settings->price($this->circuit->parts[$key]);
            $minutes += $this->settings->terms->fitting($this->circuit->parts[$key]);
            if (isset($this->sheet->types[$key])) {
                $bought[] = $this->settings->price($this->circuit->parts[$key]);
            }
        }
        if ($bought === []) {
            return [
                new OfferedRemedy(
                    $suspect->remedy,
                    $name,
                    'part',
                    $parts,
                    [],
                    $price,
                    $minutes,
                    0,
                    12,
                    10.0,
                    0.05,
                    0.0,
                    self::say('why.work'),
                    self::say('why-not.work'),
                ),
            ];
        }
        $terms = $this->settings->terms;
        $lead = array_filter(array_map(static fn(string $key): ?float => $terms->leadDays[$key] ?? null, $parts));
        $comeBack = Terms::mean($terms->comeBack, $parts);
        $life = Terms::mean($terms->life, $parts);
        $offers = [];
        foreach (self::makes() as $make) {
            if ($make['make'] === 'salvage' && array_intersect($parts, $this->sheet->neverUsed) !== []) {
                continue;
            }
            $offers[] = new OfferedRemedy(
                $make['make'] === 'original' ? $suspect->remedy : "$suspect->remedy:{$make['make']}",
                $name . ', ' . self::say("makes.{$make['make']}"),
                $make['kind'],
                $parts,
                [],
                round($price - array_sum($bought) * (1.0 - $make['price']), 2),
                $minutes + $make['minutes'],
                // What was waited for here was mostly the original.
                $lead === [] || $make['make'] !== 'original' ? $make['leadDays'] : (int) round(max($lead)),
                $make['warranty'],
                $make['life'] * $life,
                min(1.0, $make['comeBack'] * $comeBack),
                round($make['lost'] * array_sum($bought) * $make['price'], 2),
                self::say("why.{$make['make']}"),
                self::say("why-not.{$make['make']}"),
            );
        }

        return $offers;
    }

    /** @param array<string, float> $chances */
    private function price(OfferedRemedy $offer, array $chances): Priced
    {
        $cures = [];
        $fixes = 0.0;
        foreach ($chances as $suspect => $chance) {
            [$remedy, $fault] = explode('|', $suspect, 2);
            if (
                $remedy !== HypothesisList::NOTHING_WRONG &&
                ($offer->kind === self::APPLIANCE ||
                    (Hypothesis::isOfParts($remedy) && array_diff(explode('+', $remedy), $offer->parts) === [])) &&
                ($offer->faults === [] || $this->isOneOf($fault, $offer->faults))
            ) {
                $cures[] = $suspect;
                $fixes += $chance;
            }
        }
        $labour = $this->settings->labour($offer->minutes);
        $standing = $this->standing * (float) ($offer->leadDays ?? 0);
        // Within the warranty the part comes free; the labour and the visit do not.
        $comeBack =
            $offer->comeBack *
            ($this->settings->comeBack() + $labour + ($offer->warrantyMonths >= 12 ? 0.0 : $offer->price));

        return new Priced(
            $offer,
            $cures,
            $fixes,
            $labour,
            $standing,
            $comeBack,
            $offer->price + $labour + $standing + $comeBack,
        );
    }

    /** @param list<string> $texts */
    private function isOneOf(string $fault, array $texts): bool
    {
        foreach (explode('+', $fault) as $one) {
            $key = (string) preg_replace('/#\d+$/', '', $one);
            if (!\in_array($key, $texts, true) && !\in_array($this->circuit->faults[$key]->text ?? '', $texts, true)) {
                return false;
            }
        }

        return true;
    }

    /** @param list<Priced> $all */
    private static function isBeaten(Priced $one, array $all): bool
    {
        foreach ($all as $other) {
            if (
                $other !== $one &&
                $other->canBeHad() &&
                !$other->offer->isConversion() &&
                !$other->offer->isTemporary() &&
                array_diff($one->cures, $other->cures) === [] &&
                $other->expected <= $one->expected &&
                $other->offer->lost <= $one->offer->lost &&
                ($other->expected < $one->expected ||
                    $other->offer->lost < $one->offer->lost ||
                    $other->offer->key < $one->offer->key)
            ) {
                return true;
            }
        }

        return false;
    }

    private static function say(string $key): string
    {
        return (self::$texts ??= Texts::fromFile(__DIR__ . '/texts.en.json'))->get($key);
    }
}
