import { never, type Problem, type ProblemCode } from '@/core/result';
import {
  degreesPerC,
  formatDecimal,
  formatDuration,
  formatMass,
  formatTemperature,
  heightNumber,
  lengthNumber,
  thicknessNumber,
  volumeNumber,
  withMark,
  type DecimalMark,
  type LengthUnit,
  type MassUnit,
  type TemperatureUnit,
} from '@/core/units';
import { FIELD_UNITS } from './fieldUnits';

/** In whose units, and with which mark before the tenths. */
interface Units {
  readonly massUnit: MassUnit;
  readonly temperatureUnit: TemperatureUnit;
  readonly lengthUnit: LengthUnit;
  readonly decimalMark: DecimalMark;
}

/** The field a problem is about: the last part of its path. */
const fieldOf = (path: string): string => path.split('.').at(-1) ?? '';

/** A limit in the unit of the field it belongs to. */
const amount = (path: string, value: number, units: Units): string =>
  withMark(plainAmount(path, value, units), units.decimalMark);

function plainAmount(path: string, value: number, units: Units): string {
  const metric = units.lengthUnit === 'cm';
  switch (FIELD_UNITS[fieldOf(path)]) {
    case 'percent':
      return `${value} %`;
    case 'mass':
      return formatMass(value, units.massUnit);
    case 'temperature':
      return formatTemperature(value, units.temperatureUnit);
    case 'warming':
      return `${formatDecimal(value * degreesPerC(units.temperatureUnit), 1)}°`;
    case 'duration':
      return formatDuration(value);
    case 'length':
      return `${lengthNumber(value, units.lengthUnit)} ${units.lengthUnit}`;
    case 'thickness':
      return `${thicknessNumber(value, units.lengthUnit)} ${metric ? 'mm' : 'in'}`;
    case 'height':
      return `${heightNumber(value, units.lengthUnit)} ${metric ? 'm' : 'ft'}`;
    case 'volume':
      return `${volumeNumber(value, units.lengthUnit)} ${metric ? 'l' : 'qt'}`;
    default:
      return String(value);
  }
}

/** Why a file is not taken for a photograph, and what to do. */
function wordNoPhoto(why: string): string {
  switch (why) {
    case 'heic':
      return 'This is a HEIC picture, as some phones save them. In the camera’s settings choose the most compatible format (JPEG), or share the picture as JPEG.';
    case 'large':
      return 'This file is larger than 20 MB. Take it at a smaller size, or save it as JPEG.';
    case 'pixels':
      return 'This picture has more pixels than I can take. Save it at a smaller size.';
    case 'broken':
      return 'This picture is damaged or was cut off on its way. Take it again, or send it again.';
    default:
      return 'This is no picture that I can read. JPEG, PNG and WebP work.';
  }
}

const text = (problem: Problem, key: string): string => String(problem.params?.[key] ?? '');

/** One refusal in plain words: what is wrong, and what would be right. */
export function wordProblem(problem: Problem, units: Units): string {
  const code: ProblemCode = problem.code;
  const limit = (key: 'min' | 'max') => amount(problem.path, Number(problem.params?.[key]), units);
  switch (code) {
    case 'required':
      return 'This needs a value.';
    case 'notANumber':
      return `That is not a number I can read. Try 12 or ${withMark('12.5', units.decimalMark)}.`;
    case 'notADuration':
      return 'Write a time like 45 min, 1 h 15 or 60–90 min.';
    case 'unknownUnit':
      return `I don’t know the unit “${text(problem, 'unit')}”.`;
    case 'tooSmall':
      return fieldOf(problem.path) === 'massG' && Number(problem.params?.min) < 1
        ? `At least ${limit('min')}. To leave it out, take the line away.`
        : `At least ${limit('min')}.`;
    case 'tooLarge':
      return `At most ${limit('max')}.`;
    case 'tooLong':
      return `Too long: ${text(problem, 'max')} letters at the most.`;
    case 'tooMany':
      return `That is as many as fit: ${text(problem, 'max')}.`;
    case 'notWhole':
      return 'Whole numbers only.';
    case 'notAllowed':
      return 'That is not one of the choices here.';
    case 'onlyLooks':
      return 'This device may only look on.';
    case 'unknownIngredient':
      return 'That ingredient is not in the book.';
    case 'unknownLine':
      return 'That line is no longer in the formula.';
    case 'unknownStage':
      return 'That part of the formula is no longer there.';
    case 'unknownWay':
      return 'That bread is no longer one of those the dough parts into.';
    case 'unknownStep':
      return 'That step is no longer in the method.';
    case 'unknownRung':
      return 'That is none of the breads of this ladder.';
    case 'unknownPhoto':
      return 'There is no such photograph with this bake.';
    case 'noPhoto':
      return wordNoPhoto(text(problem, 'why'));
    case 'noSlice':
      return 'I can’t find a slice in this picture. Lay the cut face on a plain board of another colour, straight from above, and let it fill most of the picture.';
    case 'unknownLot':
      return 'That bag is not written down for this ingredient.';
    case 'duplicateId':
      return 'Two things carry the same mark. Reload the page.';
    case 'onlyFlour':
      return 'The only flour is the whole of the 100 %. Change its weight, or add another flour.';
    case 'noFlour':
      return 'There is no flour or starch yet, so there is nothing to compute from.';
    case 'noShareWithoutFlour':
      return 'Percentages start with the first flour. Type a weight.';
    case 'tooWet':
      return `That makes the water ${text(problem, 'percent')} % of the flours; ${text(problem, 'max')} % is the most.`;
    case 'lastStage':
      return 'A formula keeps at least one part.';
    case 'cycle':
      return 'This mixture would contain itself.';
    case 'nothingToWeigh':
      return 'There is nothing in the formula to weigh yet.';
    case 'heavierThanBefore':
      return 'It can’t come out heavier than it went in.';
    case 'alreadyClosed':
      return 'This bake is closed.';
    case 'alreadyDone':
      return 'That was already done.';
    case 'notDoneYet':
      return 'That has not been done yet.';
    case 'timerRunning':
      return 'Its timer is already running.';
    case 'noTimer':
      return 'No timer is running for this step.';
    case 'rangeReversed':
      return 'The shorter time comes first.';
    case 'sumNot100':
      return `The parts come to ${text(problem, 'sum')} g; together they make 98 to 102 g of 100 g.`;
    case 'noReading':
      return 'I can’t read an amount there. Try 250 g, 1 1/2 cups, 2 large eggs or 12 %.';
    case 'notSolvable':
      return 'No amount of it gets there. Choose another, or change what it should be.';
    case 'tooDeep':
      return 'This file is nested deeper than any recipe.';
    case 'notText':
      return `This is not the kind of file it says it is${text(problem, 'line') ? `: line ${text(problem, 'line')}, column ${text(problem, 'column')}` : ''}.`;
    case 'formulaCell':
      return 'A cell begins like a spreadsheet formula. Open the file, make it plain text, and try again.';
    case 'wrongFormat':
      return 'This is not a file I know.';
    case 'wrongVersion':
      return `This file is of version ${text(problem, 'version')}; I know up to ${text(problem, 'max')}. Use a newer Honest Crumb.`;
    case 'otherContent':
      return 'This was sent before with something else in it. Reload the page and do it once more.';
    case 'control':
      return 'There is a hidden character in this text that can’t be saved. Type it rather than paste it.';
    default:
      return never(code);
  }
}
