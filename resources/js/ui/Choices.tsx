import { ToggleGroup } from 'radix-ui';

interface Props {
    label: string;
    value: string;
    choices: { value: string; label: string }[];
    onChange: (value: string) => void;
    disabled?: boolean;
    hint?: string | null;
}

/** One of a few, all in sight. */
export default function Choices({ label, value, choices, onChange, disabled = false, hint = null }: Props) {
    return (
        <div>
            <p className="mb-1 font-medium" id={`label-${label}`}>
                {label}
            </p>
            <ToggleGroup.Root
                type="single"
                value={value}
                disabled={disabled}
                aria-label={label}
                onValueChange={(next) => {
                    if (next !== '') onChange(next);
                }}
                className="flex flex-wrap gap-1.5"
            >
                {choices.map((choice) => (
                    <ToggleGroup.Item
                        key={choice.value}
                        value={choice.value}
                        className="min-h-11 rounded-[4px] border border-soft/50 bg-sheet px-3 text-left data-[state=on]:border-lake data-[state=on]:bg-lake data-[state=on]:font-medium data-[state=on]:text-sheet"
                    >
                        {choice.label}
                    </ToggleGroup.Item>
                ))}
            </ToggleGroup.Root>
            {hint && <p className="mt-1 text-[0.9rem] text-soft">{hint}</p>}
        </div>
    );
}
