import { countOf } from './method/fields';

/** How many pieces, and how heavy each; null where nothing says. */
export interface RecipeYield {
  readonly pieces: number | null;
  readonly pieceMassG: number | null;
}

const THINGS =
  'loaf|loaves|rolls?|buns?|balls?|bagels?|rings?|pieces?|discs?|pizzas?|flats?|flatbreads?|naans?|tortillas?|wraps?|pitas?|knots?|doughnuts?|donuts?|baguettes?|batons?|sticks|muffins|crackers|crispbreads?|breads?|bases?|rounds?|portions?|servings?|cobs?|tins?';
const WORDS =
  'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fourteen|sixteen|twenty|a dozen';
const YIELD = new RegExp(
  String.raw`\b(\d{1,3}|${WORDS})(?:\s*(?:-|–|to)\s*\d{1,3})?\s+(?:(?:[\w-]+)\s+){0,3}?(?:${THINGS})\b`,
  'i',
);
const HEAVY = /\b(?:of )?(?:about |ca\.? )?(\d{2,4}) ?g\b/i;

/** "Flats x12", "batch of 12", "(6 x 110 g)". */
const COUNTED =
  /(?:(?<!\d ?)\bx ?|\bbatch of )(\d{1,3})\b(?! ?(?:g|cm|mm)\b)|\b(\d{1,3}) ?[x×] ?\d{2,4} ?g\b/i;
const TIMES_G = /\b\d{1,3} ?[x×] ?(\d{2,4}) ?g\b/i;

const OF_GRAMS = /\b(?:rolls|buns|balls|pieces|loaves|rings|flats) of (?:about )?(\d{2,4}) ?g\b/i;

/** What a recipe makes, from its own line ("Makes 8 rolls"), its title ("Two loaves"), or where the dough is divided. What it serves is no number of breads. */
export function yieldIn(
  title: string | null,
  yieldText: string | null,
  divided: RecipeYield,
  notes: readonly string[],
): RecipeYield {
  const counted = (text: string): number | null => {
    if (/\bserv|\bportions?\b/i.test(text)) return null;
    const found = /\bmakes (\d{1,3})\b/i.exec(text) ?? COUNTED.exec(text) ?? YIELD.exec(text);
    return found ? countOf((found[1] ?? found[2])!.toLowerCase()) : null;
  };
  const pieces = (yieldText && counted(yieldText)) ?? divided.pieces ?? (title && counted(title));
  const told = notes.map((note) => OF_GRAMS.exec(note)?.[1]).find(Boolean);
  const massG =
    divided.pieceMassG ??
    Number(HEAVY.exec(yieldText ?? '')?.[1] ?? TIMES_G.exec(title ?? '')?.[1] ?? told ?? 0);
  return { pieces: pieces || null, pieceMassG: massG || null };
}
