<?php

declare(strict_types=1);

namespace App\Console\TypeScript;

use Illuminate\Support\Str;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayTypeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;

/**
 * TypeScript for what pages are sent: one interface for each class whose public properties they meet.
 */
final class PropTypes
{
    private const SIMPLE = [
        'string' => 'string',
        'int' => 'number',
        'float' => 'number',
        'bool' => 'boolean',
        'null' => 'null',
        'mixed' => 'unknown',
        'true' => 'true',
        'false' => 'false',
    ];

    /** @var array<string, string> declarations by name */
    private array $declared = [];

    /** @var array<string, class-string> classes by the name under which they are declared */
    private array $named = [];

    public function __construct(private readonly DocTypes $docs = new DocTypes()) {}

    /**
     * @param list<class-string> $roots
     *
     * @return string one module with every type that the roots reach, by name
     */
    public function module(array $roots): string
    {
        foreach ($roots as $root) {
            $this->name($root);
        }
        ksort($this->declared);

        return "// Written by `php artisan ispira:types` from the classes of the same names. Change those, not this.\n\n" .
            implode("\n", $this->declared);
    }

    /** @param class-string $class */
    private function name(string $class): string
    {
        $name = class_basename($class);
        if (($this->named[$name] ?? $class) !== $class) {
            throw new \LogicException("Both {$this->named[$name]} and $class would be called $name.");
        }
        if (!isset($this->named[$name])) {
            $this->named[$name] = $class;
            $this->declared[$name] = enum_exists($class)
                ? self::enumeration($name, new \ReflectionEnum($class))
                : $this->interface($name, new \ReflectionClass($class));
        }

        return $name;
    }

    /** @param \ReflectionEnum<\UnitEnum> $enum */
    private static function enumeration(string $name, \ReflectionEnum $enum): string
    {
        $values = array_map(static function (\ReflectionEnumUnitCase $case): string {
            $value = $case->getValue();

            return $value instanceof \BackedEnum ? self::text((string) $value->value) : self::text($case->getName());
        }, $enum->getCases());

        return "export type $name =\n    | " . implode("\n    | ", $values) . ";\n";
    }

    /** @param \ReflectionClass<object> $class */
    private function interface(string $name, \ReflectionClass $class): string
    {
        $constructor = $class->getConstructor() ?? throw new \LogicException("$name has no constructor.");
        $docs = $this->docs->of($constructor);
        $lines = [];
        foreach ($constructor->getParameters() as $parameter) {
            $doc = $docs[$parameter->getName()] ?? null;
            $type = $this->property($class, $parameter, $doc?->type);
            if ($doc !== null && $doc->description !== '') {
                $lines[] = '    /** ' . Str::ucfirst((string) preg_replace('/\s+/', ' ', $doc->description)) . '. */';
            }
            $lines[] = "    {$parameter->getName()}: $type;";
        }
        $about = self::about($class);

        return ($about === '' ? '' : "/** $about */\n") .
            "export interface $name {\n" .
            implode("\n", $lines) .
            "\n}\n";
    }

    /** @param \ReflectionClass<object> $class */
    private static function about(\ReflectionClass $class): string
    {
        if ($class->isSubclassOf(Page::class)) {
            return '';
        }
        $text = preg_replace('#^\s*/?\*+/? ?#m', '', (string) $class->getDocComment()) ?? '';

        return trim((string) preg_replace('/\s+/', ' ', explode("\n\n", explode('@', $text)[0])[0]));
    }

    /** @param \ReflectionClass<object> $in */
    private function property(\ReflectionClass $in, \ReflectionParameter $parameter, ?TypeNode $doc): string
    {
        $kind = $parameter->getAttributes(OfKind::class)[0] ?? null;
        if ($kind !== null) {
            $entry = $this->entry($kind->newInstance()->kind);

            return $parameter->getType()?->allowsNull() === true ? "$entry | null" : $entry . '[]';
        }
        if ($doc !== null) {
            return $this->type($doc, $in);
        }
        $type = $parameter->getType();
        $parts = $type instanceof \ReflectionUnionType ? $type->getTypes() : [$type];
        $names = [];
        foreach ($parts as $part) {
            if ($part instanceof \ReflectionNamedType) {
                $names[] = $this->plain($part->getName(), $in);
                if ($part->allowsNull() && $part->getName() !== 'null' && $part->getName() !== 'mixed') {
                    $names[] = 'null';
                }
            }
        }

        return implode(' | ', array_unique($names));
    }

    /** @param \ReflectionClass<object> $in */
    private function type(TypeNode $type, \ReflectionClass $in): string
    {
        return match (true) {
            $type instanceof IdentifierTypeNode => $this->plain($type->name, $in),
            $type instanceof NullableTypeNode => $this->type($type->type, $in) . ' | null',
            $type instanceof UnionTypeNode => implode(
                ' | ',
                array_unique(array_map(fn(TypeNode $one): string => $this->type($one, $in), $type->types)),
            ),
            $type instanceof ArrayTypeNode => self::listOf($this->type($type->type, $in)),
            $type instanceof GenericTypeNode => $this->generic($type, $in),
            $type instanceof ArrayShapeNode => $this->shape($type, $in),
            $type instanceof ConstTypeNode && $type->constExpr instanceof ConstExprStringNode => self::text(
                $type->constExpr->value,
            ),
            default => throw new \LogicException("$type of {$in->getName()} has no counterpart in TypeScript."),
        };
    }

    /** @param \ReflectionClass<object> $in */
    private function generic(GenericTypeNode $type, \ReflectionClass $in): string
    {
        $arguments = array_map(fn(TypeNode $one): string => $this->type($one, $in), $type->genericTypes);
        $last = end($arguments);

        return match ($type->type->name) {
            'list', 'non-empty-list' => self::listOf((string) $last),
            'int' => 'number',
            'array' => 'Record<string, ' . $last . ' | undefined>',
            class_basename(Keyed::class) => 'Record<string, ' .
                ($last === 'unknown' ? $last : "$last | undefined") .
                '>',
            default => throw new \LogicException("$type of {$in->getName()} has no counterpart in TypeScript."),
        };
    }

    /** @param \ReflectionClass<object> $in */
    private function shape(ArrayShapeNode $type, \ReflectionClass $in): string
    {
        $fields = $places = [];
        foreach ($type->items as $item) {
            $key = (string) $item->keyName;
            $value = $this->type($item->valueType, $in);
            $places[] = $value;
            $fields[] = trim($key, "'") . ($item->optional ? '?' : '') . ": $value";
        }

        return isset($type->items[0]) && is_numeric((string) ($type->items[0]->keyName ?? '0'))
            ? '[' . implode(', ', $places) . ']'
            : '{ ' . implode('; ', $fields) . ' }';
    }

    /** @param \ReflectionClass<object> $in */
    private function plain(string $name, \ReflectionClass $in): string
    {
        if (isset(self::SIMPLE[$name])) {
            return self::SIMPLE[$name];
        }
        $class = class_exists($name) || enum_exists($name) ? $name : $this->docs->resolve($name, $in);

        return $class === null
            ? throw new \LogicException("$name of {$in->getName()} has no counterpart in TypeScript.")
            : $this->name($class);
    }

    /** The entries of a kind have the fields that the kind declares. */
    private function entry(EntryKind $kind): string
    {
        $name = Str::studly($kind->value) . 'Entry';
        $own = $kind->fields();
        $lines = ['    id: string;', '    at: string | null;', '    by: string | null;'];
        if (!isset($own['kind'])) {
            $lines[] = '    kind: ' . self::text($kind->value) . ';';
        }
        foreach ($own as $field => $type) {
            $lines[] =
                "    $field: " .
                (is_array($type)
                    ? implode(' | ', array_map(self::text(...), $type))
                    : match (rtrim($type, '?')) {
                            'count', 'number' => 'number',
                            'flag' => 'boolean',
                            'list' => 'string[]',
                            'map' => 'Record<string, string | undefined>',
                            default => 'string',
                        } . (str_ends_with($type, '?') ? ' | null' : '')) .
                ';';
        }
        $this->named[$name] ??= EntryShown::class;
        $this->declared[$name] = "export interface $name {\n" . implode("\n", $lines) . "\n}\n";

        return $name;
    }

    private static function listOf(string $type): string
    {
        return str_contains($type, ' ') && !str_starts_with($type, '{') && !str_starts_with($type, '[')
            ? "({$type})[]"
            : $type . '[]';
    }

    private static function text(string $value): string
    {
        return "'" . addcslashes($value, "\\'") . "'";
    }
}
