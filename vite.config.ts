import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { execFileSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Most that the scripts of the first page may weigh, compressed, in kB of 1000 bytes. */
const FIRST_PAGE = 180;

/** Says after each build what the scripts of the list of jobs weigh, and refuses more than they may. */
function firstPage(): Plugin {
    return {
        name: 'first-page',
        apply: 'build',
        writeBundle(_, bundle) {
            const needed = new Set<string>();
            const add = (name: string) => {
                const chunk = bundle[name];
                if (chunk?.type !== 'chunk' || needed.has(name)) return;
                needed.add(name);
                chunk.imports.forEach(add);
            };
            for (const [name, chunk] of Object.entries(bundle)) {
                const source = chunk.type === 'chunk' ? (chunk.facadeModuleId ?? '') : '';
                if (source.endsWith('/app.tsx') || source.endsWith('/jobs/Jobs.tsx')) add(name);
            }
            const bytes = [...needed].reduce((sum, name) => {
                const chunk = bundle[name];
                return sum + (chunk?.type === 'chunk' ? gzipSync(chunk.code).length : 0);
            }, 0);
            const said = `Scripts of the first page: ${(bytes / 1000).toFixed(1)} kB in ${needed.size} files`;
            if (bytes > FIRST_PAGE * 1000) this.error(`${said}, more than ${FIRST_PAGE} kB.`);
            this.info(said);
        },
    };
}

/** Gathers what of the core goes to a device, where the worker finds it. */
function deviceCore(): Plugin {
    return {
        name: 'device-core',
        configResolved() {
            mkdirSync('var', { recursive: true });
            writeFileSync('var/device-core.json', execFileSync('php', ['bin/device-core.php'], { maxBuffer: 64e6 }));
        },
    };
}

/** The engine for where there is no signal: kept once somebody asked for it, never before. */
const engine = /\/assets\/((desk|php8|PhpBase|device-core)[^/]*\.(js|json)|[^/]*\.wasm)$/;

const installable = VitePWA({
    strategies: 'generateSW',
    registerType: 'autoUpdate',
    injectRegister: null,
    outDir: 'public',
    buildBase: '/build/',
    base: '/',
    scope: '/',
    manifest: false,
    workbox: {
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css}', 'assets/*-latin*.woff2'],
        globIgnores: ['**/desk*', '**/php8*', '**/PhpBase*'],
        modifyURLPrefix: { '': '/build/' },
        additionalManifestEntries: [{ url: '/shell', revision: String(Date.now()) }],
        navigateFallback: null,
        dontCacheBustURLsMatching: /assets\//,
        clientsClaim: true,
        skipWaiting: true,
        cleanupOutdatedCaches: true,
        runtimeCaching: [
            {
                urlPattern: ({ request }) => request.mode === 'navigate',
                handler: 'NetworkOnly',
                options: { precacheFallback: { fallbackURL: '/shell' } },
            },
            {
                urlPattern: engine,
                handler: 'CacheFirst',
                options: { cacheName: 'ispira-engine', expiration: { maxEntries: 12 } },
            },
            { urlPattern: /\/(favicon\.svg|icons\/)/, handler: 'CacheFirst', options: { cacheName: 'ispira-icons' } },
        ],
    },
});

export default defineConfig({
    plugins: [
        deviceCore(),
        laravel({ input: ['resources/js/app.tsx'], refresh: false }),
        react(),
        tailwindcss(),
        firstPage(),
        installable,
    ],
    worker: { format: 'es' },
    optimizeDeps: { exclude: ['php-wasm'] },
    build: { chunkSizeWarningLimit: 900 },
});
