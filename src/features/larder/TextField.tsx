'use client';
import { useId } from 'react';

interface TextFieldProps {
  word: string;
  hint?: string;
  value: string;
  maxLength?: number;
  onChange: (text: string) => void;
}

export function TextField({ word, hint, value, maxLength = 80, onChange }: TextFieldProps) {
  const id = useId();
  return (
    <div className="mt-2">
      <label htmlFor={id} className="text-sm font-semibold">
        {word} {hint && <span className="font-normal text-soft">{hint}</span>}
      </label>
      <input
        id={id}
        value={value}
        maxLength={maxLength}
        autoComplete="off"
        onChange={(event) => onChange(event.currentTarget.value)}
        className="mt-0.5 min-h-10 w-full rounded border border-edge bg-sheet px-3"
      />
    </div>
  );
}
