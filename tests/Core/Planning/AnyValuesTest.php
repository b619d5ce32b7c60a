<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\PlannerRegistry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\RandomFields;

/**
 * Whatever is filled in, a planner answers in whole sentences with numbers in them, or says at a field what does not
 * go.
 */
final class AnyValuesTest extends TestCase
{
    private const TIMES = 120;

    /** @return iterable<string, array{0: string}> */
    public static function planners(): iterable
    {
        foreach (array_keys((new PlannerRegistry())->all()) as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('planners')]
    public function testEveryFormGetsAPlanOrAReason(string $key): void
    {
        mt_srand(61);
        $planner = (new PlannerRegistry())->find($key);
        self::assertNotNull($planner);
        $planned = 0;
        for ($time = 0; $time < self::TIMES; ++$time) {
            $raw = $time === 0 ? [] : RandomFields::of($planner->parameters());
            $form = json_encode($raw, \JSON_THROW_ON_ERROR);
            try {
                $plan = $planner->plan($planner->parameters()->read($raw));
            } catch (ParameterError $error) {
                foreach ($error->messages as $field => $message) {
                    self::assertArrayHasKey($field, $planner->parameters()->parameters, $form);
                    self::assertMatchesRegularExpression('/^[A-Z0-9"].*[.?]$/su', $message, $form);
                }
                continue;
            }
            ++$planned;
            self::assertNotSame([], $plan->cautions, $form);
            foreach (self::words($plan) as $words) {
                self::assertNotSame('', trim($words), $form);
                self::assertDoesNotMatchRegularExpression('/\bnan\b|\binf\b|\{\w+\}|\d[eE][+-]?\d/i', $words, $form);
            }
            foreach ($plan->charts as $chart) {
                foreach ($chart->curves as $curve) {
                    self::assertDoesNotMatchRegularExpression('/NAN|INF/', var_export($curve, true), $form);
                }
            }
            foreach ($plan->worked as $worked) {
                self::assertFalse(is_nan($worked->value), $form);
            }
        }
        self::assertGreaterThan(0, $planned);
    }

    /** @return list<string> everything that is read */
    private static function words(Plan $plan): array
    {
        $words = [...$plan->cautions, ...$plan->refusals, ...$plan->findings, ...$plan->steps];
        foreach ($plan->figures as $figure) {
            array_push($words, $figure->label, $figure->value);
        }
        foreach ($plan->tables as $table) {
            array_push($words, $table->title, ...$table->columns);
            foreach ($table->rows as $row) {
                foreach ($row as $cell) {
                    $words[] = $cell === '' ? '–' : $cell;
                }
            }
        }
        foreach ($plan->charts as $chart) {
            array_push($words, $chart->title, $chart->x, $chart->y);
        }

        return $words;
    }
}
