import type { Formula } from '../formula/formula';
import { allSteps } from '../formula/ways';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MethodStep } from '../method/step';
import { formatDecimal } from '../units/decimal';
import { formatDurationRange } from '../units/duration';
import { lossesOf, type Loss } from './loss';

const LOSES: readonly Loss[] = [
  'style',
  'usualYield',
  'percentBase',
  'partKinds',
  'stepDetails',
  'measured',
  'heldBack',
  'partFigures',
  'stepFields',
  'ways',
  'ownIngredients',
  'roundedGrams',
];

/** Words of ours inside somebody's markdown must stay words. */
const plain = (text: string): string => text.replace(/[\\`*_[\]<>|#]/g, '\\$&').replace(/\s*\n\s*/g, ' ');

/** One line of an ingredient as people write it; also what recipe exchange formats carry. */
export const ingredientText = (massG: number, name: string, note: string): string =>
  `${formatDecimal(massG, 2)} g ${name}${note ? `, ${note}` : ''}`;

export const stepText = (
  { kind, title, note, until, tempC, minS, maxS }: Formula['steps'][number],
  word: string,
): string =>
  [
    `${title || word || kind}${minS === null ? '' : ` ${formatDurationRange(minS, maxS)}`}${tempC === null ? '' : ` at ${formatDecimal(tempC, 1)} °C`}.`,
    until ? `Until ${until}.` : '',
    note,
  ]
    .filter(Boolean)
    .join(' ');

const numbered = (steps: Formula['steps'], stepWord: (kind: MethodStep['kind']) => string): string[] =>
  steps.length === 0
    ? []
    : ['', ...steps.map((step, index) => `${index + 1}. ${plain(stepText(step, stepWord(step.kind)))}`)];

/**
 * A formula to read, print or put into a notebook. The recipe reader reads it back.
 * @param stepWord what a kind of step is called
 */
export function writeFormulaMarkdown(
  formula: Formula,
  book: IngredientBook,
  stepWord: (kind: Formula['steps'][number]['kind']) => string,
): { text: string; losses: Loss[] } {
  const several = formula.stages.length > 1;
  const lines = [
    `# ${plain(formula.name)}`,
    '',
    '## Ingredients',
    ...formula.stages.flatMap((stage) => [
      '',
      ...(several ? [`### ${plain(stage.name || 'Part')}`, ''] : []),
      ...stage.lines.map(
        (line) =>
          `- ${plain(ingredientText(line.massG, book.get(line.ingredientId)?.name ?? line.ingredientId, line.note))}`,
      ),
    ]),
    ...(allSteps(formula).length > 0 ? ['', '## Method'] : []),
    ...numbered(formula.steps, stepWord),
    ...(formula.ways ?? []).flatMap((way) => [
      '',
      `### ${plain(way.name || 'Bread')}`,
      ...numbered(way.steps, stepWord),
    ]),
    ...(formula.about ? ['', '## Notes', '', ...formula.about.split('\n').map(plain)] : []),
  ];
  return { text: `${lines.join('\n')}\n`, losses: lossesOf(formula, LOSES) };
}
