import type { Question } from '@/generated/props';
import Choices from '@/ui/Choices';

interface Props {
    questions: Question[];
    answers: Record<string, string>;
    onChange: (answers: Record<string, string>) => void;
    error?: string | undefined;
}

/** What is asked with the complaint, each to be answered or left. */
export default function Questions({ questions, answers, onChange, error }: Props) {
    return (
        <div className="mt-4 flex flex-col gap-3">
            {questions.map((question) => (
                <Choices
                    key={question.test}
                    label={question.title}
                    value={answers[question.test] ?? ''}
                    onChange={(value) => onChange({ ...answers, [question.test]: value })}
                    choices={[{ value: '', label: 'not noted' }, ...question.choices]}
                />
            ))}
            {error && (
                <p role="alert" className="font-medium text-bad">
                    {error}
                </p>
            )}
        </div>
    );
}
