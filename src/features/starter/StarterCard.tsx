'use client';
import { useMemo, useState } from 'react';
import type { Kit } from '@/core/kit';
import type { Starter, StarterEvent } from '@/core/starter/starterDocument';
import type { StarterEdit } from '@/core/starter/starterEdit';
import { BAD_SIGNS, STARTER_LIMITS } from '@/core/starter/starterLimits';
import { starterNow, type StarterNow } from '@/core/starter/starterNow';
import { formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { newUuid } from '@/ui/newUuid';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/starter/starters';
import { useClockWords } from '../clock/useClockWords';
import { useNameOf } from '../book/BookProvider';
import { NumberField } from '../quantities/NumberField';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { FeedForm, placeC } from './FeedForm';
import { StarterLog } from './StarterLog';

const WEEK_MS = 7 * 86_400_000;
/** So much instant yeast makes up for a starter that is not ripe, of the flours: as little as raises a dough in an afternoon. */
const INSTEAD_PERCENT = 0.25;

interface StarterCardProps {
  readonly starter: Starter;
  readonly kit: Kit;
  readonly nowMs: number;
  /** Answers why not; null: it is done. */
  readonly edit: (edit: StarterEdit) => string | null;
  readonly onChange: () => void;
}

/** One starter: when it is ripe, largest; how it is fed next; and what happened to it, a press each. */
export function StarterCard({ starter, kit, nowMs, edit, onChange }: StarterCardProps) {
  const nameOf = useNameOf();
  const [feeding, setFeeding] = useState(false);
  const now = useMemo(() => starterNow(starter, nowMs), [starter, nowMs]);
  const starterId = starter.id;
  const tell = (event: StarterEvent) => edit({ type: 'tell', starterId, event });
  const told = () => ({ id: newUuid(), atMs: nowMs });
  const isCold = now.place === 'fridge';
  const feed = now.next ?? { keepG: 0, flourG: starter.flourG, waterG: starter.waterG, discardG: 0 };
  return (
    <li id={starterId} className="docket rounded-b-md px-4 py-3" data-testid="starter" data-starter={starter.name}>
      <h2 className="text-xl leading-tight">
        {starter.name} <span className="font-sans text-sm font-normal text-soft">{nameOf(starter.ingredientId)}</span>
      </h2>
      <State now={now} nowMs={nowMs} />
      {now.next && <Next next={now.next} state={now.state} nowMs={nowMs} />}
      {!now.built.done && (
        <p className="mt-1 text-sm">
          <strong>{words.building(now.built.day)}</strong> {words.buildingHint(now.built.quick)}
        </p>
      )}
      {now.revivals > 0 && <p className="mt-1 text-sm font-semibold">{words.revive(now.revivals)}</p>}
      <div className="mt-3 flex flex-wrap gap-2">
        {!feeding && <Button look="strong" size="bench" onClick={() => setFeeding(true)}>{now.state === 'thrown' ? words.beginAgain : words.fed}</Button>}
        {now.fedMs !== null && now.state !== 'thrown' && (
          <>
            {!isCold && (now.state === 'rising' || now.state === 'ripe') && <Button size="bench" onClick={() => tell({ kind: 'top', ...told() })}>{words.top}</Button>}
            <Button size="bench" onClick={() => tell({ kind: 'moved', ...told(), place: isCold ? 'room' : 'fridge', tempC: placeC(kit, isCold ? 'room' : 'fridge') })}>{isCold ? words.toRoom : words.toFridge}</Button>
          </>
        )}
      </div>
      {feeding && <FeedForm feed={feed} kit={kit} nowMs={nowMs} onFed={tell} onClose={() => setFeeding(false)} />}
      <Jar now={now} nowMs={nowMs} />
      <More now={now} tell={tell} told={told} starterId={starterId} edit={edit} onChange={onChange} />
      <StarterLog log={starter.log} onTakeBack={(eventId) => edit({ type: 'takeBack', starterId, eventId })} />
    </li>
  );
} // prettier-ignore

/** What it is now, with the time that matters. */
function State({ now: { state, ripe, next }, nowMs }: { now: StarterNow; nowMs: number }) {
  const say = useClockWords(nowMs);
  const ms = state === 'rising' ? ripe?.from.typicalMs : state === 'ripe' || state === 'past' ? ripe?.untilMs : state === 'hungry' ? next?.latestMs : state === 'resting' ? next?.dueMs : undefined;
  // nobody knows it to the minute
  const about = (atMs: number) => say.at(Math.round(atMs / 300_000) * 300_000);
  const isBad = state === 'hungry' || state === 'past' || (state === 'resting' && ms !== undefined && ms < nowMs);
  return (
    <div className="mt-1" data-testid="starter-state" data-state={state}>
      {state === 'rising' && !ripe ? (
        <p className="text-lg">{words.noRise}</p>
      ) : (
        <p>
          <span className={cx('mr-2 max-sm:block', isBad || state === 'thrown' ? 'font-semibold text-alarm' : state === 'ripe' ? 'font-semibold' : 'text-soft')}>{words.state[state]}</span>
          {ms !== undefined && <span className="figure text-4xl whitespace-nowrap sm:text-5xl">{about(ms)}</span>}
        </p>
      )}
      {state === 'rising' && ripe && ripe.from.lowMs < ripe.from.highMs && (
        <p className="text-sm text-soft">{words.between(about(ripe.from.lowMs), about(ripe.from.highMs))} {words.highest(about(ripe.top.typicalMs))}</p>
      )}
      {ripe && ripe.top.lowMs === ripe.top.highMs && <p className="text-sm text-soft">{words.seen(say.at(ripe.top.typicalMs))}</p>}
    </div>
  );
} // prettier-ignore

/** The next feed: when, and how much of what. */
function Next({ next: { dueMs, keepG, flourG, waterG, discardG, why }, state, nowMs }: { next: NonNullable<StarterNow['next']>; state: StarterNow['state']; nowMs: number }) {
  const say = useClockWords(nowMs);
  const units = useUnits();
  const parts = [
    why === 'begin' ? words.fromNothing : discardG > 0 ? words.keep(units.mass(keepG)) : words.keepAll(units.mass(keepG)),
    words.adds(units.mass(flourG), units.mass(waterG)),
    discardG > 0 && words.over(units.mass(discardG)),
  ].filter(Boolean);
  const told = parts.join(', ');
  const isFirst = why === 'begin' || state === 'hungry' || state === 'resting';
  return (
    <p className="mt-1 text-lg" data-testid="next-feed">
      {!isFirst && <strong>{words.nextFeed(say.at(dueMs))}: </strong>}
      {isFirst ? told[0]!.toUpperCase() + told.slice(1) : told}.
    </p>
  );
} // prettier-ignore

/** What is in its jar and in that of its discard, and how lively it is. */
function Jar({ now: { massG, discard, vigour, built, state }, nowMs }: { now: StarterNow; nowMs: number }) {
  const units = useUnits();
  const numbers = useNumbers();
  if (state === 'unfed' || state === 'thrown') return null;
  return (
    <div className="mt-2 space-y-1 text-sm text-soft">
      <p>{words.inJar(units.mass(massG))} {words.lively(Math.round(100 * vigour.value), vigour.marks)}</p>
      {discard && (
        <p>
          {words.discard(units.mass(discard.massG), formatDuration(Math.max(3600, Math.round((nowMs - discard.oldestMs) / 3_600_000) * 3600)))}{' '}
          {nowMs - discard.oldestMs > WEEK_MS ? <strong className="text-alarm">{words.discardOld}</strong> : words.discardUse}
        </p>
      )}
      {built.done && state === 'rising' && <p>{words.notRipe(numbers.percent(INSTEAD_PERCENT, 2))}</p>}
    </div>
  );
} // prettier-ignore

interface MoreProps {
  readonly now: StarterNow;
  readonly tell: (event: StarterEvent) => string | null;
  readonly told: () => { readonly id: string; readonly atMs: number };
  readonly starterId: string;
  readonly edit: StarterCardProps['edit'];
  readonly onChange: () => void;
}

/** What is told less often. */
function More({ now, tell, told, starterId, edit, onChange }: MoreProps) {
  const throwing = useTwice();
  const removing = useTwice();
  return (
    <details className="mt-2 border-t border-rule pt-1">
      <summary className="min-h-7 text-sm">{words.more}</summary>
      <Amount word={words.weighed} onTell={(massG) => tell({ kind: 'weighed', ...told(), massG })} />
      <Amount word={words.taken} onTell={(massG) => tell({ kind: 'taken', ...told(), massG })} />
      {now.discard && <Amount word={words.discardUsed} onTell={(massG) => tell({ kind: 'discardUsed', ...told(), massG })} />}
      {!now.built.done && <Button className="mt-2 min-h-10" onClick={() => tell({ kind: 'grown', ...told() })}>{words.grown}</Button>}
      <p className="mt-3 font-semibold">{words.signs}</p>
      <p className="text-sm text-soft">{words.signsHint}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {BAD_SIGNS.map((sign) => <Button key={sign} look="alarm" className="min-h-10" onClick={() => tell({ kind: 'thrown', ...told(), sign })}>{words.sign[sign]}: {words.throwAway.toLowerCase()}</Button>)}
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button className="min-h-10" onClick={onChange}>{words.change}</Button>
        {now.state !== 'thrown' && now.fedMs !== null && (
          <Button look={throwing.asked ? 'alarm' : 'quiet'} className="min-h-10" onClick={() => throwing.press() && tell({ kind: 'thrown', ...told(), sign: null })}>{throwing.asked ? words.reallyThrow : words.throwAway}</Button>
        )}
        <Button look={removing.asked ? 'alarm' : 'quiet'} className="min-h-10" onClick={() => removing.press() && edit({ type: 'remove', starterId })}>{removing.asked ? words.reallyRemove : words.remove}</Button>
      </div>
    </details>
  );
} // prettier-ignore

function Amount({ word, onTell }: { word: string; onTell: (massG: number) => void }) {
  const [massG, setMassG] = useState<number | null>(null);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <NumberField key={massG === null ? 'empty' : 'full'} word={word} measure="mass" name="massG" optional value={massG} bounds={STARTER_LIMITS.massG} onChange={setMassG} />
      <Button className="min-h-10" disabled={massG === null} onClick={() => {
        if (massG !== null) onTell(massG);
        setMassG(null);
      }}>{words.tell}</Button>
    </div>
  );
} // prettier-ignore
