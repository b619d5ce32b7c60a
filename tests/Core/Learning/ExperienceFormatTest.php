<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Learning\CountedFault;
use Ispira\Core\Learning\Experience;
use Ispira\Core\Learning\ExperienceFormat;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ExperienceFormatTest extends TestCase
{
    public function testWhatIsWrittenIsRead(): void
    {
        $experience = new Experience('Quay workshop', '2026-11-30', [
            new CountedFault('wiper', 'Ridge wiper R3', 'motor', 'park-open', 2.5),
            new CountedFault('stepped-blower', '', 'none', '', 1.0),
        ]);
        self::assertEquals($experience, $this->read($this->written($experience)));
        self::assertSame(3.5, $experience->jobs());
    }

    public function testAKindOfCircuitThatIsNotKnownIsLeftOut(): void
    {
        $read = $this->read(
            $this->written(new Experience('Quay', '2026-11-30', [new CountedFault('lift', '', 'motor', '', 4.0)])),
        );
        self::assertSame([], $read->counts);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'another format' => [['format' => 'ispira-job'], 'format'];
        yield 'a newer version' => [['version' => 2], 'format'];
        yield 'no name' => [['name' => ' '], 'name'];
        yield 'no day' => [['madeOn' => 'today'], 'madeOn'];
        yield 'a customer' => [['customer' => 'somebody'], 'unknown field'];
        yield 'no list' => [['counts' => ['a' => 1]], 'counts'];
        yield 'less than nothing' => [['counts' => [['family' => 'wiper', 'remedy' => 'motor', 'jobs' => -1]]], 'jobs'];
        yield 'no number' => [['counts' => [['family' => 'wiper', 'remedy' => 'motor', 'jobs' => 'many']]], 'jobs'];
        yield 'a long model' => [
            ['counts' => [['family' => 'wiper', 'model' => str_repeat('x', 200), 'remedy' => 'motor', 'jobs' => 1]]],
            'model',
        ];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsRefusedWhereItStands(array $change, string $where): void
    {
        $this->expectException(FileError::class);
        $this->expectExceptionMessage($where);
        $this->read(
            json_encode(
                $change + [
                    'format' => 'ispira-experience',
                    'version' => 1,
                    'name' => 'Quay',
                    'madeOn' => '2026-11-30',
                    'counts' => [],
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }

    private function written(Experience $experience): string
    {
        return json_encode($this->format()->toArray($experience), \JSON_THROW_ON_ERROR);
    }

    private function read(string $json): Experience
    {
        return $this->format()->read($json);
    }

    private function format(): ExperienceFormat
    {
        return new ExperienceFormat(FamilyRegistry::shipped());
    }
}
