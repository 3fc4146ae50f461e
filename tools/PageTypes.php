<?php

declare(strict_types=1);

namespace Tools;

use BackedEnum;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\TypeAliasTagValueNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeItemNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use RuntimeException;

/**
 * The shapes that pages are sent, read from the `@phpstan-type` of the classes that send them and written as TypeScript.
 * PHPStan holds the PHP side to them and vue-tsc the Vue side, so neither can drift from the other.
 */
final class PageTypes
{
    /** A shape within another stands on one line up to so many characters. */
    private const WIDE = 120;

    private readonly Lexer $lexer;

    private readonly PhpDocParser $parser;

    /** @var array<string, string> the TypeScript of each name */
    private array $types = [];

    /** @var array<string, list<string>> the values of each enum that a shape names */
    private array $enums = [];

    public function __construct()
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->parser = new PhpDocParser($config, new TypeParser($config, $constants), $constants);
    }

    /** @param class-string $class */
    public function read(string $class): void
    {
        $reflection = new ReflectionClass($class);
        foreach ($this->doc((string) $reflection->getDocComment())->getTagsByName('@phpstan-type') as $tag) {
            if (!($tag->value instanceof TypeAliasTagValueNode)) {
                throw new RuntimeException("{$class}: {$tag->value}");
            }
            $type = $this->type($tag->value->type, $reflection, '');
            if (($this->types[$tag->value->alias] ?? $type) !== $type) {
                throw new RuntimeException(
                    "{$class}: there is another {$tag->value->alias}. Two shapes cannot have one name on the pages.",
                );
            }
            $this->types[$tag->value->alias] = $type;
        }
    }

    public function typeScript(): string
    {
        $lines = ['// Written by bin/types from the shapes in PHP. What is changed here by hand is lost.'];
        ksort($this->enums);
        ksort($this->types);
        foreach ($this->enums as $name => $values) {
            $lines[] = "export type {$name} = " . implode(' | ', array_map(fn(string $value) => "'{$value}'", $values));
        }
        foreach ($this->types as $name => $type) {
            $lines[] =
                str_starts_with($type, '{') && str_ends_with($type, "\n}")
                    ? "export interface {$name} {$type}"
                    : "export type {$name} = {$type}";
        }

        return implode("\n\n", $lines) . "\n";
    }

    private function doc(string $text): PhpDocNode
    {
        return $this->parser->parse(new TokenIterator($this->lexer->tokenize($text === '' ? '/** */' : $text)));
    }

    /** @param ReflectionClass<object> $in whose imports names are looked up in */
    private function type(TypeNode $type, ReflectionClass $in, string $indent): string
    {
        return match (true) {
            $type instanceof UnionTypeNode => implode(' | ', array_map(fn(TypeNode $one) => $this->type($one, $in, $indent), $type->types)),
            $type instanceof ArrayShapeNode => $this->shape($type, $in, $indent),
            $type instanceof GenericTypeNode => $this->generic($type, $in, $indent),
            $type instanceof ConstTypeNode && $type->constExpr instanceof ConstExprStringNode => "'{$type->constExpr->value}'",
            $type instanceof IdentifierTypeNode => match ($type->name) {
                'int', 'float' => 'number',
                'bool' => 'boolean',
                'string', 'null' => $type->name,
                'mixed' => 'unknown',
                default => $type->name,
            },
            default => throw new RuntimeException("{$in->getName()}: {$type} has no TypeScript."),
        };
    }

    /** @param ReflectionClass<object> $in */
    private function generic(GenericTypeNode $type, ReflectionClass $in, string $indent): string
    {
        if ($type->type->name === 'value-of') {
            return $this->enum((string) $type->genericTypes[0], $in);
        }
        $of = $this->type($type->genericTypes[count($type->genericTypes) - 1], $in, $indent);

        return match (true) {
            $type->type->name === 'list' => (str_contains($of, ' | ') && !str_ends_with($of, '}') ? "({$of})" : $of) . '[]',
            count($type->genericTypes) === 2 && (string) $type->genericTypes[0] === 'string' => "Record<string, {$of}>",
            default => throw new RuntimeException("{$in->getName()}: {$type} is neither a list nor a map of strings."),
        };
    }

    /** @param ReflectionClass<object> $in */
    private function shape(ArrayShapeNode $shape, ReflectionClass $in, string $indent): string
    {
        if (array_filter($shape->items, fn(ArrayShapeItemNode $item) => $item->keyName !== null) === []) {
            return '[' .
                implode(', ', array_map(fn(ArrayShapeItemNode $item) => $this->type($item->valueType, $in, $indent), $shape->items)) .
                ']';
        }
        $lines = array_map(
            fn(ArrayShapeItemNode $item) => trim((string) $item->keyName, "'") .
                ($item->optional ? '?' : '') .
                ': ' .
                $this->type($item->valueType, $in, $indent . '  '),
            $shape->items,
        );

        $line = '{ ' . implode('; ', $lines) . ' }';

        return $indent !== '' && strlen($line) <= self::WIDE && !str_contains($line, "\n")
            ? $line
            : "{\n{$indent}  " . implode("\n{$indent}  ", $lines) . "\n{$indent}}";
    }

    /** @param ReflectionClass<object> $in */
    private function enum(string $name, ReflectionClass $in): string
    {
        preg_match('/^use (\S+\\\\' . $name . ');/m', (string) file_get_contents((string) $in->getFileName()), $use);
        $class = $use[1] ?? $in->getNamespaceName() . '\\' . $name;
        if (!is_subclass_of($class, BackedEnum::class)) {
            throw new RuntimeException("{$in->getName()}: {$class} is no enum with values.");
        }
        $this->enums[$name] = array_map(fn(BackedEnum $case) => (string) $case->value, $class::cases());

        return $name;
    }
}
