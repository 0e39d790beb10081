'use client';
import { CircleHelp } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { canBeNotRight, inHeatSinceMs, type BakeRecord } from '@/core/bake';
import type { MethodStep } from '@/core/method';
import { Button } from '@/ui/Button';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/bench/NotRightDialog';
import type { Bench } from './useBench';

export const loadNotRight = () => import('./NotRightDialog').then((module) => module.NotRightDialog);
const NotRightDialog = dynamic(patiently(loadNotRight), { ssr: false });

/** At what bakes: something is not as it should be. */
export function NotRightButton({ step, sheet, bench, nowMs }: { step: MethodStep; sheet: BakeRecord['sheet']; bench: Bench; nowMs: number }) {
  const [open, setOpen] = useState(false);
  const sinceMs = canBeNotRight(step) ? inHeatSinceMs(sheet, bench.state, step.id) : null;
  const timer = bench.state.steps.get(step.id)?.timer;
  if (sinceMs === null || !timer) return null;
  return (
    <div>
      <Button size="bench" className="w-full" onClick={() => setOpen(true)}>
        <CircleHelp size={20} aria-hidden />
        {words.open}
      </Button>
      {open && <NotRightDialog step={step} bench={bench} tookS={(nowMs - sinceMs) / 1000} ranS={(nowMs - timer.startedAtMs) / 1000} onClose={() => setOpen(false)} />}
    </div>
  );
} // prettier-ignore
