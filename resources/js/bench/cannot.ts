/** Why a test cannot be done on a job, in the words of the person who says so. */
export const reasons = [
    { value: 'tool', label: 'No tool for it here', said: 'no tool for it here' },
    { value: 'access', label: 'No access', said: 'no access' },
    { value: 'unsafe', label: 'Not safe here', said: 'not safe here' },
    { value: 'customer', label: 'The customer waits', said: 'the customer waits' },
];

export function becauseOf(reason: string): string {
    return reasons.find((one) => one.value === reason)?.said ?? 'it cannot be done here';
}
