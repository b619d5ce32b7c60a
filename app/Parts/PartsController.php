<?php

declare(strict_types=1);

namespace App\Parts;

use App\Http\Asked;
use App\Http\Controller;
use App\Http\CsvCell;
use App\Http\CsvDownload;
use App\Models\CatalogueEntry;
use App\Models\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Repair\Fit\AttributeView;
use Ispira\Core\Repair\Fit\CataloguePart;
use Ispira\Core\Repair\Fit\PartsFormat;
use Ispira\Core\Repair\Fit\PartShown;
use Ispira\Core\Repair\Fit\PartType;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * The parts that a workshop knows, with their data and terms.
 */
final class PartsController extends Controller
{
    public function index(Request $request, FamilyRegistry $families): PartsPage
    {
        $fits = [];
        foreach ($families->all() as $key => $family) {
            $circuit = $family->circuit($family->parameters()->read([]));
            foreach (array_keys($circuit->parts) as $part) {
                $fits[] = new Choice(
                    value: "$key:$part",
                    label: $family->texts()->get('name') . ': ' . $circuit->texts->get("parts.$part"),
                );
            }
        }

        return new PartsPage(
            parts: array_map(PartShown::of(...), $this->parts($this->user($request)->workshop)),
            types: array_map(
                static fn(PartType $one): PartTypeShown => new PartTypeShown(
                    value: $one->value,
                    label: $one->label(),
                    attributes: AttributeView::of($one),
                ),
                PartType::cases(),
            ),
            makes: CataloguePart::MAKES,
            fits: $fits,
        );
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->only(['number', 'name', 'type', 'make', 'fits', 'supersedes', 'attributes']);
        foreach (
            ['price', 'freight', 'selling', 'lifeYears', 'comeBack', 'lost', 'leadDays', 'warrantyMonths']
            as $field
        ) {
            $text = trim(str_replace(',', '.', Asked::text($request, $field)));
            if ($text !== '') {
                is_numeric($text) ||
                    throw ValidationException::withMessages([$field => 'Give a number, or leave it empty.']);
                $given[$field] = in_array($field, ['leadDays', 'warrantyMonths'], true) ? (int) $text : (float) $text;
            }
        }
        $this->filled($given);
        try {
            $part = PartsFormat::part($given, 'part');
        } catch (FileError $error) {
            throw ValidationException::withMessages([
                explode(':', str_replace('part.', '', $error->getMessage()))[0] => $error->getMessage(),
            ]);
        }
        $this->keep($this->user($request)->workshop, [$part]);

        return redirect('/parts', 303)->with('notice', "$part->number is in the catalogue.");
    }

    public function import(Request $request): RedirectResponse
    {
        $file = $request->file('file');
        if (!($file instanceof UploadedFile) || !$file->isValid() || $file->getSize() > PartsFormat::MOST_BYTES) {
            throw ValidationException::withMessages(['file' => 'Choose a catalogue of at most 2 MB, as JSON or CSV.']);
        }
        $content = (string) $file->get();
        try {
            $parts = str_starts_with(ltrim($content), '{')
                ? PartsFormat::read($content)
                : PartsFormat::fromRows(self::table($file->getPathname()));
        } catch (FileError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }
        $this->keep($this->user($request)->workshop, $parts);

        return redirect('/parts', 303)->with(
            'notice',
            count($parts) . ' parts were taken in; those with the same number were replaced.',
        );
    }

    public function json(Request $request): JsonResponse
    {
        return response()->json(
            PartsFormat::toArray($this->parts($this->user($request)->workshop)),
            200,
            ['Content-Disposition' => 'attachment; filename="parts.json"'],
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    public function csv(Request $request): StreamedResponse
    {
        $rows = PartsFormat::rows($this->parts($this->user($request)->workshop));

        return CsvDownload::of($rows, 'parts.csv');
    }

    public function destroy(Request $request): RedirectResponse
    {
        $this->user($request)
            ->workshop->parts()
            ->where('number', Asked::text($request, 'number'))
            ->firstOrFail()
            ->delete();

        return redirect('/parts', 303)->with(
            'notice',
            'The part is out of the catalogue. Jobs that used it keep what they noted.',
        );
    }

    /** @param array<string, mixed> $given */
    private function filled(array $given): void
    {
        foreach (
            [
                'number' => 'Give the part number.',
                'name' => 'Say what it is: coil pack, electronic module, motor with wheel.',
            ]
            as $field => $message
        ) {
            (is_string($given[$field] ?? null) && trim($given[$field]) !== '') ||
                throw ValidationException::withMessages([$field => $message]);
        }
    }

    /** @return list<CataloguePart> */
    private function parts(Workshop $workshop): array
    {
        return array_values(
            $workshop->parts()->get()->map(static fn(CatalogueEntry $entry): CataloguePart => $entry->toCore())->all(),
        );
    }

    /** @param list<CataloguePart> $parts */
    private function keep(Workshop $workshop, array $parts): void
    {
        DB::transaction(static function () use ($workshop, $parts): void {
            foreach ($parts as $part) {
                $workshop
                    ->parts()
                    ->updateOrCreate(['number' => $part->number], ['part' => PartsFormat::partToArray($part)]);
            }
        });
    }

    /** @return list<list<string>> */
    private static function table(string $path): array
    {
        $in = fopen($path, 'r');
        abort_if($in === false, 500);
        // A table saved where the comma is the decimal sign has semicolons between its cells.
        $separator = substr_count((string) fgets($in), ';') > 3 ? ';' : ',';
        rewind($in);
        $rows = [];
        while (($row = fgetcsv($in, 0, $separator, '"', '')) !== false) {
            $rows[] = array_map(static fn(?string $cell): string => CsvCell::read((string) $cell), $row);
        }
        fclose($in);

        return $rows;
    }
}
