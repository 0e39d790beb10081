import type { OwnTool } from '@/core/day/shared';
import type { PlateKind } from '@/core/method/heating';

const WITH: Record<PlateKind, string> = {
  tray: '',
  stone: ', the stone in it',
  steel: ', the steel in it',
  castIron: ', the iron in it',
  griddle: '',
};

const OWN: Record<OwnTool, string> = {
  stone: 'stone',
  oil: 'oil',
  baskets: 'baskets',
  sieves: 'sieves',
  boards: 'boards',
  scale: 'scale',
};

/** How a call of the day is worded. */
export const words = {
  light: (oven: string, temp: string, plate: PlateKind | null) => `Light ${oven}: ${temp}${plate ? WITH[plate] : ''}`,
  warm: (oven: string, temp: string) => `Warm ${oven} a little, ${temp}, for the dough: its lamp may do`,
  look: (step: string) => `Look at the ${step.toLowerCase()}`,
  feed: (name: string, seed: string, flour: string, water: string) => `Feed ${name}: ${seed} of it, ${flour} flour, ${water} water`,
  takeOut: (pieces: number, as: string, step: string) => `Take out ${pieces}, ${as}: ${step.toLowerCase()}`,
  soften: (lines: string) => `Take out of the fridge, to soften: ${lines}`,
  softenLine: (mass: string, name: string) => `${mass} ${name.toLowerCase()}`,
  keep: (name: string, kept: string, flour: string, water: string) => `Feed ${name}: keep ${kept}, add ${flour} flour and ${water} water`,
  keepNobody: 'nobody is there when it is due',
  lookRipe: 'Look whether the starter is ripe',
  out: (oven: string) => `Take out of ${oven}`,
  ready: 'Ready',
  cleanAfterWheat: (own: string) => `Clean down after wheat: tables, mixer, scale, taps, cloths${own}`,
  cleanBefore: (what: string, bread: string) => `Clean down after ${what}, before ${bread}`,
  own: (tools: readonly OwnTool[]) => (tools.length > 0 ? `; then your own ${tools.map((tool) => OWN[tool]).join(', ')}` : ''),
  readyFor: (orders: string) => `Ready: ${orders}`,
  order: (who: string, pieces: number) => `${pieces} ${who}`,
  tomorrow: 'tomorrow',
  fromTo: (from: string, to: string) => `${from} to ${to}`,
  until: (clock: string) => `until ${clock}`,
  at: (oven: string, temp: string) => `${oven}, ${temp}`,
} as const; // prettier-ignore
