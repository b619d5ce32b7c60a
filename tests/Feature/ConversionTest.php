<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Testing\TestResponse;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Work\JobOutcome;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * A machine made into another one: agreed to as such, with its own list of changes and its own proof.
 */
final class ConversionTest extends TestCase
{
    private const DEAD = ['off' => 'right', 'heat' => 'dead', 'cool' => 'dead'];
    private const RIGHT = ['off' => 'right', 'heat' => 'right', 'cool' => 'right'];
    private const MOTOR_OPEN = [
        'line-volts' => '231',
        'door-volts' => '230',
        'secondary' => '27.1',
        'call-volts@heat' => '26.8',
        'terminal-volts@heat' => '229',
        'tap-volts@heat' => '229',
        'tap-ohms@high' => 'OL',
        'auxiliary-ohms' => 'OL',
        'spin' => 'free',
        'look-filter' => 'clean',
        'microfarads' => '9.9',
    ];

    /** @param array<string, string> $readings */
    private function furnace(array $readings): Job
    {
        $job = $this->jobOnBench($this->person(), 'tapped-blower', [], self::DEAD);
        foreach ($readings as $test => $value) {
            $number = is_numeric($value) || $value === 'OL';
            $this->post("/jobs/$job->id/readings", [
                'id' => $this->ulid(),
                'test' => $test,
                ...$value === 'OL' ? ['overRange' => true] : ($number ? ['value' => $value] : ['choice' => $value]),
            ])->assertSessionHasNoErrors();
        }

        return $job->refresh();
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return TestResponse<Response>
     */
    private function choose(Job $job, array $with = []): TestResponse
    {
        return $this->post(
            "/jobs/$job->id/remedy",
            $with + ['id' => $this->ulid(), 'option' => 'variable-speed', 'reason' => 'The old motor is not made now'],
        );
    }

    public function testItIsNotOfferedOnASuspicion(): void
    {
        $job = $this->furnace([]);
        $kinds = array_column($this->props("/jobs/$job->id/remedy")['outlook']['options'], 'kind');
        self::assertNotContains('conversion', $kinds);
        $this->choose($job, ['lasting' => 'permanent'])->assertSessionHasErrors('option');
    }

    public function testItHasItsOwnChangesItsOwnProofAndSaysHowLong(): void
    {
        $job = $this->furnace(self::MOTOR_OPEN);
        $options = $this->props("/jobs/$job->id/remedy")['outlook']['options'];
        self::assertSame('variable-speed', $options[count($options) - 1]['key']);
        $this->choose($job)->assertSessionHasErrors('lasting');
        $this->choose($job, ['lasting' => 'perhaps'])->assertSessionHasErrors('lasting');
        $this->choose($job, ['lasting' => 'temporary'])->assertSessionHasNoErrors();
        $changes = $this->props("/jobs/$job->id/swap")['changes'];
        self::assertGreaterThan(3, count($changes));
        $swap = ['id' => $this->ulid(), 'parts' => [], 'done' => array_slice($changes, 1)];
        $this->post("/jobs/$job->id/replacements", $swap)->assertSessionHasErrors('done');
        self::assertStringContainsString($changes[0], session('errors')->first('done'));
        $this->post("/jobs/$job->id/replacements", ['done' => $changes] + $swap)->assertSessionHasNoErrors();
        self::assertSame(JobStage::Proof, $job->refresh()->stage);
        self::assertStringStartsWith('Converted:', (string) $job->replacements()->first()?->note);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::RIGHT]);
        $always = array_filter(
            $this->props("/jobs/$job->id/proof")['checks'],
            static fn(array $check): bool => $check['always'],
        );
        self::assertEqualsCanonicalizing(['rise', 'limit-holds'], array_column($always, 'test'));
        $close = fn(string $outcome): TestResponse => $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => $outcome,
            'reason' => 'no clamp',
            'dueOn' => now()->addDays(20)->toDateString(),
        ]);
        $close('temporary')->assertSessionHasErrors('outcome');
        $this->put("/jobs/$job->id/circuit", ['values' => ['riseLeast' => '20', 'riseMost' => '40']]);
        foreach (['rise' => '31', 'limit-holds' => 'through'] as $test => $value) {
            $this->post("/jobs/$job->id/checks", [
                'id' => $this->ulid(),
                'test' => $test,
                'value' => $value,
            ])->assertSessionHasNoErrors();
        }
        $close('repaired')->assertSessionHasErrors('outcome');
        $close('temporary')->assertSessionHasNoErrors();
        self::assertSame(JobOutcome::Temporary, $job->refresh()->outcome);
    }
}
