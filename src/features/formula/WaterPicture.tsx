'use client';
import { useState } from 'react';
import { waterState, type WaterBalance } from '@/core/consistency';
import type { FormulaTotals } from '@/core/formula';
import { formatDuration } from '@/core/units';
import { Segmented } from '@/ui/Segmented';
import { useBook } from '../book/BookProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { roleColor } from './RoleDot';
import { words } from '@/wording/screens/formula/WaterPicture';

interface Part {
  readonly key: string;
  readonly name: string;
  readonly color: string;
  readonly waterG: number;
}

/** Parts of the same name together, largest first; what is too little to see becomes one trace. */
function gather(parts: readonly Part[], allG: number): Part[] {
  const byKey = new Map<string, Part>();
  for (const part of parts) {
    byKey.set(part.key, { ...part, waterG: part.waterG + (byKey.get(part.key)?.waterG ?? 0) });
  }
  const sorted = [...byKey.values()].sort((a, b) => b.waterG - a.waterG);
  const seen = sorted.filter(({ waterG }) => waterG >= 0.008 * allG);
  const tracesG =
    sorted.reduce((sum, part) => sum + part.waterG, 0) - seen.reduce((sum, part) => sum + part.waterG, 0);
  return tracesG > 0.005
    ? [...seen, { key: 'traces', name: 'traces', color: 'var(--edge)', waterG: tracesG }]
    : seen;
}

function Trough({ word, parts, wholeG }: { word: string; parts: readonly Part[]; wholeG: number }) {
  const units = useUnits();
  return (
    <figure className="mt-2">
      <div
        aria-hidden
        className="flex h-6 overflow-hidden rounded-b-xl border-2 border-t-0 border-ink bg-well"
      >
        {parts.map(({ key, waterG, color }) => (
          <span
            key={key}
            style={{ width: `${(100 * waterG) / wholeG}%`, background: color }}
            className="border-r border-surface last:border-0"
          />
        ))}
      </div>
      <figcaption className="mt-1 text-xs text-soft">
        <strong className="text-ink">{word}</strong>{' '}
        {parts.map(({ key, name, color, waterG }) => (
          <span key={key} className="mr-2.5 inline-block whitespace-nowrap">
            <span
              aria-hidden
              className="mr-1 inline-block size-2.5 rounded-[2px] border border-edge"
              style={{ background: color }}
            />
            {name} {units.mass(waterG)}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

/**
 * The water of the dough: one trough for where it comes from, one for where it is, at the end of mixing or after the rest.
 * What nobody holds stays white.
 */
export function WaterPicture({ totals, balance }: { totals: FormulaTotals; balance: WaterBalance | null }) {
  const book = useBook();
  const units = useUnits();
  const [moment, setMoment] = useState<'now' | 'rested'>('rested');
  const allG = totals.waterSources.reduce((sum, source) => sum + source.waterG, 0);
  if (allG <= 0) return <p className="mt-2 text-sm text-soft">{words.noWaterInItYet}</p>;
  const part = (ingredientId: string, waterG: number): Part => {
    const ingredient = book.get(ingredientId);
    return {
      key: ingredientId,
      name: ingredient?.name ?? ingredientId,
      color: roleColor(ingredient?.roles[0] ?? 'liquid'),
      waterG,
    };
  };
  const sources = gather(
    totals.waterSources.map(({ ingredientId, waterG }) => part(ingredientId, waterG)),
    allG,
  );
  const state = balance && waterState(balance, moment === 'now' ? 0 : balance.restMin);
  return (
    <section aria-label={words.theWater} className="mt-4 border-t border-rule pt-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-sm">{words.theWater}</h2>
        {balance && (
          <Segmented
            label={words.atWhichMoment}
            value={moment}
            onChange={setMoment}
            options={[
              { value: 'now', label: words.mixed },
              { value: 'rested', label: formatDuration(balance.restMin * 60) },
            ]}
          />
        )}
      </div>
      <Trough word={words.from} parts={sources} wholeG={allG} />
      {balance && state && (
        <>
          <Trough
            word={words.heldBy}
            wholeG={allG}
            parts={[
              ...gather(
                balance.demands.map(({ ingredientId }, index) => part(ingredientId, state.heldG[index] ?? 0)),
                allG,
              ),
              ...(balance.boundG > 0.5
                ? [{ key: 'bound', name: words.bound, color: 'var(--rule)', waterG: balance.boundG }]
                : []),
              { key: 'free', name: 'free', color: 'var(--surface)', waterG: state.freeG },
            ]}
          />
          <p className="mt-1 text-sm" data-testid="free-water">
            <strong className="figure text-lg">{units.mass(state.freeG)}</strong>
            {words.free}
            <span className="text-soft">
              {state.shortG > 0.5
                ? words.inTheEndThePowders(units.mass(state.shortG))
                : words.moreThanThePowdersWill}
            </span>
          </p>
        </>
      )}
    </section>
  );
}
