import { planDayFile } from '../src/core/planFile/planFile';
import { libraryBook } from '../src/core/ingredients';
import { fail, fileIn } from './fileIn';

/**
 * `./crumb plan FILE`: a day file in (docs/formats.md), the plan out as JSON: calls on the clock, when ovens are lit, what is late, why, and what would help. No
 * database. A refusal goes to standard error as JSON with code, path and params, and the exit code is 1.
 */
const { text } = fileIn('./crumb plan FILE', 8_000_000);
const planned = planDayFile(await text(), libraryBook);
if (!planned.ok) fail(planned.problem);
console.log(JSON.stringify(planned.value, null, 2));
