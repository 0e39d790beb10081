'use client';
import { Check, MinusCircle, Scale } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { missingAt, type BakeAction, type BakeRecord } from '@/core/bake';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/bench/MissingFirst';
import { useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';

interface MissingFirst {
  /** Does it, or asks first where something is not in; `then` follows when it is done. */
  readonly first: (action: BakeAction, then?: () => void) => void;
  /** What is asked; null: nothing is. */
  readonly card: ReactNode;
}

/** A step that takes in what is not in yet says so before it begins: weighed now, in already, or left out, which is kept. */
export function useMissing(sheet: BakeRecord['sheet'], { state, tap }: Bench, onWeigh: () => void): MissingFirst {
  const units = useUnits();
  const [asked, setAsked] = useState<{ readonly action: BakeAction; readonly then: (() => void) | undefined } | null>(null);
  const missingFor = (action: BakeAction) => ('stepId' in action && action.stepId !== null ? missingAt(sheet, state, action.stepId) : []);
  const missing = asked ? missingFor(asked.action) : [];
  const go = (leaveOut: boolean) => {
    if (!asked) return;
    const left = leaveOut ? missing.map(({ id }) => ({ type: 'leftOut' as const, lineId: id })) : [];
    if (tap(...left, asked.action) !== null) return;
    setAsked(null);
    asked.then?.();
  };
  const card = asked && missing.length > 0 && (
    <section aria-label={words.title} role="alert" className="rounded-xl border-2 border-alarm bg-surface p-4" data-testid="missing-first">
      <p className="text-2xl font-semibold">{words.title}</p>
      <p className="mt-1 text-xl">{missing.map(({ name, massG }) => words.one(name, units.mass(massG))).join(', ')}</p>
      <div className="mt-4 grid gap-2">
        <Button look="now" size="bench" className="text-2xl" data-primary onClick={onWeigh}><Scale size={24} aria-hidden />{words.weigh}</Button>
        <Button size="bench" onClick={() => go(false)}><Check size={22} aria-hidden />{words.isIn}</Button>
        <Button size="bench" onClick={() => go(true)}><MinusCircle size={22} aria-hidden />{words.leaveOut}</Button>
      </div>
    </section>
  );
  const first: MissingFirst['first'] = (action, then) => {
    if (missingFor(action).length > 0) setAsked({ action, then });
    else if (tap(action) === null) then?.();
  };
  return { first, card: card || null };
} // prettier-ignore
