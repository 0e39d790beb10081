/** Ids of a kitchen's own ingredients and blends; everything else is the library's. */
export const OWN_ID = /^own-[a-z0-9-]{1,56}$/;

export const isOwnId = (ingredientId: string): boolean => OWN_ID.test(ingredientId);
