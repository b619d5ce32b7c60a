<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Ispira\Core\Job\JobKind;

final class OpenJobRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'mapId' => ['required', 'ulid'],
            'unitId' => ['nullable', 'ulid'],
            'unitName' => [
                $this->isOfAPart() ? 'nullable' : 'required_without:unitId',
                'nullable',
                'string',
                'max:120',
            ],
            'unitPlace' => ['nullable', 'string', 'max:120'],
            'unitModel' => ['nullable', 'string', 'max:120'],
            'kind' => ['nullable', Rule::enum(JobKind::class)],
            'part' => ['nullable', 'required_if:kind,loose-part', 'string', 'max:60'],
            'complaint' => [$this->isOfAPart() ? 'nullable' : 'required', 'string', 'max:2000'],
            'also' => ['nullable', 'string', 'max:500'],
            'since' => ['nullable', 'string', 'max:120'],
            'intermittent' => ['boolean'],
            'replacedBefore' => ['nullable', 'string', 'max:1000'],
            'family' => ['required', 'string', 'max:60'],
            'parameters' => ['nullable', 'array', 'max:40'],
            'states' => ['nullable', 'array', 'max:30'],
            'answers' => ['nullable', 'array', 'max:20'],
        ];
    }

    /** A part that lies on the bench has no machine and nobody who complains. */
    private function isOfAPart(): bool
    {
        return $this->input('kind') === JobKind::LoosePart->value;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'unitName.required_without' => 'Name the unit, or choose one that was here before.',
            'part.required_if' => 'Choose the part that lies on the bench.',
            'complaint.required' => 'Write what the user of the machine says, in a few words.',
            '*.max' => 'That is too long: keep it under :max characters.',
        ];
    }
}
