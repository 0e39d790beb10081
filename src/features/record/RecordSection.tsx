'use client';
import { useEffect, useMemo, useState } from 'react';
import type { BakeRecord, BakeState } from '@/core/bake';
import { recordRows, type Forecast, type RecordRow } from '@/core/record';
import { words } from '@/wording/screens/record/RecordSection';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useKitchenTime } from '../preferences/time';
import { useRecordWords } from './useRecordWords';

/** A start and its forecast are minutes apart at the most, also on a slow machine. */
const AT_ITS_START_MS = 10 * 60_000;

/** A bake as it was planned, as the models had it, and as it came: the models are judged here too. */
export function RecordSection({ bake, state }: { bake: BakeRecord; state: BakeState }) {
  const kitchen = useKitchen();
  const time = useKitchenTime();
  const [forecast, setForecast] = useState<Forecast | 'asking' | null>('asking');
  useEffect(() => {
    const leaving = new AbortController();
    const { signal } = leaving;
    void ask<{ forecast: Forecast | null }>(kitchen.api(`/bakes/${bake.id}/forecast`), undefined, {
      signal,
    }).then((answer) => {
      if (!signal.aborted) setForecast(answer.kind === 'ok' ? answer.value.forecast : null);
    });
    return () => leaving.abort();
  }, [bake.id, kitchen]);
  const known = forecast === 'asking' ? null : forecast;
  const rows = useMemo(() => recordRows(bake, state, known), [bake, known, state]);
  const held = rows.filter(({ isInside }) => isInside !== null);
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="record-title" className="docket rounded-b-md px-5 pt-4 pb-5" data-testid="record">
      <h2 id="record-title" className="text-xl">
        {words.title}
      </h2>
      {held.length > 0 && (
        <p className="mt-1">{words.judged(held.filter(({ isInside }) => isInside).length, held.length)}</p>
      )}
      {forecast === 'asking' && (
        <p role="status" className="text-sm text-soft">
          {words.asking}
        </p>
      )}
      <div className="mt-2 overflow-x-auto" tabIndex={0} role="group" aria-label={words.title}>
        <table className="w-full border-collapse text-sm max-sm:block">
          <thead className="max-sm:block">
            <tr className="text-right text-soft max-sm:grid max-sm:grid-cols-3">
              <td className="max-sm:hidden" />
              {[words.planned, words.predicted, words.happened].map((head) => (
                <th key={head} scope="col" className="py-1 pl-3 font-normal">
                  {head}
                </th>
              ))}
              <td className="max-sm:hidden" />
            </tr>
          </thead>
          <tbody className="max-sm:block">
            {rows.map((row, index) => (
              <Row key={index} row={row} />
            ))}
          </tbody>
        </table>
      </div>
      {known && known.madeAtMs - bake.startedAtMs > AT_ITS_START_MS && (
        <p className="mt-2 text-sm text-soft">{words.madeAfter(time.dayAndYear(known.madeAtMs))}</p>
      )}
    </section>
  );
} // prettier-ignore

function Row({ row }: { row: RecordRow }) {
  const say = useRecordWords();
  const { what, planned, predicted, happened, isInside } = row;
  const verdict =
    isInside === false ? <strong className="text-alarm">{words.outside}</strong> : isInside && words.inside;
  return (
    // on a phone what it is of stands above, and what came of it beside that
    <tr className="border-t border-rule align-baseline max-sm:grid max-sm:grid-cols-3">
      <th scope="row" className="py-1 text-left font-normal max-sm:col-span-2 max-sm:pb-0">
        {say.name(row)}
      </th>
      <td className="py-1 pl-3 text-right text-soft">{planned === null ? '' : say.value(what, planned)}</td>
      <td className="py-1 pl-3 text-right text-soft">{predicted ? say.span(what, predicted) : ''}</td>
      <td className="py-1 pl-3 text-right font-semibold">{happened ? say.seen(what, happened) : ''}</td>
      <td className="py-1 pl-3 text-right max-sm:col-start-3 max-sm:row-start-1 max-sm:pb-0">{verdict}</td>
    </tr>
  );
}
