<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Http\Asked;
use App\Http\Controller;
use App\Models\AuditEntry;
use App\Models\Workshop;
use App\People\AuditAct;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * What holds for the whole workshop.
 */
final class SettingsController extends Controller
{
    public const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** What each number may be, and what it is called where it is not. */
    private const NUMBERS = [
        'labourPerHour' => ['labour_per_hour', 1000.0, 'An hour costs from 0 to 1000.'],
        'comeBackHours' => ['come_back_hours', 40.0, 'A come-back takes from 0 to 40 hours.'],
    ];

    public function __construct(private readonly WorkshopTools $tools) {}

    public function edit(Request $request): SettingsPage
    {
        $workshop = $this->user($request)->workshop;

        return new SettingsPage(
            name: $workshop->name,
            address: (string) $workshop->address,
            contact: (string) $workshop->contact,
            currency: $workshop->currency,
            labourPerHour: $workshop->labour_per_hour,
            comeBackHours: $workshop->come_back_hours,
            taxLine: (string) $workshop->tax_line,
            unitSystem: $workshop->unit_system,
            opensAt: $workshop->opens_at,
            closesAt: $workshop->closes_at,
            timeZone: $workshop->time_zone,
            timeZones: \DateTimeZone::listIdentifiers(),
            workingDays: $workshop->working_days ?? Workshop::USUAL_DAYS,
            tools: $this->tools->all(),
            missingTools: $workshop->missing_tools ?? [],
            odds: $workshop->odds,
            againMonths: $workshop->again_months,
        );
    }

    public function update(Request $request): RedirectResponse
    {
        $lead = $this->user($request);
        $data = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'address' => ['nullable', 'string', 'max:400'],
                'contact' => ['nullable', 'string', 'max:200'],
                'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/'],
                'labourPerHour' => ['required'],
                'comeBackHours' => ['required'],
                'taxLine' => ['nullable', 'string', 'max:200'],
                'unitSystem' => ['required', Rule::in([DisplayUnits::METRIC, DisplayUnits::US])],
                'opensAt' => ['bail', 'required', 'string', 'date_format:H:i'],
                'closesAt' => [
                    'bail',
                    'required',
                    'string',
                    'date_format:H:i',
                    // The framework's own rule breaks where a list stands in the place of the other.
                    static function (string $name, string $closes, \Closure $fail) use ($request): void {
                        if ($closes <= Asked::text($request, 'opensAt')) {
                            $fail('It closes after it opens.');
                        }
                    },
                ],
                'timeZone' => ['required', 'string', 'timezone'],
                'workingDays' => ['required', 'array', 'min:1'],
                'workingDays.*' => ['string', Rule::in(self::DAYS)],
                'againMonths' => ['required', 'integer', 'min:0', 'max:120'],
                'odds' => ['required', Rule::in([Workshop::OWN_ODDS, Workshop::SHIPPED_ODDS])],
                'missingTools' => ['nullable', 'array'],
                'missingTools.*' => ['string', Rule::in(array_column($this->tools->all(), 'value'))],
            ],
            [
                'name.required' => 'Give the workshop its name.',
                'againMonths.*' => 'Give whole months from 0 to 120; 0 for never.',
                'currency.*' => 'Give the three letters of a currency, such as EUR.',
                'opensAt.*' => 'Give a time such as 08:00.',
                'closesAt.*' => 'Give a time such as 17:00.',
                'timeZone.*' => 'Choose the time zone of the workshop.',
                'workingDays.*' => 'Choose at least one day.',
                '*.max' => 'Keep it under :max characters.',
            ],
        );
        $columns = [
            'name' => $data['name'],
            'address' => $data['address'] ?? null,
            'contact' => $data['contact'] ?? null,
            'currency' => $data['currency'],
            'tax_line' => $data['taxLine'] ?? null,
            'unit_system' => $data['unitSystem'],
            'opens_at' => $data['opensAt'],
            'closes_at' => $data['closesAt'],
            'time_zone' => $data['timeZone'],
            'working_days' => array_values(array_intersect(self::DAYS, $data['workingDays'])),
            'missing_tools' => array_values(array_unique($data['missingTools'] ?? [])),
            'odds' => $data['odds'],
            'again_months' => (int) $data['againMonths'],
        ];
        foreach (self::NUMBERS as $field => [$column, $most, $message]) {
            $columns[$column] = self::number($field, $data[$field], $most, $message);
        }
        DB::transaction(static function () use ($lead, $columns): void {
            $workshop = Workshop::query()->whereKey($lead->workshop_id)->lockForUpdate()->firstOrFail();
            $workshop->fill($columns);
            $changed = array_keys($workshop->getDirty());
            if ($changed !== []) {
                $workshop->save();
                AuditEntry::note(
                    $lead,
                    AuditAct::SettingsChanged,
                    $workshop->name,
                    str_replace('_', ' ', implode(', ', $changed)),
                );
            }
        });

        return redirect('/settings', 303)->with('notice', 'Saved.');
    }

    private static function number(string $field, mixed $given, float $most, string $message): float
    {
        try {
            $number = NumberReader::read($given, '');
        } catch (UnreadableNumber $error) {
            throw ValidationException::withMessages([$field => $error->getMessage()]);
        }

        return $number >= 0.0 && $number <= $most
            ? round($number, 2)
            : throw ValidationException::withMessages([$field => $message]);
    }
}
