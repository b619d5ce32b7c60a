<!DOCTYPE html>
<html lang="en">
    <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <link rel="manifest" href="/manifest.webmanifest">
        <meta name="theme-color" content="#16343b">
        <link rel="apple-touch-icon" href="/icons/192.png">
        <link rel="icon" href="/favicon.svg" type="image/svg+xml">
        <meta name="style-nonce" content="{{ $nonce ?? '' }}">
        <script>{!! App\Http\ThemeScript::SOURCE !!}</script>
        @viteReactRefresh
        @vite('resources/js/app.tsx')
        @inertiaHead
    </head>
    <body>
        @inertia
    </body>
</html>
