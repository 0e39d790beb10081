import type { Ingredient } from '@/core/ingredients';
import type { Weighed, WeighingContext } from '@/core/quantity';
import type { Result } from '@/core/result';

type Reader = (text: string, ingredient: Ingredient | null, context: WeighingContext) => Result<Weighed>;
let reader: Reader | null = null;
let coming: Promise<void> | null = null;

/**
 * Fetches what reads "1 1/2 cups" and "2 large eggs"; a sheet opens without it, since most cells hold plain weights. Without a
 * network it fails, cells go on reading weights, and the next call tries again.
 */
export const loadQuantities = (): Promise<void> => {
  coming ??= import('@/core/quantity')
    .then((quantity) => {
      reader = quantity.parseQuantity;
    })
    .finally(() => {
      coming = null;
    });
  return coming;
};

/** For a cell's `later`: the reader on its way, null when it is there. Without a network it is waited for in vain, not for ever. */
export const quantitiesComing = (): Promise<void> | null =>
  reader ? null : loadQuantities().catch(() => undefined);

/** A quantity as somebody says it, null while the reader is not there yet. */
export const readQuantity: (...given: Parameters<Reader>) => ReturnType<Reader> | null = (
  text,
  ingredient,
  context,
) => (reader ? reader(text, ingredient, context) : null);
