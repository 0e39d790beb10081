'use client';
import { useId } from 'react';
import { useController, type FieldValues, type Path } from 'react-hook-form';

interface TextFieldProps<V extends FieldValues> {
  /** Where in the form it stands. */
  name: Path<V>;
  word: string;
  hint?: string;
  maxLength?: number;
}

export function TextField<V extends FieldValues>({ name, word, hint, maxLength = 80 }: TextFieldProps<V>) {
  const id = useId();
  const { field } = useController<V>({ name });
  return (
    <div className="mt-2">
      <label htmlFor={id} className="text-sm font-semibold">
        {word} {hint && <span className="font-normal text-soft">{hint}</span>}
      </label>
      <input
        id={id}
        {...field}
        maxLength={maxLength}
        autoComplete="off"
        className="mt-0.5 min-h-10 w-full rounded border border-edge bg-surface px-3"
      />
    </div>
  );
}
