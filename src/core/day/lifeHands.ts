import type { Result } from '../result';
import { ok } from '../result';
import type { DayWish } from './dayOf';
import { handsOf } from './life';
import type { LifeDocument } from './lifeDocument';
import { NOT_SHARED, wheatMoments } from './shared';

interface LifeHands {
  readonly hands: DayWish['hands'];
  /** Cleaning down after wheat. */
  readonly cleans: readonly { readonly fromMs: number; readonly toMs: number }[];
}

/**
 * Who is there for bread without wheat: while wheat hangs in the air nobody, then one less while all is cleaned down.
 *
 * @returns as `handsOf`
 */
export function lifeHands(life: LifeDocument, zone: string, fromMs: number, toMs: number): Result<LifeHands> {
  const { dusty, cleans } = wheatMoments(life.shared ?? NOT_SHARED, zone, fromMs, toMs);
  const once = [...life.once, ...dusty, ...cleans.map((clean) => ({ ...clean, people: 1 }))];
  const hands = handsOf({ ...life, zone, once }, fromMs, toMs);
  return hands.ok ? ok({ hands: hands.value, cleans }) : hands;
}
