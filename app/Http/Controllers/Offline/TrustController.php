<?php

declare(strict_types=1);

namespace App\Http\Controllers\Offline;

use App\Http\Controllers\Controller;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * The root of this machine's own certificate (bin/start --lan), and how a phone is told to trust it.
 *
 * @phpstan-type TrustPage array{root: string|null, print: string}
 */
final class TrustController extends Controller
{
    public function show(): Response
    {
        return Inertia::render('Offline/Trust', self::page(self::root()));
    }

    /** @return TrustPage */
    private static function page(?string $root): array
    {
        $print = $root === null ? '' : (string) openssl_x509_fingerprint((string) file_get_contents($root), 'sha256');

        return ['root' => $root === null ? null : '/trust/dripel-root.crt', 'print' => implode(' ', str_split(strtoupper($print), 4))];
    }

    public function download(): BinaryFileResponse
    {
        return response()->download(self::root() ?? abort(404), 'dripel-root.crt', ['Content-Type' => 'application/x-x509-ca-cert']);
    }

    private static function root(): ?string
    {
        $path = config('dripel.lan_root');

        return is_string($path) && is_file($path) ? $path : null;
    }
}
