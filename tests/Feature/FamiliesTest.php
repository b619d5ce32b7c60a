<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Tests\Core\Families;
use Tests\TestCase;

/**
 * Every family goes through the same pages: none of them knows it by name.
 */
final class FamiliesTest extends TestCase
{
    #[DataProviderExternal(Families::class, 'all')]
    public function testAJobGoesFromTheComplaintToTheBench(string $family): void
    {
        $this->actingAs($this->person());
        $start = $this->props("/jobs/new?family=$family")['start'];
        self::assertSame($family, $start['family']);
        $states = [];
        foreach ($start['cells'] as $cell) {
            $states[$cell['key']] = $cell['states'][0]['value'];
        }
        $last = $start['cells'][\count($start['cells']) - 1];
        $states[$last['key']] = \in_array('dead', array_column($last['states'], 'value'), true)
            ? 'dead'
            : $last['states'][1]['value'];
        $answers = array_column(
            array_map(
                static fn(array $q): array => ['test' => $q['test'], 'value' => $q['choices'][0]['value']],
                $start['questions'],
            ),
            'value',
            'test',
        );
        $this->post('/jobs', [
            'id' => ($id = $this->ulid()),
            'mapId' => $this->ulid(),
            'unitName' => "Unit of $family",
            'complaint' => 'It does not do what it should.',
            'family' => $family,
            'parameters' => [],
            'states' => $states,
            'answers' => $answers,
        ])->assertRedirect();
        $fields = $this->props("/jobs/$id/circuit");
        self::assertNotSame([], $fields['fields']);
        $this->put("/jobs/$id/circuit", ['values' => $fields['values']])->assertRedirect("/jobs/$id/bench");
        $bench = $this->props("/jobs/$id/bench");
        self::assertCount(\count($start['cells']), $bench['strip']['cells']);
        self::assertCount(\count($states) + \count($answers), $bench['readings']);
        self::assertNotNull($bench['diagnosis']['next'], 'there is something to do');
        $test = $bench['diagnosis']['card'];
        $this->post("/jobs/$id/readings", [
            'id' => $this->ulid(),
            'test' => $test['key'],
            'value' => '1.2',
            'choice' => $test['choices'][0]['value'] ?? '',
        ])->assertSessionHasNoErrors();
        self::assertCount(\count($states) + \count($answers) + 1, $this->props("/jobs/$id/bench")['readings']);
        $this->get("/jobs/$id/verdict")->assertOk();
        $this->get("/jobs/$id/complaint")->assertOk();
        $this->get("/jobs/$id/file")->assertOk();
        $this->get('/')->assertOk();
        self::assertSame($family, Job::query()->findOrFail($id)->family);
    }

    public function testAnAnswerThatIsNoneIsRefusedAtTheField(): void
    {
        $this->actingAs($this->person());
        $this->post('/jobs', [
            'id' => $this->ulid(),
            'mapId' => $this->ulid(),
            'unitName' => 'Van',
            'complaint' => 'Noise',
            'family' => 'stepped-blower',
            'states' => ['1' => 'right'],
            'answers' => ['noise' => 'thunder'],
        ])->assertSessionHasErrors('answers');
        $this->post('/jobs', [
            'id' => $this->ulid(),
            'mapId' => $this->ulid(),
            'unitName' => 'Van',
            'complaint' => 'Noise',
            'family' => 'stepped-blower',
            'states' => ['1' => 'right'],
            'answers' => ['spin' => 'free'],
        ])->assertSessionHasErrors('answers');
        $this->post('/jobs', [
            'id' => $this->ulid(),
            'mapId' => $this->ulid(),
            'unitName' => 'Van',
            'complaint' => 'Noise',
            'family' => 'stepped-blower',
            'states' => [],
            'answers' => ['noise' => 'squeal'],
        ])->assertSessionHasNoErrors();
    }

    public function testAQuestionChangesNothingOfTheJob(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", [
            'id' => ($id = $this->ulid()),
            'test' => 'common-volts@3',
            'value' => '0.02',
        ]);
        $facts = $this->props("/jobs/$job->id/bench");
        self::assertNull($facts['whatIf']);
        $without = $this->props("/jobs/$job->id/bench?reading=$id");
        self::assertStringContainsString('without', $without['whatIf']);
        self::assertNotEquals(
            $facts['diagnosis']['suspects'][0]['probability'],
            $without['diagnosis']['suspects'][0]['probability'],
        );
        $other = $this->props("/jobs/$job->id/bench?reading=$id&showed=11.9");
        self::assertStringContainsString('11.9 V', $other['whatIf']);
        self::assertSame('pack-plug', $other['diagnosis']['suspects'][0]['remedy']);
        $supposed = $this->props("/jobs/$job->id/bench?suppose=motor");
        self::assertSame('motor', $supposed['diagnosis']['suspects'][0]['remedy']);
        self::assertEqualsWithDelta(1.0, $supposed['diagnosis']['suspects'][0]['probability'], 1e-9);
        self::assertNull($this->props("/jobs/$job->id/bench?suppose=nonsense&reading=nonsense")['whatIf']);
        self::assertEquals(
            $facts['diagnosis']['suspects'],
            $this->props("/jobs/$job->id/bench")['diagnosis']['suspects'],
        );
    }

    public function testTestsThatNeedAToolNotAtHandStandApart(): void
    {
        $person = $this->person();
        $job = $this->jobOnBench($person);
        $this->post("/jobs/$job->id/tools", ['tool' => 'clamp', 'atHand' => false])->assertRedirect();
        $bench = $this->props("/jobs/$job->id/bench");
        self::assertContains('current@4', array_column($bench['diagnosis']['beyond'], 'key'));
        self::assertNotContains('current@4', array_column($bench['diagnosis']['tests'], 'key'));
        self::assertFalse(array_column($bench['tools'], 'atHand', 'key')['clamp']);
        $this->post("/jobs/$job->id/tools", ['tool' => 'clamp', 'atHand' => true]);
        self::assertSame([], $this->props("/jobs/$job->id/bench")['diagnosis']['beyond']);
        $this->post("/jobs/$job->id/tools", ['tool' => 'anvil', 'atHand' => false])->assertSessionHasErrors('tool');
    }
}
