const KEY = 'ispira-person';

/** Who works on this device: the last one who was signed in, until somebody signs out. */
export function person(): number | null {
    const number = Number(localStorage.getItem(KEY));
    return number > 0 ? number : null;
}

export function setPerson(id: number | null): void {
    if (id === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, String(id));
}
