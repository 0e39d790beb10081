import type { Figures } from '../calibrated';
import { FERMENTATION } from './parameters';

/** What holds gas in a dough, percent of its flours; whole: the share of the flours that is whole grain, pulse or seed. */
export interface Structure {
  readonly psyllium: number;
  readonly cellulose: number;
  readonly gum: number;
  readonly seed: number;
  readonly egg: number;
  readonly whole: number;
}

const BINDERS = ['psyllium', 'cellulose', 'gum', 'seed', 'egg'] as const;
const SPRING = {
  psyllium: 'spring.psyllium', cellulose: 'spring.cellulose', gum: 'spring.gum', seed: 'spring.gum', egg: 'spring.egg',
} as const; // prettier-ignore

/**
 * The most gas a dough holds, volumes of its own, and what the oven adds to that. Each binder brings what its dose can (half of it at its half
 * dose); bran takes a share of it; flours hold a little of themselves. All of it goes with the consistency: most where the dough is sticky, less
 * towards dry (it tears) and towards wet (it lets go), without a cliff.
 *
 * 4.5 % psyllium in a soft white dough: about 1.3; 2 % HPMC: 1.9; rice flour and water: 0.3.
 *
 * @param s saturation as the hand reads it, rested
 */
export function holdingOf(
  structure: Structure,
  s: number,
  figures: Figures,
): { readonly mostHeld: number; readonly ovenHolds: number; readonly steepness: number } {
  const bare = figures['holds.bare'] * (1 - structure.whole) + figures['holds.bareWhole'] * structure.whole;
  let held = bare;
  let oven = bare * figures['spring.bare'];
  for (const binder of BINDERS) {
    const dose = 1 - 2 ** (-structure[binder] / FERMENTATION.halfAt[binder]);
    const adds = figures[`holds.${binder}`] * dose * (1 - figures['holds.wholeLoses'] * structure.whole);
    held += adds;
    oven += adds * figures[SPRING[binder]];
  }
  const off = Math.log(Math.max(0.05, s) / figures['feel.best']);
  const sd = off < 0 ? figures['feel.dry'] : figures['feel.wet'];
  return {
    mostHeld: Math.max(0.01, held * Math.exp(-0.5 * (off / sd) ** 2)),
    ovenHolds: oven / held,
    // how much a per cent of saturation is worth here, per cent of holding
    steepness: Math.abs(off) / sd ** 2,
  };
}
