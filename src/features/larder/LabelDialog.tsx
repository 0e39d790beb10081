'use client';
import { useDeferredValue, useMemo } from 'react';
import { FormProvider, useController } from 'react-hook-form';
import {
  ENTRY_LIMITS, estimateFromLabel, type BlendEntry, type IngredientBook, type Label, type LabelEstimate,
} from '@/core/ingredients'; // prettier-ignore
import type { Problem } from '@/core/result';
import { Z80 } from '@/core/numeric';
import { formatDecimal } from '@/core/units';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { useBook, useNameOf } from '../book/BookProvider';
import { useNumbers, usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { FormNumber } from './FormNumber';
import { PartList, type ListedPart } from './PartList';
import { SaveIt } from './SaveIt';
import { TextField } from './TextField';
import { useEntryForm } from './useEntryForm';
import { NUTRIENT_WORD } from '@/wording/nutrients';
import { words } from '@/wording/screens/larder/LabelDialog';

const PANEL: readonly (readonly [keyof Label['panel'], string])[] = [
  ['fat', NUTRIENT_WORD.fat],
  ['carbohydrate', NUTRIENT_WORD.carbohydrate],
  ['sugars', words.ofWhichSugars],
  ['fibre', NUTRIENT_WORD.fibre],
  ['protein', NUTRIENT_WORD.protein],
  ['salt', NUTRIENT_WORD.salt],
];
interface LabelValues {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly ListedPart[];
  readonly panel: Label['panel'];
}

const startOf = (): LabelValues => ({
  id: `own-${newUuid().slice(0, 18)}`,
  name: '',
  parts: [],
  panel: { fat: null, carbohydrate: null, sugars: null, fibre: null, protein: null, salt: null },
});

const estimateOf = ({ parts, panel }: Pick<LabelValues, 'parts' | 'panel'>, book: IngredientBook) =>
  parts.length === 0
    ? null
    : estimateFromLabel(
        {
          ingredients: parts.map(({ ingredientId, amount }) => ({ ingredientId, percent: amount })),
          panel,
        },
        book,
      );

const surely = (sureness: number): string =>
  sureness > 0.75 ? words.fairlySure : sureness > 0.45 ? words.halfSure : words.mostlyAGuess;

function blendOf(
  { id, name }: LabelValues,
  estimate: LabelEstimate,
  nameOf: (id: string) => string,
): BlendEntry {
  const { shares, sureness, thirstCv } = estimate;
  const listed = shares
    .map(
      ({ ingredientId, low, high }) =>
        `${nameOf(ingredientId).toLowerCase()} ${formatDecimal(low, 1)}–${formatDecimal(high, 1)} %`,
    )
    .join(', ');
  return {
    kind: 'blend',
    id,
    name: name.trim(),
    alsoCalled: [],
    source: words.estimatedFromItsLabel(surely(sureness), listed).slice(0, ENTRY_LIMITS.sourceLength),
    role: 'flour',
    parts: shares.map(({ ingredientId, percent }) => ({
      ingredientId,
      massG: Math.max(0.001, percent * 10),
    })),
    densityGPerMl: null,
    thirstCv,
  };
}

/** A bought blend, from what is printed on it: the core works out what must be inside, and says how sure it is. */
export function LabelDialog({ onClose }: { onClose: (savedId?: string) => void }) {
  const book = useBook();
  const nameOf = useNameOf();
  const label = useEntryForm<LabelValues>(startOf, {
    // of what stands there now, not of what a tired machine has got to
    entry: (values) => {
      const now = estimateOf(values, book);
      return now?.ok ? blendOf(values, now.value, nameOf) : null;
    },
    seen: 0,
    onSaved: onClose,
  });
  const { name, parts, panel } = label.values;
  // thousands of draws take a moment: the typing goes first
  const printed = useDeferredValue(useMemo(() => ({ parts, panel }), [panel, parts]));
  const estimate = useMemo(() => estimateOf(printed, book), [book, printed]);
  const missing = !estimate ? words.listWhatIsInIt : estimate.ok ? null : words.seeAbove;
  return (
    <FormProvider {...label.form}>
      <Dialog wide onClose={onClose} title={words.aBoughtBlendFromIts} hint={words.theIngredientsInTheOrder}>
        <TextField<LabelValues> name="name" word={words.name} hint={words.yoursNotTheMakersWill} />
        <Printed />
        {estimate && !estimate.ok && <LabelTrouble problem={estimate.problem} />}
        {estimate?.ok && <Inside estimate={estimate.value} />}
        <SaveIt form={label} missing={name.trim() === '' ? words.giveItAName : missing} />
      </Dialog>
    </FormProvider>
  );
}

/** The two things a label prints. */
function Printed() {
  const { field } = useController<LabelValues, 'parts'>({ name: 'parts' });
  return (
    <div className="grid gap-x-6 sm:grid-cols-[minmax(0,1fr)_14rem]">
      <PartList
        parts={field.value}
        unit="%"
        max={100}
        amountWord={words.percentage}
        emptyWord={words.notPrinted}
        onChange={field.onChange}
      />
      <fieldset className="mt-3 border-b border-rule">
        <legend className="text-sm font-semibold">{words.in100GAsPrinted}</legend>
        {PANEL.map(([key, word]) => (
          <FormNumber<LabelValues, `panel.${keyof Label['panel']}`>
            key={key}
            name={`panel.${key}`}
            word={word}
            unit="g"
            optional
            bounds={ENTRY_LIMITS.gPer100g}
          />
        ))}
      </fieldset>
    </div>
  );
}

function LabelTrouble({ problem }: { problem: Problem }) {
  const { preferences } = usePreferences();
  return (
    <p role="alert" className="mt-3 text-sm text-alarm">
      {problem.code === 'rangeReversed' ? words.aLabelListsByFalling : wordProblem(problem, preferences)}
    </p>
  );
}

function Inside({ estimate }: { estimate: LabelEstimate }) {
  const numbers = useNumbers();
  const nameOf = useNameOf();
  return (
    <section aria-label={words.whatMustBeInside} className="mt-4" data-testid="estimate">
      <p className="font-semibold">
        {words.whatMustBeInside}: <span className="figure">{surely(estimate.sureness)}</span>
      </p>
      {estimate.misfit > 2 && (
        <p role="status" className="text-sm text-alarm">
          {words.listAndPanelDoNot}
        </p>
      )}
      <ul className="mt-1">
        {estimate.shares.map(({ ingredientId, percent, low, high }, index) => (
          <li key={`${ingredientId} ${index}`} className="border-t border-rule py-1 text-sm">
            <span className="flex justify-between gap-3">
              <span>{nameOf(ingredientId)}</span>
              <span className="tabular-nums">
                <strong>{numbers.decimal(percent, percent < 10 ? 1 : 0)} %</strong>{' '}
                <span className="text-soft">
                  {numbers.decimal(low, 1)}–{numbers.decimal(high, 1)}
                </span>
              </span>
            </span>
            <span aria-hidden className="relative mt-0.5 block h-1.5 rounded-full bg-well">
              <span
                className="absolute h-full rounded-full bg-ink/60"
                style={{ left: `${low}%`, width: `${Math.max(0.6, high - low)}%` }}
              />
            </span>
          </li>
        ))}
      </ul>
      {estimate.absorption && (
        <p className="mt-1 text-sm text-soft">
          {words.itShouldAbsorbGOf(
            numbers.decimal(estimate.absorption.gPerG.value, 2),
            numbers.decimal(Z80 * estimate.absorption.gPerG.sd, 2),
          )}
        </p>
      )}
    </section>
  );
}
