import { FORMULA } from '@/core/documents';
import { shortened } from '@/core/plainTextSchema';
import { checkFormula, type Formula } from '@/core/formula';
import { databaseFailure } from '@/db/errors';
import {
  findBranch,
  findByRequest,
  findFormula,
  findFormulaJson,
  findFormulaName,
  findRevision,
  insertRevision,
  listBranches,
  listRevisions,
  revisionSavedAt,
  lockHead,
  setArchived,
  setBranch,
  type FormulaHead,
  type FormulaRevision,
  type SavedRevision,
} from '@/db/queries/formulas';
import { scoresOfRevisions } from '@/db/queries/bakeCards';
import type { Queryable } from '@/db/rows';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

export const loadFormula = ({ pool, kitchen }: Context, id: string): Promise<FormulaHead | null> =>
  findFormula(pool, kitchen.id, id);

/** What a formula is called; null where there is none. */
export const formulaName = ({ pool, kitchen }: Context, id: string): Promise<string | null> =>
  findFormulaName(pool, kitchen.id, id);

/** A formula's head as JSON text. One of an older shape, or that cannot be read, goes the long way through the reader. */
export async function loadFormulaJson(context: Context, id: string): Promise<string | null> {
  const row = await findFormulaJson(context.pool, context.kitchen.id, id);
  if (!row || row.schemaVersion === FORMULA.version) return row?.json ?? null;
  return JSON.stringify(await loadFormula(context, id));
}

/** Revisions of a story that are read at once. */
export const STORY_PAGE = 60;

/** Revisions that are handed out at once. */
const REVISIONS_PAGE = 200;

/** The newest revisions below `before`, newest first. */
export const loadRevisions = async (
  { pool, kitchen }: Context,
  id: string,
  before: number | null = null,
): Promise<FormulaRevision[]> => (await listRevisions(pool, kitchen.id, id, REVISIONS_PAGE, before)).rows;

/**
 * Makes a formula with its first revision. Sent twice with the same request id it is made once, and the second sender is
 * told about the first.
 */
export async function createFormula(
  { pool, kitchen, book, now, newId }: Context,
  {
    requestId,
    formula,
    branch = null,
  }: { requestId: string; formula: Formula; branch?: { id: string; revision: number } | null },
): Promise<Done<SavedRevision>> {
  const problems = checkFormula(formula, await book());
  if (problems.length > 0) return invalid(...problems);
  const savedAt = now();
  const id = newId();
  // what a copy is of may have gone on meanwhile: a repetition is known by what it is a copy of
  const again = async (db: Queryable): Promise<Done<SavedRevision> | null> => {
    const found = await findByRequest(db, kitchen.id, requestId, branch ? null : formula);
    if (!found) return null;
    const { same, ...saved } = found;
    const from = branch ? await findBranch(db, kitchen.id, saved.id) : null;
    const meant = same && saved.revision === 1 && (!branch || from?.id === branch.id);
    return meant ? done(saved) : failed({ kind: 'otherContent' });
  };
  try {
    return await transaction(pool, async (client) => {
      const earlier = await again(client);
      if (earlier) return earlier;
      await insertRevision(client, { kitchenId: kitchen.id, id, number: 1, requestId, formula, savedAt });
      if (branch) await setBranch(client, kitchen.id, id, branch.id, branch.revision);
      return done({ id, revision: 1, savedAtMs: savedAt.getTime() });
    });
  } catch (error) {
    // both sendings were under way at once: the key let one through, and that one is the answer to both
    const earlier = databaseFailure(error) === 'duplicate' ? await again(pool) : null;
    if (earlier) return earlier;
    throw error;
  }
}

/**
 * Keeps the next revision of a formula, provided the writer had seen the newest (`seen`). A stale writer is told, and
 * nothing is overwritten. A repeated request gets its first answer again.
 */
export async function saveFormula(
  { pool, kitchen, book, now }: Context,
  { id, requestId, seen, formula }: { id: string; requestId: string; seen: number; formula: Formula },
): Promise<Done<SavedRevision>> {
  const problems = checkFormula(formula, await book());
  if (problems.length > 0) return invalid(...problems);
  return transaction(pool, async (client) => {
    // The lock comes first: a repetition that arrives while the first is under way waits here, then finds its answer.
    const head = await lockHead(client, kitchen.id, id);
    if (!head) return failed({ kind: 'notFound' });
    const earlier = await findByRequest(client, kitchen.id, requestId, formula);
    if (earlier) {
      const { same, ...saved } = earlier;
      const meant = same && saved.id === id && saved.revision === seen + 1;
      return meant ? done(saved) : failed({ kind: 'otherContent' });
    }
    if (head.head !== seen) {
      const savedAtMs = (await revisionSavedAt(client, kitchen.id, id, head.head)) ?? 0;
      return failed({ kind: 'stale', revision: head.head, savedAtMs });
    }
    const savedAt = now();
    const number = head.head + 1;
    await insertRevision(client, { kitchenId: kitchen.id, id, number, requestId, formula, savedAt });
    return done({ id, revision: number, savedAtMs: savedAt.getTime() });
  });
}

/**
 * A copy under its own name, starting its own history and remembering where it branched off: the newest revision, or the one
 * named.
 */
export async function duplicateFormula(
  context: Context,
  { id, requestId, revision, name }: { id: string; requestId: string; revision?: number; name?: string },
): Promise<Done<SavedRevision>> {
  const { pool, kitchen } = context;
  const head = await loadFormula(context, id);
  if (!head) return failed({ kind: 'notFound' });
  const number = revision ?? head.revision;
  const source = number === head.revision ? head : await findRevision(pool, kitchen.id, id, number);
  if (!source) return failed({ kind: 'notFound' });
  const formula = { ...source.formula, name: name ?? `${shortened(source.formula.name, 72)} (copy)` };
  return createFormula(context, { requestId, formula, branch: { id, revision: number } });
}

/** What the story of a formula tells: where it came from, its revisions, and what came out of it. */
export async function loadStory({ pool, kitchen }: Context, id: string, before: number | null) {
  const [branch, { rows, setAside }, branches, scores] = await Promise.all([
    findBranch(pool, kitchen.id, id),
    listRevisions(pool, kitchen.id, id, STORY_PAGE, before),
    listBranches(pool, kitchen.id, id),
    scoresOfRevisions(pool, kitchen.id, id),
  ]);
  const baked = new Map(scores.map(({ revision, ...each }) => [revision, each]));
  const revisions = rows.map((revision) => ({ ...revision, baked: baked.get(revision.number) ?? null }));
  const inAll = branches[0]?.inAll ?? 0;
  return {
    branch,
    revisions,
    branches: branches.map(({ inAll: _inAll, ...each }) => each),
    moreBranches: inAll - branches.length,
    setAside,
  };
}

/** Puts a formula away or brings it back; doing it twice is the same as once. */
export async function archiveFormula(
  { pool, kitchen, now }: Context,
  { id, archived }: { id: string; archived: boolean },
): Promise<Done<{ id: string }>> {
  const row = await setArchived(pool, kitchen.id, id, archived ? now() : null);
  return row ? done(row) : failed({ kind: 'notFound' });
}
