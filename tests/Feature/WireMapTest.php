<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Tests\TestCase;

/**
 * The five wires of a fan: a guess is no record, and before power it is said that nobody confirmed them.
 */
final class WireMapTest extends TestCase
{
    private const STILL = ['off' => 'right', 'low' => 'dead', 'medium' => 'dead', 'high' => 'dead'];
    private const ALL = [
        'map' => 'own',
        'colour-vm' => 'brown',
        'colour-gnd' => 'black',
        'colour-vcc' => 'white',
        'colour-vsp' => 'yellow',
        'colour-fg' => 'blue',
    ];

    private function fan(): Job
    {
        return $this->jobOnBench($this->person(), 'five-wire-fan', [], self::STILL);
    }

    /** @return array<string, mixed> the card of a test with power */
    private function live(Job $job): array
    {
        return $this->props("/jobs/$job->id/bench?test=vm-volts")['diagnosis']['card'];
    }

    public function testColoursStartEmptyAndAreUnique(): void
    {
        $job = $this->fan();
        $this->put("/jobs/$job->id/circuit", ['values' => ['map' => 'own']])->assertSessionHasNoErrors();
        $fields = array_column($this->props("/jobs/$job->id/circuit")['fields'], null, 'key');
        $values = $this->props("/jobs/$job->id/circuit")['values'];
        foreach (['vm', 'gnd', 'vcc', 'vsp', 'fg'] as $function) {
            self::assertSame('unknown', $values["colour-$function"] ?? $fields["colour-$function"]['default']);
        }
        self::assertStringContainsString('colour not known', (string) json_encode($this->live($job)));
        $this->put("/jobs/$job->id/circuit", [
            'values' => ['colour-fg' => 'brown'] + self::ALL,
        ])->assertSessionHasErrors('colour-fg');
        $this->put("/jobs/$job->id/circuit", [
            'values' => self::ALL + ['pin-vm' => '1', 'pin-fg' => '1'],
        ])->assertSessionHasErrors('pin-fg');
        $this->put("/jobs/$job->id/circuit", ['values' => self::ALL])->assertSessionHasNoErrors();
    }

    public function testAMapThatNobodyConfirmedSaysSoBeforePower(): void
    {
        $job = $this->fan();
        $this->put("/jobs/$job->id/circuit", ['values' => self::ALL])->assertSessionHasNoErrors();
        $said = (string) json_encode($this->live($job));
        self::assertStringContainsString('Nobody has confirmed', $said);
        self::assertStringContainsString('brown, not confirmed', $said);
        $this->put("/jobs/$job->id/circuit", [
            'values' => ['colour-fg' => 'unknown', 'confirmed' => 'yes'] + self::ALL,
        ])->assertSessionHasNoErrors();
        self::assertStringContainsString('Nobody has confirmed', (string) json_encode($this->live($job)), 'not whole');
        $this->put("/jobs/$job->id/circuit", [
            'values' => self::ALL + ['confirmed' => 'yes'],
        ])->assertSessionHasNoErrors();
        self::assertStringNotContainsString('confirmed', (string) json_encode($this->live($job)));
    }

    public function testThePulsesAreTriedWithoutVmOnlyWhereTheBoardAllowsIt(): void
    {
        $job = $this->fan();
        $offered = static fn(array $props): array => array_column($props['diagnosis']['tests'], 'key');
        self::assertNotContains('fg-hand', $offered($this->props("/jobs/$job->id/bench")));
        $this->put("/jobs/$job->id/circuit", ['values' => ['supplies' => 'apart']])->assertSessionHasNoErrors();
        $tests = $this->props("/jobs/$job->id/bench")['diagnosis'];
        self::assertContains('fg-hand', [...array_column($tests['tests'], 'key'), $tests['next']['key']]);
    }
}
