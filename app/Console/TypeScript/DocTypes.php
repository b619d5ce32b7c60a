<?php

declare(strict_types=1);

namespace App\Console\TypeScript;

use PHPStan\PhpDocParser\Ast\PhpDoc\ParamTagValueNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;

/**
 * What the docblock of a constructor says of its parameters, and which classes its names mean.
 */
final class DocTypes
{
    private readonly Lexer $lexer;

    private readonly PhpDocParser $parser;

    /** @var array<string, array<string, class-string>> classes by the name that a file uses, by file */
    private array $imports = [];

    public function __construct()
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->parser = new PhpDocParser($config, new TypeParser($config, $constants), $constants);
    }

    /** @return array<string, ParamTagValueNode> by name of the parameter */
    public function of(\ReflectionMethod $constructor): array
    {
        $text = $constructor->getDocComment();
        if ($text === false) {
            return [];
        }
        $tags = [];
        $doc = $this->parser->parse(new TokenIterator($this->lexer->tokenize($text)));
        foreach ($doc->getParamTagValues() as $tag) {
            $tags[ltrim($tag->parameterName, '$')] = $tag;
        }

        return $tags;
    }

    /**
     * The class that a name means in the file of another class.
     *
     * @param \ReflectionClass<object> $in
     *
     * @return class-string|null
     */
    public function resolve(string $name, \ReflectionClass $in): ?string
    {
        $imports = $this->imports[$in->getName()] ??= self::imports($in);
        $class = $imports[$name] ?? $in->getNamespaceName() . "\\$name";

        return class_exists($class) || enum_exists($class) ? $class : null;
    }

    /**
     * @param \ReflectionClass<object> $in
     *
     * @return array<string, class-string>
     */
    private static function imports(\ReflectionClass $in): array
    {
        preg_match_all('/^use ([\w\\\\]+);$/m', (string) file_get_contents((string) $in->getFileName()), $found);
        $imports = [];
        foreach ($found[1] as $class) {
            if (class_exists($class) || enum_exists($class)) {
                $imports[class_basename($class)] = $class;
            }
        }

        return $imports;
    }
}
