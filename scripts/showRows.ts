/** ./crumb calibrate show [fast] [ID or group or style ...]: what the models say to rows of practice, now; fast: without ranges. */
import { covers, GIVEN_ROWS, inRange, keyOf, OWN_ROWS, seen } from '../tests/calibration/table';
import { TEN_DOUGHS } from '../tests/calibration/rows/tenDoughs';

const words = process.argv.slice(2);
const fast = words.includes('fast');
const ids = words.filter((word) => word !== 'fast' && !word.endsWith('.json'));
const rows = [...GIVEN_ROWS, ...OWN_ROWS, ...(ids.includes('ten') ? TEN_DOUGHS : [])].filter(
  ({ id, group, style }) =>
    ids.length === 0 || ids.some((each) => id === each || group === each || style === each),
);
const t0 = performance.now();
const all = seen(rows, !fast);
const f = (x: number | null, kind: string) =>
  x === null ? '-' : kind === 'time' ? (x / 60).toFixed(1) : x.toFixed(3);
for (const each of all) {
  const { row, answer } = each;
  console.log(
    `${inRange(each) ? ' ' : '✗'} ${row.sure} ${keyOf(each).padEnd(44)} ${answer.kind.padEnd(8)} ${f(answer.low, answer.kind)}-${f(answer.high, answer.kind)}`.padEnd(
      84,
    ) +
      ` ${f(each.value, answer.kind)} (${f(each.low, answer.kind)}-${f(each.high, answer.kind)}) ${(100 * covers(each)).toFixed(0)} %`,
  );
}
for (const sure of ['A', 'B', 'C'] as const)
  for (const [name, set] of [
    ['given', GIVEN_ROWS],
    ['own', OWN_ROWS],
  ] as const) {
    const mine = rows.filter((row) => set.includes(row) && row.sure === sure);
    const whole = mine.filter((row) => all.filter((each) => each.row === row).every(inRange));
    const answers = all.filter(({ row }) => mine.includes(row));
    if (mine.length)
      console.log(
        `${name} ${sure}: rows ${whole.length}/${mine.length}, answers ${answers.filter(inRange).length}/${answers.length}`,
      );
  }
console.log(
  `covered on average ${((100 * all.reduce((s, e) => s + covers(e), 0)) / all.length).toFixed(0)} %, ${((performance.now() - t0) / 1000).toFixed(1)} s`,
);
