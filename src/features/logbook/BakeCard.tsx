'use client';
import Link from 'next/link';
import { useMemo } from 'react';
import { bakeState, lossPercent, type BakeRecord } from '@/core/bake';
import { formatDecimal } from '@/core/units';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { AGAIN_WORD } from '../wording/words';
import { ScoreMarks } from './ScoreMarks';

/** One past bake in a line: when, what, how it was, and whether to bake it so again. */
export function BakeCard({ bake }: { bake: BakeRecord }) {
  const time = useKitchenTime();
  const units = useUnits();
  const state = useMemo(() => bakeState(bake.startedAtMs, bake.events), [bake]);
  const { outcome, abandoned } = state;
  const loss = outcome && lossPercent(outcome);
  return (
    <Link
      href={`/logbook/${bake.id}`}
      className="grid gap-x-5 gap-y-1 border-t border-rule px-3 py-3 hover:bg-well sm:grid-cols-[8rem_minmax(0,1fr)_auto] sm:items-start"
    >
      <span className="text-sm text-soft">{time.dayAndYear(bake.startedAtMs)}</span>
      <span className="min-w-0">
        <strong className="font-head text-lg">{bake.sheet.name}</strong>
        <span className="ml-2 text-sm text-soft">
          {bake.sheet.pieces.count} × {units.mass(bake.sheet.pieces.doughG)}
          {loss !== null && `, lost ${formatDecimal(loss, 1)} %`}
        </span>
        {outcome?.words && <span className="mt-0.5 line-clamp-2 block text-sm">{outcome.words}</span>}
        {abandoned && (
          <span className="mt-0.5 block text-sm">
            <strong className="text-alarm">Given up.</strong> {abandoned.reason}
          </span>
        )}
        {outcome?.again && (
          <span className="mt-0.5 block text-xs text-soft">Again? {AGAIN_WORD[outcome.again]}</span>
        )}
      </span>
      {outcome && <ScoreMarks scores={outcome.scores} />}
    </Link>
  );
}
