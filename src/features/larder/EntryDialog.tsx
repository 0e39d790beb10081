'use client';
import { FormProvider } from 'react-hook-form';
import { YEAST_KINDS } from '@/core/formula/yeast';
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
import { VigourField } from './VigourField';
import { words } from '@/wording/screens/larder/EntryDialog';

interface EntryDialogProps {
  /** The ingredient to start from; null: a new one, started from white rice flour. */
  id: string | null;
  /** The bag at hand of something the library knows, rather than an ingredient of its own. */
  bag: boolean;
  onClose: (savedId?: string) => void;
}

const isYeast = (id: string): boolean => (YEAST_KINDS as readonly string[]).includes(id);

const HINT = {
  bag: words.stateWhatYouKnowBetter,
  own: words.fromTheLabelOrThe,
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
  const ownTitle = id ? words.change(figures.name) : words.anIngredientOfMine;
  return (
    <FormProvider {...entry.form}>
      <Dialog
        wide
        onClose={onClose}
        title={bag ? words.myBagOf(figures.name.toLowerCase()) : ownTitle}
        hint={bag ? HINT.bag : HINT.own}
      >
        {bag ? (
          <TextField<EntryValues> name="bag" word={words.whichBag} hint={words.millLotOpenedWhen} />
        ) : (
          <EntryNames />
        )}
        {bag && isYeast(figures.id) && <VigourField<EntryValues> name="figures.vigour" />}
        <div className="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
          <DoughFigures />
          <PartFigures />
        </div>
        <EaterFields fixed={bag ? (libraryBook.get(figures.id)?.allergens ?? []) : []} />
        <TextField<EntryValues>
          name="note"
          word={words.whereTheFiguresComeFrom}
          hint={words.labelDataSheetMyDough}
          maxLength={ENTRY_LIMITS.sourceLength}
        />
        <SaveIt form={entry} missing={missingIn(entry.values, bag)} />
      </Dialog>
    </FormProvider>
  );
}
