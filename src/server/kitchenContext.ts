import { after } from 'next/server';
import { randomUUID } from 'node:crypto';
import { cache } from 'react';
import { pool } from '@/db/pool';
import { findKitchen, firstKitchen } from '@/db/queries/kitchens';
import { kitchenClock } from './clock';
import { contextIn, type Context } from './context';
import type { Installation } from './kitchens';

const now = () => new Date(kitchenClock().nowMs());

/** For what goes beyond one kitchen. */
export const installation = (): Installation => ({ pool: pool(), newId: randomUUID, now });

/** In the place of a kitchen's address: the oldest there is. What browsers wrote down before kitchens had addresses goes there. */
export const OLDEST = '-';

/**
 * The kitchen that an address names, one for all parts of a page that is being made; null: there is none. Asked anew each time: a backup
 * may have been restored meanwhile, and nothing of the kitchen before may be taken for this one.
 */
export const kitchenContext = cache(async (address: string): Promise<Context | null> => {
  const kitchen = address === OLDEST ? await firstKitchen(pool()) : await findKitchen(pool(), address);
  return (
    kitchen &&
    contextIn(pool(), kitchen, {
      now,
      newId: randomUUID,
      afterwards: (work) => after(work),
    })
  );
});
