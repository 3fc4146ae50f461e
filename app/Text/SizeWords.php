<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Chain\ChainLength;
use Dripel\Core\Chain\ChainLengthInput;
use Dripel\Core\Chain\ChainLengthResult;
use Dripel\Core\Chain\ChainMatchResult;

/** How many pitches to keep of a new chain and where to cut, in sentences. */
final readonly class SizeWords
{
    public function __construct(private Translators $translators) {}

    /** @return list<string> */
    public function copied(ChainMatchResult $match): array
    {
        $translator = $this->translators->current();

        return [$this->keep($match, $translator), $translator->say("size.note.{$match->note->value}")];
    }

    /** @return list<string> */
    public function computed(ChainLengthInput $in, ChainLengthResult $length, ChainMatchResult $match): array
    {
        $translator = $this->translators->current();
        $q = $translator->quantities;
        $figures = [
            'exact' => $q->number($length->exactPitches, 1),
            'handbook' => $q->number($length->handbookPitches, 1),
            'pitches' => (string) $length->pitches,
        ];

        return [
            $this->keep($match, $translator),
            $translator->say($in->derailleur ? 'size.derailleur' : 'size.single', $figures),
            ...$in->derailleur ? [] : [$this->axle($in, $length, $translator)],
            $translator->say($in->derailleur ? 'size.check' : 'size.check_single'),
        ];
    }

    /** What stands at the cut in the drawing. */
    public function cut(ChainMatchResult $match): string
    {
        return $this->translators->current()->say('size.cut', ['cut' => (string) $match->cutToPitches]);
    }

    private function keep(ChainMatchResult $match, Translator $translator): string
    {
        return $translator->say($match->pitches === $match->cutToPitches ? 'size.keep_all' : 'size.keep', [
            'pitches' => (string) $match->pitches,
            'cut' => (string) $match->cutToPitches,
        ]);
    }

    private function axle(ChainLengthInput $in, ChainLengthResult $length, Translator $translator): string
    {
        $model = new ChainLength();
        $mm = fn(int $pitches): string => $translator->quantities->number(abs($model->axleMoveMm($in, $pitches)), 1);

        return $translator->say('size.axle', [
            'back' => $mm($length->pitches),
            'pitches' => (string) $length->pitches,
            'forward' => $mm($length->pitches - 2),
            'shorter' => (string) ($length->pitches - 2),
        ]);
    }
}
