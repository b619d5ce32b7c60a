<table><tr>
    <td><h1>{{ $title }}</h1><p class="soft">{{ implode(', ', array_filter([$workshop, $address, $contact])) }}</p></td>
    <td class="right"><p><strong>{{ $number }}</strong></p><p class="soft">opened {{ $job->created_at->format('j F Y') }}@if($job->closed_at), closed {{ $job->closed_at->format('j F Y') }}@endif</p><p class="soft">{{ $workedBy }}</p></td>
</tr></table>
<table class="lines">
    <tr><td style="width: 120px">Machine</td><td><strong>{{ $job->unit->name }}</strong>@if($job->unit->place), {{ $job->unit->place }}@endif @if($job->unit->model)<span class="soft">{{ $job->unit->model }}</span>@endif</td></tr>
    <tr><td>Complaint</td><td>{{ $job->complaint }}@if($job->since), since {{ $job->since }}@endif @if($job->intermittent)(comes and goes)@endif</td></tr>
</table>
