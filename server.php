<?php

declare(strict_types=1);

/**
 * The router of PHP's own server. Built assets carry a hash in their name: they go out compressed and may be kept for
 * ever. Other files of public/ go out as what they are; everything else is the application's.
 */
header_remove('X-Powered-By');
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$public = __DIR__ . '/public';
// No file has a null byte in its name; the application says so on a page.
$file = str_contains($path, '%00') ? false : realpath($public . rawurldecode($path));

if ($file !== false && is_file($file) && str_starts_with($file, $public . '/') && !str_ends_with($file, '.php')) {
    $types = [
        'js' => 'text/javascript',
        'css' => 'text/css',
        'woff2' => 'font/woff2',
        'svg' => 'image/svg+xml',
        'png' => 'image/png',
        'webmanifest' => 'application/manifest+json',
        'wav' => 'audio/wav',
        'mp3' => 'audio/mpeg',
        'ogg' => 'audio/ogg',
    ];
    header('X-Content-Type-Options: nosniff');
    header('Content-Type: ' . ($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header(
        'Cache-Control: ' .
            match (true) {
                // Looked at anew each time, or an old one would rule for ever.
                in_array($path, ['/sw.js', '/manifest.webmanifest'], true) => 'no-cache',
                str_starts_with($file, "{$public}/build/assets/") => 'public, max-age=31536000, immutable',
                default => 'public, max-age=3600',
            },
    );
    header('Vary: Accept-Encoding');
    if (is_file("{$file}.gz") && str_contains($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '', 'gzip')) {
        header('Content-Encoding: gzip');
        $file .= '.gz';
    }
    header('Content-Length: ' . filesize($file));
    readfile($file);

    return true;
}

$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = "{$public}/index.php";
require "{$public}/index.php";
