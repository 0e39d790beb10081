import type { BakedAs } from './formulaSchema';
import { USUAL_SHAPE } from './usualShape';

/** Whatever calls itself a formula; nobody may have checked it yet. */
type Unchecked = Readonly<Record<string, unknown>>;

const textOf = (value: unknown): string => (typeof value === 'string' ? value.toLowerCase() : '');

/** "press to 28 cm": how far something is made to reach, not how far it rises, nor how far it stays from the rim. */
const ACROSS =
  /\bto (?:about |roughly )?(\d{1,3}) ?cm\b(?! (?:below|under|above|from|off|short|of the|thick|high|deep|tall))/;
const TOUCHING = /\b(?:touching|close on the tray|support each other)\b/;

/**
 * Reads what the words of a method say of a piece's shape into the field for it, once, at the edge: when a recipe is taken in, and when a
 * formula of the first versions is read, which were computed from those words each time. Only a step of shaping says how large; a
 * remark elsewhere says nothing.
 * @returns the formula, with `bakedAs` where it had none and the words say something
 */
export function sizeFromWords<F extends Unchecked>(formula: F): F & { bakedAs?: BakedAs } {
  const { bakedAs, style, steps } = formula as { bakedAs?: unknown; style?: unknown; steps?: unknown };
  const usual =
    typeof style === 'string' && style in USUAL_SHAPE ? USUAL_SHAPE[style as keyof typeof USUAL_SHAPE] : null;
  if (bakedAs !== undefined || usual === null || !Array.isArray(steps)) return formula;
  const read = (steps as unknown[]).map((step) => {
    const { kind, title, note } = (typeof step === 'object' && step !== null ? step : {}) as Record<
      string,
      unknown
    >;
    return { shapes: kind === 'shape', words: `${textOf(title)} ${textOf(note)}` };
  });
  const across = read.flatMap(({ shapes, words }) => (shapes ? (ACROSS.exec(words)?.[1] ?? []) : []))[0];
  const touching = usual === 'roll' && read.some(({ words }) => TOUCHING.test(words));
  const lengthCm =
    across !== undefined && usual !== 'tin' ? Math.min(120, Math.max(2, Number(across))) : null;
  if (!touching && lengthCm === null) return formula;
  const shape = touching ? 'touchingRolls' : usual;
  return { ...formula, bakedAs: { shape, lengthCm, widthCm: null, tin: null, perLoad: null } };
}
