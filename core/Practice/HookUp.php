<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;

/**
 * How somebody goes at a test: where the leads are put, and what was done to the machine before.
 */
final readonly class HookUp
{
    /**
     * @param string $red        node of the red lead; empty for where the test wants it
     * @param bool   $isolated   whether it was switched off, secured and proved dead
     * @param bool   $discharged whether what is stored was let out
     */
    public function __construct(
        public string $red = '',
        public string $black = '',
        public bool $isolated = false,
        public bool $discharged = false,
    ) {}

    /** As the words of a test have it. */
    public static function asWords(CircuitModel $circuit, Test $test): self
    {
        $isolated = $circuit->setUps[$test->setUp]->isolated;

        return new self(isolated: $isolated, discharged: $isolated);
    }

    /** Whether two leads of a meter are put to two places in a test, so that they can be put to others. */
    public static function hasLeads(Test $test): bool
    {
        return $test->probe->against !== '' &&
            \in_array($test->probe->quantity, [Quantity::Volts, Quantity::Ohms], true);
    }

    /** @return list<string> nodes that a meter reaches in a circuit, with words for each */
    public static function places(CircuitModel $circuit): array
    {
        $places = [];
        foreach ($circuit->tests as $test) {
            if (self::hasLeads($test)) {
                foreach ([$test->probe->at, $test->probe->against] as $node) {
                    $places[$node] = true;
                }
            }
        }

        return array_values(
            array_filter(
                array_map(strval(...), array_keys($places)),
                static fn(string $node): bool => isset($circuit->places[$node]),
            ),
        );
    }

    /** Whether the leads are where the test wants them. */
    public function isAsWords(Test $test): bool
    {
        return !self::hasLeads($test) ||
            (\in_array($this->red, ['', $test->probe->at], true) &&
                \in_array($this->black, ['', $test->probe->against], true));
    }

    /** The test that the leads really make. */
    public function really(Test $test): Test
    {
        if ($this->isAsWords($test)) {
            return $test;
        }
        $red = $this->red === '' ? $test->probe->at : $this->red;
        $black = $this->black === '' ? $test->probe->against : $this->black;

        return new Test(
            "$test->key/$red,$black",
            $test->text,
            $test->setUp,
            $test->probe->quantity === Quantity::Ohms ? Probe::ohms($red, $black) : Probe::volts($red, $black),
            $test->minutes,
            $test->access,
            $test->cautions,
            $test->tools,
            $test->words,
            contact: $test->contact,
        );
    }

    /** What the words and the leads differ in; null where they do not. */
    public function slip(CircuitModel $circuit, Test $test): ?string
    {
        if ($this->isAsWords($test)) {
            return null;
        }
        $probe = $this->really($test)->probe;
        if ($probe->at === $test->probe->against && $probe->against === $test->probe->at) {
            return PracticeTexts::get('hook-up.reversed');
        }
        $said = static fn(Probe $one): string => PracticeTexts::get('hook-up.one', [
            'red' => $circuit->places[$one->at] ?? $one->at,
            'black' => $circuit->places[$one->against] ?? $one->against,
        ]);

        return PracticeTexts::get('hook-up.wrong', ['wanted' => $said($test->probe), 'put' => $said($probe)]);
    }
}
