import * as z from 'zod';
import { CARD_DERIVATION, runningCardSchema, type BakeCard, type RunningCard } from '@/core/bake';
import { many, one, type Queryable } from '../rows';

const instant = z.date().transform((date) => date.getTime());

/** What of a bake's log is counted, so that lists can ask for it. */
export interface LogFigures {
  readonly lastSeq: number;
  /** Marks of a rise that were not taken back. */
  readonly rises: number;
  readonly feels: number;
  /** Pictures of its cut that are shown and were read. */
  readonly cuts: number;
}

export interface CardToSave extends LogFigures {
  readonly bakeId: string;
  readonly formulaId: string;
  readonly startedAtMs: number;
  readonly card: BakeCard | UnreadableCard;
}

/** Of a bake whose sheet cannot be read: what can still be said. */
export interface UnreadableCard {
  readonly endedAtMs: number | null;
  readonly name: string;
  readonly unreadableVersion: number;
}

/** Writes what lists show of a bake, in the place of what they showed. In the transaction of what changed it. */
export async function upsertCard(db: Queryable, kitchenId: string, stored: CardToSave): Promise<void> {
  const { card } = stored;
  const known = 'unreadableVersion' in card ? null : card;
  await db.query({
    name: 'card-upsert',
    text: `insert into bake_card (kitchen_id, bake_id, formula_id, started_at, ended_at, name, pieces, dough_g, loss_percent,
             scores, again, words, given_up, last_seq, rises, feels, unreadable_version, derivation, stock, says, lots, cuts)
           values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21, $22)
           on conflict (kitchen_id, bake_id) do update set ended_at = excluded.ended_at, name = excluded.name,
             pieces = excluded.pieces, dough_g = excluded.dough_g, loss_percent = excluded.loss_percent,
             scores = excluded.scores, again = excluded.again, words = excluded.words, given_up = excluded.given_up,
             last_seq = excluded.last_seq, rises = excluded.rises, feels = excluded.feels,
             unreadable_version = excluded.unreadable_version, derivation = excluded.derivation, stock = excluded.stock,
             says = excluded.says, lots = excluded.lots, cuts = excluded.cuts`,
    values: [
      kitchenId,
      stored.bakeId,
      stored.formulaId,
      new Date(stored.startedAtMs),
      card.endedAtMs === null ? null : new Date(card.endedAtMs),
      card.name,
      known?.pieces ?? null,
      known?.doughG ?? null,
      known?.lossPercent ?? null,
      known?.scores ? JSON.stringify(known.scores) : null,
      known?.again ?? null,
      known?.words ?? '',
      known?.givenUp ?? null,
      stored.lastSeq,
      stored.rises,
      stored.feels,
      'unreadableVersion' in card ? card.unreadableVersion : null,
      CARD_DERIVATION,
      JSON.stringify(known?.stock ?? []),
      known?.says ?? '',
      known?.lots ?? [],
      stored.cuts,
    ],
  });
}

/** What a bake under way shows, in the place of what it showed. */
export async function upsertUnderWay(
  db: Queryable,
  kitchenId: string,
  { bakeId, startedAtMs }: Pick<CardToSave, 'bakeId' | 'startedAtMs'>,
  card: RunningCard | null,
): Promise<void> {
  await db.query({
    name: 'under-way-in',
    text: `insert into bake_under_way (kitchen_id, bake_id, started_at, card) values ($1, $2, $3, $4)
           on conflict (kitchen_id, bake_id) do update set card = excluded.card`,
    values: [kitchenId, bakeId, new Date(startedAtMs), card && JSON.stringify(card)],
  });
}

export async function deleteUnderWay(db: Queryable, kitchenId: string, bakeId: string): Promise<void> {
  await db.query({
    name: 'under-way-out',
    text: 'delete from bake_under_way where kitchen_id = $1 and bake_id = $2',
    values: [kitchenId, bakeId],
  });
}

/** A bake under way in a list; no card: its sheet cannot be read. */
const underWayRow = z.object({ id: z.uuid(), startedAtMs: instant, card: runningCardSchema.nullable() });
export type BakeUnderWay = z.infer<typeof underWayRow>;

const UNDER_WAY = `select bake_id as id, started_at as "startedAtMs", card from bake_under_way where kitchen_id = $1`;

export const UNDER_WAY_LIST = {
  name: 'under-way',
  text: `${UNDER_WAY} order by started_at desc, bake_id desc limit $2`,
  row: underWayRow,
};
const UNDER_WAY_FURTHER = {
  name: 'under-way-further',
  text: `${UNDER_WAY} and (started_at, bake_id) < ($3, $4::uuid) order by started_at desc, bake_id desc limit $2`,
  row: underWayRow,
};

/** Where a page of bakes ends and the next begins: by time, then id, so that of two begun at one moment neither is lost. */
export interface BakePlace {
  readonly startedAtMs: number;
  readonly id: string;
}

/** What is under way, newest first, a page at a time. */
export async function listUnderWay(
  db: Queryable,
  kitchenId: string,
  { after, most }: { after: BakePlace | null; most: number },
): Promise<{ rows: BakeUnderWay[]; next: BakePlace | null }> {
  const found = after
    ? await many(db, UNDER_WAY_FURTHER, [kitchenId, most + 1, new Date(after.startedAtMs), after.id])
    : await many(db, UNDER_WAY_LIST, [kitchenId, most + 1]);
  return pageOf(found, most);
}

/** One more was asked for than a page holds: whether there is another page is known by that. */
export function pageOf<Row extends BakePlace>(
  found: readonly Row[],
  most: number,
): { rows: Row[]; next: BakePlace | null } {
  const rows = found.slice(0, most);
  const end = found.length > most ? rows.at(-1) : undefined;
  return { rows, next: end ? { startedAtMs: end.startedAtMs, id: end.id } : null };
}

/** Is any kitchen of this database baking? */
export const hasBakeUnderWay = async (db: Queryable): Promise<boolean> =>
  (
    await one(
      db,
      {
        text: `select exists (select 1 from bake_under_way where started_at > now() - interval '14 days') as under_way`,
        row: z.object({ under_way: z.boolean() }),
      },
      [],
    )
  ).under_way;

const signatureRow = z.object({ formulaId: z.uuid(), signature: z.string() });

/**
 * Of each formula the newest bakes in which a rise was marked, as a word that changes whenever one of them does; formulas without any
 * are not in it.
 */
export const RISE_SIGNATURES = {
  name: 'rise-signatures',
  text: `select f.id as "formulaId", string_agg(newest.bake_id || '.' || newest.last_seq, ' ') as signature
         from unnest($2::uuid[]) as f (id) cross join lateral (
           select bake_id, last_seq from bake_card where kitchen_id = $1 and formula_id = f.id and rises > 0 and ended_at is not null
           order by started_at desc, bake_id desc limit $3) newest
         group by f.id`,
  row: signatureRow,
};
/** The same of bakes of which a picture of the cut was read. */
export const CUT_SIGNATURES = {
  name: 'cut-signatures',
  text: RISE_SIGNATURES.text.replace('rises > 0', 'cuts > 0'),
  row: signatureRow,
};
const signaturesOf =
  (query: typeof RISE_SIGNATURES) =>
  async (
    db: Queryable,
    kitchenId: string,
    formulaIds: readonly string[],
    mostBakes: number,
  ): Promise<ReadonlyMap<string, string>> =>
    new Map(
      (await many(db, query, [kitchenId, formulaIds, mostBakes])).map(({ formulaId, signature }) => [
        formulaId,
        signature,
      ]),
    );
export const riseSignatures = signaturesOf(RISE_SIGNATURES);
export const cutSignatures = signaturesOf(CUT_SIGNATURES);

/** A word that changes with whatever is told to any log of a kitchen: logs only grow. Empty: it never baked. */
export const bakesSignature = async (db: Queryable, kitchenId: string): Promise<string> =>
  (
    await one(
      db,
      {
        name: 'bakes-signature',
        text: `select case when count(*) = 0 then '' else count(*) || '.' || sum(last_seq) end as signature from bake_card where kitchen_id = $1`,
        row: z.object({ signature: z.string() }),
      },
      [kitchenId],
    )
  ).signature;

/** The same of the newest bakes of a kitchen in which hands felt the dough; empty: in none. */
export const FELT_SIGNATURE = {
  name: 'felt-signature',
  text: `select coalesce(string_agg(newest.bake_id || '.' || newest.last_seq, ' '), '') as signature from (
           select bake_id, last_seq from bake_card where kitchen_id = $1 and feels > 0
           order by started_at desc, bake_id desc limit $2) newest`,
  row: z.object({ signature: z.string() }),
};

export const feltSignature = async (db: Queryable, kitchenId: string, mostBakes: number): Promise<string> =>
  (await one(db, FELT_SIGNATURE, [kitchenId, mostBakes])).signature;

/** The same of the newest bakes of a kitchen that ended and in which a rise was marked. */
export const KITCHEN_RISE_SIGNATURE = {
  name: 'kitchen-rise-signature',
  text: FELT_SIGNATURE.text.replace('feels > 0', 'rises > 0 and ended_at is not null'),
  row: FELT_SIGNATURE.row,
};

export const kitchenRiseSignature = async (
  db: Queryable,
  kitchenId: string,
  mostBakes: number,
): Promise<string> => (await one(db, KITCHEN_RISE_SIGNATURE, [kitchenId, mostBakes])).signature;

/** Bakes whose card is not there, or made by other rules: the ids of the first `most`. */
export const listWithoutCard = (db: Queryable, most: number) =>
  many(
    db,
    {
      text: `select b.kitchen_id as "kitchenId", b.id from bake b
             left join bake_card c on c.kitchen_id = b.kitchen_id and c.bake_id = b.id
             where c.derivation is distinct from $1 order by b.kitchen_id, b.id limit $2`,
      row: z.object({ kitchenId: z.uuid(), id: z.uuid() }),
    },
    [CARD_DERIVATION, most],
  );

/** Formulas in whose bakes a rise was marked (or a picture of the cut read), the most first, with the newest bakes that told. */
export const listTaughtFormulas = (
  db: Queryable,
  kitchenId: string,
  by: 'rises' | 'cuts',
  { most, mostBakes }: { readonly most: number; readonly mostBakes: number },
) =>
  many(
    db,
    {
      name: `taught-formulas-${by}`,
      text: `select formula_id as "formulaId", max(name) as name, (array_agg(bake_id order by started_at desc, bake_id desc))[1:$3] as "bakeIds"
             from bake_card where kitchen_id = $1 and ${by} > 0 and ended_at is not null
             group by formula_id order by count(*) desc, formula_id limit $2`,
      row: z.object({ formulaId: z.uuid(), name: z.string(), bakeIds: z.array(z.uuid()) }),
    },
    [kitchenId, most, mostBakes],
  );

const meanScore = z.number().nullable();
const bakedRow = z.object({
  revision: z.number().int(),
  bakes: z.number().int(),
  crumb: meanScore,
  crust: meanScore,
  chew: meanScore,
  flavour: meanScore,
});

/** Of each revision of a formula that was baked: how often to its end, and its mean scores; null where nobody gave one. */
export const scoresOfRevisions = (db: Queryable, kitchenId: string, formulaId: string) =>
  many(
    db,
    {
      name: 'scores-of-revisions',
      text: `select b.revision_number as revision, count(*)::int as bakes, ${[
        'crumb',
        'crust',
        'chew',
        'flavour',
      ]
        .map((score) => `avg((c.scores ->> '${score}')::float8) as ${score}`)
        .join(', ')}
             from bake_card c join bake b on b.kitchen_id = c.kitchen_id and b.id = c.bake_id
             where c.kitchen_id = $1 and c.formula_id = $2 and c.ended_at is not null and c.given_up is null
             group by b.revision_number`,
      row: bakedRow,
    },
    [kitchenId, formulaId],
  );
