import { stateOf } from '@/core/bake';
import { bakeFigures, whatGoesWith, type GoesWith } from '@/core/record';
import { listLogbook } from '@/db/queries/bakeCards';
import { loadBakes } from './bakeRecords';
import type { Context } from './context';

/** Older bakes were made in another kitchen, by and large. */
const MOST_BAKES = 200;

export interface Patterns {
  /** Bakes that were looked at, and of them those somebody scored. */
  readonly bakes: number;
  readonly scored: number;
  readonly found: readonly GoesWith[];
}

/** What goes with better scores in a kitchen, or of one formula: over its newest bakes that came to their end. */
export async function patternsOf(context: Context, formulaId: string | null): Promise<Patterns> {
  const { lines } = await listLogbook(context.pool, context.kitchen.id, { formulaId, words: [], again: null, order: 'newest', after: null, most: MOST_BAKES }); // prettier-ignore
  const book = await context.book();
  const ended = lines.filter(({ givenUp }) => givenUp === null).map(({ id }) => id);
  const bakes = (await loadBakes(context, ended)).filter(({ sheet }) => !sheet.ladder);
  const of = bakes.map((bake) => {
    const figures = bakeFigures(bake, stateOf(bake), book);
    return { figures, score: scoreOf(figures) };
  });
  return {
    bakes: bakes.length,
    scored: of.filter(({ score }) => score !== null).length,
    found: whatGoesWith(of),
  };
}

/** The eater's verdict where there is one, else the mean of what the baker gave. */
function scoreOf({ tasted, scores }: ReturnType<typeof bakeFigures>): number | null {
  if (tasted.verdict !== undefined) return tasted.verdict;
  const given = Object.values(scores).filter((score) => score !== null);
  return given.length === 0 ? null : given.reduce((sum, score) => sum + score, 0) / given.length;
}
