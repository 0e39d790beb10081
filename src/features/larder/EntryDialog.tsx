'use client';
import { FormProvider } from 'react-hook-form';
import { ENTRY_LIMITS, libraryBook } from '@/core/ingredients';
import { Dialog } from '@/ui/Dialog';
import { useBook, useStoredEntries } from '../book/BookProvider';
import { DoughFigures } from './DoughFigures';
import { EaterFields } from './EaterFields';
import { EntryNames } from './EntryNames';
import { entryOf, missingIn, startOf, type EntryValues } from './entryValues';
import { PartFigures } from './PartFigures';
import { SaveIt } from './SaveIt';
import { TextField } from './TextField';
import { useEntryForm } from './useEntryForm';

interface EntryDialogProps {
  /** The ingredient to start from; null: a new one, started from white rice flour. */
  id: string | null;
  /** The bag at hand of something the library knows, rather than an ingredient of its own. */
  bag: boolean;
  onClose: (savedId?: string) => void;
}

const HINT = {
  bag: 'State what you know better than the library: from the label, or from your own dough. The rest stays as it is.',
  own: 'From the label or the mill’s data sheet. What you don’t know may stay as it stands.',
};

/** Every figure of an ingredient, to be stated for one's own or for the bag at hand. */
export function EntryDialog({ id, bag, onClose }: EntryDialogProps) {
  const book = useBook();
  const { stored } = useStoredEntries();
  const before = stored.find((each) => each.id === id);
  const entry = useEntryForm<EntryValues>(() => startOf(id, book, before), {
    entry: (values) => entryOf(values, bag),
    seen: before?.version ?? 0,
    onSaved: onClose,
  });
  const { figures } = entry.values;
  const ownTitle = id ? `Change ${figures.name}` : 'An ingredient of mine';
  return (
    <FormProvider {...entry.form}>
      <Dialog
        wide
        onClose={onClose}
        title={bag ? `The bag of ${figures.name.toLowerCase()} I hold` : ownTitle}
        hint={bag ? HINT.bag : HINT.own}
      >
        {bag ? (
          <TextField<EntryValues> name="bag" word="Which bag" hint="mill, lot, opened when" />
        ) : (
          <EntryNames />
        )}
        <div className="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
          <DoughFigures />
          <PartFigures />
        </div>
        <EaterFields fixed={bag ? (libraryBook.get(figures.id)?.allergens ?? []) : []} />
        <TextField<EntryValues>
          name="note"
          word="Where the figures come from"
          hint="label, data sheet, my dough"
          maxLength={ENTRY_LIMITS.sourceLength}
        />
        <SaveIt form={entry} missing={missingIn(entry.values, bag)} />
      </Dialog>
    </FormProvider>
  );
}
