'use client';
import { useId } from 'react';
import { Controller, useForm, type Control, type FieldErrors, type Resolver } from 'react-hook-form';
import { emptyOutcome, SCORE_NAMES, type Outcome } from '@/core/bake';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { useTwice } from '@/ui/useTwice';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { AGAIN_WORD } from '@/wording/words';
import { readOutcome, type NumberName, type OutcomeText } from './readOutcome';
import { textOf, useOutcomeDraft } from './useOutcomeDraft';
import { words } from '@/wording/screens/outcome/OutcomeForm';

interface OutcomeFormProps {
  start?: Outcome;
  planned: { readonly pieces: number; readonly massG: number };
  /** Where the half-written form outlives a reload; none for a correction. */
  draftKey?: string;
  deed: string;
  /** What is done here cannot be done by a knuckle that slips: it takes a second press, a moment later. */
  twice?: string;
  onOutcome: (outcome: Outcome) => void;
}

/** What came out: a few numbers, a few scores, words. Nothing is required but honesty. */
export function OutcomeForm({
  start = emptyOutcome,
  planned,
  draftKey,
  deed,
  twice,
  onOutcome,
}: OutcomeFormProps) {
  const units = useUnits();
  const { preferences } = usePreferences();
  const resolver: Resolver<OutcomeText> = (text) => {
    const { outcome, faults } = readOutcome(text, units);
    if (outcome) return { values: text, errors: {} };
    const errors: FieldErrors<OutcomeText> = {};
    for (const { field, problem } of faults) {
      errors[field as keyof OutcomeText] ??= {
        type: problem.code,
        message: wordProblem(problem, preferences),
      } as never;
    }
    return { values: {}, errors };
  };
  const form = useForm<OutcomeText>({ resolver, defaultValues: textOf(start, units), mode: 'onBlur' });
  const { control, register, handleSubmit, formState } = form;

  const dropDraft = useOutcomeDraft(form, start, draftKey);

  const confirm = useTwice();
  const submit = handleSubmit((text) => {
    const { outcome } = readOutcome(text, units);
    if (!outcome) return;
    if (twice && !confirm.press()) return;
    onOutcome(outcome);
    dropDraft();
  });
  const fault = (field: keyof OutcomeText) => formState.errors[field]?.message;

  const field = (name: NumberName, word: string, unit: string, hint: string) => (
    <NumberField word={word} unit={unit} hint={hint} reason={fault(name)} inputProps={register(name)} />
  );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="docket rounded-b-xl p-5 sm:p-7">
      <div className="grid grid-cols-2 gap-4 lg:grid-cols-4">
        {field('pieces', words.pieces, '', words.planned(String(planned.pieces)))}
        {field('massBeforeG', words.weightBefore, units.massUnit, words.planned(units.mass(planned.massG)))}
        {field('massAfterG', words.weightAfter, units.massUnit, words.outOfTheOven)}
        {field('coreTempC', words.core, units.temperatureUnit, words.inTheMiddle)}
      </div>
      <Judgement control={control} />
      <label className="mt-5 block">
        <span className="text-lg font-semibold">{words.inWords}</span>
        <textarea
          {...register('words')}
          rows={4}
          maxLength={2000}
          aria-invalid={!!fault('words')}
          placeholder={words.theCutTheSmellThe}
          className="mt-1 w-full rounded-lg border border-edge bg-surface p-3 text-lg"
        />
        {fault('words') && (
          <span role="alert" className="text-alarm">
            {fault('words')}
          </span>
        )}
      </label>
      <Button type="submit" look="now" size="wall" data-primary className="mt-5 w-full">
        {twice && confirm.asked ? twice : deed}
      </Button>
      {twice && (
        <p role="status" className="mt-2 min-h-6 text-center text-soft">
          {confirm.asked ? words.pressOnceMoreToClose : ''}
        </p>
      )}
    </form>
  );
}

interface NumberFieldProps {
  word: string;
  unit: string;
  hint: string;
  reason: string | undefined;
  inputProps: object;
}

function NumberField({ word, unit, hint, reason, inputProps }: NumberFieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="text-lg font-semibold">
        {word}
      </label>
      <span className="mt-1 flex items-baseline rounded-lg border border-edge bg-surface px-3 focus-within:border-link">
        <input
          id={id}
          {...inputProps}
          type="text"
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={!!reason}
          aria-describedby={`${id}-hint`}
          className="min-h-14 w-full min-w-0 bg-transparent text-2xl outline-none focus-visible:outline-none"
        />
        {unit && <span className="pl-1 text-xl text-soft">{unit}</span>}
      </span>
      <span
        id={`${id}-hint`}
        role={reason ? 'alert' : undefined}
        className={reason ? 'text-sm font-semibold text-alarm' : 'text-sm text-soft'}
      >
        {reason ?? hint}
      </span>
    </div>
  );
}

/** Scores from one to five, and whether it is worth another time. */
function Judgement({ control }: { control: Control<OutcomeText> }) {
  return (
    <>
      <fieldset className="mt-6">
        <legend className="text-lg font-semibold">{words.howWasIt1Poor}</legend>
        <div className="mt-2 grid gap-3 sm:grid-cols-2">
          {SCORE_NAMES.map((name) => (
            <Controller
              key={name}
              control={control}
              name={`scores.${name}`}
              render={({ field: score }) => (
                <div className="flex items-center gap-3">
                  <span className="w-20 text-lg capitalize">{name}</span>
                  <Segmented
                    label={name}
                    size="bench"
                    clearable
                    className="flex-1"
                    value={score.value === null ? '' : String(score.value)}
                    onChange={(value) => score.onChange(value === '' ? null : Number(value))}
                    options={['1', '2', '3', '4', '5'].map((value) => ({
                      value,
                      label: value,
                      name: `${name} ${value}`,
                    }))}
                  />
                </div>
              )}
            />
          ))}
        </div>
      </fieldset>
      <Controller
        control={control}
        name="again"
        render={({ field: again }) => (
          <div className="mt-5 flex flex-wrap items-center gap-3">
            <span className="text-lg font-semibold">{words.bakeItAgain}</span>
            <Segmented
              label={words.wouldIBakeItAgain}
              size="bench"
              clearable
              value={again.value ?? ''}
              onChange={(value) => again.onChange(value === '' ? null : value)}
              options={Object.entries(AGAIN_WORD).map(([value, label]) => ({ value, label }))}
              className="max-sm:w-full max-sm:flex-col"
            />
          </div>
        )}
      />
    </>
  );
}
