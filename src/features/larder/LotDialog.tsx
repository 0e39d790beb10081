'use client';
import { FormProvider, useController } from 'react-hook-form';
import type { Estimate, Ingredient, LotEntry, StoredEntry } from '@/core/ingredients';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { usePreferences } from '../preferences/PreferencesProvider';
import { SaveIt } from './SaveIt';
import { TextField } from './TextField';
import { useEntryForm } from './useEntryForm';
import { VigourField } from './VigourField';
import { words } from '@/wording/screens/larder/Lots';

interface LotValues {
  readonly id: string;
  readonly code: string;
  readonly openedOn: string;
  readonly bestBefore: string;
  readonly open: boolean;
  readonly vigour: Estimate | undefined;
}

const startOf = (was: LotEntry | null, today: string): LotValues => ({
  id: was?.id ?? `own-${newUuid().slice(0, 18)}`,
  code: was?.code ?? '',
  openedOn: was ? (was.openedOn ?? '') : today,
  bestBefore: was?.bestBefore ?? '',
  open: was?.open ?? true,
  vigour: was?.vigour,
});

const entryOf = (
  { id, code, openedOn, bestBefore, open, vigour }: LotValues,
  of: string,
  was: LotEntry | null,
): LotEntry => ({
  kind: 'lot',
  id,
  of,
  code: code.trim(),
  openedOn: openedOn || null,
  bestBefore: bestBefore || null,
  open,
  ...(vigour && { vigour }),
  // what hands have taught of it stays
  ...(was?.absorbs && { absorbs: was.absorbs }),
  ...(was?.learntFrom !== undefined && { learntFrom: was.learntFrom }),
});

/** Today where the kitchen is, as a form takes it: 2026-11-02. */
const todayIn = (timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(
    new Date(),
  );

interface LotDialogProps {
  /** What is in it, as it is without any lot. */
  ingredient: Ingredient;
  before: (StoredEntry & { readonly entry: LotEntry }) | null;
  onClose: () => void;
}

/** A bag or jar: what it is called, when it was opened, until when it is good, and of yeast how lively it is. */
export function LotDialog({ ingredient, before, onClose }: LotDialogProps) {
  const { timeZone } = usePreferences().ways;
  const was = before?.entry ?? null;
  const lot = useEntryForm<LotValues>(() => startOf(was, todayIn(timeZone)), {
    entry: (values) => entryOf(values, ingredient.id, was),
    seen: before?.version ?? 0,
    onSaved: onClose,
  });
  return (
    <FormProvider {...lot.form}>
      <Dialog
        onClose={onClose}
        title={was ? words.changeLot(was.code) : words.aLotOf(ingredient.name.toLowerCase())}
        hint={words.theBagOrJarThatIs}
      >
        <TextField<LotValues> name="code" word={words.code} hint={words.fromThePackOrYours} />
        <div className="grid gap-x-4 sm:grid-cols-2">
          <DayField name="openedOn" word={words.openedOn} />
          <DayField name="bestBefore" word={words.bestBeforeDay} />
        </div>
        <InUse />
        {ingredient.roles.includes('leaven') && <VigourField<LotValues> name="vigour" />}
        <SaveIt form={lot} missing={lot.values.code.trim() === '' ? words.giveItAName : null} />
      </Dialog>
    </FormProvider>
  );
}

function DayField({ name, word }: { name: 'openedOn' | 'bestBefore'; word: string }) {
  const { field } = useController<LotValues, typeof name>({ name });
  return (
    <label className="mt-2 block text-sm font-semibold">
      {word}
      <input
        type="date"
        {...field}
        className="mt-0.5 min-h-10 w-full rounded border border-edge bg-surface px-3 font-normal"
      />
    </label>
  );
}

function InUse() {
  const { field } = useController<LotValues, 'open'>({ name: 'open' });
  return (
    <label className="mt-3 flex min-h-10 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 accent-(--ink)"
        checked={field.value}
        onChange={(event) => field.onChange(event.currentTarget.checked)}
      />
      {words.itIsInUse}
    </label>
  );
}
