import { FERMENTATION, SEA_LEVEL_PA } from './parameters';
import { mlPerMmol } from './gassing';
import type { Leavening } from './leavening';
import { PLAIN_TEMPER, type Dough, type Temper } from './stepper';

/** The crumb sets round here, °C: until then it can still grow. */
const SETS_C = 68;
/** Water vapour in a bubble at that temperature, share of an atmosphere (28.6 kPa). */
const VAPOUR_SHARE = 28_600 / SEA_LEVEL_PA;
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
  temper: Pick<Temper, 'holding' | 'spring' | 'tiredLoses'> = PLAIN_TEMPER,
  pressurePa = SEA_LEVEL_PA,
): number {
  const perMmol =
    mlPerMmol(SETS_C, pressurePa) / Math.max(0.3, 1 - VAPOUR_SHARE * (SEA_LEVEL_PA / pressurePa));
  const gasMl = (end.heldMmol + REACHES_BUBBLES * (0.85 * end.dissolvedMmol + leavening.ovenMmol)) * perMmol;
  const wish = gasMl / leavening.doughMl + AIR_SWELLS * (leavening.airMl / leavening.doughMl);
  // what has tired and torn gives way first
  const sound = (1 - temper.tiredLoses * end.tired) * (1 - FERMENTATION.wornHolds * end.worn);
  const most = leavening.mostHeld * temper.holding * sound * leavening.ovenHolds * temper.spring;
  // a ceiling without an edge: near it every further ml is harder to hold
  const held = wish / (1 + (wish / Math.max(1e-6, most)) ** EDGE) ** (1 / EDGE);
  return 1 + held * DRAWS_IN;
}
/** The air mixed in swells to so much more of itself. */
const AIR_SWELLS = 0.6;
const EDGE = 4;
