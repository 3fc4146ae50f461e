<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Dripel\Core\FileModel;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Models;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** The core's models by name: JSON (or a file) in, JSON out. Exit 1 with {"errors": …} for input that breaks a rule. */
final class Compute extends Command
{
    protected $signature = 'dripel:compute {model? : its name} {file? : for a model that reads a file} {--list : name the models}';

    protected $description = 'Run a model of the core on standard input or a file';

    public function handle(): int
    {
        if ($this->option('list')) {
            return $this->say(implode("\n", array_keys(Models::ALL)), self::SUCCESS);
        }
        try {
            $result = $this->compute((string) $this->argument('model'), $this->argument('file'));
        } catch (InvalidInput $e) {
            return $this->say($this->json(['errors' => [$e->path => [$e->getMessage()]]]), self::FAILURE);
        }

        return $this->say($this->json($result), self::SUCCESS);
    }

    /** @return array<string, mixed> */
    private function compute(string $name, mixed $file): array
    {
        $class =
            Models::ALL[$name] ??
            throw new InvalidInput(
                'model',
                $name === ''
                    ? 'is missing; the models are ' . implode(', ', array_keys(Models::ALL))
                    : "there is no model {$name}; the models are " . implode(', ', array_keys(Models::ALL)),
            );
        $model = new $class();
        if ($model instanceof FileModel) {
            if (!is_string($file) || !is_file($file) || ($stream = @fopen($file, 'rb')) === false) {
                throw new InvalidInput('file', is_string($file) ? "cannot be read: {$file}" : 'is missing: name it after the model');
            }

            return $model->computeFrom($stream);
        }
        if ($file !== null) {
            throw new InvalidInput('file', "is not for {$name}: its input comes as JSON on standard input");
        }

        return $model->compute(Fields::fromJson((string) stream_get_contents(STDIN)));
    }

    /** @param array<string, mixed> $values */
    private function json(array $values): string
    {
        return json_encode(
            $values,
            JSON_UNESCAPED_UNICODE |
                JSON_UNESCAPED_SLASHES |
                JSON_PRESERVE_ZERO_FRACTION |
                JSON_THROW_ON_ERROR |
                JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    private function say(string $text, int $exit): int
    {
        $this->output->writeln($text, OutputInterface::OUTPUT_RAW);

        return $exit;
    }
}
