'use client';
import { Undo2 } from 'lucide-react';
import type { BakeAction, BakeRecord } from '@/core/bake';
import { callOf } from '@/core/batch';
import { Button } from '@/ui/Button';
import { wordCall } from '@/wording/calls';
import { words } from '@/wording/screens/bench/UndoBar';
import { STEP_WORD } from '@/wording/words';
import { useUnits } from '../preferences/PreferencesProvider';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import type { Bench } from './useBench';
import { whoStore } from './whoStore';

/** What was done last stands here until the next thing is done, and one press takes it back. */
export function UndoBar({
  sheet,
  bench: { last, undo, outbox },
}: {
  sheet: BakeRecord['sheet'];
  bench: Bench;
}) {
  const units = useUnits();
  const [{ who }] = useDevice(whoStore(useKitchen().address));
  const deedOf = (action: BakeAction) => wordDeed(action, sheet, (g) => units.mass(g));
  // what somebody else did since stands here with the name; to take it back is theirs
  const newest = outbox.waiting.length === 0 ? outbox.events.at(-1) : undefined;
  const otherDeed = newest?.by !== undefined && newest.by !== who ? deedOf(newest.action) : '';
  const word = otherDeed ? words.by(newest!.by!, otherDeed) : last && deedOf(last);
  if (!word) return null;
  return (
    <div
      data-undo
      className="no-print sticky bottom-0 z-20 mt-4 flex min-h-14 items-center gap-3 border-t border-edge bg-paper py-1"
      data-testid="undo-bar"
    >
      <span className="min-w-0 flex-1 truncate text-lg" role="status" aria-label={words.lastDone}>
        {word}
      </span>
      {!otherDeed && (
        <Button size="bench" className="min-h-12 px-4" onClick={undo}>
          <Undo2 size={20} aria-hidden />
          {words.undo}
        </Button>
      )}
    </div>
  );
}

function wordDeed(action: BakeAction, sheet: BakeRecord['sheet'], massOf: (massG: number) => string): string {
  const lineName = (lineId: string) =>
    sheet.stages.flatMap(({ lines }) => lines).find(({ id }) => id === lineId)?.name ?? '';
  switch (action.type) {
    case 'weighed':
      return words.weighed(lineName(action.lineId), massOf(action.massG));
    case 'weighedPart':
      return words.part(lineName(action.lineId), massOf(action.massG));
    case 'unweighed':
    case 'leftOut':
      return words[action.type](lineName(action.lineId));
    case 'lit':
      return words.lit;
    case 'courseChanged':
      return words.courses[action.by];
    case 'paused':
    case 'resumed':
      return words[action.type];
    default: {
      if (!('stepId' in action) || !(action.type in words.deeds)) return '';
      const step = sheet.steps.find(({ id }) => id === action.stepId);
      const call = wordCall(step ? callOf(sheet, step.id) : null);
      const name = step ? [STEP_WORD[step.kind], call].filter(Boolean).join(', ') : '';
      return words.deeds[action.type as keyof typeof words.deeds](name);
    }
  }
}
