/** Whether a suspect names parts to replace: nothing wrong and something that is not in the list do not. */
export function namesParts(remedy: string): boolean {
    return remedy !== 'none' && remedy !== 'something-else';
}
