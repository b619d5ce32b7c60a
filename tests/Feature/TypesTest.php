<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\Commands\TypesCommand;
use App\Console\TypeScript\PropTypes;
use Illuminate\Support\Facades\Artisan;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\OfKind;
use Tests\TestCase;

/**
 * The types of TypeScript are those of the classes that pages are sent.
 */
final class TypesTest extends TestCase
{
    public function testTheTypesOfTypeScriptAreThoseOfPhp(): void
    {
        self::assertSame(0, Artisan::call('ispira:types --check'), Artisan::output());
    }

    public function testEachTypeOfPhpHasItsCounterpart(): void
    {
        $module = (new PropTypes())->module([Everything::class]);
        foreach (
            [
                'name: string;',
                'count: number;',
                'share: number | null;',
                "side: 'left' | 'right';",
                'lists: string[];',
                'either: (string | number)[];',
                'at: [number, number] | null;',
                'point: { x: number; label: string };',
                'byKey: Record<string, number | undefined>;',
                'stage: JobStage;',
                'loans: LoanEntry[];',
                '/** Words about it. */',
                '/** One of each. */',
            ]
            as $line
        ) {
            self::assertStringContainsString($line, $module);
        }
        self::assertStringContainsString("export type JobStage =\n    | 'circuit'\n    | 'bench'", $module);
        self::assertMatchesRegularExpression("/interface LoanEntry \{\n    id: string;\n.*what: string;/s", $module);
    }

    public function testWhatHasNoCounterpartIsRefusedByName(): void
    {
        $this->expectExceptionMessage('callable');
        (new PropTypes())->module([Untold::class]);
    }

    public function testEveryPageThatIsSentHasAComponent(): void
    {
        $listed = (string) file_get_contents(resource_path('js/pages.ts'));
        preg_match_all('~^    (\w+): \(\) => import\(\'@/(\w+/\1)\'\),$~m', $listed, $components);
        foreach ($components[2] as $file) {
            self::assertFileExists(resource_path("js/$file.tsx"));
        }
        foreach (TypesCommand::pages() as $class) {
            self::assertContains($class::component(), $components[1]);
        }
    }
}

/**
 * One of each.
 */
final readonly class Everything
{
    /**
     * @param 'left'|'right'                     $side
     * @param list<string>                       $lists  words about it
     * @param list<string|int>                   $either
     * @param array{0: float, 1: float}|null     $at
     * @param array{x: float, label: string}     $point
     * @param Keyed<float>                       $byKey
     * @param list<mixed>                        $loans
     */
    public function __construct(
        public string $name,
        public int $count,
        public ?float $share,
        public string $side,
        public array $lists,
        public array $either,
        public ?array $at,
        public array $point,
        public Keyed $byKey,
        public JobStage $stage,
        #[OfKind(EntryKind::Loan)] public array $loans,
    ) {}
}

final readonly class Untold
{
    /** @param list<callable> $made */
    public function __construct(public array $made) {}
}
