import type { Leavening } from '../fermentation/leavening';
import { FERMENTATION } from '../fermentation/parameters';
import { PLACES, type PlaceKind, type Standing, type Stay } from '../fermentation/thermalLag';
import type { Formula } from '../formula/formula';
import type { Shape } from '../method/heating';
import type { MethodStep } from '../method/step';
import type { RunKitchen } from './ordinaryKitchen';
import { repeatsOf } from './stepTimes';

const PRESSES: ReadonlySet<MethodStep['kind']> = new Set([
  'fold', 'divide', 'shape', 'knockBack', 'kneadAgain', 'fill',
]); // prettier-ignore

/** An oven's lamp warms it so far above the room, °C (craft). */
const LAMP_WARMS_C = 7;
function placeC(step: MethodStep, cold: boolean, kitchen: RunKitchen): number {
  const place = step.stands?.place ?? (step.kind === 'freeze' ? 'freezer' : cold ? 'fridge' : 'room');
  switch (place) {
    case 'freezer':
      // no yeast works in ice: what the freezer does to a dough is told by what is left of it (core/fermentation/freezing.ts)
      return PLACES.fridge.minC;
    case 'fridge':
      return kitchen.fridgeC;
    case 'warm':
    case 'prover':
      return kitchen.places?.[place]?.tempC ?? kitchen.warmC ?? Math.max(kitchen.roomC, 28);
    case 'ovenLight':
      return kitchen.places?.ovenLight?.tempC ?? kitchen.roomC + LAMP_WARMS_C;
    default:
      return kitchen.roomC;
  }
}
const COLD: ReadonlySet<MethodStep['kind']> = new Set(['chill', 'freeze']);
/** What hands press out of a dough, share of its gas; to knead it again is to knock it back as a fold does, twice. */
const { fold, divide, shape } = FERMENTATION.pressedOut;
const PRESSED_OUT: Partial<Record<MethodStep['kind'], number>> = {
  fold, divide, shape, fill: divide, knockBack: Math.max(fold, divide, shape), kneadAgain: Math.max(fold, divide, shape),
}; // prettier-ignore

/** It stands in ice: its yeast dies off, and what holds its gas is cut. */
export const isFrozen = ({ kind, stands }: MethodStep): boolean =>
  kind === 'freeze' || stands?.place === 'freezer';

/** Left open it skins over, but where air is kept moist for it. */
const skins = ({ stands }: MethodStep, { places }: RunKitchen): boolean => {
  if (stands?.cover !== 'open') return false;
  const usual = stands.place === 'prover' ? HUMID_PERCENT : 0;
  return (stands.humidityPercent ?? places?.[stands.place]?.humidityPercent ?? usual) < HUMID_PERCENT;
};
const HUMID_PERCENT = 65;

/** Where a dough stands through a step, and what hands do to it there: once, or as often as the step is done, and between. */
export function staysOf(step: MethodStep, ...around: Around): Stay[] {
  const { times, eachS, waitS } = repeatsOf(step);
  return Array.from({ length: times }, (_, time) => [
    stayOf(step, eachS, ...around),
    ...(waitS > 0 && time < times - 1 ? [stayOf({ ...step, kind: 'rest' }, waitS, ...around)] : []),
  ]).flat();
}
type Around = [formula: Formula, kitchen: RunKitchen, shaped: boolean, leavening: Leavening, as: Shape];

function stayOf(
  step: MethodStep,
  durationS: number,
  ...[formula, kitchen, shaped, leavening, as]: Around
): Stay {
  const cold = COLD.has(step.kind) || step.stands?.place === 'fridge' || step.stands?.place === 'freezer';
  const tempC = cold
    ? Math.max(PLACES.fridge.minC, step.tempC ?? placeC(step, cold, kitchen))
    : (step.tempC ?? placeC(step, cold, kitchen));
  const place: PlaceKind =
    tempC <= 15 && cold ? 'fridge' : tempC >= kitchen.roomC + 3 && tempC >= 20 ? 'warm' : 'room';
  const standing: Standing = !shaped
    ? 'bowl'
    : as === 'tin'
      ? 'tin'
      : as === 'disc' || as === 'flatbread'
        ? 'sheet'
        : 'pieces';
  const out = PRESSED_OUT[step.kind] ?? 0;
  return {
    place,
    tempC: PRESSES.has(step.kind) ? kitchen.roomC : tempC,
    durationS,
    standing,
    pieceG: Math.max(1, shaped ? formula.usualYield.pieceMassG : leavening.doughG),
    pressedOut: out,
    ...(skins(step, kitchen) && { air: 'dry' as const }),
  };
}
