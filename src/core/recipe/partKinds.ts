import type { StageKind } from '../formula/formula';

const KINDS: readonly (readonly [StageKind, RegExp])[] = [
  ['kettle', /\b(?:boil(?:ing)?|for the pot|kettle|poach\w*|(?:water|boiling|soda|syrup|lye) bath|bath)\b/i],
  ['oil', /\b(?:for|to) (?:deep[- ])?fry(?:ing)?\b|\bfrying oil\b/i],
  ['dusting', /\b(?:for|to) (?:dust(?:ing)?|roll(?:ing)? out|the (?:board|bench|worktop|counter))\b/i],
  ['grease', /\b(?:for|to) (?:greas(?:e|ing)|the (?:tins?|pans?|tray|bowl))\b/i],
  ['wash', /\b(?:wash|brush)/i],
  ['glaze', /\b(?:glaze|icing|frosting)\b/i],
  ['filling', /\bfilling/i],
  ['dip', /\b(?:dip|dipping)\b/i],
  ['sauce', /\bsauce\b/i],
  ['topping', /\b(?:topp?ing|finish|garnish|on top|for the top|sprinkl)/i],
  ['preDough', /\b(?:pre-?dough|biga|poolish|sponge|pre-?ferment)\b/i],
  ['starter', /\b(?:starter|levain|sourdough|leaven)\b/i],
  ['scald', /\b(?:scald|roux|tangzhong|porridge)\b/i],
  ['soaker', /\bsoak/i],
  ['gel', /\bgel\b/i],
  ['bloom', /\b(?:bloom|yeast mix|yeast water|for the yeast)\b/i],
  ['late', /\b(?:late|add[- ]ins?|mix[- ]ins?|fold in|inclusions)\b/i],
];

/** What a heading says its part is for. */
export const stageKindOf = (heading: string): StageKind =>
  KINDS.find(([, pattern]) => pattern.test(heading))?.[0] ?? 'main';

/** Parts whose method is not the dough's: their sentences mix and heat something else. */
export const ASIDE: ReadonlySet<StageKind> = new Set(['sauce', 'filling', 'glaze', 'dip']);

/** "For frying: 2 l sunflower oil" */
export const INLINE_PART = /^([A-Za-z][A-Za-z ]{2,30}):\s+(.+)$/;

/** "1.2 litres sunflower oil for frying": the same, said behind. */
const PURPOSE_LINE = /^((?:.+?)\s+)(for (?:deep[- ]?)?frying|for dusting|for greasing(?: the \w+)?)\s*$/i;
export function purposeLine(line: string): readonly [string, string, string] | null {
  const found = PURPOSE_LINE.exec(line);
  return found && !/\b(?:plus|extra|more|and)\b/i.test(line)
    ? [line, found[2]!, found[1]!.replace(/[,(]\s*$/, '').trim()]
    : null;
}
