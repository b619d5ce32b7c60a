<table class="map">
    <tr><th>Position</th>@foreach($map as $cell)<th>{{ $cell['label'] }}</th>@endforeach</tr>
    <tr><td class="soft">should be</td>@foreach($map as $cell)<td style="vertical-align: bottom; height: 40px"><div class="out" style="height: {{ max(2, round(36 * $cell['expected'])) }}px"></div></td>@endforeach</tr>
    <tr><td>before</td>@foreach($map as $cell)<td class="{{ $cell['beforeRight'] ? 'good' : 'bad' }}">{{ $cell['before'] ?? 'not tried' }}</td>@endforeach</tr>
    <tr><td>after</td>@foreach($map as $cell)<td class="{{ $cell['afterRight'] ? 'good' : 'bad' }}">{{ $cell['after'] ?? '' }}</td>@endforeach</tr>
</table>
