<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/**
 * What the server sends against the interfaces that the pages are written for.
 */
final class PagePropsTest extends TestCase
{
    public function testTheBenchSendsWhatItsTypesSay(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'common-volts@3', 'value' => '0.02']);
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'battery-volts@4', 'value' => '126']);
        $bench = $this->props("/jobs/$job->id/bench");
        $this->assertShape('JobHead', $bench['job']);
        $this->assertShape('Strip', $bench['strip']);
        $this->assertShape('Cell', $bench['strip']['cells'][0]);
        $this->assertShape('SpeedMap', $bench['strip']['maps'][0]);
        $this->assertShape('Sheet', $bench['sheet']);
        $this->assertShape('SheetNode', reset($bench['sheet']['nodes']));
        $this->assertShape('SheetElement', $bench['sheet']['elements'][0]);
        $this->assertShape('ReadingShown', $bench['readings'][0]);
        $this->assertShape('Diagnosis', $bench['diagnosis']);
        $this->assertShape('Suspect', $bench['diagnosis']['suspects'][0]);
        $this->assertShape('Reason', $bench['diagnosis']['suspects'][0]['reasons'][0]);
        $this->assertShape('Card', $bench['diagnosis']['card']);
        $this->assertShape('Outcome', $bench['diagnosis']['card']['outcomes'][0]);
        $this->assertShape('Meaning', $bench['diagnosis']['card']['outcomes'][0]['remedies'][0]);
        $this->assertShape('TestChoice', $bench['diagnosis']['tests'][0]);
        $this->assertShape(
            'Mark',
            $this->props("/jobs/$job->id/bench?test=common-ohms")['diagnosis']['card']['marks'][0],
        );
        $circuit = $this->props("/jobs/$job->id/circuit");
        $this->assertShape('FieldShown', $circuit['fields'][0]);
        $this->assertShape('LearnedValue', $circuit['learned'][0]);
        self::assertSame($circuit['learned'], $bench['diagnosis']['learned']);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->assertShape('ReplacementShown', $this->props("/jobs/$job->id/proof")['replacements'][0]);
    }

    public function testTheRepairSendsWhatItsTypesSay(): void
    {
        $job = $this->jobOnBench($this->person());
        $remedy = $this->props("/jobs/$job->id/remedy");
        $this->assertShape('OutlookShown', $remedy['outlook']);
        $this->assertShape('RemedyShown', $remedy['outlook']['options'][0]);
        $this->assertShape('AttributeShown', $this->props("/jobs/$job->id/fit")['attributes'][0]);
        $this->post('/parts', ['number' => 'A-1', 'name' => 'Pack', 'type' => 'pack', 'make' => 'original']);
        $this->assertShape('CataloguePart', $this->props('/parts')['parts'][0]);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        $this->assertShape('CheckShown', $this->props("/jobs/$job->id/proof")['checks'][0]);
    }

    public function testAPlannerSendsWhatItsTypesSay(): void
    {
        $this->actingAs($this->person());
        $props = $this->props('/planners/bench-supply');
        $this->assertShape('PlannerHead', $props['planner']);
        $this->assertShape('PlanShown', $props['plan']);
        $this->assertShape('PlanChartShown', $props['plan']['charts'][0]);
        $this->assertShape('FieldShown', $props['fields'][0]);
    }

    private function assertShape(string $interface, mixed $sent): void
    {
        self::assertIsArray($sent, $interface);
        $types = (string) file_get_contents(__DIR__ . '/../../resources/js/lib/types.ts');
        self::assertSame(1, preg_match("/export interface $interface \\{\n(.*?)\n\\}/s", $types, $found), $interface);
        preg_match_all('/^ {4}(\w+)\??: /m', $found[1], $keys);
        self::assertEqualsCanonicalizing($keys[1], array_keys($sent), "$interface in types.ts and what is sent differ");
    }
}
