'use client';
import { FormProvider, useController } from 'react-hook-form';
import { ENTRY_LIMITS, bookWith, libraryBook, type BlendEntry, type Ingredient } from '@/core/ingredients';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { Segmented } from '@/ui/Segmented';
import { useStoredEntries } from '../book/BookProvider';
import { useNumbers, usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { FormNumber } from './FormNumber';
import { otherNames } from './otherNames';
import { PartList, type ListedPart } from './PartList';
import { SaveIt } from './SaveIt';
import { TextField } from './TextField';
import { useEntryForm } from './useEntryForm';
import { words } from '@/wording/screens/larder/BlendDialog';

const ROLES = [
  { value: 'flour', label: words.flours },
  { value: 'starter', label: words.aStarter },
  { value: 'binder', label: words.aGel },
  { value: 'scald', label: words.aScald },
  { value: 'inclusion', label: words.seedsBits },
  { value: 'flavour', label: words.spices },
] as const;

const sameParts = (was: BlendEntry, parts: readonly ListedPart[]): boolean =>
  was.parts.length === parts.length &&
  was.parts.every(
    ({ ingredientId, massG }, index) =>
      parts[index]?.ingredientId === ingredientId && parts[index]?.amount === massG,
  );

/** What is known of a mixture as a whole, as long as its parts are the same. */
const knownOf = ({ thirstCv, absorbs, works, learntFrom }: BlendEntry) => ({
  ...(thirstCv !== undefined && { thirstCv }),
  ...(absorbs && { absorbs }),
  ...(works && { works }),
  ...(learntFrom !== undefined && { learntFrom }),
});

interface BlendValues {
  readonly id: string;
  readonly name: string;
  readonly also: string;
  readonly role: BlendEntry['role'];
  readonly parts: readonly ListedPart[];
  readonly density: number | null;
  readonly note: string;
}

const startOf = (id: string | null, was: BlendEntry | null): BlendValues => ({
  id: id ?? `own-${newUuid().slice(0, 18)}`,
  name: was?.name ?? '',
  also: was?.alsoCalled.join(', ') ?? '',
  role: was?.role ?? 'flour',
  parts: was?.parts.map(({ ingredientId, massG }) => ({ ingredientId, amount: massG })) ?? [],
  density: was?.densityGPerMl ?? null,
  note: was?.source ?? '',
});

const entryOf = ({ id, name, also, role, parts, density, note }: BlendValues, was: BlendEntry | null) =>
  ({
    kind: 'blend',
    id,
    name: name.trim(),
    alsoCalled: otherNames(also),
    source: note,
    role,
    parts: parts.map(({ ingredientId, amount }) => ({ ingredientId, massG: amount ?? 0 })),
    densityGPerMl: density,
    // what a label left open stays open until somebody says better, and what is known of the whole stays known
    ...(was && sameParts(was, parts) && knownOf(was)),
  }) satisfies BlendEntry;

const missingIn = ({ name, parts }: BlendValues): string | null => {
  if (name.trim() === '') return words.giveItAName;
  const complete = parts.length > 0 && parts.every(({ amount }) => amount !== null);
  return complete ? null : words.sayHowMuchOfEach;
};

/** A mixture that is made once and used in several formulas: what goes in, by weight. Its figures follow from its parts. */
export function BlendDialog({ id, onClose }: { id: string | null; onClose: (savedId?: string) => void }) {
  const { stored } = useStoredEntries();
  const { preferences } = usePreferences();
  const before = stored.find((each) => each.id === id);
  const was = before?.entry.kind === 'blend' ? before.entry : null;
  const blend = useEntryForm<BlendValues>(() => startOf(id, was), {
    entry: (values) => entryOf(values, was),
    seen: before?.version ?? 0,
    onSaved: onClose,
  });
  const { values, form } = blend;
  const missing = missingIn(values);
  const others = stored
    .filter((each) => each.id !== values.id && !(each.away && each.entry.kind === 'bag'))
    .map((each) => each.entry);
  const book = missing === null ? bookWith(libraryBook, [...others, entryOf(values, was)]) : null;
  const made = book?.ok ? book.value.get(values.id) : null;
  return (
    <FormProvider {...form}>
      <Dialog
        onClose={onClose}
        title={id ? words.change(was?.name ?? words.theBlend) : words.aBlendOfMine}
        hint={words.whatGoesIntoItBy}
      >
        <TextField<BlendValues> name="name" word={words.name} />
        <TextField<BlendValues> name="also" word={words.alsoCalled} hint={words.separatedByCommas} />
        <BlendParts />
        {made && <MadeOf made={made} parts={values.parts} />}
        {book && !book.ok && (
          <p role="alert" className="mt-2 text-sm text-alarm">
            {wordProblem(book.problem, preferences)}
          </p>
        )}
        <FormNumber<BlendValues, 'density'>
          name="density"
          word={words.aMillilitreOfItWeighs}
          unit="g"
          optional
          bounds={ENTRY_LIMITS.densityGPerMl}
        />
        <TextField<BlendValues> name="note" word={words.note} maxLength={ENTRY_LIMITS.sourceLength} />
        <SaveIt form={blend} missing={missing ?? (book?.ok ? null : words.seeAbove)} />
      </Dialog>
    </FormProvider>
  );
}

function BlendParts() {
  const role = useController<BlendValues, 'role'>({ name: 'role' }).field;
  const parts = useController<BlendValues, 'parts'>({ name: 'parts' }).field;
  return (
    <>
      <p className="mt-3 text-sm font-semibold">{words.itIs}</p>
      <Segmented
        label={words.whatItIs}
        value={role.value}
        onChange={role.onChange}
        options={ROLES}
        className="flex-wrap"
      />
      <PartList
        parts={parts.value}
        unit="g"
        max={100_000}
        amountWord={words.weight}
        emptyWord={words.noWeight}
        onChange={parts.onChange}
      />
    </>
  );
}

function MadeOf({ made: { per100g }, parts }: { made: Ingredient; parts: readonly ListedPart[] }) {
  const numbers = useNumbers();
  const wholeG = parts.reduce((sum, { amount }) => sum + (amount ?? 0), 0);
  return (
    <p className="mt-2 text-sm text-soft">
      {words.inTotalAndIn100G(
        numbers.decimal(wholeG, 1),
        numbers.decimal(per100g.water.value, 1),
        numbers.decimal(per100g.starch.value, 1),
        numbers.decimal(per100g.protein.value, 1),
        numbers.decimal(per100g.fibre.value, 1),
      )}
    </p>
  );
}
