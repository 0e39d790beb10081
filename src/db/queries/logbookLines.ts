import * as z from 'zod';
import { outcomeSchema, type BakeCard, type ScoreAsked, type ToldAsked } from '@/core/bake';
import { BAKE_PLAN, type SetAside } from '@/core/documents';
import { many, type Queryable } from '../rows';
import { pageOf, type BakePlace } from './bakeCards';

const instant = z.date().transform((date) => date.getTime());

const cardRow = z.object({
  id: z.uuid(),
  formulaId: z.uuid(),
  startedAtMs: instant,
  endedAtMs: instant.nullable(),
  name: z.string(),
  pieces: z.number().int().nullable(),
  doughG: z.number().nullable(),
  lossPercent: z.number().nullable(),
  scores: outcomeSchema.shape.scores.nullable(),
  again: outcomeSchema.shape.again,
  words: z.string(),
  givenUp: z.string().nullable(),
  unreadableVersion: z.number().int().nullable(),
});

/** A line of the logbook. */
interface BakeLine extends Omit<BakeCard, 'stock' | 'says' | 'lots'> {
  readonly id: string;
  readonly formulaId: string;
  readonly startedAtMs: number;
}

export interface LogbookFilter {
  readonly formulaId: string | null;
  /** Bakes with this bag in them, also those under way: whoever recalls a bag wants them all. */
  readonly lot?: string | null;
  /** Words of a bake's name or of what was logged of it, or beginnings of them; all have to be there. */
  readonly words: readonly string[];
  readonly again: BakeCard['again'] | 'givenUp';
  /** Begun at this moment or later, and before that one. */
  readonly sinceMs?: number | null;
  readonly untilMs?: number | null;
  readonly score?: ScoreAsked | null;
  readonly told?: ToldAsked | null;
  readonly order: 'newest' | 'oldest';
  readonly after: BakePlace | null;
  readonly most: number;
}

export interface LogbookPage {
  readonly lines: BakeLine[];
  readonly setAside: SetAside[];
  readonly next: BakePlace | null;
}

/** The most characters of a bake's words that a list carries. */
const WORDS_SHOWN = 240;

/** Where it is counted what a bake told. */
const TOLD_IN = { cut: 'cuts > 0', rise: 'rises > 0', feel: 'feels > 0' } as const;

/** The statement for a filter: only what is asked for stands in it, so that each is served by an index of its own. */
export function logbookQuery(
  kitchenId: string,
  { formulaId, lot = null, words, again, sinceMs, untilMs, score, told, order, after, most }: LogbookFilter,
): { text: string; values: unknown[] } {
  const values: unknown[] = [kitchenId];
  const value = (given: unknown): string => `$${values.push(given)}`;
  const where: string[] = [];
  where.push(lot ? `and lots @> array[${value(lot)}]::text[]` : 'and ended_at is not null');
  if (formulaId) where.push(`and formula_id = ${value(formulaId)}`);
  if (words.length > 0) where.push(`and found @@ to_tsquery('simple', ${value(asQuery(words))})`);
  if (again === 'givenUp') where.push('and given_up is not null');
  else if (again) where.push(`and again = ${value(again)}`);
  if (typeof sinceMs === 'number') where.push(`and started_at >= ${value(new Date(sinceMs))}`);
  if (typeof untilMs === 'number') where.push(`and started_at < ${value(new Date(untilMs))}`);
  if (score) {
    const { name, least, most: highest } = score;
    const limit = least === null ? `<= ${value(highest)}` : `>= ${value(least)}`;
    where.push(`and (scores ->> ${value(name)})::float8 ${limit}`);
  }
  if (told) where.push(`and ${TOLD_IN[told]}`);
  if (after)
    where.push(
      `and (started_at, bake_id) ${order === 'newest' ? '<' : '>'} (${value(new Date(after.startedAtMs))}, ${value(after.id)}::uuid)`,
    );
  const conditions = where.join(' ');
  return {
    text: `select bake_id as id, formula_id as "formulaId", started_at as "startedAtMs", ended_at as "endedAtMs", name, pieces,
             dough_g as "doughG", loss_percent as "lossPercent", scores, again, left(words, ${WORDS_SHOWN}) as words,
             given_up as "givenUp", unreadable_version as "unreadableVersion"
           from bake_card where kitchen_id = $1 ${conditions}
           order by ${order === 'newest' ? 'started_at desc, bake_id desc' : 'started_at, bake_id'} limit ${value(most)}`,
    values,
  };
}

/** Words as beginnings of words, all of which have to be there; nothing in them is taken for an operator. */
const asQuery = (words: readonly string[]): string =>
  words.map((word) => `'${word.replace(/['\\]/g, ' ')}':*`).join(' & ');

/** Bakes that ended, a page at a time. */
export async function listLogbook(
  db: Queryable,
  kitchenId: string,
  filter: LogbookFilter,
): Promise<LogbookPage> {
  const { text, values } = logbookQuery(kitchenId, { ...filter, most: filter.most + 1 });
  const rows = await many(db, { text, row: cardRow }, values);
  const { rows: page, next } = pageOf(rows, filter.most);
  return {
    lines: page.flatMap(({ unreadableVersion, pieces, doughG, ...line }) =>
      unreadableVersion === null && pieces !== null && doughG !== null ? [{ ...line, pieces, doughG }] : [],
    ),
    setAside: page.flatMap(({ unreadableVersion: version, id, name }) =>
      version === null
        ? []
        : [{ kind: BAKE_PLAN.name, id, name: name || null, version, newer: version > BAKE_PLAN.version }],
    ),
    next,
  };
}
