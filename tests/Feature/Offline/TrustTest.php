<?php

declare(strict_types=1);

use Inertia\Testing\AssertableInertia;
use Symfony\Component\Process\Process;

it('offers the root of this machine to phones, with its fingerprint, and lets it vouch for home networks alone', function (): void {
    $this->get('/trust')->assertInertia(fn(AssertableInertia $page) => $page->component('Offline/Trust')->where('root', null));
    $this->get('/trust/dripel-root.crt')->assertNotFound();
    $folder = sys_get_temp_dir() . '/dripel-root-' . bin2hex(random_bytes(5));
    $certificate = fn() => (new Process(
        ['bash', '-c', '. bin/lib.sh; need_certificate "$0"', $folder],
        base_path(),
        null,
        null,
        120,
    ))->mustRun();
    $certificate();
    $root = (string) file_get_contents("{$folder}/root.pem");
    $leaf = (string) file_get_contents("{$folder}/cert.pem");
    // Again it is left as it is; for other addresses there is another leaf under the same root.
    $certificate();
    expect(file_get_contents("{$folder}/cert.pem"))->toBe($leaf);
    unlink("{$folder}/.names");
    $certificate();
    expect(file_get_contents("{$folder}/root.pem"))
        ->toBe($root)
        ->and(file_get_contents("{$folder}/cert.pem"))
        ->not->toBe($leaf)
        ->and(openssl_x509_verify((string) file_get_contents("{$folder}/cert.pem"), $root))
        ->toBe(1)
        ->and((new Process(['openssl', 'x509', '-in', "{$folder}/root.pem", '-noout', '-text']))->mustRun()->getOutput())
        ->toContain('CA:TRUE, pathlen:0')
        ->toContain('IP:192.168.0.0/255.255.0.0')
        ->and(decoct(fileperms("{$folder}/root-key.pem") & 0777))
        ->toBe('600');

    config(['dripel.lan_root' => "{$folder}/root.pem"]);
    $this->get('/trust/dripel-root.crt')->assertOk()->assertHeader('Content-Type', 'application/x-x509-ca-cert');
    $this->get('/trust')->assertInertia(
        fn(AssertableInertia $page) => $page
            ->where('root', '/trust/dripel-root.crt')
            ->where('print', fn(string $print) => str_replace(' ', '', strtolower($print)) === openssl_x509_fingerprint($root, 'sha256')),
    );
    (new Process(['rm', '-rf', $folder]))->run();
});
