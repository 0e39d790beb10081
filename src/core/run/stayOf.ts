import type { Leavening } from '../fermentation/leavening';
import { FERMENTATION } from '../fermentation/parameters';
import type { PlaceKind, Standing, Stay } from '../fermentation/thermalLag';
import type { Formula } from '../formula/formula';
import type { Shape } from '../method/heating';
import type { MethodStep } from '../method/step';
import type { RunKitchen } from './ordinaryKitchen';
import { stepS } from './stepTimes';

const PRESSES: ReadonlySet<MethodStep['kind']> = new Set([
  'fold', 'divide', 'shape', 'knockBack', 'kneadAgain', 'fill',
]); // prettier-ignore

/** A home freezer; an oven's lamp warms it so far above the room, °C (craft). */
const FREEZER_C = -18;
const LAMP_WARMS_C = 7;
function placeC(step: MethodStep, cold: boolean, kitchen: RunKitchen): number {
  const place = step.stands?.place ?? (step.kind === 'freeze' ? 'freezer' : cold ? 'fridge' : 'room');
  switch (place) {
    case 'freezer':
      return FREEZER_C;
    case 'fridge':
      return kitchen.fridgeC;
    case 'warm':
    case 'prover':
      return kitchen.warmC ?? Math.max(kitchen.roomC, 28);
    case 'ovenLight':
      return kitchen.roomC + LAMP_WARMS_C;
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

/** Where a dough stands through a step, and what hands do to it there. */
export function stayOf(
  step: MethodStep,
  formula: Formula,
  kitchen: RunKitchen,
  shaped: boolean,
  leavening: Leavening,
  as: Shape,
): Stay {
  const cold = COLD.has(step.kind) || step.stands?.place === 'fridge' || step.stands?.place === 'freezer';
  const tempC = step.tempC ?? placeC(step, cold, kitchen);
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
    durationS: stepS(step),
    standing,
    pieceG: Math.max(1, shaped ? formula.usualYield.pieceMassG : leavening.doughG),
    pressedOut: out,
  };
}
