<?php

declare(strict_types=1);

namespace Tools;

use App\Exceptions\NotPossible;
use App\Text\Translator;
use Illuminate\Support\Arr;
use PhpParser\Node;
use PhpParser\Node\Arg;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\CallLike;
use PhpParser\Node\Expr\FuncCall;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\New_;
use PhpParser\Node\Identifier;
use PhpParser\Node\Name;
use PHPStan\Analyser\ResultCache\ResultCacheMetaExtension;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;
use PHPStan\Type\Constant\ConstantArrayType;
use PHPStan\Type\ObjectType;
use PHPStan\Type\Type;

/**
 * Every code that something is said by has its text, those that PHPStan knows where they are given, among them all values of an enum; and
 * what stands in the text is given with it.
 *
 * @implements Rule<CallLike>
 */
final class TextRule implements ResultCacheMetaExtension, Rule
{
    /** @var array<string, array<array-key, mixed>> texts by file */
    private array $texts = [];

    public function getKey(): string
    {
        return 'texts';
    }

    /** Another text asks anew. */
    public function getHash(): string
    {
        return implode(' ', array_map(fn(string $file) => (string) md5_file($file), glob(dirname(__DIR__) . '/lang/en/*.php') ?: []));
    }

    public function getNodeType(): string
    {
        return CallLike::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        [$code, $parameters, $before] = $this->asked($node, $scope);
        [$missing, $unfilled] = [[], []];
        $given = $this->names($parameters, $scope);
        foreach ($code === null ? [] : $scope->getType($code)->getConstantStrings() as $value) {
            $text = $this->text($before . $value->getValue());
            if ($text === null) {
                $missing[] = $before . $value->getValue();
            } elseif (is_string($text) && $given !== null) {
                preg_match_all('/(?<!\\w):([a-z][a-z_]*)/', $text, $asked);
                foreach (array_diff($asked[1], $given) as $name) {
                    $unfilled[] = "{$before}{$value->getValue()} asks for :{$name}";
                }
            }
        }

        $faults = [
            'dripel.text' => $missing === [] ? '' : 'There is no text for ' . implode(', ', $missing) . ': that is what would be shown.',
            'dripel.filled' =>
                $unfilled === [] ? '' : 'Nobody says what stands in the text: ' . implode(', ', array_unique($unfilled)) . '.',
        ];

        return array_map(
            fn(string $fault, string $kind) => RuleErrorBuilder::message($fault)->identifier($kind)->build(),
            $faults = array_filter($faults),
            array_keys($faults),
        );
    }

    /** @return array{Expr|null, Expr|false|null, string} what gives the code, its parameters (false: none), what stands before the code */
    private function asked(CallLike $node, Scope $scope): array
    {
        $arg = fn(int $n): ?Expr => ($node->getRawArgs()[$n] ?? null) instanceof Arg ? $node->getRawArgs()[$n]->value : null;
        $function = $node instanceof FuncCall && $node->name instanceof Name ? $node->name->toString() : '';

        return match (true) {
            $function === '__' => [$arg(0), $arg(1) ?? false, ''],
            $function === 'trans_choice' => [$arg(0), $arg(2) ?? false, ''],
            $node instanceof MethodCall &&
                $node->name instanceof Identifier &&
                $node->name->name === 'say' &&
                (new ObjectType(Translator::class))->isSuperTypeOf($scope->getType($node->var))->yes()
                => [$arg(0), $arg(1) ?? false, ''],
            $node instanceof New_ && $node->class instanceof Name && $scope->resolveName($node->class) === NotPossible::class => [
                $arg(1),
                $arg(2) ?? false,
                'errors.',
            ],
            default => [null, null, ''],
        };
    }

    /** @return list<string>|null the names that parameters surely have; null where nobody knows */
    private function names(Expr|false|null $parameters, Scope $scope): ?array
    {
        if (!($parameters instanceof Expr)) {
            return $parameters === false ? ['count'] : null;
        }
        $type = $scope->getType($parameters);
        $arrays = $type->getConstantArrays();
        if ($arrays === [] || !$type->isConstantArray()->yes()) {
            return null;
        }
        $names = array_map(
            fn(ConstantArrayType $array) => array_map(fn(Type $key) => (string) $key->getValue(), $array->getKeyTypes()),
            $arrays,
        );

        return ['count', ...array_intersect(...$names)];
    }

    private function text(string $code): mixed
    {
        [$file, $rest] = explode('.', $code, 2) + [1 => ''];
        $this->texts[$file] ??= is_file($path = dirname(__DIR__) . "/lang/en/{$file}.php") ? require $path : [];

        return $rest === '' ? ($this->texts[$file] ?: null) : Arr::get($this->texts[$file], $rest);
    }
}
