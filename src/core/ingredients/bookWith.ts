import { never, ok, refuse, type Result } from '../result';
import type { Composition, Estimate, Family, Ingredient, Lot, Role } from './ingredient';
import { isFlourBase } from './ingredient';
import type { IngredientBook } from './ingredientBook';
import { PARTS } from './entryLimits';
import { fromLot, lotOf, openLots } from './lots';
import type { BagEntry, BlendEntry, KitchenEntry, LotEntry, OwnEntry } from './kitchenEntrySchema';

const ownIngredient = ({ kind: _kind, ...entry }: OwnEntry): Ingredient => ({ ...entry, madeOf: null });

function bagIngredient(library: Ingredient, { bag, source, changes }: BagEntry): Ingredient {
  // a key set to undefined says nothing: only what the baker stated replaces the library's figure
  const stated = Object.fromEntries(Object.entries(changes).filter(([, value]) => value !== undefined));
  return {
    ...library,
    ...stated,
    // a bag may hold more than the library says, never less: egg stays egg whatever is ticked
    allergens: [...new Set([...library.allergens, ...(changes.allergens ?? [])])],
    source: [`Your bag: ${bag}.`, source, library.source].filter(Boolean).join(' '),
  };
}

const BLEND_FAMILY: Record<BlendEntry['role'], Family> = {
  flour: 'grainFlour',
  starter: 'culture',
  binder: 'binder',
  scald: 'grainFlour',
  inclusion: 'inclusion',
  flavour: 'seasoning',
};

/** A mixture's figures are the mass-weighted means of its parts'; volumes of powders are taken to add up. */
function blendIngredient(entry: BlendEntry, book: IngredientBook): Result<Ingredient> {
  const wholeG = entry.parts.reduce((sum, part) => sum + part.massG, 0);
  const parts: { ingredient: Ingredient; share: number }[] = [];
  for (const [index, { ingredientId, massG }] of entry.parts.entries()) {
    const ingredient = book.get(ingredientId);
    if (!ingredient) return refuse('unknownIngredient', `parts.${index}.ingredientId`, { ingredientId });
    parts.push({ ingredient, share: massG / wholeG });
  }
  const mean = (figure: (ingredient: Ingredient) => number) =>
    parts.reduce((sum, { ingredient, share }) => sum + share * figure(ingredient), 0);
  const estimate = (figure: (ingredient: Ingredient) => Estimate): Estimate => ({
    value: mean((ingredient) => figure(ingredient).value),
    sd: Math.sqrt(
      parts.reduce((sum, { ingredient, share }) => sum + (share * figure(ingredient).sd) ** 2, 0),
    ),
  });
  const per100g = Object.fromEntries(
    PARTS.map((component) => [component, estimate((ingredient) => ingredient.per100g[component])]),
  ) as unknown as Composition;
  const hasFlour = parts.some(({ ingredient }) => isFlourBase(ingredient));
  const roles: [Role, ...Role[]] =
    entry.role === 'starter'
      ? ['starter', 'leaven']
      : entry.role === 'scald'
        ? [hasFlour ? 'flour' : 'inclusion']
        : [entry.role === 'flour' && !hasFlour ? 'inclusion' : entry.role];
  const worst = ['processedWheatStarch', 'onlyIfCertified', 'crossContactCommon'] as const;
  return ok({
    id: entry.id,
    name: entry.name,
    alsoCalled: entry.alsoCalled,
    family: BLEND_FAMILY[entry.role],
    roles,
    per100g,
    saltPer100g: mean((ingredient) => ingredient.saltPer100g),
    densitySpooned: entry.densityGPerMl ?? 1 / mean((ingredient) => 1 / ingredient.densitySpooned),
    densityScooped: entry.densityGPerMl ?? 1 / mean((ingredient) => 1 / ingredient.densityScooped),
    absorption: null,
    gelatinisationC: null,
    // as much as the wild starters of the library
    usualShare: entry.role === 'starter' ? { from: 10, to: 40 } : null,
    mostShare: entry.role === 'starter' ? 80 : null,
    allergens: [...new Set(parts.flatMap(({ ingredient }) => ingredient.allergens))],
    gluten: worst.find((risk) => parts.some(({ ingredient }) => ingredient.gluten === risk)) ?? 'free',
    smokePointC: null,
    madeOf: parts.map(({ ingredient, share }) => ({ ingredientId: ingredient.id, share })),
    ...(entry.role === 'scald' && { scalded: true as const }),
    ...(entry.thirstCv !== undefined && { thirstCv: entry.thirstCv }),
    ...(entry.absorbs && { absorbs: entry.absorbs }),
    source: entry.source || 'Computed from its parts.',
  });
}

/**
 * Lays a kitchen's own ingredients, blends and bags over the library. Blends may hold blends in any order; one that would
 * contain itself, or that holds something unknown, is refused.
 *
 * @returns the book, or the problem with the path of the entry ("2.parts.0.ingredientId")
 */
export function bookWith(library: IngredientBook, entries: readonly KitchenEntry[]): Result<IngredientBook> {
  const book = new Map(library);
  const blends = new Map<string, { entry: BlendEntry; index: number }>();
  const lots: { entry: LotEntry; index: number }[] = [];
  const seen = new Set<string>();
  for (const [index, entry] of entries.entries()) {
    if (seen.has(entry.id)) return refuse('duplicateId', `${index}.id`, { id: entry.id });
    seen.add(entry.id);
    switch (entry.kind) {
      case 'own':
        book.set(entry.id, ownIngredient(entry));
        break;
      case 'bag': {
        const known = library.get(entry.id);
        if (!known) return refuse('unknownIngredient', `${index}.id`, { ingredientId: entry.id });
        book.set(entry.id, bagIngredient(known, entry));
        break;
      }
      case 'lot':
        lots.push({ entry, index });
        break;
      case 'blend':
        blends.set(entry.id, { entry, index });
        break;
      default:
        return never(entry);
    }
  }
  const open = openLots(lots.map(({ entry }) => entry));
  for (const { entry, index } of lots)
    if (!book.has(entry.of) && !blends.has(entry.of))
      return refuse('unknownIngredient', `${index}.of`, { ingredientId: entry.of });
  const withItsLots = (ingredient: Ingredient) => {
    const mine = lots.filter(({ entry }) => entry.of === ingredient.id);
    const named = mine.map(({ entry }): Lot => lotOf(entry, entry === open.get(ingredient.id)));
    book.set(ingredient.id, fromLot({ ...ingredient, lots: named }, named.find((each) => each.open) ?? null));
  };
  for (const id of new Set(lots.map(({ entry }) => entry.of))) {
    const plain = book.get(id);
    if (plain) withItsLots(plain);
  }
  const mix = (id: string, inside: readonly string[]): Result<null> => {
    const blend = blends.get(id);
    if (!blend || book.has(id)) return ok(null);
    if (inside.includes(id)) return refuse('cycle', `${blend.index}.parts`, { ingredientId: id });
    for (const part of blend.entry.parts) {
      const below = mix(part.ingredientId, [...inside, id]);
      if (!below.ok) return below;
    }
    const made = blendIngredient(blend.entry, book);
    if (!made.ok)
      return { ok: false, problem: { ...made.problem, path: `${blend.index}.${made.problem.path}` } };
    withItsLots(made.value);
    return ok(null);
  };
  for (const id of blends.keys()) {
    const mixed = mix(id, []);
    if (!mixed.ok) return mixed;
  }
  return ok(book);
}
