<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * Price and time as they were told on the spot stand before the ordinary ones.
 */
final class QuotesTest extends TestCase
{
    /**
     * @param array<string, mixed> $data
     *
     * @return TestResponse<Response>
     */
    private function quote(Job $job, array $data): TestResponse
    {
        return $this->from('/')->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'quote',
            'data' => $data,
        ]);
    }

    /** @return array<string, array<string, mixed>> */
    private function ways(Job $job): array
    {
        return array_column($this->props("/jobs/$job->id/remedy")['outlook']['options'], null, 'key');
    }

    public function testAQuoteCountsAndTheNewestOfThemDoes(): void
    {
        $job = $this->jobOnBench($this->person());
        $before = $this->ways($job);
        self::assertNull($before['pack']['quotedBy']);
        $this->quote($job, [
            'option' => 'pack',
            'price' => '12,50',
            'leadDays' => '9',
            'source' => 'Skiff Parts',
        ])->assertSessionHasNoErrors();
        $pack = $this->ways($job)['pack'];
        self::assertSame([12.5, 9, 'Skiff Parts'], [(float) $pack['price'], $pack['leadDays'], $pack['quotedBy']]);
        self::assertEqualsWithDelta($before['pack']['labour'], $pack['labour'], 1e-9);
        self::assertEqualsWithDelta(
            $before['pack']['expected'] - $before['pack']['price'] + 12.5,
            $pack['expected'],
            1e-6,
        );
        $this->quote($job, ['option' => 'pack', 'price' => '14', 'leadDays' => '0', 'minutes' => '60']);
        $again = $this->ways($job)['pack'];
        self::assertSame([14.0, 0, 60.0], [(float) $again['price'], $again['leadDays'], (float) $again['minutes']]);
        self::assertGreaterThan($pack['labour'], $again['labour']);
        self::assertSame(
            $before['pack:salvage']['price'],
            $this->ways($job)['pack:salvage']['price'],
            'Only of what was quoted.',
        );
    }

    public function testWhatIsNotToBeHadIsNeitherProposedNorChosen(): void
    {
        $job = $this->jobOnBench($this->person());
        $first = $this->props("/jobs/$job->id/remedy")['outlook']['attempts'][0]['remedy'];
        $this->quote($job, ['option' => $first, 'notToBeHad' => true])->assertSessionHasNoErrors();
        $outlook = $this->props("/jobs/$job->id/remedy")['outlook'];
        self::assertNotContains($first, array_column($outlook['attempts'], 'remedy'));
        self::assertNull(array_column($outlook['options'], 'leadDays', 'key')[$first]);
        $choose = ['id' => $this->ulid(), 'option' => $first, 'reason' => 'all the same'];
        $this->post("/jobs/$job->id/remedy", $choose)->assertSessionHasErrors('option');
        $this->quote($job, ['option' => $first, 'price' => '30'])->assertSessionHasNoErrors();
        self::assertNotNull($this->ways($job)[$first]['leadDays'], 'Told a price, it can be had again.');
    }

    public function testWhatCannotBeIsToldAtItsFieldAndTheFileKeepsTheRest(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->quote($job, ['option' => 'pack', 'price' => '-3'])->assertSessionHasErrors('price');
        $this->quote($job, ['option' => 'pack', 'price' => 'cheap'])->assertSessionHasErrors('price');
        $this->quote($job, ['option' => 'pack', 'minutes' => '90000'])->assertSessionHasErrors('minutes');
        $this->quote($job, ['option' => 'pack', 'leadDays' => 'soon'])->assertSessionHasErrors('leadDays');
        $this->quote($job, ['option' => 'pack'])->assertSessionHasErrors('price');
        $this->quote($job, ['option' => '', 'price' => '3'])->assertSessionHasErrors('option');
        self::assertSame(0, $job->entries()->count());
        $this->quote($job, ['option' => 'pack', 'price' => '20'])->assertSessionHasNoErrors();
        $file = (string) $this->get("/jobs/$job->id/file")->getContent();
        $this->from('/')
            ->post('/jobs/import', ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])
            ->assertSessionHasNoErrors();
        $copy = Job::query()->where('workshop_id', $job->workshop_id)->whereKeyNot($job->id)->firstOrFail();
        self::assertSame(20.0, (float) $this->ways($copy)['pack']['price']);
    }

    public function testTheChoiceTakesTheQuoteWithItAndTheSwapTicksNothingElse(): void
    {
        $job = $this->jobOnBench($this->person());
        self::assertArrayHasKey('choice', $this->props("/jobs/$job->id/swap"));
        $this->quote($job, ['option' => 'pack', 'price' => '21', 'leadDays' => '2']);
        $this->post("/jobs/$job->id/remedy", [
            'id' => $this->ulid(),
            'option' => 'pack',
            'reason' => 'quoted by the yard',
        ])->assertSessionHasNoErrors();
        $choice = $this->props("/jobs/$job->id/swap")['choice'];
        self::assertSame([21.0, 2, ['pack']], [(float) $choice['purchase'], $choice['leadDays'], $choice['parts']]);
    }
}
