import { writeFormulaFile } from '../src/core/formats';
import { readText } from '../src/core/formats/readText';
import { libraryBook } from '../src/core/ingredients';
import { MEASURE_SYSTEMS, type MeasureSystem } from '../src/core/quantity';
import { sheetOfRecipe } from '../src/core/recipe';
import { fail, fileIn } from './fileIn';

/**
 * `./crumb read FILE [measure=metric]`: a recipe as people write it in; out as JSON the formula file that follows, with the likeliest reading of
 * whatever is open, and the questions. No database. A refusal goes to standard error as JSON with code, path and params, and the exit code is 1.
 */
const { text, settings } = fileIn(`./crumb read FILE [measure=${MEASURE_SYSTEMS.join('|')}]`, 2_000_000);
let system: MeasureSystem = 'metric';
for (const setting of settings) {
  const [key = '', value = ''] = setting.split('=');
  const found = key === 'measure' ? MEASURE_SYSTEMS.find((each) => each === value) : undefined;
  if (!found) fail({ code: 'notAllowed', path: key, params: { one: MEASURE_SYSTEMS } });
  system = found;
}
/** The same text gives the same ids. */
function counter(letter: string): () => string {
  let next = 0;
  return () => `${letter}${(next += 1)}`;
}
const read = readText(await text(), libraryBook, system, counter('r'));
if (!read.ok) fail(read.problem);
if (read.value.as === 'ours') fail({ code: 'wrongFormat', path: 'file' });
const { reading } = read.value;
const sheet = sheetOfRecipe(reading, new Map(), libraryBook, counter('s'));
const items = reading.parts.flatMap((part) => part.items);
console.log(
  JSON.stringify(
    {
      format: 'honest-crumb.reading',
      version: 1,
      ...(sheet.formula.stages.some(({ lines }) => lines.length > 0) && {
        file: JSON.parse(writeFormulaFile(sheet.formula, [])) as object,
      }),
      questions: [
        ...items
          .filter(({ number }) => sheet.open.includes(number))
          .map(({ number, text, asks, candidates }) => ({
            about: 'line',
            line: number,
            text,
            asks,
            candidates,
          })),
        ...reading.stepAsks.map(({ stepId, about, written, readings }) => ({
          about: 'step',
          stepId,
          text: written,
          asks: [about],
          readings,
        })),
      ],
      slips: reading.contradictions,
      lines: reading.lines.map(({ number, role }) => ({ line: number, role })),
    },
    null,
    2,
  ),
);
