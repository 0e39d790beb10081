import type { BatchSheet } from '@/core/batch';

type LimitedBy = NonNullable<BatchSheet['loads']>[number]['by'];
const BY: Readonly<Record<LimitedBy, string>> = {
  said: 'as the formula says',
  tray: 'as the trays allow',
  plate: 'as its plate or stone allows',
  oven: 'as the oven’s floor allows',
  tins: 'as many tins as there are',
  kettle: 'with room to float in the kettle',
  oil: 'or the oil cools too far',
  pan: 'with room between them',
};

interface StockWords {
  readonly how: 'dissolved' | 'mixed';
  readonly name: string;
  readonly dose: string;
  readonly carrier: string;
  readonly carrierMass: string;
  readonly take: string;
  readonly less: string;
}

/** What the screen says. */
export const words = {
  howItFits: 'How it fits this kitchen',
  mixes: (count: number) => `${count} mixes`,
  ofUpTo: (each: string, most: string) =>
    `of ${each} each: no bowl or mixer of this kitchen takes more than ${most} of dough.`,
  eachMixTakes: (part: string, mass: string) => `Each takes ${mass} of ${part.toLowerCase()}.`,
  loads: (step: string, count: number) => `${step} in ${count} ${count === 1 ? 'load' : 'loads'}:`,
  fits: (count: number, by: LimitedBy) => `up to ${count} at a time, ${BY[by]}.`,
  noneFits: 'By the measures in your equipment not even one fits: check them, or the piece.',
  dose: (name: string, grams: string) => `${name}, ${grams} g:`,
  off: (step: string, percent: string) => `on a scale in steps of ${step} it may be out by ${percent} %.`,
  stock: ({ how, name, dose, carrier, carrierMass, take, less }: StockWords) =>
    `${how === 'dissolved' ? 'Dissolve' : 'Mix'} ${dose} of ${name.toLowerCase()} in ${carrierMass} of ${carrier}, use ${take} of it and ${less} less ${carrier}.`,
  finer: (step: string, also: boolean) => `${also ? 'Or weigh' : 'Weigh'} it on a scale that shows ${step}.`,
} as const;
