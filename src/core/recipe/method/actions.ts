import { headOf, withoutLead } from './clauses';
import { spansIn } from './spans';
import { NOT, RESTS, RISES, RULES, WAITS, type Action, type Stage } from './rules';

export const GELS = /\b(?:psyllium|linseeds?|flax\w*|chia|seeds|flakes|oats)\b/i;
/** A rest so long that a dough with yeast rises in it, s. */
const RISES_FROM_S = 2700;
const PROOFS_FROM_S = 1200;

/** Waiting, by what is told of it, by where the bread is, and by how long. */
function waiting(text: string, { mixed, shaped, heated, last }: Stage, longS: number): Action {
  if (heated) return 'cool';
  if (!mixed && (last?.kind === 'preDough' || last?.kind === 'bloom' || last?.kind === 'soak'))
    return last.kind;
  if (!mixed && last?.kind === 'mix' && GELS.test(last.text)) return 'soak';
  if (!mixed) return RISES.test(text) ? 'preDough' : longS > 7200 ? 'soak' : 'rest';
  if (/\bsecond rise\b|\bfinal\b|\bin (?:the|its|their) (?:tin|banneton|basket|pan)\b/i.test(text))
    return 'proof';
  if (RISES.test(text)) return shaped ? 'proof' : 'bulk';
  if (shaped) return longS >= PROOFS_FROM_S || (longS === 0 && !RESTS.test(text)) ? 'proof' : 'rest';
  return longS >= RISES_FROM_S ? 'bulk' : 'rest';
}

/** What a clause does. `longS`: how long it takes, 0 where it does not say. */
export function actionOf(clause: string, stage: Stage, longS: number): Action {
  const text = withoutLead(clause);
  const told = headOf(clause);
  if (NOT.test(told) || NOT.test(text)) return 'remark';
  if (/^(?:let|leave|allow)\b.*\bcool\b/i.test(told) && !stage.heated && stage.last)
    return longS > 0 ? 'rest' : 'remark';
  if (/\baside\b/i.test(told) && WAITS.test(told)) return waiting(told, stage, longS);
  for (const [action, pattern, when] of RULES) {
    if (!pattern.test(told) || (when && !when(stage, told))) continue;
    if (action === 'rest' || action === 'proof' || action === 'bulk') {
      if (stage.heated && action !== 'rest') continue;
      return action === 'rest' ? waiting(told, stage, longS) : action;
    }
    return action;
  }
  if (/^rise\b/i.test(told)) return waiting(told, stage, longS);
  if (WAITS.test(told) && (RISES.test(told) || RESTS.test(told) || longS > 0))
    return waiting(told, stage, longS);
  if (
    /^(?:leave|keep|let)\b/i.test(told) &&
    stage.mixed &&
    !stage.heated &&
    /\b(?:room temperature|counter|worktop|warm|cool place|cellar)\b/i.test(told)
  )
    return waiting(told, stage, longS || RISES_FROM_S);
  if (/\bwarm\b/i.test(told) && longS > 0 && stage.mixed && !stage.heated) return waiting(told, stage, longS);
  if (RISES.test(told) && longS > 0) return waiting(told, stage, longS);
  return null;
}

/** What a clause makes ready to cook in. */
export function mediumOf(action: Action, clause: string): Stage['medium'] {
  if (action === 'boil') return 'water';
  if (action === 'fry') return 'oil';
  if (action === 'griddle') return 'pan';
  if (action === 'bake' || action === 'coast' || action === 'lower') return 'oven';
  if (action !== 'preheat') return null;
  const greased =
    /\b(?:pan|skillet|griddle)\b.*\b(?:little|some|spoon of|drop of|film of) (?:\w+ )?(?:oil|fat)\b/i.test(
      clause,
    );
  if (!greased && /\b(?:oil|fat|fryer)\b/i.test(clause) && !/\boven\b/i.test(clause)) return 'oil';
  if (/\b(?:water|kettle|bath)\b/i.test(clause) && !/\boven\b/i.test(clause)) return 'water';
  return /\b(?:pan|skillet|griddle|plate|tawa)\b/i.test(clause) && !/\boven\b/i.test(clause) ? 'pan' : 'oven';
}

/** Milk that is warmed, psyllium stirred into water: no dough yet. What says nothing of what is mixed mixes the dough. */
export const makesDough = (plain: string): boolean =>
  !/^(?:drain|rinse|toast|grate|melt|season|separate)\b/i.test(plain) &&
  (makesOf(plain) || spansIn(plain).length > 0);
export const makesOf = (plain: string): boolean =>
  !/\b(?:milk|water|yeast|butter|oil|eggs?|psyllium|liquids?|honey|sugar|vinegar|linseeds?|chia)\b/i.test(
    plain,
  ) ||
  /\b(?:flours?|starch|dry|everything|all|dough|batter|ingredients|mixture|blend|meal|beat|knead)\b/i.test(
    plain,
  );
