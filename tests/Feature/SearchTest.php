<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Ispira\Core\Job\JobStage;
use Tests\TestCase;

/**
 * The full-text index knows only what was committed: these tests commit, and leave the tables empty.
 */
final class SearchTest extends TestCase
{
    /** @var list<string> */
    protected array $connectionsToTransact = [];

    protected function tearDown(): void
    {
        Schema::withoutForeignKeyConstraints(static function (): void {
            foreach (Schema::getTableListing(DB::getDatabaseName(), false) as $table) {
                $table === 'migrations' || DB::table($table)->truncate();
            }
        });
        parent::tearDown();
    }

    public function testAJobIsFoundByHalfWordsOfAllThatIsRemembered(): void
    {
        $user = $this->person();
        $user->update(['name' => 'Iska Rodvar']);
        $job = $this->jobOnBench($user);
        $this->post("/jobs/$job->id/correct", [
            'id' => $this->ulid(),
            'unit' => 'Van 7',
            'place' => 'Quay, cold store',
            'model' => 'Tarn 12',
            'complaint' => 'The heater blows only on top',
            'intermittent' => false,
        ]);
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['pack'],
            'partNumber' => 'OV-0087',
        ])->assertSessionHasNoErrors();
        $this->jobOnBench($this->person());
        $this->actingAs($user);
        foreach (
            [
                'van 7 heater' => 1,
                'va he to' => 1,
                'J-0001' => 1,
                '1' => 1,
                'ov-0087' => 1,
                'ov-8' => 1,
                'ov-08' => 1,
                'ov-9' => 0,
                'ov 8' => 0,
                'va hea ov-8' => 1,
                'tarn quay' => 1,
                'iska' => 1,
                'resistor pack' => 1,
                'stepped' => 1,
                'J-0002' => 0,
                'van 9' => 0,
                '100%' => 0,
                'eater' => 0,
                '+-*"' => 0,
                '' => 1,
            ]
            as $words => $count
        ) {
            $found = $this->props('/?q=' . urlencode((string) $words))['groups'];
            self::assertCount($count, $found === [] ? [] : $found[0]['jobs'], (string) $words);
        }
    }

    public function testUnitsAreOfferedByTheWordsOfTheirName(): void
    {
        $user = $this->person();
        $this->actingAs($user);
        foreach (['Van 7', 'Van 8', 'Bakery oven'] as $name) {
            $this->post('/jobs', $this->newJob(['unitName' => $name, 'unitPlace' => 'Quay']));
        }
        $names = fn(string $typed): array => array_column(
            $this->props('/jobs/new?unit=' . urlencode($typed))['units'],
            'name',
        );
        self::assertEqualsCanonicalizing(['Van 7', 'Van 8'], $names('va'));
        self::assertSame(['Bakery oven'], $names('oven quay'));
        self::assertCount(3, $names(''));
        self::assertSame([], $names('ship'));
    }

    public function testListsAreNarrowedCountedAndPaged(): void
    {
        $user = $this->person();
        $other = $this->person('technician', $user->workshop);
        $job = $this->jobOnBench($user);
        for ($n = 2; $n <= 54; ++$n) {
            $copy = $job->replicate(['id']);
            $copy->fill([
                'number' => $n,
                'stage' => $n <= 30 ? JobStage::Bench : JobStage::Closed,
                'owner_id' => $n === 5 ? $other->id : $user->id,
                'family' => $n === 7 ? 'wiper' : 'stepped-blower',
                'parameters' => [],
            ]);
            $copy->save();
        }
        $this->actingAs($user);
        $page = $this->props('/');
        $numbers = array_column($page['numbers'], 'count', 'view');
        self::assertSame([30, 24, 29, 54], [$numbers['bench'], $numbers['closed'], $numbers['mine'], $numbers['all']]);
        self::assertSame(['On the bench', 'Closed'], array_column($page['groups'], 'title'));
        self::assertCount(20, $page['groups'][1]['jobs']);
        self::assertSame('closed', $page['groups'][1]['view']);
        $first = $this->props('/?view=all&sort=oldest');
        self::assertCount(50, $first['groups'][0]['jobs']);
        self::assertSame('J-0001', $first['groups'][0]['jobs'][0]['job']['number']);
        self::assertNull($first['newer']);
        $second = $this->props((string) $first['older']);
        self::assertSame(
            ['J-0051', 'J-0052', 'J-0053', 'J-0054'],
            array_map(static fn(array $one): string => $one['job']['number'], $second['groups'][0]['jobs']),
        );
        self::assertNull($second['older']);
        self::assertNotNull($second['newer']);
        self::assertCount(1, $this->props("/?person=$other->id")['groups'][0]['jobs']);
        self::assertCount(1, $this->props('/?family=wiper&view=bench')['groups'][0]['jobs']);
        self::assertSame([], $this->props('/?family=wiper&view=closed')['groups']);
        self::assertNotSame([], $this->props('/?view=nonsense&sort=nonsense&family=nonsense&person=x')['groups']);
    }
}
