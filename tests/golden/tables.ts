import type { Figures } from './compare';

/** The tables of docs/models.md, made of the golden figures: written by ./crumb golden renew, held by tests/golden.test.ts. */

/** The newest revision of each formula, in the order of the figures: `formulas.millet-tin 3`. */
function newest(figures: Figures): string[] {
  const latest = new Map<string, number>();
  for (const path of Object.keys(figures)) {
    const [, key, number] = /^formulas\.([\w-]+) (\d+)\.format$/.exec(path) ?? [];
    if (key) latest.set(key, Math.max(latest.get(key) ?? 0, Number(number)));
  }
  return [...latest].map(([key, number]) => `formulas.${key} ${number}`);
}

const whole = (value: number): string => Math.round(value).toLocaleString('en-GB');
const short = (value: number): string => (value < 10 ? value.toFixed(1) : whole(value));

/** "54 (46-60)"; an end that never comes is left open. */
function ranged(figures: Figures, path: string, of: (value: number) => string): string {
  const at = (end: string): string => {
    const value = figures[`${path}.${end}`];
    return typeof value === 'number' ? of(value) : '';
  };
  const middle = at('value');
  return middle === '' ? 'not in its time' : `${middle} (${at('low')}-${at('high')})`;
}

const minutes = (seconds: number): string => short(seconds / 60);
const percent = (share: number): string => whole(100 * share);
const more = (times: number): string => whole(100 * (times - 1));

const words = (camel: string): string => camel.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const widths = head.map((cell, column) => Math.max(cell.length, ...rows.map((row) => row[column]!.length)));
  const line = (cells: readonly string[]) =>
    `| ${cells.map((cell, column) => cell.padEnd(widths[column]!)).join(' | ')} |`;
  return [line(head), line(widths.map((width) => '-'.repeat(width))), ...rows.map(line)].join('\n');
}

export const TABLES = {
  /** What is baked, by the demo's own methods in an ordinary kitchen. */
  bakes: (figures: Figures): string =>
    table(
      ['formula', 'bakes', 'crumb set', 'to cut, after', 'loss %, hot', 'cooled', 'top / base', 'dominates'],
      newest(figures).map((at) => {
        const bake = `${at}.run.bake`;
        const word = (path: string) => words(String(figures[`${bake}.${path}`] ?? '–'));
        return [
          String(figures[`${at}.name`]),
          minutes(Number(figures[`${bake}.endS`])),
          ranged(figures, `${bake}.setAtS`, minutes),
          ranged(figures, `${at}.run.cool.cutAfterS`, minutes),
          ranged(figures, `${bake}.lostShare`, percent),
          ranged(figures, `${bake}.lostCooledShare`, percent),
          `${word('top.colour')} / ${word('base.colour')}`,
          word('dominant'),
        ];
      }),
    ),
  /** How the same doughs rise. */
  rises: (figures: Figures): string =>
    table(
      ['formula', 'ready', 'risen by, %', 'holds at most, %', 'past it', 'dominates'],
      newest(figures).map((at) => {
        const rise = `${at}.run.rise`;
        return [
          String(figures[`${at}.name`]),
          ranged(figures, `${rise}.wantedAtS`, minutes),
          ranged(figures, `${rise}.wantedRise`, more),
          ranged(figures, `${rise}.canHold`, more),
          ranged(figures, `${rise}.pastAtS`, minutes),
          words(String(figures[`${rise}.dominant`] ?? '–')),
        ];
      }),
    ),
} as const;
