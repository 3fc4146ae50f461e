<!DOCTYPE html>
<html lang="{{ app()->getLocale() }}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="color-scheme" content="light dark">
<title>{{ __('ui.offline.title') }} · Dripel</title>
<link rel="icon" href="/icon.svg" type="image/svg+xml">
<style>
  body { margin: 0; font: 16px/1.45 'Archivo Variable', system-ui, sans-serif; background: #dfe6e4; color: #22282b; display: grid; min-height: 100vh; place-content: center; padding: 24px; box-sizing: border-box; }
  main { max-width: 420px; }
  h1 { font-size: 24px; margin: 12px 0 8px; }
  p { margin: 0 0 12px; }
  button { font: inherit; font-weight: 620; min-height: 48px; padding: 0 18px; border: 1.5px solid #22282b; border-radius: 3px; background: #22282b; color: #f5f7f5; }
  @media (prefers-color-scheme: dark) { body { background: #1b2224; color: #e6edeb; } button { background: #e6edeb; color: #1b2224; border-color: #e6edeb; } }
</style>
</head>
<body>
<main>
  <svg width="30" height="42" viewBox="0 0 18 26" aria-hidden="true"><path d="M9 1c4 8 8 11 8 16a8 8 0 0 1-16 0C1 12 5 9 9 1Z" fill="#c97a12"/><path d="M1 17a8 8 0 0 0 16 0Z" fill="currentColor"/></svg>
  <h1>{{ __('ui.offline.title') }}</h1>
  <p>{{ __('ui.offline.why') }}</p>
  <p>{{ __('ui.offline.meanwhile') }}</p>
  <button type="button" onclick="location.reload()">{{ __('ui.offline.retry') }}</button>
</main>
</body>
</html>
