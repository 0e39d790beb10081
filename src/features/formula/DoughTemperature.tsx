'use client';
import { lazy, Suspense, useState } from 'react';
import { words } from '@/wording/screens/formula/DoughTemperature';

export const loadDoughTemperature = () => import('./DoughTemperaturePanel');
const Panel = lazy(() =>
  loadDoughTemperature().then((module) => ({ default: module.DoughTemperaturePanel })),
);

/** How warm the water has to be; opened when somebody is about to mix. */
export function DoughTemperature() {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="border-t border-rule py-2.5"
      onToggle={(event) => setOpen(event.currentTarget.open)}
      onPointerEnter={() => void loadDoughTemperature()}
    >
      <summary className="min-h-6 cursor-pointer text-sm">{words.howWarmMustTheWater}</summary>
      {open && (
        <Suspense fallback={<p className="h-48 text-sm text-soft">…</p>}>
          <Panel />
        </Suspense>
      )}
    </details>
  );
}
