'use client';
import { CircleHelp } from 'lucide-react';
import { answered, type RecipeReading, type StepAsk } from '@/core/recipe';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/reading/ReadSteps';
import { STEP_WORD } from '@/wording/words';
import { useFieldWords } from '../formula/method/useStepWords';
import { useUnits } from '../preferences/PreferencesProvider';

type StepReading = StepAsk['readings'][number];
/** What was answered to a sentence's question; null: as it was read. */
export type StepAnswers = ReadonlyMap<string, StepReading | null>;

/** What a question is known by: a step has another id when lines are declared anew, its sentence stays; of the same sentence twice, which. */
function keysOf(asks: readonly StepAsk[]): ReadonlyMap<StepAsk, string> {
  const seen = new Map<string, number>();
  return new Map(
    asks.map((ask) => {
      const key = `${ask.about} ${ask.written}`;
      const times = (seen.get(key) ?? 0) + 1;
      seen.set(key, times);
      return [ask, `${times} ${key}`];
    }),
  );
}

export const openStepAsks = ({ stepAsks }: RecipeReading, told: StepAnswers): number =>
  [...keysOf(stepAsks).values()].filter((key) => !told.has(key)).length;

/** What was meant, by step. */
export function meantBy({ stepAsks }: RecipeReading, told: StepAnswers): ReadonlyMap<string, StepReading> {
  const meant = new Map<string, StepReading>();
  for (const [ask, key] of keysOf(stepAsks)) {
    const answer = told.get(key);
    if (answer) meant.set(ask.stepId, { ...meant.get(ask.stepId), ...answer });
  }
  return meant;
}

interface ReadStepsProps {
  reading: RecipeReading;
  told: StepAnswers;
  onTell: (key: string, answer: StepReading | null) => void;
}

/** The method as it was understood, each step with its fields; a sentence that leaves something open asks, with what it may mean. */
export function ReadSteps({ reading, told, onTell }: ReadStepsProps) {
  const units = useUnits();
  const fieldWords = useFieldWords();
  if (reading.steps.length === 0) return null;
  const meant = meantBy(reading, told);
  const keys = keysOf(reading.stepAsks);
  return (
    <section className="mt-4">
      <h3 className="text-sm text-soft">{words.method}</h3>
      <ol className="text-sm">
        {reading.steps.map((plain) => {
          const step = answered(plain, meant.get(plain.id), reading.steps);
          const asks = reading.stepAsks.filter(({ stepId }) => stepId === plain.id);
          return (
            <li key={plain.id} className="border-t border-rule py-1.5" data-testid="read-step">
              <div className="flex gap-3">
                <span className="w-20 shrink-0 font-semibold">{STEP_WORD[step.kind]}</span>
                <span className="min-w-0">
                  <span className="block font-semibold">
                    {[
                      step.minS === null ? '' : units.duration(step.minS, step.maxS),
                      step.tempC === null ? '' : units.temperature(step.tempC),
                      ...fieldWords(step)
                        .filter(({ assumed }) => !assumed)
                        .map(({ text }) => text),
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                  <span className="text-soft">{step.note}</span>
                </span>
              </div>
              {asks.map((ask) => (
                <StepQuestion
                  key={keys.get(ask)}
                  name={keys.get(ask)!}
                  ask={ask}
                  told={told}
                  onTell={onTell}
                />
              ))}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

function StepQuestion({
  ask,
  name: key,
  told,
  onTell,
}: { ask: StepAsk; name: string } & Pick<ReadStepsProps, 'told' | 'onTell'>) {
  const units = useUnits();
  const answered = told.has(key);
  const answer = told.get(key);
  const readingWords = ({ kind, minS, maxS, tempC }: StepReading): string =>
    [
      kind ? STEP_WORD[kind] : '',
      minS ? units.duration(minS, maxS ?? null) : '',
      tempC ? units.temperature(tempC) : '',
    ]
      .filter(Boolean)
      .join(', ') || words.leftOpen;
  return (
    <div
      className={`mt-1 rounded border px-2 py-1.5 ${answered ? 'border-rule' : 'border-alarm bg-alarm-wash'}`}
      data-testid="step-question"
      data-open={!answered}
    >
      <p className="flex items-start gap-1.5">
        <CircleHelp size={15} aria-hidden className="mt-0.5 shrink-0" />
        <span>{words.question[ask.about](ask.written)}</span>
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {ask.readings.map((each) => (
          <Button
            key={JSON.stringify(each)}
            aria-pressed={answered && JSON.stringify(answer) === JSON.stringify(each)}
            className="min-h-8 aria-pressed:border-ink aria-pressed:font-semibold"
            onClick={() => onTell(key, each)}
          >
            {readingWords(each)}
          </Button>
        ))}
        <Button
          look="quiet"
          aria-pressed={answered && answer === null}
          className="min-h-8 aria-pressed:font-semibold"
          onClick={() => onTell(key, null)}
        >
          {words.asItStands}
        </Button>
      </div>
    </div>
  );
}
