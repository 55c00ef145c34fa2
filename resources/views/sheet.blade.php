<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Setup sheet: {{ $part->name }}, op {{ $setup->operation }}</title>
    <style>
        @page { margin: 14mm 12mm; }
        body { font: 9pt "DejaVu Sans", "Source Sans 3", sans-serif; color: #1d2822; margin: 0; }
        table { border-collapse: collapse; width: 100%; margin: 0 0 4mm; }
        th, td { border: 0.3mm solid #8b877c; padding: 0.8mm 1.6mm; text-align: left; vertical-align: top; }
        th { background: #f1ebdd; font-weight: bold; }
        td.figure, th.figure { text-align: right; white-space: nowrap; }
        .title td { border: 0.4mm solid #34403a; }
        .title small { display: block; color: #5b6055; font-size: 7pt; }
        h2 { font-size: 11pt; margin: 4mm 0 1.5mm; page-break-after: avoid; }
        .box { display: inline-block; width: 3.2mm; height: 3.2mm; border: 0.4mm solid #34403a; }
        .stop { color: #a8391f; font-weight: bold; }
        .caution { color: #a04a00; font-weight: bold; }
        .reminder { border: 0.5mm solid #34403a; padding: 2mm; font-weight: bold; margin-top: 4mm; }
        .drawing { text-align: center; }
        .keep { page-break-inside: avoid; }
        @media screen { body { margin: 8mm auto; max-width: 186mm; } }
    </style>
</head>
<body>
    <table class="title">
        <tr>
            <td style="width: 34%"><small>Part</small><b>{{ $part->name }}</b></td>
            <td><small>Drawing</small>{{ $part->drawing_number }}</td>
            <td><small>Operation</small>{{ $setup->operation }} {{ $setup->name }}</td>
            <td><small>Machine</small>{{ $machine }}</td>
        </tr>
        <tr>
            <td><small>Sheet</small><b>{{ $lift === null ? 'Setup sheet' : 'Dry run, everything raised by '.$lift.' '.$unit }}</b></td>
            <td><small>Material</small>{{ $material ?? 'not specified' }}</td>
            <td><small>Setup version, units</small>{{ $setup->version }}, {{ $unit }}</td>
            <td><small>Made</small>{{ $date }}, {{ $by }}</td>
        </tr>
    </table>

    @if ($drawing !== null)
        <div class="drawing keep">
            <img src="data:image/svg+xml;base64,{{ base64_encode($drawing) }}" alt="The setup in plan and elevation" style="max-width: 165mm">
        </div>
    @endif
    @if ($holding !== '')<p>Held: {{ $holding }}</p>@endif

    <h2>Work offsets{{ $lift === null ? '' : ', raised for the dry run' }}</h2>
    <table>
        <tr><th>Code</th>@foreach ($axes as $axis)<th class="figure">{{ $axis }}</th>@endforeach<th></th></tr>
        @foreach ($offsets as $offset)
            <tr>
                <td><b>{{ $offset['name'] }}</b></td>@foreach ($offset['values'] as $value)<td class="figure">{{ $value }}</td>@endforeach
                <td>@unless ($offset['trusted'])<span class="stop">not trusted: touch off</span>@endunless</td>
            </tr>
        @endforeach
    </table>

    <h2>{{ $toolOffsets === null ? 'Tools' : 'Tool offsets' }}</h2>
    @if ($toolOffsets !== null)
        <table>
            <tr>
                <th>Offset</th><th>Tool</th><th class="figure">X</th><th class="figure">Z</th><th class="figure">R</th><th class="figure">Tip</th>
            </tr>
            @foreach ($toolOffsets as $offset)
                <tr>
                    <td><b>{{ $offset['number'] }}</b></td><td>{{ $offset['tool'] }}</td><td class="figure">{{ $offset['x'] }}</td>
                    <td class="figure">{{ $offset['z'] }}</td><td class="figure">{{ $offset['nose'] }}</td><td class="figure">{{ $offset['tip'] }}</td>
                </tr>
            @endforeach
        </table>
    @else
    <table>
        <tr>
            <th>T</th><th>Tool</th><th class="figure">Ø</th><th class="figure">H</th><th class="figure">D</th><th class="figure">Length</th>
            <th class="figure">Stick-out</th><th></th>
        </tr>
        @foreach ($tools as $tool)
            <tr>
                <td><b>{{ $tool['number'] }}</b></td><td>{{ $tool['name'] }}</td><td class="figure">{{ $tool['diameter'] }}</td>
                <td class="figure">{{ $tool['h'] }}</td><td class="figure">{{ $tool['d'] }}</td><td class="figure">{{ $tool['length'] }}</td>
                <td class="figure">{{ $tool['stickout'] }}</td>
                <td>@unless ($tool['trusted'])<span class="stop">not trusted: touch off</span>@endunless</td>
            </tr>
        @endforeach
    </table>
    @endif

    @foreach ($programs as $program)
        <h2>
            {{ $program['name'] }}, revision {{ $program['revision'] }} by {{ $program['savedBy'] }}:
            <span class="{{ $program['verdict'] }}">{{ $program['verdict'] }}</span>
        </h2>
        <table class="keep">
            <tr><th>Order</th><th>Tool</th><th class="figure">Time</th></tr>
            @foreach ($program['order'] as $row)
                <tr><td>{{ $row['tool'] }}</td><td>{{ $row['name'] }}</td><td class="figure">{{ $row['time'] }}</td></tr>
            @endforeach
            <tr><td></td><td>In all, estimated</td><td class="figure">{{ $program['time'] }}</td></tr>
        </table>
        @if ($program['findings'] !== [])
            <table>
                <tr><th>Stands</th><th>Line</th><th>Finding</th></tr>
                @foreach ($program['findings'] as $finding)
                    <tr>
                        <td class="{{ $finding['severity'] === 'error' ? 'stop' : 'caution' }}">{{ $finding['severity'] }}</td><td>{{ $finding['line'] }}</td>
                        <td>{{ $finding['text'] }}</td>
                    </tr>
                @endforeach
            </table>
            @if ($program['more'] > 0)<p>And {{ $program['more'] }} more, on the bench.</p>@endif
        @endif
        @if ($program['holds'] !== [])
            <table>
                <tr><th></th><th>Line</th><th>T</th><th>Stop and look</th><th>Display must show</th><th>Machine</th></tr>
                @foreach ($program['holds'] as $hold)
                    <tr>
                        <td><span class="box"></span></td><td>{{ $hold['line'] }}</td><td>{{ $hold['tool'] }}</td><td>{{ $hold['reason'] }}</td>
                        <td style="white-space: nowrap">{{ $hold['shown'] }}</td><td style="white-space: nowrap">{{ $hold['machine'] }}</td>
                    </tr>
                @endforeach
            </table>
        @endif
    @endforeach
    @if ($programs === [])<p>No program in this setup yet.</p>@endif

    <div class="reminder">
        Prove the program out: Oak Trace does not see the machine. Follow its manual, the shop’s rules and local codes for guarding; in doubt, ask a
        qualified person.
    </div>
</body>
</html>
