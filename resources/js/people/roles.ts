import type { Role } from '@/generated/props';

export const roles: { value: Role; label: string }[] = [
    { value: 'trainee', label: 'Trainee' },
    { value: 'technician', label: 'Technician' },
    { value: 'lead', label: 'Lead' },
];
