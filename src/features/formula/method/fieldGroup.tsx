'use client';
import type { ReactNode } from 'react';
import type { MethodStep } from '@/core/method';

export interface StepFieldsProps {
  step: MethodStep;
  number: number;
  /** Sets fields; `drop`: one that says nothing any more. */
  onChange: (part: Partial<MethodStep>, drop?: keyof MethodStep) => void;
}

/** Fields of one kind, with their word over them. */
export function Group({ word, children }: { word: string; children: ReactNode }) {
  return (
    <fieldset className="min-w-0">
      <legend className="text-xs text-soft">{word}</legend>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">{children}</div>
    </fieldset>
  );
}
