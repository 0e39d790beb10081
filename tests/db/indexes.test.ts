import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { SCORES_ASKED } from '@/core/bake';
import { BAKES_AFTER, BAKES_BEFORE, TOLD } from '@/db/queries/advice';
import { logbookQuery } from '@/db/queries/logbookLines';
import {
  CUT_SIGNATURES,
  RISE_SIGNATURES,
  FELT_SIGNATURE,
  KITCHEN_RISE_SIGNATURE,
  UNDER_WAY_LIST,
} from '@/db/queries/bakeCards';
import { CUT_BAKES, FELT_BAKES, KITCHEN_RISEN_BAKES, RISEN_BAKES } from '@/db/queries/bakes';
import { COMPUTED_ANSWERS } from '@/db/queries/computedAnswers';
import { HEAD_REVISIONS } from '@/db/queries/formulas';
import { shelfQuery } from '@/db/queries/shelf';
import { importKitchen } from '@/server/importKitchen';
import { growKitchen } from '../../scripts/scale/bigKitchen';
import { testDatabase } from './testDatabase';

/** The versions of one kitchen's kit are few, and the one of a day is looked for among them. */
const ofKit = (node: Plan): boolean => node.Plans?.[0]?.['Relation Name'] === 'kitchen_kit';

interface Plan {
  'Node Type': string;
  'Relation Name'?: string;
  'Index Name'?: string;
  Plans?: Plan[];
}

test('every list is read along an index in its order, whatever the size of the kitchen', async () => {
  const big = await testDatabase();
  const client = await big.admin.connect();
  try {
    const demo: unknown = JSON.parse(await readFile('src/demo/larkspurLock.json', 'utf8'));
    const moved = await importKitchen({ pool: big.admin, newId: randomUUID }, demo);
    if (!moved.ok) throw new Error('the demo kitchen was refused');
    await growKitchen(big.admin, { bakes: 400, formulas: 40 });
    // a table that fits one page is read whole all the same: here it has to be seen which way there is
    await client.query('set enable_seqscan = off; set enable_sort = off; set enable_bitmapscan = off');
    const k = moved.value.id;
    const id = randomUUID();
    const bakes = {
      formulaId: null,
      words: [],
      again: null,
      order: 'newest' as const,
      after: null,
      most: 31,
    };
    const forms = { words: [], style: null, archived: false, order: 'name' as const, after: null, most: 31 };
    const place = { startedAtMs: Date.UTC(2026, 0, 1), id };
    const lists: Record<string, { text: string; values: unknown[] }> = {
      'bake_card_ended': logbookQuery(k, bakes),
      'bake_card_ended after': logbookQuery(k, { ...bakes, after: place }),
      'bake_card_ended narrowed': logbookQuery(k, { ...bakes, sinceMs: 0, untilMs: 1, score: SCORES_ASKED[1]!, told: 'cut' }),
      'bake_card_of_formula': logbookQuery(k, { ...bakes, formulaId: id, after: place }),
      'formula_on_shelf': shelfQuery(k, forms),
      'formula_on_shelf after': shelfQuery(k, { ...forms, words: ['x'], after: { name: 'm', id, lastBakedAtMs: 0 } }),
      'formula_in_archive': shelfQuery(k, { ...forms, archived: true }),
      'bake_card_risen': { text: RISEN_BAKES.text, values: [k, id, 12] },
      'bake_card_risen of a page': { text: RISE_SIGNATURES.text, values: [k, [id], 12] },
      'bake_card_cut': { text: CUT_BAKES.text, values: [k, id, 12] },
      'bake_card_cut of a page': { text: CUT_SIGNATURES.text, values: [k, [id], 12] },
      'bake_card_risen_at_all': { text: KITCHEN_RISEN_BAKES.text, values: [k, 24] },
      'bake_card_risen_at_all signature': { text: KITCHEN_RISE_SIGNATURE.text, values: [k, 24] },
      'bake_card_felt': { text: FELT_BAKES.text, values: [k, 60] },
      'bake_card_felt signature': { text: FELT_SIGNATURE.text, values: [k, 60] },
      'bake_under_way_newest': { text: UNDER_WAY_LIST.text, values: [k, 9] },
      'computed_answer_pkey': { text: COMPUTED_ANSWERS.text, values: [k, ['absorption']] },
      'formula_pkey': { text: HEAD_REVISIONS.text, values: [k, [id]] },
    }; // prettier-ignore
    for (const [name, { text, values }] of Object.entries(lists)) {
      const { rows } = await client.query<{ 'QUERY PLAN': [{ Plan: Plan }] }>(
        `explain (format json) ${text}`,
        values,
      );
      const nodes: Plan[] = [];
      const walk = (plan: Plan): void => {
        nodes.push(plan);
        plan.Plans?.forEach(walk);
      };
      walk(rows[0]!['QUERY PLAN'][0].Plan);
      const indexes = nodes.map((node) => node['Index Name']);
      expect({ name, indexes }).toEqual({
        name,
        indexes: expect.arrayContaining([name.split(' ')[0]]) as unknown,
      });
      expect({
        name,
        whole: nodes.filter(
          (node) => node['Node Type'] === 'Seq Scan' && node['Relation Name'] !== undefined,
        ),
      }).toEqual({ name, whole: [] });
      expect({
        name,
        sorts: nodes.filter((node) => /^Sort|Incremental/.test(node['Node Type']) && !ofKit(node)).length,
      }).toEqual({ name, sorts: 0 });
    }
    const told: Record<string, { text: string; values: unknown[] }> = {
      bake_event_told: { text: TOLD.text, values: [k, 300] },
      bake_card_of_formula: { text: BAKES_BEFORE.text, values: [k, id, new Date(0), id, 8] },
      bake_of_revision: { text: BAKES_AFTER.text, values: [k, id, 1, new Date(0), 5] },
    };
    await client.query('set enable_sort = on');
    for (const [name, { text, values }] of Object.entries(told))
      expect(JSON.stringify((await client.query(`explain ${text}`, values)).rows)).toContain(name);
    // words have an index of their own, and no order in it; so have bags. What was just written waits outside of it
    await client.query('vacuum (analyze) bake_card');
    await client.query('set enable_bitmapscan = on; set enable_sort = on');
    const { text, values } = logbookQuery(k, { ...bakes, words: ['gummy'] });
    const found = await client.query(`explain ${text}`, values);
    expect(JSON.stringify(found.rows)).toContain('bake_card_found');
    const recall = logbookQuery(k, { ...bakes, lot: 'own-bag' });
    await client.query('set enable_indexscan = off');
    expect(JSON.stringify((await client.query(`explain ${recall.text}`, recall.values)).rows)).toContain(
      'bake_card_lots',
    );
  } finally {
    client.release(true);
    await big.drop();
  }
});
