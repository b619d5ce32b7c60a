<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ $number }}</title>@include('sheets.style')</head>
<body>
@include('sheets.head', ['title' => 'What we found and did'])

@if($map !== [])
<h2>How it ran, before and after</h2>
@include('sheets.map')
@endif

<h2>What was found</h2>
@forelse($found as $line)<p>{{ $line }}</p>@empty<p>No part was found faulty.</p>@endforelse
@if($asFound !== [])<p class="soft">As it came to us: {{ implode('; ', $asFound) }}.</p>@endif

<h2>What was done</h2>
@forelse($done as $one)
    <p><strong>{{ $one->label }}</strong>@if($one->partNumber), part {{ $one->partNumber }}@endif.@if($one->note) {{ $one->note }}@endif</p>
@empty
    @if($adjusted === [])<p>Nothing was replaced.</p>@endif
@endforelse
@foreach($adjusted as $one)<p>{{ $one['what'] }}: from {{ $one['before'] }} to {{ $one['after'] }}.</p>@endforeach
@foreach($choices as $one)
    <p class="soft">Chosen: {{ $one['label'] }}, because: {{ $one['reason'] }}@if($one['selling'] !== null). Price {{ number_format($one['selling'], 2) }} {{ $currency }}@endif @if($one['warrantyUntil'] !== null). Warranty until {{ $one['warrantyUntil'] }}@endif</p>
@endforeach
@if($taxLine !== null && array_filter(array_column($choices, 'selling')) !== [])<p class="soft">{{ $taxLine }}</p>@endif

<h2>How it stands</h2>
<p><strong>{{ $ending }}</strong></p>
@if($proved)<p>After the work every position was tried again, and each of them was right.</p>@endif

@if($stillOpen !== [])
<h2>Still open</h2>
<ul>@foreach($stillOpen as $one)<li><strong>{{ $one->what }}</strong>@if($one->why !== ''): {{ $one->why }}@endif</li>@endforeach</ul>
@endif
@if($settled !== [])
<p class="soft">Settled since: @foreach($settled as $one){{ $one->what }}, by {{ $one->who }}: {{ $one->how }}. @endforeach</p>
@endif

<h2>What we advise</h2>
<ul>@foreach($advice as $line)<li>{{ $line }}</li>@endforeach</ul>

<table class="sign"><tr><td></td><td style="border: none; width: 10%"></td><td></td></tr></table>
<table><tr><td style="width: 55%" class="soft">for the workshop</td><td class="soft">for the customer</td></tr></table>
</body>
</html>
