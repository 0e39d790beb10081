'use client';
import { callOf, type BatchSheet } from '@/core/batch';
import { formatDurationRange } from '@/core/units';
import { wordCall } from '@/wording/calls';
import { words } from '@/wording/screens/paper/PaperMethod';
import { STEP_WORD } from '@/wording/words';
import { laterWords } from './laterWords';
import { useInMeasures } from '../measured/InMeasures';
import { useUnits } from '../preferences/PreferencesProvider';

/** The method for the wall: every call of the batch with its time and heat, what goes in at it, and a box to tick. Only on paper. */
export function PaperMethod({ sheet }: { sheet: BatchSheet }) {
  const units = useUnits();
  const measured = useInMeasures();
  const goesIn = (stepId: string) =>
    sheet.stages
      .flatMap(({ lines }) => lines)
      .filter(({ atStepId }) => atStepId === stepId)
      .map((line) =>
        [line.name, units.mass(line.massG), measured(line) && `(${measured(line)})`]
          .filter(Boolean)
          .join(' '),
      )
      .join(', ');
  if (sheet.steps.length === 0) return null;
  return (
    <section aria-label={words.method} className="hidden print:block" data-testid="paper-method">
      <h2 className="mt-4 text-base">{words.method}</h2>
      <ol>
        {sheet.steps.map((step, index) => {
          const { kind, title, minS, maxS, tempC, until } = step;
          const time = minS === null ? '' : formatDurationRange(minS, maxS);
          const heat = tempC === null ? '' : units.temperature(tempC);
          const inNow = goesIn(step.id);
          return (
            <li key={step.id} className="flex break-inside-avoid gap-2 border-t border-rule py-1 text-sm">
              <span aria-hidden className="mt-0.5 inline-block size-4 shrink-0 border border-ink" />
              <span className="w-5 shrink-0 text-right text-soft">{index + 1}</span>
              <span className="min-w-0 flex-1">
                <strong>{STEP_WORD[kind]}</strong>{' '}
                {[wordCall(callOf(sheet, step.id)), title].filter(Boolean).join(' · ')}
                {inNow && <span className="block">{words.goesIn(inNow)}</span>}
                {until && <span className="block italic">{words.until(until)}</span>}
              </span>
              <span className="shrink-0 text-right font-semibold whitespace-nowrap">
                {[time, heat].filter(Boolean).join(', ')}
              </span>
            </li>
          );
        })}
      </ol>
      {sheet.ways?.map(
        ({ wayId, name, later }) =>
          later && (
            <p key={wayId} className="mt-2 text-sm">
              {words.anotherDay(name, laterWords(later, units.temperature))}
            </p>
          ),
      )}
      <p className="mt-3 text-sm text-soft">{words.baked}</p>
    </section>
  );
}
