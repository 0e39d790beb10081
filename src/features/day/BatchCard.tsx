'use client';
import { useState } from 'react';
import type { DayBatchDocument } from '@/core/day/dayDocument';
import { wallField, wallFieldMs } from '@/core/day/dayEdit';
import type { BatchView, CollisionView, Span, WayOutView } from '@/core/day/dayView';
import { piecesOut } from '@/core/day/piecesOut';
import { LEVER_KINDS, type Lever } from '@/core/day/levers';
import { FACTOR_LIMITS } from '@/core/batch';
import { FORMULA_LIMITS } from '@/core/formula';
import { formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/day/BatchCard';
import { BLOCK_WORD } from '@/wording/words';
import { ask } from '../asking/ask';
import { KitchenLink, useKitchen, useKitchenRouter } from '../kitchen/KitchenProvider';
import { NumberField } from '../quantities/NumberField';
import { readWhole } from '../quantities/readWhole';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useDayEdit, useDayValue, useDayWords } from './DayContext';
import { PutBy } from './PutBy';

/** What a lever does, in words; empty: nothing. */
function useLeverWords(): (lever: Lever) => string {
  const units = useUnits();
  return ({ yeast, doughByC, warm, coldS }) =>
    [
      coldS > 0 && words.made.cold(formatDuration(coldS)),
      yeast !== 1 && words.made.yeast(Math.round(100 * yeast)),
      doughByC !== 0 && words.made.dough(units.degrees(Math.abs(doughByC)), doughByC > 0),
      warm && words.made.warm,
    ]
      .filter(Boolean)
      .join(', ');
}

/** One batch of the day: when it is ready, how sure that is, what it collides with and what would help. */
export function BatchCard({ batch, laid }: { batch: DayBatchDocument; laid: BatchView | null }) {
  const say = useDayWords();
  const edit = useDayEdit();
  const { timeZone } = usePreferences().ways;
  const { overMs, view } = useDayValue();
  const over = overMs?.get(batch.id);
  const leverWords = useLeverWords();
  const units = useUnits();
  const twice = useTwice();
  const [trouble, setTrouble] = useState<string | null>(null);
  const collision = laid?.collision ?? null;
  const made = laid ? leverWords(laid.lever) : '';
  // until it has been looked for, it lies where it lay
  const isLooked = view?.final === true;
  const lay = Object.values(batch.at).map(({ endMs }) => endMs);
  const readyMs = laid?.readyMs ?? (isLooked || lay.length === 0 ? null : Math.max(...lay));
  const isBegun = batch.bakeId !== null || Object.keys(batch.progress).length > 0;
  return (
    <li className="docket rounded-b-md px-4 py-3" data-testid="day-batch" data-batch={batch.name}>
      <h3 className="text-lg leading-tight">{batch.name}</h3>
      {over !== undefined ? (
        <p className="mt-1"><span className="mr-2 text-soft">{words.over}</span><span className="figure text-4xl">{say.at(over)}</span></p>
      ) : readyMs !== null ? (
        <p className="mt-1">
          <span className="mr-2 text-soft">{words.ready}</span>
          <span className="figure text-4xl">{say.at(readyMs)}</span>
        </p>
      ) : isLooked ? (
        <p className="mt-1 text-xl text-alarm">{words.noPlace}</p>
      ) : (
        <p className="mt-1 text-xl text-soft">{words.looking}</p>
      )}
      {laid?.likely && laid.likely.toMs - laid.likely.fromMs >= 60_000 && <p className="text-sm text-soft">{words.between(say.fromTo(laid.likely.fromMs, laid.likely.toMs))}</p>}
      {batch.ready && laid?.likely && !collision && <p className="text-sm text-soft">{words.chance(Math.round(100 * laid.likely.chance))}</p>}
      {laid?.surer && !collision && over === undefined && (
        <Button className="mt-1 min-h-11 flex-col items-start gap-0 py-1 text-left" data-testid="surer" onClick={() => edit({ type: 'spare', batchId: batch.id, spareMin: laid.surer!.spareMin })}>
          {words.surer(formatDuration(60 * laid.surer.spareMin))}
          <span className="font-normal text-soft">{words.sure(Math.round(100 * laid.surer.chance))}</span>
        </Button>
      )}
      {batch.spareMin !== undefined && over === undefined && (
        <p className="mt-1 flex flex-wrap items-center gap-x-2 text-sm">
          {words.spare(formatDuration(60 * batch.spareMin))}
          {!isBegun && <Button look="quiet" onClick={() => edit({ type: 'spare', batchId: batch.id, spareMin: null })}>{words.noSpare}</Button>}
        </p>
      )}
      {batch.orders && batch.orders.length > 0 && (
        <p className="mt-1 text-sm" data-testid="ordered-by">
          {words.orderedBy(batch.orders.map(({ who, pieces }) => `${pieces} ${who}`).join(', '))}{' '}
          <KitchenLink href={`/labels?batch=${batch.id}`} className="text-link underline">{words.labels}</KitchenLink>
        </p>
      )}
      {batch.takenOut && <PutBy {...batch.takenOut} pieces={piecesOut(batch)} />}
      {made && (
        <p className="mt-1 text-sm">
          <strong>{made[0]!.toUpperCase() + made.slice(1)}.</strong> <span className="text-soft">{words.onlyThisBatch}</span>
        </p>
      )}
      {laid?.fromJar && <p className="mt-1 text-sm">{words.fromJar(units.mass(laid.fromJar.massG), laid.fromJar.name)}</p>}
      {laid?.short && over === undefined && !isBegun && (
        <p className="mt-1 text-sm font-semibold text-alarm" data-testid="starter-short">
          {words.short[laid.short.why](laid.short.name, units.mass(laid.short.neededG), units.mass(laid.short.massG))}{' '}
          <KitchenLink href="/starters" className="underline">{words.toTheStarters}</KitchenLink>
        </p>
      )}
      {collision && <Collision batch={batch} collision={collision} />}
      {trouble && <p role="alert" className="mt-1 text-sm text-alarm">{trouble}</p>}
      <div className="mt-2">
        {batch.takenOut ? <KitchenLink href={`/logbook/${batch.takenOut.bakeId}`} className="text-sm text-link underline">{words.itsBake}</KitchenLink> : <StartBake batch={batch} onTrouble={setTrouble} />}
      </div>
      <details className="mt-2 border-t border-rule pt-1">
        <summary className="min-h-7 text-sm">{batch.ready ? words.wanted(readyWords(batch.ready, say)) : words.soon}</summary>
        {!isBegun && <Amount batch={batch} />}
        <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
          {words.changeTime}
          <input type="datetime-local" step={300} value={batch.ready ? wallField(timeZone, batch.ready.toMs) : ''} className="min-h-10 rounded border border-edge bg-surface px-2"
            onChange={(event) => {
              const ms = wallFieldMs(timeZone, event.target.value);
              setTrouble(ms === null ? null : edit({ type: 'ready', batchId: batch.id, ready: { fromMs: ms, toMs: ms } }));
            }} />
        </label>
        {!batch.takenOut && <fieldset className="mt-2">
          <legend className="text-sm text-soft">{words.changeIt}</legend>
          {LEVER_KINDS.map((kind) => (
            <label key={kind} className="flex min-h-8 items-center gap-2 text-sm">
              <input type="checkbox" className="size-5" checked={batch.levers.includes(kind)}
                onChange={(event) => edit({ type: 'levers', batchId: batch.id, levers: event.target.checked ? [...batch.levers, kind] : batch.levers.filter((each) => each !== kind) })} />
              {words.lever[kind]}
            </label>
          ))}
        </fieldset>}
        <div className="mt-2 flex flex-wrap gap-2">
          <KitchenLink href={`/formulas/${batch.formulaId}`} className={buttonClass('quiet')}>{words.theFormula}</KitchenLink>
          <Button look={twice.asked ? 'alarm' : 'quiet'} onClick={() => twice.press() && edit({ type: 'remove', batchId: batch.id })}>
            {twice.asked ? words.reallyRemove : words.remove}
          </Button>
        </div>
      </details>
    </li>
  );
} // prettier-ignore

/** How much is made: so many pieces, or so many times the formula. */
function Amount({ batch: { id, batch, takenOut } }: { batch: DayBatchDocument }) {
  const edit = useDayEdit();
  if (batch.mode === 'pieces')
    return (
      <NumberField word={words.pieces} value={batch.pieces} bounds={FORMULA_LIMITS.pieces} places={0} name="pieces" read={readWhole}
        onChange={(pieces) => pieces !== null && edit({ type: 'amount', batchId: id, batch: { ...batch, pieces } })} />
    );
  if (takenOut)
    return (
      <NumberField word={words.pieces} value={piecesOut({ batch, takenOut })} bounds={{ min: 1, max: takenOut.leftPieces }} places={0} name="pieces" read={readWhole}
        onChange={(pieces) => pieces !== null && batch.mode === 'ways' && edit({ type: 'amount', batchId: id, batch: { ...batch, ways: [{ wayId: takenOut.wayId, pieces }] } })} />
    );
  if (batch.mode !== 'factor') return null;
  return (
    <NumberField word={words.times} value={batch.factor} bounds={FACTOR_LIMITS} name="factor"
      onChange={(factor) => factor !== null && edit({ type: 'amount', batchId: id, batch: { ...batch, factor } })} />
  );
} // prettier-ignore

type Say = ReturnType<typeof useDayWords>;
const readyWords = ({ fromMs, toMs }: Span, say: Say): string =>
  fromMs === toMs ? say.at(toMs) : say.fromTo(fromMs, toMs);

const spansWords = (spans: readonly Span[], say: Say): string =>
  spans.map(({ fromMs, toMs }) => say.fromTo(fromMs, toMs)).join(words.and);

/** Which two things collide, and the few ways out, each a press. */
function Collision({ batch, collision }: { batch: DayBatchDocument; collision: CollisionView }) {
  const say = useDayWords();
  const { lateMs, cause, waysOut } = collision;
  return (
    <div role="alert" className="mt-2 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-ink" data-testid="collision">
      {lateMs !== null && <p className="font-semibold text-alarm">{words.late(formatDuration(lateMs / 1000))}</p>}
      <p>{cause.kind === 'batch' ? words.why.batch(say.batch(cause.batchId)) : cause.kind === 'hands' ? words.why.hands(spansWords(cause.spans, say)) : words.why[cause.kind]}</p>
      {waysOut.length > 0 && (
        <>
          <p className="mt-1 font-semibold">{words.waysOut}</p>
          <ul className="mt-1 flex flex-wrap gap-2">
            {waysOut.map((out, at) => <WayOut key={at} batch={batch} out={out} />)}
          </ul>
        </>
      )}
    </div>
  );
} // prettier-ignore

function WayOut({ batch, out }: { batch: DayBatchDocument; out: WayOutView }) {
  const say = useDayWords();
  const leverWords = useLeverWords();
  const edit = useDayEdit();
  const batchId = batch.id;
  const at = (readyMs: number) => ({ fromMs: readyMs, toMs: readyMs });
  const offer = (text: string, note: string, take: () => void) => (
    <li>
      <Button className="min-h-11 flex-col items-start gap-0 py-1 text-left" onClick={take}>
        {text}
        {note && <span className="font-normal text-soft">{note}</span>}
      </Button>
    </li>
  );
  switch (out.kind) {
    case 'later':
      return offer(words.out.later(say.at(out.readyMs)), '', () => edit({ type: 'ready', batchId, ready: at(out.readyMs) }));
    case 'otherLater':
      return offer(words.out.otherLater(say.batch(out.batchId), say.at(out.readyMs)), '', () => edit({ type: 'ready', batchId: out.batchId, ready: at(out.readyMs) }));
    case 'without':
      return offer(words.out.without(say.batch(out.batchId)), '', () => edit({ type: 'remove', batchId: out.batchId }));
    case 'oven':
      return offer(words.out.oven(say.oven(out.ovenId)), words.sure(Math.round(100 * out.chance)), () => edit({ type: 'ovens', batchId, ovenIds: [out.ovenId] }));
    case 'pinAt':
      return offer(words.out.pinAt(BLOCK_WORD[out.step], say.at(out.startMs)), '', () => edit({ type: 'pin', batchId, blockId: out.blockId, startMs: out.startMs }));
    case 'unpin':
      return offer(words.out.unpin, '', () => edit({ type: 'unpin', batchId, blockId: null }));
    case 'hands':
      return <li className="py-2">{words.out.hands(spansWords(out.spans, say))}</li>;
    case 'lever': {
      const made = leverWords(out.lever);
      return offer(words.out.lever(made[0]!.toUpperCase() + made.slice(1), say.at(out.startMs)), [words.taste(out.tasteCost), words.sure(Math.round(100 * out.chance))].filter(Boolean).join('; '), () => edit({ type: 'levers', batchId, levers: [...new Set([...batch.levers, ...kindsOf(out.lever)])] }));
    }
  }
} // prettier-ignore

/** What has to be allowed for a lever. */
const kindsOf = ({ yeast, doughByC, warm, coldS }: Lever) =>
  LEVER_KINDS.filter((kind) => ({ yeast: yeast !== 1, water: doughByC !== 0, warm, cold: coldS > 0 })[kind]);

/** To the bench: the batch as the plan makes it. */
function StartBake({ batch, onTrouble }: { batch: DayBatchDocument; onTrouble: (why: string | null) => void }) {
  const kitchen = useKitchen();
  const router = useKitchenRouter();
  const edit = useDayEdit();
  const [busy, setBusy] = useState(false);
  if (batch.bakeId) return <KitchenLink href={`/bench/${batch.bakeId}`} className={buttonClass('strong')}>{words.atTheBench}</KitchenLink>;
  const start = async () => {
    setBusy(true);
    const answer = await ask<{ id: string }>(kitchen.api('/bakes'), {
      requestId: batch.id, formulaId: batch.formulaId, revision: batch.revision, batch: batch.batch,
      ...(batch.variantId && { lever: batch.variantId }),
    });
    setBusy(false);
    if (answer.kind !== 'ok') return onTrouble(words.notStarted);
    edit({ type: 'bake', batchId: batch.id, bakeId: answer.value.id });
    router.push(`/bench/${answer.value.id}`);
  };
  return <Button disabled={busy} onClick={() => void start()}>{words.toTheBench}</Button>;
} // prettier-ignore
