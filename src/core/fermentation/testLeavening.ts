import type { Leavening } from './leavening';

/** A made-up loaf's dough for tests of the simulator: 500 g of flours with 3.6 % fresh yeast. */
export const testLeavening: Leavening = {
  doughG: 1100,
  doughMl: 1080,
  airMl: 108,
  waterG: 560,
  floursG: 500,
  yeastG: 18,
  wildG: 0,
  yeastCv: 0.2,
  wakingMin: 10,
  sugarG: 18,
  freedSugarG: 6,
  brake: 1,
  osmol: 0,
  kindTilt: 0,
  wetsDry: false,
  coldMmol: 0,
  ovenMmol: 0,
  mostHeld: 0.8,
  holdingCv: 0.2,
  ovenHolds: 1.25,
  knock: 0.3,
  cracks: 1,
};
