const KEY = 'ispira-theme';

/** Shows these colours on this device, now and when it is opened next. */
export function showTheme(theme: string): void {
    document.documentElement.dataset.theme = theme;
    localStorage.setItem(KEY, theme);
}

/** Shows what a person chose for all devices where this device was not told anything else. */
export function themeOfPerson(theme: string | null): void {
    if (theme !== null && localStorage.getItem(KEY) === null) document.documentElement.dataset.theme = theme;
}
