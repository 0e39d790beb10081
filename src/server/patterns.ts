import { mean } from 'simple-statistics';
import { stateOf } from '@/core/bake';
import { bakeFigures, whatGoesWith, type GoesWith, type Made } from '@/core/record';
import { bakesSignature } from '@/db/queries/bakeCards';
import { listLogbook } from '@/db/queries/logbookLines';
import { findHeadRevisions } from '@/db/queries/formulas';
import { loadBakes } from './bakeRecords';
import { computedAnswers, signatureOf } from './computedAnswers';
import type { Context } from './context';

/** Older bakes were made in another kitchen, by and large. */
const MOST_BAKES = 100;
/** What means the same for every bread. */
const OF_EVERY_BREAD: ReadonlySet<Made> = new Set(['roomC', 'doughC']);

export interface Patterns {
  /** Bakes that were looked at, and of them those somebody scored. */
  readonly bakes: number;
  readonly scored: number;
  readonly found: readonly GoesWith[];
  /** By formula, the most scored first. */
  readonly groups: readonly { readonly formulaId: string; readonly name: string; readonly scored: number }[];
}

/** What goes with better scores in a kitchen, or of one formula: over its newest bakes that came to their end. Stored until anything is told to any log. */
export async function patternsOf(context: Context, formulaId: string | null): Promise<Patterns> {
  // nothing is stored of ids that anybody can make up
  if (formulaId && (await findHeadRevisions(context.pool, context.kitchen.id, [formulaId])).length === 0)
    return { bakes: 0, scored: 0, found: [], groups: [] };
  const [bakes, { signature }] = await Promise.all([
    bakesSignature(context.pool, context.kitchen.id),
    context.larder(),
  ]);
  const about = `patterns ${formulaId ?? 'all'}`;
  const wanted = {
    about,
    signature: signatureOf(context.kitchen.epoch, bakes, signature),
    compute: () => lookedAt(context, formulaId),
  };
  // nobody leaves: it is there
  return (await computedAnswers(context, [wanted])).get(about)!;
}

async function lookedAt(context: Context, formulaId: string | null): Promise<Patterns> {
  const { lines } = await listLogbook(context.pool, context.kitchen.id, { formulaId, words: [], again: null, order: 'newest', after: null, most: MOST_BAKES }); // prettier-ignore
  const book = await context.book();
  const ended = lines.filter(({ givenUp }) => givenUp === null).map(({ id }) => id);
  const bakes = (await loadBakes(context, ended)).filter(({ sheet }) => !sheet.ladder);
  const of = bakes.map((bake) => {
    const figures = bakeFigures(bake, stateOf(bake), book);
    return { bake, figures, score: scoreOf(figures) };
  });
  const scored = of.flatMap(({ bake, figures, score }) => (score === null ? [] : [{ bake, figures, score }]));
  const groups = new Map<string, typeof scored>();
  for (const each of scored)
    groups.set(each.bake.formulaId, [...(groups.get(each.bake.formulaId) ?? []), each]);
  const usual = new Map([...groups].map(([id, all]) => [id, mean(all.map(({ score }) => score))]));
  const over = scored.length > 0 ? mean(scored.map(({ score }) => score)) : 0;
  const found = whatGoesWith(
    formulaId === null
      ? scored.map((each) => ({ ...each, score: each.score - usual.get(each.bake.formulaId)! + over }))
      : scored,
  );
  return {
    bakes: bakes.length,
    scored: scored.length,
    found: formulaId === null ? found.filter(({ figure }) => OF_EVERY_BREAD.has(figure)) : found,
    groups: [...groups]
      .map(([id, all]) => ({ formulaId: id, name: all[0]!.bake.sheet.name, scored: all.length }))
      .sort((a, b) => b.scored - a.scored),
  };
}

/** The eater's verdict where there is one, else the mean of what the baker gave. */
function scoreOf({ tasted, scores }: ReturnType<typeof bakeFigures>): number | null {
  if (tasted.verdict !== undefined) return tasted.verdict;
  const given = Object.values(scores).filter((score) => score !== null);
  return given.length === 0 ? null : given.reduce((sum, score) => sum + score, 0) / given.length;
}
