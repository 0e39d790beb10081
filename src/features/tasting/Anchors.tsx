import type { QuestionId } from '@/core/tasting';
import { QUESTION_WORDS } from '@/wording/tasting';
import { words } from '@/wording/screens/tasting/TastePage';

interface AnchorsProps {
  readonly id: QuestionId;
  readonly value: number | null;
  readonly onChange: (score: number | null) => void;
}

/** One question with its five answers in words: what is pressed is what is seen, the number follows. Pressed again it is left open. */
export function Anchors({ id, value, onChange }: AnchorsProps) {
  const { name, how, steps } = QUESTION_WORDS[id];
  return (
    <fieldset className="border-t border-rule py-3">
      <legend className="float-left mb-2 w-full pt-0">
        <strong className="font-head text-xl">{name}</strong> <span className="text-sm text-soft">{how}</span>
      </legend>
      <div className="segmented clear-both grid w-full gap-1 sm:grid-cols-5">
        {steps.map((step, index) => {
          const score = index + 1;
          return (
            <label
              key={step}
              className="segment relative flex min-h-14 cursor-pointer items-center gap-2 rounded px-2 py-1 sm:min-h-20 sm:flex-col sm:justify-center sm:text-center"
            >
              <input
                type="radio"
                name={id}
                value={score}
                checked={value === score}
                aria-label={words.scoreIs(score, step)}
                onChange={() => onChange(score)}
                onClick={() => value === score && onChange(null)}
                className="absolute inset-0 m-0 cursor-pointer opacity-0"
              />
              <span className="figure text-2xl">{score}</span>
              <span className="text-sm leading-tight">{step}</span>
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}
