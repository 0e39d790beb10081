'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { OCCASIONS, QUESTION_IDS, type Occasion, type QuestionId, type Tasting } from '@/core/tasting';
import { isList, isRecord } from '../device/found';
import { browserQueue } from '../queue/browserQueue';
import { words } from '@/wording/screens/tasting/TastePage';

/** A card as it is being filled in. */
export interface TastingDraft {
  readonly taster: string;
  readonly occasion: Occasion;
  readonly scores: Tasting['scores'];
  readonly words: string;
}

export const emptyDraft: TastingDraft = { taster: '', occasion: 'fresh', scores: {}, words: '' };

/** What was left on this device, looked at by hand: an older page may have written it. */
function readDraft(found: unknown): TastingDraft | null {
  if (!isRecord(found)) return null;
  const { taster, occasion, scores, words: said } = found;
  const known = OCCASIONS.find((each) => each === occasion);
  if (typeof taster !== 'string' || typeof said !== 'string' || !known || !isRecord(scores)) return null;
  const left = Object.entries(scores).filter(
    ([id, score]) =>
      QUESTION_IDS.includes(id as QuestionId) && isList([score], 1) && [1, 2, 3, 4, 5].includes(Number(score)),
  );
  return { taster, occasion: known, scores: Object.fromEntries(left), words: said };
} // prettier-ignore

/** The card of this device for a bake: half filled in it outlives a reload. `lane` null: a correction, which is not put by. */
export function useTastingDraft(lane: string | null, start: TastingDraft) {
  const [queue] = useState(browserQueue);
  const [draft, setDraft] = useState(start);
  const touched = useRef(false);
  useEffect(() => {
    if (lane === null) return;
    let gone = false;
    void queue.open().then(() => {
      const found = readDraft(queue.lane(lane).at(-1)?.body);
      if (!gone && found && !touched.current) setDraft(found);
    });
    return () => {
      gone = true;
    };
  }, [lane, queue]);
  const change = useCallback(
    (part: Partial<TastingDraft>) => {
      touched.current = true;
      const next = { ...draft, ...part };
      setDraft(next);
      if (lane !== null) void queue.put({ id: lane, lane, what: words.aHalfFilledCard, body: next });
    },
    [draft, lane, queue],
  );
  const clear = useCallback(
    (next: TastingDraft) => {
      setDraft(next);
      if (lane !== null) void queue.remove([lane]);
    },
    [lane, queue],
  );
  return { draft, change, clear };
}
