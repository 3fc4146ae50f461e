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
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;
use PHPStan\Type\ObjectType;

/**
 * Every code that something is said by has its text: those that PHPStan knows where they are given, among them all values of an enum.
 *
 * @implements Rule<CallLike>
 */
final class TextRule implements Rule
{
    /** @var array<string, array<array-key, mixed>> texts by file */
    private array $texts = [];

    public function getNodeType(): string
    {
        return CallLike::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        [$code, $before] = $this->code($node, $scope);
        $missing = [];
        foreach ($code === null ? [] : $scope->getType($code)->getConstantStrings() as $value) {
            $this->has($before . $value->getValue()) || ($missing[] = $before . $value->getValue());
        }

        return $missing === []
            ? []
            : [
                RuleErrorBuilder::message('There is no text for ' . implode(', ', $missing) . ': that is what would be shown.')
                    ->identifier('dripel.text')
                    ->build(),
            ];
    }

    /** @return array{Expr|null, string} what gives the code, and what stands before it */
    private function code(CallLike $node, Scope $scope): array
    {
        $arg = fn(int $n): ?Expr => ($node->getRawArgs()[$n] ?? null) instanceof Arg ? $node->getRawArgs()[$n]->value : null;

        return match (true) {
            $node instanceof FuncCall && $node->name instanceof Name && in_array($node->name->toString(), ['__', 'trans_choice'], true) => [
                $arg(0),
                '',
            ],
            $node instanceof MethodCall &&
                $node->name instanceof Identifier &&
                $node->name->name === 'say' &&
                (new ObjectType(Translator::class))->isSuperTypeOf($scope->getType($node->var))->yes()
                => [$arg(0), ''],
            $node instanceof New_ && $node->class instanceof Name && $scope->resolveName($node->class) === NotPossible::class => [
                $arg(1),
                'errors.',
            ],
            default => [null, ''],
        };
    }

    private function has(string $code): bool
    {
        [$file, $rest] = explode('.', $code, 2) + [1 => ''];
        $this->texts[$file] ??= is_file($path = dirname(__DIR__) . "/lang/en/{$file}.php") ? require $path : [];

        return $rest === '' ? $this->texts[$file] !== [] : Arr::has($this->texts[$file], $rest);
    }
}
