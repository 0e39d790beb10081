import type { Cover, Cue, Place } from '@/core/method';

export const PLACE_WORD: Record<Place, string> = {
  room: 'in the room',
  warm: 'in the warm place',
  prover: 'in the prover',
  ovenLight: 'in the oven, light on',
  fridge: 'in the fridge',
  freezer: 'in the freezer',
  oven: 'in the oven',
};
export const COVER_WORD: Record<Cover, string> = {
  open: 'uncovered',
  cloth: 'under a cloth',
  damp: 'under a damp cloth',
  film: 'under film',
  lid: 'under a lid',
  bag: 'in a bag',
};
export const CUE_WORD: Record<Cue['kind'], string> = {
  grown: 'it has grown',
  feel: 'it feels',
  core: 'its middle is at',
  colour: 'its colour is',
  foam: 'it foams',
  floats: 'it floats',
  springsBack: 'a dent springs back',
  cold: 'it is cold',
};
