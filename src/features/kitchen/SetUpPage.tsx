'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useForm, useWatch, type UseFormRegister, type UseFormReturn } from 'react-hook-form';
import type { SetUpKitchen } from '@/core/requests';
import type { Baking } from '@/core/requests/bakings';
import { heightNumber, parseLengthCm } from '@/core/units';
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
import { words } from '@/wording/screens/kitchen/SetUpPage';

const BAKING_WORDS: readonly { readonly value: Baking; readonly word: string; readonly more: string }[] = [
  { value: 'everything', word: words.aBitOfEverything, more: words.aTinLoafRollsAnd },
  { value: 'loaves', word: words.loaves, more: words.aTinLoafARound },
  { value: 'small', word: words.rollsAndSmallThings, more: words.rollsBoiledRingsAndFried },
  { value: 'flat', word: words.flatThings, more: words.pizzaFlatbreadAndCrispbread },
  { value: 'none', word: words.myOwnFormulasOnly, more: words.theShelfBeginsEmpty },
];

type Measures = 'metric' | 'cups' | 'ounces' | 'imperial';
const MEASURE_WORDS: readonly { readonly value: Measures; readonly word: string; readonly more: string }[] = [
  { value: 'metric', word: words.gramsAndC, more: words.cupsOf250MlWhere },
  { value: 'cups', word: words.gramsAndF, more: words.usCupsOf237Ml },
  { value: 'ounces', word: words.ouncesAndF, more: words.usCupsOf237Ml },
  { value: 'imperial', word: words.ouncesAndC, more: words.imperialPintsAndBritishEgg },
];
const PREFERENCES_OF: Readonly<Record<Measures, Partial<Preferences>>> = {
  metric: { massUnit: 'g', temperatureUnit: 'C', measure: 'metric', lengthUnit: 'cm' },
  cups: { massUnit: 'g', temperatureUnit: 'F', measure: 'us', lengthUnit: 'in' },
  ounces: { massUnit: 'oz', temperatureUnit: 'F', measure: 'us', lengthUnit: 'in' },
  imperial: { massUnit: 'oz', temperatureUnit: 'C', measure: 'imperial', lengthUnit: 'in' },
};

type OvenKind = SetUpKitchen['ovenKind'];
const OVEN_WORDS: readonly { readonly value: OvenKind; readonly word: string; readonly more: string }[] = [
  { value: 'static', word: words.anOvenWithoutFan, more: words.topAndBottomHeat },
  { value: 'fan', word: words.aFanOven, more: words.theAirIsDrivenRound },
  { value: 'deck', word: words.aDeckOven, more: words.withAStoneFloor },
  { value: 'flame', word: words.aFlameOven, more: words.woodOrGasUnderADome },
  { value: 'humid', word: words.anOvenWithSteam, more: words.itLetsSteamIn },
  { value: 'grill', word: words.aGrill, more: words.heatFromAboveAlone },
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

/** What heights are told in beside these measures. */
const heightIn = (measures: Measures) => {
  const { lengthUnit = 'cm' } = PREFERENCES_OF[measures];
  return { unit: lengthUnit === 'in' ? 'ft' : 'm', limit: heightNumber(HIGHEST_M, lengthUnit) } as const;
};

/** How times and numbers are written where this browser is at home; can be changed later. */
function waysOfBrowser() {
  const locale = navigator.language;
  const { hour12 } = new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions();
  const comma = new Intl.NumberFormat(locale).format(1.5).includes(',');
  return { clockFace: hour12 ? '12' : '24', decimalMark: comma ? 'comma' : 'point' } as const;
}

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
      name: words.myKitchen,
      timeZone: 'UTC',
      altitudeM: '0',
    },
  });
  const { setError } = form;
  const open = form.handleSubmit(async ({ measures, altitudeM, ...answers }) => {
    const { unit, limit } = heightIn(measures);
    const lengthCm = parseLengthCm(altitudeM.trim() === '' ? '0' : altitudeM, unit);
    const heightM = lengthCm.ok ? lengthCm.value / 100 : -1;
    if (heightM < 0 || heightM > HIGHEST_M)
      return setError('altitudeM', { message: words.aNumberOf(limit, unit) });
    change(PREFERENCES_OF[measures]);
    const body = {
      requestId,
      ...waysOfBrowser(),
      ...answers,
      name: answers.name.trim(),
      altitudeM: Math.round(heightM),
    };
    const answer = await ask<KitchenCard>('/api/kitchens', body);
    if (answer.kind === 'ok') return router.push(kitchenPlace(answer.value.address).page('/'));
    setTrouble(answer.kind === 'unreachable' ? words.theServerDidNotAnswer : words.thatCouldNotBeTaken);
  });
  return { form, open, trouble };
}

const TITLES = [words.whatDoYouBake, words.howDoYouMeasure, words.yourOvenAndYourPlace];

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
        {words.back}
      </Link>
      <p className="mt-4 text-soft">{words.questionOf(step + 1, TITLES.length)}</p>
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
        <p className="mt-4 text-sm text-soft">{last ? words.allOfThisCanBe : words.whatIsChosenDoesFor}</p>
        <div className="mt-5 flex flex-wrap gap-3">
          <Button type="submit" look="now" size="bench" disabled={formState.isSubmitting}>
            {last ? words.openMyKitchen : words.next}
          </Button>
          {step > 0 && (
            <Button size="bench" look="quiet" onClick={() => setStep(step - 1)}>
              {words.previous}
            </Button>
          )}
          {!last && (
            <Button size="bench" look="quiet" onClick={() => setStep(step + 1)}>
              {words.later}
            </Button>
          )}
        </div>
        <Reason>{trouble ?? undefined}</Reason>
      </form>
    </>
  );
}

function PlaceQuestion({ form }: { form: UseFormReturn<Answers> }) {
  const { register, setValue, getValues, formState, control } = form;
  const zones = useZones();
  useEffect(() => {
    // once it stands in the list
    if (zones[0] && getValues('timeZone') === 'UTC') setValue('timeZone', zones[0]);
  }, [getValues, setValue, zones]);
  return (
    <>
      <Choices name="ovenKind" options={OVEN_WORDS} register={register} />
      <div className="mt-5 grid gap-4 sm:grid-cols-2">
        <Field label={words.whatTheKitchenIsCalled} why={formState.errors.name?.message}>
          <input
            {...register('name', { validate: (name) => name.trim() !== '' || words.giveItAName })}
            maxLength={80}
            autoComplete="off"
            className={FIELD}
          />
        </Field>
        <Field label={words.itsTimeZone} why={undefined}>
          <select {...register('timeZone')} className={FIELD}>
            <ZoneOptions zones={zones} />
          </select>
        </Field>
        <Field
          label={words.heightAboveTheSea(heightIn(useWatch({ control, name: 'measures' })).unit)}
          why={formState.errors.altitudeM?.message}
        >
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
