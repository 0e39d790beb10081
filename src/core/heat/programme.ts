import { ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { PHASE_LIMITS } from './heatLimits';
import type { Oven } from './oven';
import type { Plate } from './parameters';

/** One stretch of a bake. */
export interface Phase {
  readonly kind: 'oven' | 'coast' | 'fry' | 'boil' | 'griddle' | 'rack';
  readonly durationS: number;
  /** Dial of the oven, oil, griddle, °C; not asked of coast, rack and boil. */
  readonly setC: number;
  readonly moist: 'dry' | 'steam' | 'lid';
  /** What it lies on; null: a wire rack, or its own tin. */
  readonly on: Plate | null;
  readonly inTin: boolean;
  /** Sauce and topping lie on it: its upper side is kept moist. */
  readonly topped: boolean;
  /** Paper between it and what it lies on; of a tray it is taken to be there. */
  readonly paper?: boolean;
  /** The other side is down from now on. */
  readonly turned: boolean;
  /** The door is opened as it begins. */
  readonly door: boolean;
}

export const newPhase = (
  kind: Phase['kind'],
  durationS: number,
  setC: number,
  part: Partial<Phase> = {},
): Phase => ({
  kind,
  durationS,
  setC,
  moist: 'dry',
  on: null,
  inTin: false,
  topped: false,
  turned: false,
  door: kind === 'oven',
  ...part,
});

/**
 * Is this a programme anybody could bake by?
 * @returns by field, `phases.1.setC`: `tooSmall` / `tooLarge` with the range (an oven colder than the room, or asked for more than its dial has, too); `notAllowed` at
 * `phases.1.moist` for a lid put on later than it was off (lid off before it was on), at `phases.1.inTin` for back into the tin
 */
export function checkProgramme(phases: readonly Phase[], roomC: number, oven: Oven): Result<null> {
  const room = within(roomC, PHASE_LIMITS.roomC, 'roomC');
  if (!room.ok) return room;
  const offset = within(oven.offsetC, PHASE_LIMITS.offsetC, 'offsetC');
  if (!offset.ok) return offset;
  if (phases.length === 0) return refuse('required', 'phases');
  if (phases.length > 24) return refuse('tooMany', 'phases', { max: 24 });
  let uncovered = false;
  let outOfTin = false;
  for (const [index, phase] of phases.entries()) {
    const path = (field: string) => `phases.${index}.${field}`;
    const time = within(phase.durationS, PHASE_LIMITS.durationS[phase.kind], path('durationS'));
    if (!time.ok) return time;
    if (phase.kind === 'oven' || phase.kind === 'fry' || phase.kind === 'griddle') {
      const { min, max: any } = PHASE_LIMITS.setC[phase.kind];
      const max = phase.kind === 'oven' ? Math.min(any, oven.hottestC ?? any) : any;
      const set = within(phase.setC, { min: Math.max(min, Math.ceil(roomC + 5)), max }, path('setC'));
      if (!set.ok) return set;
    }
    const baking = phase.kind === 'oven' || phase.kind === 'coast';
    if (phase.moist === 'lid' && (uncovered || !baking)) return refuse('notAllowed', path('moist'));
    if (baking && phase.moist !== 'lid') uncovered = true;
    if (phase.inTin && outOfTin) return refuse('notAllowed', path('inTin'));
    if (!phase.inTin) outOfTin = true;
  }
  return ok(null);
}
