<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Controller;
use App\Models\MeterAddress;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Instrument\MeterTrouble;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * Meters of the workshop, and the leads of the session.
 */
final class InstrumentController extends Controller
{
    public function index(Request $request): InstrumentsPage
    {
        $user = $this->user($request);

        return new InstrumentsPage(
            meters: array_values(
                $user->workshop
                    ->meters()
                    ->orderBy('name')
                    ->get()
                    ->map(
                        static fn(MeterAddress $meter): MeterShown => new MeterShown(
                            id: $meter->id,
                            name: $meter->name,
                            host: $meter->host,
                            port: $meter->port,
                            identity: $meter->identity,
                        ),
                    )
                    ->all(),
            ),
            tried: $request->session()->get('tried'),
            leads: Leads::ohms($request->session()),
        );
    }

    public function store(Request $request): RedirectResponse
    {
        $workshop = $this->user($request)->workshop;
        $data = $request->validate(
            [
                'name' => ['required', 'string', 'max:60', Rule::unique('meters')->where('workshop_id', $workshop->id)],
                'host' => ['required', 'string', 'max:120', 'regex:/^[A-Za-z0-9.\-:]+$/'],
                'port' => ['required', 'integer', 'between:1024,65535'],
            ],
            [
                'name.unique' => 'The workshop has a meter of that name. Give this one another.',
                'host.regex' => 'Give a host name or an address, such as 192.168.1.40.',
                'port.between' => 'Give the port on which it speaks SCPI, from 1024 up: most use 5025.',
            ],
        );
        if (!WorkshopNetwork::holds($data['host'])) {
            throw ValidationException::withMessages([
                'host' =>
                    'Meters are only asked inside the workshop\'s own network, such as 192.168.1.40 or 127.0.0.1.',
            ]);
        }
        $meter = $workshop->meters()->create($data);

        return $this->tried($request, $meter);
    }

    public function try(Request $request, string $meter): RedirectResponse
    {
        return $this->tried($request, $this->user($request)->workshop->meters()->findOrFail($meter));
    }

    public function destroy(Request $request, string $meter): RedirectResponse
    {
        $this->user($request)->workshop->meters()->findOrFail($meter)->delete();

        return redirect('/instruments', 303)->with(
            'notice',
            'The meter is off the list. Readings that came from it stay.',
        );
    }

    public function leads(Request $request): RedirectResponse
    {
        $given = $request->input('ohms');
        if ($given === null || $given === '') {
            Leads::forget($request->session());

            return back(303);
        }
        try {
            $ohms = NumberReader::read($given, 'Ω');
        } catch (UnreadableNumber $error) {
            throw ValidationException::withMessages(['ohms' => $error->getMessage()]);
        }
        if ($ohms < 0.0 || $ohms > Leads::MOST_OHMS) {
            throw ValidationException::withMessages([
                'ohms' =>
                    'Leads held together show from 0 to ' . Leads::MOST_OHMS . ' Ω: more means a bad lead or plug.',
            ]);
        }
        Leads::put($request->session(), $ohms);

        return back(303);
    }

    private function tried(Request $request, MeterAddress $meter): RedirectResponse
    {
        try {
            $said = OneVisit::of($this->user($request), static fn(): string => $meter->meter()->identity());
            $meter->update(['identity' => mb_substr($said, 0, 120)]);
            $tried = new MeterTried(meter: $meter->id, works: true, says: "It answers: $meter->identity");
        } catch (MeterTrouble $trouble) {
            $tried = new MeterTried(meter: $meter->id, works: false, says: $trouble->getMessage());
        }

        return redirect('/instruments', 303)->with('tried', $tried);
    }
}
