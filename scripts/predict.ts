import { readFormulaFile } from '../src/core/formats';
import { libraryBook } from '../src/core/ingredients';
import { ORDINARY_DAY, predict } from '../src/core/predict';
import { fail, fileIn } from './fileIn';

/**
 * `./crumb predict FILE [roomC=18 wantedC=26 ...]`: a formula in the open format in, everything the core can say of it out, as
 * JSON. No database. A refusal goes to standard error as JSON with code, path and params, and the exit code is 1.
 */
const { text, settings } = fileIn(
  './crumb predict FILE [roomC=21 fridgeC=5 wantedC=26 bowlG=800 mixing=machine mixMin=6 altitudeM=0 tapC=12 oven=static ovenOffsetC=0]',
  4_000_000,
);
const WORDS: Readonly<Record<string, readonly string[]>> = {
  mixing: ['hand', 'machine'],
  oven: ['static', 'fan', 'deck'],
};
const day: Record<string, number | string | null> = { ...ORDINARY_DAY };
for (const setting of settings) {
  const [key = '', value = ''] = setting.split('=');
  if (!(key in day)) fail({ code: 'notAllowed', path: key });
  const words = WORDS[key];
  if (words) {
    if (!words.includes(value)) fail({ code: 'notAllowed', path: key, params: { one: words } });
    day[key] = value;
  } else {
    const number = Number(value);
    if (value === '' || !Number.isFinite(number)) fail({ code: 'notANumber', path: key });
    day[key] = number;
  }
}
const read = readFormulaFile(await text(), libraryBook);
if (!read.ok) fail(read.problem);
console.log(
  JSON.stringify(
    predict(read.value.file.formula, read.value.book, day as unknown as typeof ORDINARY_DAY),
    // sixteen places would claim what no model knows
    (_, value: unknown) => (typeof value === 'number' ? Number(value.toPrecision(6)) : value),
    2,
  ),
);
