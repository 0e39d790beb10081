import { SEA_LEVEL_PA } from './parameters';
import { mlPerMmol } from './gassing';
import type { Leavening } from './leavening';
import type { Dough } from './stepper';

/** The crumb sets round here, °C: until then it can still grow. */
const SETS_C = 68;
/** Water vapour in a bubble at that temperature, share of an atmosphere (28.6 kPa). */
const VAPOUR_SHARE = 28_600 / SEA_LEVEL_PA;
/** In the oven a dough is held by its skin and its first set starch: so much more than it holds at rest. */
const OVEN_HOLDS = 1.35;
/** Of gas that is driven out of the water and of late powder so much ends in bubbles. */
const REACHES_BUBBLES = 0.55;
/** The finished crumb draws in a little as its steam condenses. */
const DRAWS_IN = 0.96;

/**
 * Volume of the baked piece over that of its dough from the bowl: held gas expands and takes up vapour, dissolved gas and late
 * powder come to it, and the dough lets go of what it cannot hold.
 */
export function bakedVolume(
  end: Dough,
  leavening: Leavening,
  holding = 1,
  pressurePa = SEA_LEVEL_PA,
): number {
  const perMmol =
    mlPerMmol(SETS_C, pressurePa) / Math.max(0.3, 1 - VAPOUR_SHARE * (SEA_LEVEL_PA / pressurePa));
  const gasMl = (end.heldMmol + REACHES_BUBBLES * (0.85 * end.dissolvedMmol + leavening.ovenMmol)) * perMmol;
  // the air mixed in swells too
  const wish = gasMl / leavening.doughMl + 0.1;
  const most = leavening.mostHeld * holding * (1 - 0.4 * end.tired) * OVEN_HOLDS;
  // soft ceiling: near it every further ml is harder to hold
  const held = most * -Math.expm1(-wish / Math.max(1e-6, most));
  return 1 + held * DRAWS_IN;
}
