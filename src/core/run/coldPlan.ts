import { riseCurve } from '../fermentation/riseCurve';
import { riseOfDay } from '../fermentation/riseOfDay';
import type { RiseQuestion } from '../fermentation/riseSimulation';
import type { Stay } from '../fermentation/thermalLag';
import { NEAR_TOP, type RiseAsked } from './riseNow';

/** Cold gas is smaller gas: only what does not come back in the warmth is lost. */
const STILL_GOOD = 0.9;

/** What a time in the fridge makes of a dough that rises. */
interface ColdPlan {
  /** How far it has grown by when it comes out, % against when its step began. */
  readonly grownPercent: number;
  /** How long it takes out of the fridge until it is where it should be, s; 0: it is as it comes out; null: it does not get there any more. */
  readonly onS: number | null;
  /** The most it gets to out of the fridge, %, and after how long it is as good as there, s. */
  readonly most: { readonly percent: number; readonly afterS: number };
  /** It does not come again to what it was before: it has held for too long. */
  readonly sinks: boolean;
}

/** The history until a moment, and no further. */
function until(stays: readonly Stay[], atS: number): Stay[] {
  let leftS = atS;
  return stays.flatMap((stay) => {
    const durationS = Math.min(stay.durationS, leftS);
    leftS -= durationS;
    return durationS > 0 ? [{ ...stay, durationS }] : [];
  });
}

/**
 * A dough that rises goes into the fridge now and is gone on with afterwards where it stood: the middle of the model, with what was marked.
 *
 * @param asked as for `riseNow`
 * @param fridgeC of the kitchen
 * @returns what comes of so many seconds there, up to three days; null where the simulator takes no such history. The marks are asked once for all of them.
 */
export function coldPlans(
  asked: RiseAsked,
  fridgeC: number,
  nowMs: number,
): (coldS: number) => ColdPlan | null {
  const ofDay = riseOfDay(asked.marked);
  return (coldS) => coldPlan(asked, ofDay, fridgeC, nowMs, coldS);
}

function coldPlan({ question, mixedAtMs, beganS, wantedPercent }: RiseAsked, ofDay: ReturnType<typeof riseOfDay>, fridgeC: number, nowMs: number, coldS: number): ColdPlan | null {
  const nowS = Math.max(beganS + 1, (nowMs - mixedAtMs) / 1000);
  const last = question.stays.at(-1);
  if (!last) return null;
  const history = until([...question.stays, { ...last, durationS: 86_400, pressedOut: 0 }], nowS);
  const cold: Stay = { ...last, place: 'fridge', tempC: fridgeC, durationS: coldS, pressedOut: 0 };
  const plain: RiseQuestion = {
    ...question,
    ...(ofDay && { ofDay }),
    stays: [...history, cold, { ...last, durationS: 60, pressedOut: 0 }],
    beyondS: 8 * 3600,
    countsFromS: nowS + coldS,
    central: true,
  };
  const whole = riseCurve(plain);
  if (!whole.ok) return null;
  const at = (tS: number, { atS, volume } = whole.value) => {
    const index = atS.findIndex((each) => each >= tS);
    return volume[index === -1 ? volume.length - 1 : index] ?? 1;
  };
  const from = at(beganS + 1);
  const curve = wantedPercent === null ? whole : riseCurve({ ...plain, wanted: Math.min(6, from * (1 + wantedPercent / 100)) });
  if (!curve.ok) return null;
  const { wantedAtS, atS, volume } = curve.value;
  const outS = nowS + coldS;
  const of = (isHere: (tS: number) => boolean) => volume.filter((_, index) => isHere(atS[index]!));
  const before = Math.max(1, ...of((tS) => tS >= beganS && tS <= outS));
  const after = Math.max(1, ...of((tS) => tS >= outS));
  const near = atS.findIndex((tS, index) => tS >= outS && volume[index]! >= from + NEAR_TOP * (after - from));
  return {
    grownPercent: 100 * (at(outS) / from - 1),
    onS: wantedAtS.value === null ? null : Math.max(0, wantedAtS.value - outS),
    most: { percent: 100 * (after / from - 1), afterS: Math.max(0, (atS[near] ?? outS) - outS) },
    sinks: after - 1 < STILL_GOOD * (before - 1),
  };
} // prettier-ignore
