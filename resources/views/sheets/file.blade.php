<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ $number }}</title>@include('sheets.style')</head>
<body>
@include('sheets.head', ['title' => 'Job sheet for the file'])
<p class="soft">{{ $family }}. @php($known = array_filter($minutes, static fn ($took) => $took !== null))@if($known !== [])Minutes: {{ implode(', ', array_map(static fn ($what, $took) => "$what ".round($took), array_keys($known), $known)) }}.@endif</p>

@if($map !== [])
<h2>Speed map, before and after</h2>
@include('sheets.map')
@endif

<h2>Verdict and odds</h2>
@forelse($odds as $one)
    <p><strong>{{ $one['label'] }}</strong> was replaced{{ $one['by'] === null ? '' : " by {$one['by']}" }}. @if($one['verdict'] !== null)The odds then:@endif</p>
    @if($one['verdict'] !== null)
        <table>
        @foreach($one['verdict']['suspects'] as $suspect)
            <tr><td style="width: 210px">{{ $suspect['label'] }}</td><td style="width: 170px"><div class="track"><div class="fill" style="width: {{ max(1, round(160 * $suspect['probability'])) }}px"></div></div></td><td>{{ number_format(100 * $suspect['probability'], 1) }} %</td></tr>
        @endforeach
        </table>
        @foreach($one['verdict']['suspects'][0]['reasons'] ?? [] as $reason)<p class="soft">{{ $reason['speaks'] === 'for' ? 'For' : 'Against' }}: {{ $reason['sentence'] }}</p>@endforeach
    @endif
@empty
    <p>Nothing was replaced. The odds as they stand:</p>
    <table>
    @foreach($now as $suspect)
        <tr><td style="width: 210px">{{ $suspect['label'] }}</td><td style="width: 170px"><div class="track"><div class="fill" style="width: {{ max(1, round(160 * $suspect['probability'])) }}px"></div></div></td><td>{{ number_format(100 * $suspect['probability'], 1) }} %</td></tr>
    @endforeach
    </table>
@endforelse

@if($stillOpen !== [])
<h2>Still open</h2>
<ul>@foreach($stillOpen as $one)<li><strong>{{ $one->what }}</strong>@if($one->why !== ''): {{ $one->why }}@endif</li>@endforeach</ul>
@endif
@if($settled !== [])
<p class="soft">Settled since: @foreach($settled as $one){{ $one->what }}, by {{ $one->who }}: {{ $one->how }}. @endforeach</p>
@endif

<h2>Readings</h2>
<table class="lines">
    <tr><th>Time</th><th>Test</th><th>Read</th><th></th><th>By</th></tr>
    @foreach($readings as $one)
        <tr><td style="width: 96px" class="soft">{{ \Illuminate\Support\Carbon::parse($one->takenAt)->format('d.m. H:i') }}</td><td>{{ $one->title }}@if($one->doubts !== [])<br><span class="soft">{{ implode(' ', $one->doubts) }}</span>@endif</td><td style="width: 110px"><strong>{{ $one->value }}</strong></td><td style="width: 90px" class="soft">{{ $one->struck ? 'struck out' : ($one->steady ? '' : 'wandered') }}{{ $one->episode > 0 ? ' after repair' : '' }}</td><td style="width: 80px" class="soft">{{ $one->by }}</td></tr>
    @endforeach
</table>

@foreach($series as $plot)
    <div class="whole"><h2>{{ $plot['title'] }}, by position</h2>
    <table class="map">
        <tr><th></th>@foreach($plot['steps'] as $step)<th>{{ $step['position'] }}</th>@endforeach</tr>
        <tr><td class="soft">pale: sound<br>dark: read</td>
            @foreach($plot['steps'] as $step)<td style="vertical-align: bottom; height: 64px"><table><tr><td style="vertical-align: bottom; border: none; padding: 0 1px"><div class="out" style="width: 14px; height: {{ max(1, round(60 * abs($step['expected'] ?? 0) / $plot['most'])) }}px"></div></td><td style="vertical-align: bottom; border: none; padding: 0 1px">@if($step['read'] !== null)<div class="bar" style="width: 14px; height: {{ max(1, round(60 * abs($step['read']) / $plot['most'])) }}px"></div>@endif</td></tr></table></td>@endforeach
        </tr>
        <tr><td></td>@foreach($plot['steps'] as $step)<td>{{ $step['text'] ?? '' }}</td>@endforeach</tr>
    </table></div>
@endforeach

@if($choices !== [])
    <h2>Remedy</h2>
    @foreach($choices as $one)<p><strong>{{ $one['label'] }}</strong>@if($one['partNumber']), {{ $one['partNumber'] }}@endif. Purchase {{ number_format($one['purchase'], 2) }} {{ $currency }}, {{ round($one['minutes']) }} min, expected to a machine that runs {{ number_format($one['expected'], 2) }} {{ $currency }}. Reason: {{ $one['reason'] }}</p>@endforeach
@endif

@if($measured !== [])
    <h2>New part, measured before it went in</h2>
    @foreach($measured as $one)<p>{{ $one['title'] }}: <span class="{{ $one['right'] ? 'good' : 'bad' }}">{{ $one['right'] ? 'right' : 'not right' }}</span>, a sound one shows {{ $one['expected'] }}. {{ $one['reason'] }}</p>@endforeach
@endif

@if($plans !== [])
    <h2>Planned and worked out</h2>
    @foreach($plans as $one)<p><strong>{{ $one->name }}</strong>: {{ implode(' ', $one->said) }}</p>@endforeach
@endif

@if($kit !== [])
    <h2>Kit</h2>
    <p>{{ implode('; ', $kit) }}</p>
@endif

@if($steps !== [])
    <h2>Taken apart and put back</h2>
    <table class="lines">@foreach($steps as $step)<tr><td>{{ $step->what }}</td><td style="width: 150px">{{ $step->count }} off, {{ $step->back }} back{{ $step->left > 0 ? ", {$step->left} left over" : '' }}</td><td style="width: 160px" class="soft">{{ $step->reason }}</td></tr>@endforeach</table>
    <p class="soft">Left over: {{ $leftOver }}. @if($asFound !== [])As found: {{ implode('; ', $asFound) }}.@endif</p>
@endif

@if($wires !== [] || $switches !== [])
    <h2>Wires and switches</h2>
    <table class="lines">@foreach($wires as $wire)<tr><td>{{ $wire->function }}</td><td>{{ $wire->colour }} {{ $wire->label }}</td><td>{{ $wire->from }} to {{ $wire->to }}</td><td style="width: 120px" class="soft">{{ $wire->moved ? 'moved' : '' }} {{ $wire->checked ? 'and checked' : '' }}</td></tr>@endforeach</table>
    @foreach($switches as $one)<p>{{ $one->name }}: {{ $one->old }} on the old part, {{ $one->new ?? 'not set' }} on the new. {{ $one->reason }}</p>@endforeach
@endif

@if($runs !== [])
    <h2>Procedures</h2>
    @foreach($runs as $run)<p>{{ $run->title }}: {{ $run->state }}, {{ \Illuminate\Support\Carbon::parse($run->at)->format('d.m. H:i') }}</p>@endforeach
@endif

@if($checks !== [])
    <div class="whole"><h2>Checks after the repair</h2>
    <table class="lines">@foreach($checks as $one)<tr><td>{{ $one['title'] }}</td><td style="width: 150px">{{ $one['expected'] }}</td><td style="width: 110px" class="{{ $one['right'] === true ? 'good' : 'bad' }}">{{ $one['read'] ?? '' }}</td></tr>@endforeach</table></div>
@endif

@if($handed !== [])
    <h2>Handed over, corrected, opened again</h2>
    @foreach($handed as $line)<p>{{ $line }}</p>@endforeach
@endif

<div class="whole"><h2>How it ended</h2>
<p><strong>{{ $ending }}</strong></p>
<ul>@foreach($advice as $line)<li>{{ $line }}</li>@endforeach</ul></div>
</body>
</html>
