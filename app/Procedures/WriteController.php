<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Http\Controller;
use App\Jobs\FamilyHead;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Acts\WrittenProcedure;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureError;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\TypedProcedure;

/**
 * A lead writes a procedure of the workshop's own, or changes one that ships.
 */
final class WriteController extends Controller
{
    private const STORED = 'The procedure is stored. Runs that were begun before keep the old text.';

    public function __construct(private readonly WorkshopLibrary $library, private readonly FamilyRegistry $families) {}

    public function create(): WriteProcedurePage
    {
        return new WriteProcedurePage(null, TypedProcedure::begun(), FamilyHead::all($this->families));
    }

    public function edit(Request $request, string $key): WriteProcedurePage
    {
        $procedure = $this->library->of($this->user($request)->workshop)[$key] ?? abort(404);

        return new WriteProcedurePage($key, TypedProcedure::of($procedure), FamilyHead::all($this->families));
    }

    public function store(Request $request): RedirectResponse
    {
        $lead = $this->user($request);
        $key = $request->input('key');
        $known = $this->library->of($lead->workshop);
        if (is_string($key) && !isset($known[$key])) {
            abort(404);
        }
        try {
            $procedure = WrittenProcedure::read(
                $request->only(['title', 'summary', 'families', 'cautions', 'steps', 'abort']),
                is_string($key) ? $key : null,
                array_keys($this->families->all()),
            );
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
        }
        if (!is_string($key) && isset($known[$procedure->key])) {
            throw ValidationException::withMessages([
                'title' => "There is a procedure of that name already: \"{$known[$procedure->key]->title}\". Change that one, or give this one another name.",
            ]);
        }

        return $this->keep($lead, $procedure);
    }

    /** Takes in a file that was exported here or elsewhere. */
    public function import(Request $request): RedirectResponse
    {
        $lead = $this->user($request);
        $file = $request->file('file');
        if (!($file instanceof UploadedFile) || !$file->isValid()) {
            throw ValidationException::withMessages(['file' => 'Choose a procedure file.']);
        }
        try {
            $procedure = ProcedureFormat::read($file->getContent());
        } catch (ProcedureError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }
        if (in_array($procedure->key, WrittenProcedure::ADDRESSES, true)) {
            throw ValidationException::withMessages([
                'file' => "key: \"$procedure->key\" cannot be the key of a procedure. Give it another one.",
            ]);
        }

        return $this->keep($lead, $procedure);
    }

    public function export(Request $request, string $key): Response
    {
        $procedure = $this->library->of($this->user($request)->workshop)[$key] ?? abort(404);
        $json = json_encode(
            ProcedureFormat::toArray($procedure),
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_THROW_ON_ERROR,
        );

        return response($json, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$key.procedure.json\"",
        ]);
    }

    public function remove(Request $request, string $key): RedirectResponse
    {
        $this->user($request)->workshop->procedures()->where('key', $key)->firstOrFail()->delete();

        return redirect($this->library->isShipped($key) ? "/procedures/$key" : '/procedures', 303)->with(
            'notice',
            "The workshop's own text is gone.",
        );
    }

    private function keep(User $lead, Procedure $procedure): RedirectResponse
    {
        $lead->workshop
            ->procedures()
            ->updateOrCreate(
                ['key' => $procedure->key],
                ['text' => ProcedureFormat::toArray($procedure), 'user_id' => $lead->id],
            );

        return redirect("/procedures/$procedure->key", 303)->with('notice', self::STORED);
    }
}
