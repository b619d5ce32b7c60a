import '../css/app.css';
import { createInertiaApp, router, type ResolvedComponent } from '@inertiajs/react';
import { createRoot } from 'react-dom/client';

const pages = import.meta.glob<{ default: ResolvedComponent }>('./pages/*.tsx', { eager: true });

// A page that takes longer than a blink says so with a line at the top.
router.on('start', () => {
    document.documentElement.dataset.waiting = 'yes';
});
router.on('finish', () => {
    delete document.documentElement.dataset.waiting;
});

void createInertiaApp({
    title: (title) => (title ? `${title} · Ispira` : 'Ispira'),
    resolve: (name) => {
        const page = pages[`./pages/${name}.tsx`];
        if (!page) throw new Error(`There is no page ${name}.`);
        return page.default;
    },
    setup({ el, App, props }) {
        createRoot(el).render(<App {...props} />);
    },
    progress: false,
});
