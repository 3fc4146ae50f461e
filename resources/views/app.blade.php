<!DOCTYPE html>
<html lang="{{ app()->getLocale() }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <title inertia>Dripel</title>
    <meta name="theme-color" content="#f5f7f5" media="(prefers-color-scheme: light)">
    <meta name="theme-color" content="#232b2e" media="(prefers-color-scheme: dark)">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icons/dripel-192.png">
    {{-- Asked for at once, so that nothing is drawn in another one first. --}}
    <link rel="preload" as="font" type="font/woff2" crossorigin href="{{ Vite::asset('node_modules/@fontsource-variable/archivo/files/archivo-latin-standard-normal.woff2') }}">
    <link rel="manifest" href="/manifest.webmanifest">
    <script defer src="/texts/{{ app(App\Text\UnitTranslator::class)->pageTexts()->name() }}"></script>
    @vite('resources/js/app.ts')
    @inertiaHead
</head>
<body>
@inertia
</body>
</html>
