<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\CoreFingerprint;
use App\Bench\DiagnosisStream;
use App\Bench\FilePredictionStore;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Tests\TestCase;

final class CommandsTest extends TestCase
{
    public function testTheSimulatedUnitAnswersTheMapAndSingleTests(): void
    {
        self::assertSame(0, Artisan::call('ispira:answer', ['--fault' => 'common-open#0']));
        $map = json_decode(Artisan::output(), true, 8, \JSON_THROW_ON_ERROR);
        self::assertSame('dead', $map['speed@2']);
        self::assertCount(6, $map);
        self::assertSame(0, Artisan::call('ispira:answer', ['test' => 'common-ohms', '--fault' => 'common-open#0']));
        self::assertSame(['common-ohms' => null], json_decode(Artisan::output(), true, 8, \JSON_THROW_ON_ERROR));
        self::assertSame(0, Artisan::call('ispira:answer', ['--list' => true, '--parameters' => '{"high":"relay"}']));
        self::assertStringContainsString('high-coil-open#0', Artisan::output());
    }

    public function testTheSimulatedUnitRefusesWhatItDoesNotKnow(): void
    {
        self::assertSame(1, Artisan::call('ispira:answer', ['--fault' => 'gremlin']));
        self::assertSame(1, Artisan::call('ispira:answer', ['test' => 'moon@4']));
        self::assertSame(1, Artisan::call('ispira:answer', ['--parameters' => '{"positions":"40"}']));
    }

    public function testTheSimulatedUnitTellsInWordsWhatEveryTestShows(): void
    {
        self::assertSame(0, Artisan::call('ispira:answer', ['--all' => true, '--fault' => 'common-open#0']));
        $printed = Artisan::output();
        self::assertStringContainsString('Listen to position 1: dead', $printed);
        self::assertMatchesRegularExpression('/^Ohms .*: over range$/m', $printed);
    }

    public function testRepairsAreProvedBySimulatedMachines(): void
    {
        self::assertSame(0, Artisan::call('ispira:proofs', ['--jobs' => '3', '--family' => ['tapped-blower']]));
        self::assertMatchesRegularExpression('/^tapped-blower +3 .*%.* 3 .*%/m', Artisan::output());
    }

    public function testFaultsThatStayHiddenThoughEverythingIsMeasuredAreListed(): void
    {
        self::assertSame(0, Artisan::call('ispira:hidden', ['--runs' => '1', '--family' => ['control-output']]));
        self::assertMatchesRegularExpression('/^all: (\d\d) of \d\d$/m', Artisan::output());
    }

    public function testAStreamOfJobFilesIsAnsweredLineByLineAndABadLineDoesNotEndIt(): void
    {
        $good =
            '{"format":"ispira-job","version":1,"circuit":{"family":"stepped-blower"},"readings":[{"test":"speed@1","value":"dead"},{"test":"common-ohms","value":"over-range"}]}';
        $input = fopen('php://memory', 'r+') ?: throw new \LogicException();
        $output = fopen('php://memory', 'r+') ?: throw new \LogicException();
        fwrite($input, "$good\n{half a\n\n" . str_replace('common-ohms', 'moon', $good) . "\n$good");
        rewind($input);
        app(DiagnosisStream::class)->run($input, $output);
        rewind($output);
        $lines = explode("\n", trim((string) stream_get_contents($output)));
        self::assertCount(4, $lines);
        self::assertSame('pack', json_decode($lines[0], true, 32, \JSON_THROW_ON_ERROR)['suspects'][0]['remedy']);
        self::assertSame(2, json_decode($lines[1], true, 32, \JSON_THROW_ON_ERROR)['line']);
        self::assertStringContainsString(
            'no test "moon"',
            json_decode($lines[2], true, 32, \JSON_THROW_ON_ERROR)['error'],
        );
        self::assertSame($lines[0], $lines[3]);
    }

    public function testASkeletonOfAFamilyIsWrittenOnce(): void
    {
        $folder = 'storage/framework/testing/families';
        File::deleteDirectory(base_path($folder));
        $command = ['name' => 'Bilge pump', '--into' => "$folder/core", '--tests' => "$folder/tests"];
        self::assertSame(0, Artisan::call('ispira:make-family', $command));
        self::assertStringContainsString("wrote $folder/core/BilgePump/BilgePumpFamily.php", Artisan::output());
        $written = (string) file_get_contents(base_path("$folder/core/BilgePump/BilgePumpFamily.php"));
        self::assertStringContainsString('final class BilgePumpFamily implements Family', $written);
        self::assertStringNotContainsString('{{', $written);
        self::assertFileExists(base_path("$folder/tests/BilgePumpTest.php"));
        self::assertSame(1, Artisan::call('ispira:make-family', $command));
        self::assertSame(1, Artisan::call('ispira:make-family', ['name' => 'Stepped blower'] + $command));
        self::assertSame(1, Artisan::call('ispira:make-family', ['name' => '../../x'] + $command));
        File::deleteDirectory(base_path($folder));
    }

    public function testTheEngineIsComparedWithTheBestOfAllCourses(): void
    {
        self::assertSame(
            0,
            Artisan::call('ispira:optimal', [
                '--family' => ['air-door'],
                '--parameters' => '{"kind":"vacuum"}',
                '--tests' => '3',
                '--depth' => '2',
            ]),
        );
        self::assertMatchesRegularExpression('/engine over best 1\.\d+ on average/', Artisan::output());
    }

    public function testTheTrialPrintsRightPartsTestsMinutesMoneyAndCalibration(): void
    {
        self::assertSame(
            0,
            Artisan::call('ispira:trial', [
                '--family' => ['flue-fan'],
                '--by-variant' => true,
                '--variant' => ['ordinary'],
                '--runs' => '1',
                '--faults' => 'lasting',
                '--policy' => ['engine', 'buy on the pattern'],
            ]),
        );
        $printed = Artisan::output();
        self::assertMatchesRegularExpression(
            '/flue-fan +ordinary +lasting +\d+ +[\d.]+% +[\d.]+ +[\d.]+ +[\d.]+/',
            $printed,
        );
        self::assertStringContainsString('buy on the pattern', $printed);
        self::assertStringContainsString('kinds of fault named right in fewer', $printed);
        self::assertStringContainsString('stated odds of the verdict', $printed);
    }

    public function testKeptPredictionsSurviveAndDamagedOnesAreIgnored(): void
    {
        $folder = sys_get_temp_dir() . '/predictions-' . $this->ulid();
        $store = new FilePredictionStore($folder);
        self::assertSame([], $store->load('abc'));
        $store->save('abc', ['none|speed@1' => pack('d*', 1.0, 2.0)]);
        self::assertSame(['none|speed@1' => pack('d*', 1.0, 2.0)], $store->load('abc'));
        file_put_contents("$folder/abc.predictions", 'half a fi');
        self::assertSame([], $store->load('abc'));
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }

    public function testWhatAnotherVersionOfTheCoreHasKeptIsLeftOutAndCleared(): void
    {
        $parent = sys_get_temp_dir() . '/versions-' . $this->ulid();
        [$before, $now] = ["$parent/0123456789abcdef", "$parent/fedcba9876543210"];
        (new FilePredictionStore($before))->save('abc', ['none|speed@1' => pack('d*', 1.0)]);
        $store = new FilePredictionStore($now);
        self::assertSame([], $store->load('abc'));
        $store->save('abc', ['none|speed@1' => pack('d*', 2.0)]);
        self::assertDirectoryDoesNotExist($before);
        $core = "$parent/core";
        mkdir($core);
        file_put_contents("$core/A.php", '<?php // one');
        $first = CoreFingerprint::of($core);
        self::assertMatchesRegularExpression('/^[0-9a-f]{16}$/', $first);
        file_put_contents("$core/A.php", '<?php // two');
        self::assertNotSame($first, CoreFingerprint::of($core));
        self::assertSame(CoreFingerprint::of(base_path('core')), basename(config()->string('ispira.predictions')));
        array_map(unlink(...), ["$core/A.php", "$now/abc.predictions"]);
        array_map(rmdir(...), [$core, $now, $parent]);
    }

    public function testTheDemoAccountsAreSilentOutsideTheDemo(): void
    {
        Artisan::call('ispira:demo-accounts');
        self::assertSame('', trim(Artisan::output()));
    }
}
