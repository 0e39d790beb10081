import type pg from 'pg';
import { transaction } from './transaction';

/**
 * What the serving role may do with each table; nothing else, and nothing with a table that is not named here. Locking a row takes a
 * right to update some column of it: on the append-only tables that is one which their trigger refuses to change.
 */
const SERVING_RIGHTS: Readonly<Record<string, readonly string[]>> = {
  schema_migration: ['select'],
  installation: ['select'],
  kitchen: ['select', 'insert', 'update'],
  formula: ['select', 'insert', 'update'],
  formula_revision: ['select', 'insert'],
  bake: ['select', 'insert', 'update (request_id)'],
  bake_event: ['select', 'insert'],
  bake_photo: ['select', 'insert'],
  bake_forecast: ['select', 'insert'],
  taste_link: ['select', 'insert', 'update (withdrawn_at)'],
  kitchen_ingredient: ['select', 'insert'],
  kitchen_kit: ['select', 'insert'],
  kitchen_day: ['select', 'insert'],
  kitchen_life: ['select', 'insert'],
  kitchen_starters: ['select', 'insert'],
  kitchen_orders: ['select', 'insert'],
  instrument: ['select', 'insert', 'update (withdrawn_at)'],
  instrument_telling: ['select', 'insert', 'delete'],
  instrument_window: ['select', 'insert', 'update'],
  device_code: ['select', 'insert', 'update (wrong_guesses, used_at)'],
  device: ['select', 'insert', 'update (seen_at, withdrawn_at)'],
  bake_card: ['select', 'insert', 'update'],
  bake_under_way: ['select', 'insert', 'update', 'delete'],
  computed_answer: ['select', 'insert', 'update'],
};

/** Gives the serving role its rights, as the tables' owner. To be repeated after each migration. */
export async function grantServing(owner: pg.Pool, role: string): Promise<void> {
  if (!/^[a-z_]+$/.test(role)) throw new Error(`Not a role of ours: ${role}`);
  await transaction(owner, async (client) => {
    await client.query(`revoke all on all tables in schema public from ${role}`);
    for (const [table, rights] of Object.entries(SERVING_RIGHTS))
      await client.query(`grant ${rights.join(', ')} on ${table} to ${role}`);
    await client.query(`grant execute on function remove_kitchen(uuid) to ${role}`);
  });
}
