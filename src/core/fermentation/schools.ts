import type { StepKind } from '../method/step';
import { ok, type Result } from '../result';
import type { Leavening } from './leavening';
import { FERMENTATION } from './parameters';
import { READY_SHARE, riseCurve, type RiseCurve } from './riseCurve';
import type { Learnt } from './riseSimulation';
import type { Stay, Standing } from './thermalLag';

/** Ways of letting a dough rise that bakers swear by. */
export const SCHOOLS = ['straight', 'bulkProof', 'cold', 'wild', 'restForTaste'] as const;
export type School = (typeof SCHOOLS)[number];

interface SchoolKitchen {
  readonly roomC: number;
  /** A warm box, or a switched-off oven with its lamp on. */
  readonly warmC: number;
  readonly fridgeC: number;
}

/** A step of the method a school makes, with the rise it waits for. */
interface SchoolStep {
  readonly kind: StepKind;
  readonly minS: number | null;
  readonly maxS: number | null;
  readonly tempC: number | null;
  /** Rise to look for, percent more than it was; null: by the clock. */
  readonly risePercent: number | null;
}

export interface SchoolMethod {
  readonly steps: readonly SchoolStep[];
  readonly stays: readonly Stay[];
  readonly curve: RiseCurve;
}

export interface SchoolQuestion {
  readonly leavening: Leavening;
  readonly doughC: number;
  readonly kitchen: SchoolKitchen;
  readonly pieceG: number;
  /** How the shaped pieces stand. */
  readonly standing: Standing;
  readonly learnt?: Learnt;
  readonly pressurePa?: number;
}

const HOUR = 3600;
/** Times as bakers write them: to five minutes, to a quarter of an hour from two hours on. */
const rounded = (s: number): number => {
  const step = s >= 2 * HOUR ? 900 : 300;
  return Math.max(step, Math.round(s / step) * step);
};

/** Percent as an eye can tell them: to five. */
const toFive = (percent: number): number => Math.round(percent / 5) * 5;

/**
 * A method of one school for this dough and this kitchen, its times from the model.
 * - straight: drinks, is shaped, one humid proof;
 * - bulkProof: rises in the bowl to two fifths of what it can, is divided and shaped, proofs;
 * - cold: drinks, is shaped, a night in the fridge, and what is missing at room temperature;
 * - wild: bulk at room temperature to a third of what it can, shaped, proofs warm;
 * - restForTaste: an hour in the room; what lifts it is not the yeast.
 * A stay that never gets there is given its top instead, and the step then goes by the clock.
 *
 * @returns the limits of {@link riseCurve}
 */
export function schoolMethod(school: School, question: SchoolQuestion): Result<SchoolMethod> {
  const { leavening, doughC, kitchen, pieceG, standing, learnt, pressurePa } = question;
  const can = leavening.mostHeld * (learnt?.holding.value ?? 1);
  const inBowl = (tempC: number, durationS: number): Stay => ({
    place: 'room', tempC, durationS, standing: 'bowl', pieceG: leavening.doughG, pressedOut: 0,
  }); // prettier-ignore
  const shaped = (place: Stay['place'], tempC: number, durationS: number): Stay => ({
    place, tempC, durationS, standing, pieceG, pressedOut: FERMENTATION.pressedOut.shape,
  }); // prettier-ignore
  const ask = (stays: readonly Stay[], wanted: number) =>
    riseCurve({
      leavening,
      doughC,
      stays,
      wanted,
      ...(learnt && { learnt }),
      ...(pressurePa && { pressurePa }),
    });

  const stays: Stay[] = [];
  const steps: SchoolStep[] = [];
  /** Adds a stay that lasts until the rise is there, at most so long, and its step. */
  const until = (stay: Stay, kind: StepKind, share: number): Result<null> => {
    const beforeS = stays.reduce((sum, each) => sum + each.durationS, 0);
    const wanted = 1 + share * can;
    const curve = ask([...stays, stay], wanted);
    if (!curve.ok) return curve;
    const { wantedAtS, topAtS } = curve.value;
    const found = wantedAtS.value ?? topAtS.value;
    const durationS = Math.min(stay.durationS, rounded(found - beforeS));
    stays.push({ ...stay, durationS });
    steps.push({
      kind,
      minS: Math.min(durationS, rounded((wantedAtS.low ?? found) - beforeS)),
      maxS: Math.max(durationS, Math.min(stay.durationS, rounded((wantedAtS.high ?? found * 1.3) - beforeS))),
      tempC: stay.tempC,
      risePercent: wantedAtS.value === null ? null : toFive(100 * share * can),
    });
    return ok(null);
  };
  const byClock = (stay: Stay, kind: StepKind, maxS: number | null = null) => {
    stays.push(stay);
    steps.push({
      kind,
      minS: stay.durationS,
      maxS,
      tempC: kind === 'rest' ? null : stay.tempC,
      risePercent: null,
    });
  };
  const hands = (kind: StepKind) =>
    steps.push({ kind, minS: null, maxS: null, tempC: null, risePercent: null });

  let done: Result<null> = ok(null);
  switch (school) {
    case 'straight':
      byClock(inBowl(kitchen.roomC, 1200), 'rest');
      hands('shape');
      done = until(shaped('warm', Math.max(20, kitchen.warmC), 8 * HOUR), 'proof', READY_SHARE);
      break;
    case 'bulkProof':
      done = until(inBowl(kitchen.roomC, 14 * HOUR), 'bulk', 0.4);
      hands('divide');
      hands('shape');
      if (done.ok) done = until(shaped('room', kitchen.roomC, 14 * HOUR), 'proof', READY_SHARE);
      break;
    case 'cold':
      byClock(inBowl(kitchen.roomC, 1800), 'rest');
      hands('shape');
      byClock(shaped('fridge', kitchen.fridgeC, 12 * HOUR), 'chill', 16 * HOUR);
      done = until({ ...shaped('room', kitchen.roomC, 8 * HOUR), pressedOut: 0 }, 'proof', READY_SHARE);
      break;
    case 'wild':
      done = until(inBowl(kitchen.roomC, 24 * HOUR), 'bulk', 0.33);
      hands('shape');
      if (done.ok) done = until(shaped('warm', Math.max(20, kitchen.warmC), 12 * HOUR), 'proof', READY_SHARE);
      break;
    case 'restForTaste':
      byClock(inBowl(kitchen.roomC, HOUR), 'rest', 2 * HOUR);
      hands('shape');
      break;
  }
  if (!done.ok) return done;
  const curve = ask(stays, 1 + READY_SHARE * can);
  return curve.ok ? ok({ steps, stays, curve: curve.value }) : curve;
}
