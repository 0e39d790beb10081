import type { RiseParameter, School } from '@/core/fermentation';
import type { Colour, HeatParameter } from '@/core/heat';
import type { Moisture, PlateKind, Shape, TinKind } from '@/core/method/heating';

export const SHAPE_WORD: Record<Shape, string> = {
  tin: 'In a tin',
  hearth: 'Free-standing loaf',
  baguette: 'Baguette',
  roll: 'Single rolls',
  touchingRolls: 'Rolls that touch',
  disc: 'Disc, pizza',
  flatbread: 'Flatbread',
  ring: 'Ring, knot, stick',
  ball: 'Ball',
  round: 'Flattened ball',
};
export const TIN_WORD: Record<TinKind, string> = {
  shiny: 'shiny tin',
  dark: 'dark tin',
  thick: 'thick pan',
  glass: 'glass',
};
export const PLATE_WORD: Record<PlateKind | 'rack', string> = {
  rack: 'a rack',
  tray: 'a tray',
  stone: 'hot stone',
  steel: 'hot steel',
  castIron: 'hot iron',
  griddle: 'the griddle',
};
/** The same on its own, as a kind of thing. */
export const PLATE_KIND_WORD: Record<PlateKind, string> = {
  tray: 'Tray',
  stone: 'Stone',
  steel: 'Steel',
  castIron: 'Iron',
  griddle: 'Griddle',
};
export const MOIST_WORD: Record<Moisture, string> = { dry: 'dry', steam: 'with steam', lid: 'under a lid' };
export const COLOUR_WORD: Record<Colour, string> = {
  pale: 'pale',
  straw: 'straw',
  golden: 'golden',
  deepGolden: 'deep gold',
  brown: 'brown',
  dark: 'dark',
  burnt: 'burnt',
};
export const SCHOOL_WORD: Record<School, { readonly word: string; readonly hint: string }> = {
  straight: { word: 'Straight through', hint: 'a rest, shaped, one warm proof' },
  bulkProof: { word: 'Bulk, then proof', hint: 'rises in the bowl, is divided, proofs' },
  cold: { word: 'Cold hold', hint: 'shaped, a night in the fridge, then the room' },
  wild: { word: 'Wild', hint: 'long bulk in the room, a warm proof' },
  restForTaste: { word: 'Rest for taste', hint: 'an hour; something else lifts it' },
};
export const RISE_PARAMETER_WORD: Record<RiseParameter, string> = {
  vigour: 'how lively this yeast is',
  holding: 'how much gas this dough holds',
  leak: 'how fast gas seeps out',
  waking: 'how soon the yeast wakes',
  tiring: 'how soon the dough tires',
  freedSugar: 'the sugar the flours free',
  place: 'how warm the place really is',
  lag: 'how fast the dough takes on the room',
  start: 'how warm the dough starts',
  pressing: 'how hard it is pressed in shaping',
  coldest: 'how little yeast does in the cold',
  brake: 'how much salt and sugar slow it',
  dose: 'how far more yeast is faster',
  kind: 'how this kind of yeast compares',
  air: 'how much air the mixing left',
  spring: 'how far it springs in the oven',
  growth: 'how fast the yeast grows',
  wear: 'how much handling tears it',
};
export const HEAT_PARAMETER_WORD: Record<HeatParameter, string> = {
  transfer: 'how hard this oven blows and beams',
  offset: 'how far the dial is off',
  conduction: 'how well this crumb conducts',
  vapourPath: 'how steam moves in the crumb',
  contact: 'how well it lies on what is under it',
  size: 'how big it has grown',
  start: 'how warm it goes in',
  browning: 'how readily it browns',
  rack: 'the draught where it cools',
  palate: 'how warm one eats it',
};

/** Minutes as a baker says them: to 5 from 40 on. */
const minutesOf = (s: number): number => {
  const step = s < 2400 ? 2 : 5;
  return Math.round(s / 60 / step) * step;
};

/** No false minutes: to 5 min from 40 min on, to 10 from 3 h on. */
export function honestTime(s: number): string {
  const minutes = s / 60;
  const step = minutes < 3 ? 0.5 : minutes < 20 ? 1 : minutes < 40 ? 2 : minutes < 180 ? 5 : 10;
  const rounded = Math.round(minutes / step) * step;
  if (rounded < 60) return `${rounded} min`;
  const hours = Math.floor(rounded / 60);
  const rest = Math.round(rounded - hours * 60);
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** "1 h 10 – 1 h 45"; an open end where some of the draws never get there. */
export function honestRange(low: number | null, high: number | null): string {
  if (low === null) return 'not in this time';
  if (high === null) return `${honestTime(low)} or more`;
  // one unit for both reads faster than two of each
  if (high < 100 * 60 && low >= 20 * 60) {
    const [from, to] = [minutesOf(low), minutesOf(high)];
    return from === to ? `${from} min` : `${from}–${to} min`;
  }
  const from = honestTime(low);
  const to = honestTime(high);
  if (from === to) return from;
  if (/^\d+ h$/.test(from) && /^\d+ h$/.test(to)) return `${from.slice(0, -2)}–${to}`;
  return from.endsWith(' min') && to.endsWith(' min') ? `${from.slice(0, -4)}–${to}` : `${from} – ${to}`;
}
