<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Input\Fields;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarChoice;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\Solvent;

/** The two jars of white spirit that a ridden chain goes through before the pot, where that is the school. Common practice. */
final readonly class JarRinse
{
    /** What a waxed chain that was ridden leaves in them: house rule. */
    public const LEAVES_G = 2.0;

    public const SOLVENT = Solvent::WhiteSpirit;

    /** In each: house rule. */
    private const VOLUME_ML = 200;

    /**
     * The jars that serve, the dirty one first; fresh spirit where there is none.
     *
     * @param array<int, JarState> $jars
     * @param list<int> $busy jars that a job has open
     *
     * @return list<BathSource>
     */
    public static function sources(array $jars, array $busy): array
    {
        $bath = [
            'kind' => 'bath',
            'solvent' => self::SOLVENT->value,
            'volume_ml' => self::VOLUME_ML,
            'moves' => [['kind' => 'rest', 'seconds' => PotDayDraft::JAR_S]],
        ];

        return JarChoice::propose(
            Protocol::from(
                Fields::fromJson(
                    (string) json_encode([
                        'code' => 'rinse',
                        'steps' => [$bath, $bath, ['kind' => 'dry', 'seconds' => PotDayDraft::JAR_DRY_S]],
                    ]),
                ),
            ),
            $jars,
            $busy,
        );
    }

    /** @return array<string, string|int|float|bool|null> what a step needs to know of its jar */
    public static function about(?BathSource $source): array
    {
        return ['jar' => $source?->jarId, 'into' => $source?->intoId, 'volume_ml' => $source->jarMl ?? (float) self::VOLUME_ML];
    }
}
