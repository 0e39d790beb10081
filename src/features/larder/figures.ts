import {
  energyKjPer100g,
  energySdKjPer100g,
  FIGURE_SPREADS,
  PARTS,
  saltSdPer100g,
  type Ingredient,
} from '@/core/ingredients';
import { Z80 } from '@/core/numeric';
import { degreesPerC, formatDecimal, formatTemperature, type TemperatureUnit } from '@/core/units';
import { GLUTEN_WORD, ALLERGEN_WORD } from '@/wording/allergens';
import { NUTRIENT_WORD } from '@/wording/nutrients';
import { words } from '@/wording/screens/larder/figures';

export interface Figure {
  readonly word: string;
  readonly text: string;
  /** For laying two beside one another: how far along this one is, 0 ... 1. */
  readonly share: number | null;
}

const spread = (value: number, sd: number, places = 1): string =>
  sd > 0
    ? `${formatDecimal(value, places)} ± ${formatDecimal(Z80 * sd, places)}`
    : formatDecimal(value, places);

/** Two ends and how far each may be off; a difference has no zero to be shifted by. */
const warmth = (fromC: number, toC: number, sdC: number, unit: TemperatureUnit): string =>
  `${fromC === toC ? '' : `${formatTemperature(fromC, unit)} – `}${formatTemperature(toC, unit)} ± ${formatDecimal(Z80 * sdC * degreesPerC(unit), 0)}`;

/** Every figure of an ingredient in the words of the larder, the ones a dough feels first on top. */
export function figuresOf(ingredient: Ingredient, unit: TemperatureUnit): Figure[] {
  const { absorption, gelatinisationC, usualShare, mostShare, per100g, smokePointC } = ingredient;
  const figures: (Figure | null)[] = [
    absorption && {
      word: words.absorbsGOfWaterPer,
      text: `${formatDecimal(absorption.gPerG.value, 2)} ± ${formatDecimal(Z80 * absorption.gPerG.sd, 2)}`,
      share: Math.min(1, absorption.gPerG.value / 15),
    },
    absorption && {
      word: words.fourFifthsOfItTaken,
      text: words.min(
        formatDecimal(absorption.tauMin * Math.log(5), 0),
        formatDecimal(Z80 * FIGURE_SPREADS.tauCv * absorption.tauMin * Math.log(5), 0),
      ),
      share: Math.min(1, absorption.tauMin / 40),
    },
    usualShare && {
      word: words.usualOfTheFlours,
      text: `${usualShare.from}–${usualShare.to} %${mostShare === null ? '' : words.atMost(mostShare)}`,
      share: null,
    },
    ...PARTS.map((part) => ({
      word: words.gIn100G(NUTRIENT_WORD[part]),
      text: spread(per100g[part].value, per100g[part].sd),
      share: per100g[part].value / 100,
    })),
    {
      word: words.saltGIn100G,
      text: spread(ingredient.saltPer100g, saltSdPer100g(ingredient), 2),
      share: null,
    },
    {
      word: words.energyKjIn100G,
      text: `${spread(energyKjPer100g(ingredient), energySdKjPer100g(ingredient), 0)} kJ, ${formatDecimal(energyKjPer100g(ingredient) / 4.184, 0)} kcal`,
      share: Math.min(1, energyKjPer100g(ingredient) / 3700),
    },
    {
      word: words.aMillilitreWeighsG,
      text:
        ingredient.densitySpooned === ingredient.densityScooped
          ? spread(ingredient.densitySpooned, FIGURE_SPREADS.liquidDensityCv * ingredient.densitySpooned, 2)
          : words.spoonedScooped(
              formatDecimal(ingredient.densitySpooned, 2),
              formatDecimal(ingredient.densityScooped, 2),
            ),
      share: Math.min(1, ingredient.densityScooped / 1.5),
    },
    gelatinisationC && {
      word: words.starchSwellsAndSetsAt,
      text: warmth(gelatinisationC.onset, gelatinisationC.peak, FIGURE_SPREADS.gelatinisationC, unit),
      share: null,
    },
    smokePointC === null
      ? null
      : {
          word: words.smokesAt,
          text: warmth(smokePointC, smokePointC, FIGURE_SPREADS.smokePointC, unit),
          share: Math.min(1, smokePointC / 260),
        },
    { word: words.gluten, text: GLUTEN_WORD[ingredient.gluten], share: null },
    {
      word: words.allergensAndWhatSomeAvoid,
      text: ingredient.allergens.map((allergen) => ALLERGEN_WORD[allergen]).join(', ') || words.noneKnown,
      share: null,
    },
  ];
  return figures.filter((figure) => figure !== null);
}
