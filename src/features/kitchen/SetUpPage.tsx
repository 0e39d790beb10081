'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useForm, type UseFormRegister, type UseFormReturn } from 'react-hook-form';
import type { Baking } from '@/core/requests/bakings';
import { parseDecimal } from '@/core/units';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { Reason } from '@/ui/Reason';
import { ask } from '../asking/ask';
import type { Preferences } from '../preferences/preferences';
import { usePreferences } from '../preferences/PreferencesProvider';
import { kitchenPlace } from './place';
import type { KitchenCard } from './KitchensPage';
import { useZones } from './useZones';
import { ZoneOptions } from './ZoneOptions';

const BAKING_WORDS: readonly { readonly value: Baking; readonly word: string; readonly more: string }[] = [
  { value: 'everything', word: 'A bit of everything', more: 'a tin loaf, rolls and pizza to begin with' },
  { value: 'loaves', word: 'Loaves', more: 'a tin loaf, a round and a baton' },
  { value: 'small', word: 'Rolls and small things', more: 'rolls, boiled rings and fried knots' },
  { value: 'flat', word: 'Flat things', more: 'pizza, flatbread and crispbread' },
  { value: 'none', word: 'My own formulas only', more: 'the shelf begins empty' },
];

type Measures = 'metric' | 'cups' | 'ounces' | 'imperial';
const MEASURE_WORDS: readonly { readonly value: Measures; readonly word: string; readonly more: string }[] = [
  { value: 'metric', word: 'Grams and °C', more: 'cups of 250 ml where a recipe has cups' },
  { value: 'cups', word: 'Grams and °F', more: 'US cups of 237 ml and US egg sizes' },
  { value: 'ounces', word: 'Ounces and °F', more: 'US cups of 237 ml and US egg sizes' },
  { value: 'imperial', word: 'Ounces and °C', more: 'imperial pints and British egg sizes' },
];
const PREFERENCES_OF: Readonly<Record<Measures, Partial<Preferences>>> = {
  metric: { massUnit: 'g', temperatureUnit: 'C', measure: 'metric', lengthUnit: 'cm' },
  cups: { massUnit: 'g', temperatureUnit: 'F', measure: 'us', lengthUnit: 'in' },
  ounces: { massUnit: 'oz', temperatureUnit: 'F', measure: 'us', lengthUnit: 'in' },
  imperial: { massUnit: 'oz', temperatureUnit: 'C', measure: 'imperial', lengthUnit: 'in' },
};

type OvenKind = 'static' | 'fan' | 'deck';
const OVEN_WORDS: readonly { readonly value: OvenKind; readonly word: string; readonly more: string }[] = [
  { value: 'static', word: 'An oven without fan', more: 'top and bottom heat' },
  { value: 'fan', word: 'A fan oven', more: 'the air is driven round' },
  { value: 'deck', word: 'A deck oven', more: 'with a stone floor' },
];

interface Answers {
  baking: Baking;
  measures: Measures;
  ovenKind: OvenKind;
  name: string;
  timeZone: string;
  altitudeM: string;
}
const HIGHEST_M = 5000;

/** The answers, and what becomes of them: the reader's units at once, and a kitchen. */
function useSetUp() {
  const router = useRouter();
  const { change } = usePreferences();
  const [trouble, setTrouble] = useState<string | null>(null);
  // made once: pressed twice, or again after a dead network, it is still one kitchen
  const [requestId] = useState(newUuid);
  const form = useForm<Answers>({
    defaultValues: {
      baking: 'everything',
      measures: 'metric',
      ovenKind: 'static',
      name: 'My kitchen',
      timeZone: 'UTC',
      altitudeM: '0',
    },
  });
  const { setError } = form;
  const open = form.handleSubmit(async ({ measures, altitudeM, ...answers }) => {
    const height = parseDecimal(altitudeM.trim() === '' ? '0' : altitudeM);
    if (!height.ok || height.value < 0 || height.value > HIGHEST_M)
      return setError('altitudeM', { message: `A number of metres, 0 to ${HIGHEST_M}.` });
    change(PREFERENCES_OF[measures]);
    const body = { requestId, ...answers, name: answers.name.trim(), altitudeM: Math.round(height.value) };
    const answer = await ask<KitchenCard>('/api/kitchens', body);
    if (answer.kind === 'ok') return router.push(kitchenPlace(answer.value.address).page('/'));
    setTrouble(
      answer.kind === 'unreachable'
        ? 'The server did not answer. Press again: it will still be one kitchen.'
        : 'That could not be taken as it is. Look at the name, the zone and the height.',
    );
  });
  return { form, open, trouble };
}

const TITLES = ['What do you bake?', 'How do you measure?', 'Your oven and your place'];

/** Three questions, each answered already well enough to go on. */
export function SetUpPage() {
  const { form, open, trouble } = useSetUp();
  const { register, formState } = form;
  const [step, setStep] = useState(0);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (step > 0) heading.current?.focus();
  }, [step]);
  const last = step === TITLES.length - 1;
  return (
    <>
      <Link href="/kitchens" className="text-sm text-link underline">
        Back
      </Link>
      <p className="mt-4 text-soft">
        Question {step + 1} of {TITLES.length}
      </p>
      <h1 ref={heading} tabIndex={-1} className="text-3xl outline-none sm:text-4xl">
        {TITLES[step]}
      </h1>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (last) void open();
          else setStep(step + 1);
        }}
        noValidate
        className="mt-5"
      >
        {step === 0 && <Choices name="baking" options={BAKING_WORDS} register={register} />}
        {step === 1 && <Choices name="measures" options={MEASURE_WORDS} register={register} />}
        {last && <PlaceQuestion form={form} />}
        <p className="mt-4 text-sm text-soft">
          {last
            ? 'All of this can be changed later, under Kit.'
            : 'What is chosen does for now. It can be changed at any time.'}
        </p>
        <div className="mt-5 flex flex-wrap gap-3">
          <Button type="submit" look="now" size="bench" disabled={formState.isSubmitting}>
            {last ? 'Open my kitchen' : 'Next'}
          </Button>
          {step > 0 && (
            <Button size="bench" look="quiet" onClick={() => setStep(step - 1)}>
              Previous
            </Button>
          )}
          {!last && (
            <Button size="bench" look="quiet" onClick={() => setStep(step + 1)}>
              Later
            </Button>
          )}
        </div>
        <Reason>{trouble ?? undefined}</Reason>
      </form>
    </>
  );
}

function PlaceQuestion({ form }: { form: UseFormReturn<Answers> }) {
  const { register, setValue, getValues, formState } = form;
  const zones = useZones();
  useEffect(() => {
    // once it stands in the list
    if (zones[0] && getValues('timeZone') === 'UTC') setValue('timeZone', zones[0]);
  }, [getValues, setValue, zones]);
  return (
    <>
      <Choices name="ovenKind" options={OVEN_WORDS} register={register} />
      <div className="mt-5 grid gap-4 sm:grid-cols-2">
        <Field label="What the kitchen is called" why={formState.errors.name?.message}>
          <input
            {...register('name', { validate: (name) => name.trim() !== '' || 'Give it a name.' })}
            maxLength={80}
            autoComplete="off"
            className={FIELD}
          />
        </Field>
        <Field label="Its time zone" why={undefined}>
          <select {...register('timeZone')} className={FIELD}>
            <ZoneOptions zones={zones} />
          </select>
        </Field>
        <Field label="Height above the sea, m" why={formState.errors.altitudeM?.message}>
          <input {...register('altitudeM')} inputMode="numeric" autoComplete="off" className={FIELD} />
        </Field>
      </div>
    </>
  );
}

const FIELD = 'mt-1 block min-h-12 w-full rounded-md border border-edge bg-surface px-3 text-lg';

function Field({ label, why, children }: { label: string; why: string | undefined; children: ReactNode }) {
  return (
    <label className="block text-sm font-semibold">
      {label}
      {children}
      <Reason>{why}</Reason>
    </label>
  );
}

interface ChoicesProps {
  name: 'baking' | 'measures' | 'ovenKind';
  options: readonly { readonly value: string; readonly word: string; readonly more: string }[];
  register: UseFormRegister<Answers>;
}

/** Large enough for a thumb; what is chosen is said by a mark, not by colour alone. */
function Choices({ name, options, register }: ChoicesProps) {
  return (
    <fieldset className="grid gap-2">
      {options.map(({ value, word, more }) => (
        <label
          key={value}
          className="flex min-h-16 cursor-pointer items-center gap-4 rounded-xl border border-edge bg-surface px-4 py-2 has-checked:border-ink has-checked:bg-well has-checked:shadow-[inset_0_0_0_1px_var(--ink)]"
        >
          <input {...register(name)} type="radio" value={value} className="size-6 shrink-0 accent-(--ink)" />
          <span>
            <span className="block text-lg font-semibold">{word}</span>
            <span className="block text-soft">{more}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
