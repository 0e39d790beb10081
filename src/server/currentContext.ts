import { after } from 'next/server';
import { randomUUID } from 'node:crypto';
import { cache } from 'react';
import { pool } from '@/db/pool';
import { firstKitchen, type KitchenRow } from '@/db/queries/kitchens';
import { kitchenClock } from './clock';
import { contextIn, type Context } from './context';

/**
 * The one place that says which kitchen is current. There are no accounts yet, so it is the only one there is. Asked anew each time:
 * a backup may have been restored meanwhile, and nothing of the kitchen before may be taken for this one.
 */
async function currentKitchen(): Promise<KitchenRow> {
  const kitchen = await firstKitchen(pool());
  if (!kitchen)
    throw new Error('There is no kitchen in this database; start the application with ./crumb start');
  return kitchen;
}

/** One for all parts of a page that is being made. */
export const currentContext = cache(async (): Promise<Context> =>
  contextIn(pool(), await currentKitchen(), {
    now: () => new Date(kitchenClock().nowMs()),
    newId: randomUUID,
    afterwards: (work) => after(work),
  }),
);
