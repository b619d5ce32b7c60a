import '../css/app.css';
import { createInertiaApp, router } from '@inertiajs/react';
import { setNonce } from 'get-nonce';
import { createRoot } from 'react-dom/client';
import { type PageSent } from './away/kept';
import { connect, whenSent } from './away/transport';
import { pages } from './pages';
import { showRefusals } from './ui/refusals';

// Text that changes its letters after it was drawn moves what a finger is about to press.
const faces = ['400', '500', '600'].map((weight) => `${weight} 1em "Barlow Semi Condensed"`);
const letters = Promise.race([
    Promise.all([...faces, '400 1em "IBM Plex Mono"'].map((face) => document.fonts.load(face))).catch(() => null),
    new Promise((done) => setTimeout(done, 1500)),
]);

// A page that takes longer than a blink says so with a line at the top.
router.on('start', () => {
    document.documentElement.dataset.waiting = 'yes';
});
router.on('finish', () => {
    delete document.documentElement.dataset.waiting;
});

showRefusals();

const sent = JSON.parse(document.getElementById('app')?.dataset['page'] ?? '{}') as PageSent;
// The page that stands in for all others does not know which address was asked.
if (sent.component === 'Away' && location.pathname !== '/shell') sent.url = location.pathname + location.search;
connect(sent);
whenSent(() => router.reload());
if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js');

// The styles that a dialog sets carry the word that the policy of this page knows.
setNonce(document.querySelector('meta[name="style-nonce"]')?.getAttribute('content') ?? '');

void createInertiaApp({
    page: sent as never,
    title: (title) => (title ? `${title} · Ispira` : 'Ispira'),
    resolve: async (name) => {
        const load = pages[name];
        if (!load) throw new Error(`There is no page ${name}.`);
        const [page] = await Promise.all([load(), letters]);
        return page.default;
    },
    setup({ el, App, props }) {
        createRoot(el).render(<App {...props} />);
    },
    progress: false,
});
