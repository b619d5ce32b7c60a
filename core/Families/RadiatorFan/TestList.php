<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * What is worth testing on radiator fans. They start by themselves: the caution stands before nearly every step.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = [
        'battery' => 0.5,
        'fuse-box' => 1.5,
        'fan-plug-a' => 3.0,
        'fan-plug-b' => 3.0,
        'control' => 4.0,
        'fans' => 2.0,
    ];

    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        $control = new ControlTests($this->layout);

        return [
            ...$this->speeds(),
            ...$this->looks(),
            ...(new VoltTests($this->layout))->all(),
            ...$control->jumps(),
            ...(new AloneTests($this->layout))->all(),
            ...$control->all(),
        ];
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        $checks = [];
        foreach (['fuse', 'plug-a', ...$this->layout->dropsInResistor() ? ['resistor'] : []] as $part) {
            $checks[] = new CauseCheck($part, 'spin', 'drag');
            $checks[] = new CauseCheck($part, 'current-a', 'draw');
        }

        return $checks;
    }

    /** @return list<Test> */
    private function speeds(): array
    {
        $tests = [];
        foreach (['off', 'low', 'high'] as $request) {
            foreach ($this->layout->fans() as $fan) {
                $cell = $this->layout->cell($request, $fan);
                $tests[] = new Test(
                    "speed@$cell",
                    'speed',
                    $cell,
                    Probe::speed("fan-$fan"),
                    0.4,
                    words: ['position' => $this->layout->label($request, $fan)],
                    offered: false,
                );
            }
        }

        return $tests;
    }

    /** @return list<Test> */
    private function looks(): array
    {
        $l = $this->layout;
        $high = $l->cell('high', 'a');
        $tests = [
            $this->handsOn('look-wheel', 'look-wheel', 0.7, ['fans']),
            $this->look('wiggle-control', 'wiggle-control', 1.0, ['control'], $high, contact: Contact::Wires),
            $this->look('wiggle-feed', 'wiggle-feed', 1.0, ['fuse-box'], $high, contact: Contact::Wires),
        ];
        if ($l->dropsInResistor()) {
            $tests[] = $this->handsOn('look-resistor', 'look-resistor', 0.7, ['fans']);
            $tests[] = $this->look(
                'wiggle-resistor',
                'wiggle-resistor',
                1.0,
                ['fans'],
                $l->cell('low', 'a'),
                contact: Contact::Wires,
            );
        }
        if ($l->relays) {
            $tests[] = $this->look('compressor', 'compressor', 0.5, [], $l->cell('low', 'a'));
        }
        foreach ($l->fans() as $fan) {
            $words = ['fan' => Layout::WORDS[$fan]];
            $tests[] = $this->handsOn($fan === 'a' ? 'spin' : 'spin-b', 'spin', 0.7, ['fans'], $words);
            $tests[] = $this->handsOn("look-plug-$fan", 'look-plug', 0.7, ["fan-plug-$fan"], $words);
            $tests[] = $this->look(
                "wiggle-plug-$fan",
                'wiggle-plug',
                1.0,
                ["fan-plug-$fan"],
                $l->cell($l->running($fan), $fan),
                $words,
                Contact::Wires,
            );
            $tests[] = $this->look(
                "knock-$fan",
                'knock',
                0.7,
                ['fans'],
                $l->cell($l->running($fan), $fan),
                $words,
                Contact::Wires,
            );
        }

        return $tests;
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private function look(
        string $key,
        string $text,
        float $minutes,
        array $access,
        string $setUp,
        array $words = [],
        Contact $contact = Contact::Eyes,
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            words: $words,
            repeatable: str_starts_with($key, 'wiggle'),
            contact: $contact,
        );
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private function handsOn(string $key, string $text, float $minutes, array $access, array $words = []): Test
    {
        return $this->look($key, $text, $minutes, $access, 'dead', $words, Contact::Hands);
    }
}
