'use client';
import { useForm, useWatch, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import type { KitchenEntry } from '@/core/ingredients';
import { useSaveEntry } from './useSaveEntry';

export interface EntryForm<V extends FieldValues> {
  readonly form: UseFormReturn<V>;
  readonly values: V;
  readonly saving: ReturnType<typeof useSaveEntry>;
  readonly submit: () => void;
}

/** The one way in which a dialog of the larder is filled in and saved. */
export function useEntryForm<V extends FieldValues>(
  start: () => V,
  of: {
    readonly entry: (values: V) => KitchenEntry | null;
    /** Version of the entry the dialog began with; 0: there was none. */
    readonly seen: number;
    readonly onSaved: (id: string) => void;
  },
): EntryForm<V> {
  const form = useForm<V>({ defaultValues: start() as DefaultValues<V> });
  const values = useWatch({ control: form.control }) as V;
  const saving = useSaveEntry();
  const submit = form.handleSubmit(async () => {
    const entry = of.entry(form.getValues());
    if (entry && (await saving.save({ entry, seen: of.seen, away: false }))) of.onSaved(entry.id);
  });
  return { form, values, saving, submit: () => void submit() };
}
