import type { Style } from '../formula/formula';
import type { MethodStep } from '../method/step';

/** What a title calls a bread; the first that fits. */
const NAMES: readonly (readonly [Style, RegExp])[] = [
  ['crackers', /\b(?:crackers?|crispbreads?|knekke\w*)\b/i],
  ['pizza', /\bpizzas?\b/i],
  ['cheeseBuns', /\b(?:cheese (?:buns?|puffs?|breads?)|p[aã]o de queijo)\b/i],
  ['friedDough', /\b(?:doughnuts?|donuts?|fritters?|fried|beignets?)\b/i],
  ['boiledRing', /\b(?:bagels?|pretzels?|boiled)\b/i],
  ['baguette', /\b(?:baguettes?|batons?|sticks)\b/i],
  [
    'flatbread',
    /\b(?:flat ?breads?|flats?|naans?|pitas?|wraps?|tortillas?|rotis?|chapatis?|focaccias?|griddle|lavash)\b/i,
  ],
  ['rolls', /\b(?:rolls?|buns?|baps?|muffins?|snails|swirls?)\b/i],
  ['hearthLoaf', /\b(?:boules?|cobs?|hearth|round|batards?|pot (?:loaf|bread)|country)\b/i],
  ['tinLoaf', /\b(?:tin|sandwich|pan|toast) (?:loaf|bread)\b|\b(?:loaf|bread)\b.*\btin\b/i],
];

/** The style of a bread, from its title, else from how it is made, else from what it is baked in; null where nothing says. */
export function styleOf(title: string | null, steps: readonly MethodStep[]): Style | null {
  const named = NAMES.find(([, pattern]) => pattern.test(title ?? ''))?.[0];
  const does = (kind: MethodStep['kind']) => steps.some((step) => step.kind === kind);
  // a bread of the pan may be one of the loaf tin
  if (named && !(named === 'tinLoaf' && does('griddle'))) return named;
  if (does('boil')) return 'boiledRing';
  if (does('fry')) return 'friedDough';
  if (does('griddle')) return 'flatbread';
  const text = steps.map(({ note }) => note).join(' ');
  if (/\brolls\b|\bbuns\b/i.test(text)) return 'rolls';
  if (/\b(?:banneton|basket|dutch oven|iron pot|casserole)\b/i.test(text)) return 'hearthLoaf';
  return /\b(?:loaf tin|bread tin|loaf pan|tin)\b/i.test(text) ? 'tinLoaf' : null;
}
