'use client';
import { Choice } from '@/ui/Choice';

/** One question of a tool: its word above, its choices beneath. */
export function Asked<V extends string>({
  word,
  value,
  options,
  onChange,
}: {
  word: string;
  value: V;
  options: readonly { readonly value: V; readonly label: string }[];
  onChange: (value: V) => void;
}) {
  return (
    <div className="mt-2">
      <p aria-hidden className="text-sm font-semibold">
        {word}
      </p>
      <Choice
        label={word}
        value={value}
        options={options}
        onChange={onChange}
        className="min-h-10 w-full border-edge bg-surface px-2"
      />
    </div>
  );
}
