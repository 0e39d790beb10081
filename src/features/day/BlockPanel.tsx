'use client';
import { X } from 'lucide-react';
import type { BlockView } from '@/core/day/dayView';
import { longer, wallField, wallFieldMs } from '@/core/day/dayEdit';
import { Button, IconButton } from '@/ui/Button';
import { words } from '@/wording/screens/day/BlockPanel';
import { BLOCK_WORD } from '@/wording/words';
import { words as callWords } from '@/wording/screens/day/calls';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useDayEdit, useDayValue, useDayWords } from './DayContext';

/** What can be said of one block: that it has begun, is done, takes longer, has to be when it is; and when the dough can wait no more. */
export function BlockPanel({ batchId, block, onClose }: { batchId: string; block: BlockView; onClose: () => void }) {
  const say = useDayWords();
  const { nowMs, day } = useDayValue();
  const edit = useDayEdit();
  const { timeZone } = usePreferences().ways;
  const units = useUnits();
  const [first] = block.steps;
  const name = (block.steps.length === 1 && first?.title) || BLOCK_WORD[block.kind];
  const of = { batchId, blockId: block.id };
  const batch = day.batches.find(({ id }) => id === batchId);
  const told = batch?.progress[block.id];
  const isDue = block.startMs <= nowMs + 30 * 60_000;
  return (
    <section aria-label={name} className="docket mt-3 rounded-b-md px-4 py-3" data-testid="block-panel">
      <div className="flex items-start justify-between gap-3">
        <h3 className="text-lg">
          {name} <span className="font-sans text-base font-normal text-soft">{say.batch(batchId)}</span>
        </h3>
        <IconButton label={words.close} onClick={onClose}>
          <X size={18} aria-hidden />
        </IconButton>
      </div>
      <p className="figure text-3xl">{say.fromTo(block.startMs, block.endMs)}</p>
      {block.feed && <p className="text-lg">{callWords.feed(block.feed.name, units.mass(block.feed.seedG), units.mass(block.feed.flourG), units.mass(block.feed.waterG))}</p>}
      {block.steps.length > 1 && <p className="text-sm">{words.inIt(block.steps.map(({ kind }) => kind))}</p>}
      {block.latestMs !== null && block.state === 'todo' && <p className="text-sm text-soft">{words.latest(say.at(block.latestMs))}</p>}
      {block.looksMs.length > 0 && <p className="text-sm text-soft">{words.looks(block.looksMs.map(say.at).join(', '))}</p>}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {block.state === 'todo' && (
          <label className="flex items-center gap-2 text-sm">
            {words.begin}
            <input type="datetime-local" step={300} value={wallField(timeZone, block.startMs)} className="min-h-10 rounded border border-edge bg-surface px-2"
              onChange={(event) => {
                const ms = wallFieldMs(timeZone, event.target.value);
                if (ms !== null) edit({ type: 'pin', ...of, startMs: Math.round(ms / 300_000) * 300_000 });
              }} />
          </label>
        )}
        {block.state === 'todo' && (block.pinned ? (
          <Button onClick={() => edit({ type: 'unpin', ...of })}>{words.unpin}</Button>
        ) : (
          <Button onClick={() => edit({ type: 'pin', ...of, startMs: block.startMs })}>{words.pin}</Button>
        ))}
        {batch?.bakeId != null ? <p className="text-sm text-soft">{words.benchSays}</p> : (
          <>
            {block.state === 'todo' && isDue && <Button look="strong" onClick={() => edit({ type: 'begun', ...of, atMs: nowMs })}>{words.startedNow}</Button>}
            {block.state === 'todo' && block.startMs < nowMs - 60_000 && <Button onClick={() => edit({ type: 'begun', ...of, atMs: block.startMs })}>{words.startedAsPlanned(say.at(block.startMs))}</Button>}
            {block.state === 'running' && <Button look="strong" onClick={() => edit({ type: 'over', ...of, atMs: nowMs })}>{words.doneNow}</Button>}
            {block.state === 'running' && (
              <Button onClick={() => edit(longer(batchId, block.id, block, nowMs))}>{words.longer}</Button>
            )}
            {told && <Button onClick={() => edit({ type: 'takeBack', ...of })}>{words.takeBack}</Button>}
          </>
        )}
      </div>
    </section>
  );
} // prettier-ignore
