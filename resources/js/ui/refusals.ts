import { router } from '@inertiajs/react';

const alerts = () => [...document.querySelectorAll<HTMLElement>('[role="alert"]')];

/** What is refused is brought into sight and to the keyboard: on a long page it would stand where nobody looks. */
export function showRefusals() {
    let before: HTMLElement[] = [];
    router.on('start', () => {
        before = alerts();
    });
    router.on('error', () => {
        // The messages are drawn after the page that came back with them.
        requestAnimationFrame(() => requestAnimationFrame(() => show(before)));
    });
}

function show(before: HTMLElement[]) {
    const message = alerts().find((one) => !before.includes(one)) ?? alerts()[0];
    const field = document.querySelector<HTMLElement>('[aria-invalid="true"]');
    const first =
        field && message && field.compareDocumentPosition(message) & Node.DOCUMENT_POSITION_PRECEDING ? message : field;
    const shown = first ?? message;
    if (!shown) return;
    const { top, bottom } = shown.getBoundingClientRect();
    if (top < 0 || bottom > innerHeight) shown.scrollIntoView({ block: 'center' });
    const control = shown === field ? field : shown.closest('fieldset')?.querySelector<HTMLElement>('button, input');
    control?.focus({ preventScroll: true });
}
