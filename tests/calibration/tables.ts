import { FIGURE_NAMES, PRIORS } from '@/core/calibrated/priors';
import { FITTED } from '@/core/calibrated/fitted';
import { BANDS, BAND_ENDS } from '@/core/consistency/parameters';
import { colourOf } from '@/core/heat/colour';
import { markdownTable } from '../../scripts/findings';
import { counts, type StyleLeftOut, type Told } from './judge';

/** What one run of the calibration found, as it is kept in told.json; the tables of docs/models.md are made of it alone. */
export interface Calibration {
  readonly given: readonly Told[];
  readonly own: readonly Told[];
  readonly ten: readonly Told[];
  readonly leftOut: readonly StyleLeftOut[];
  readonly words: Readonly<Record<string, string>>;
}

const BAND_NAME = { crumbly: 'crumbly', stiff: 'stiff', soft: 'soft', sticky: 'sticky', thickBatter: 'thick batter', pourable: 'pourable' } as const; // prettier-ignore
const band = (s: number): string => BAND_NAME[BANDS.find((each) => s < BAND_ENDS[each]) ?? 'pourable'];
const COLOUR_NAME = { pale: 'pale', straw: 'straw', golden: 'golden', deepGolden: 'deep gold', brown: 'brown', dark: 'dark', burnt: 'burnt' } as const; // prettier-ignore
const colour = (index: number): string => COLOUR_NAME[colourOf(index)];
const between = (from: string, to: string): string => (from === to ? from : `${from}-${to}`);

/** A figure as one reads it: minutes or hours, per cent, a colour, a feel. */
function said(kind: Told['kind'], x: number): string {
  switch (kind) {
    case 'time':
      return x < 200
        ? `${x.toFixed(0)} s`
        : x < 3 * 3600
          ? `${(x / 60).toFixed(0)} min`
          : `${(x / 3600).toFixed(1)} h`;
    case 'share':
      return `${(100 * x).toFixed(1)} %`;
    case 'tempC':
    case 'degreesC':
      return `${x.toFixed(1)} °C`;
    case 'colour':
      return colour(x);
    default:
      return x.toFixed(2);
  }
}

function practiceSaid({ kind, practice: [low, high] }: Told): string {
  if (kind === 'feel') return between(band(low + 1e-6), band(high - 1e-6));
  if (kind === 'colour') return between(colour(low + 1e-6), colour(high - 1e-6));
  return `${said(kind, low).replace(/ [^ ]+$/, '')}-${said(kind, high)}`;
}
const modelSaid = ({ kind, value, low, high }: Told): string => {
  if (value === null) return 'cannot say';
  const words = kind === 'feel' ? `${band(value)} ${value.toFixed(2)}` : said(kind, value);
  if (low === null || high === null) return words;
  const range =
    kind === 'feel' ? `${low.toFixed(2)}-${high.toFixed(2)}` : between(said(kind, low), said(kind, high));
  return `${words} (${range})`;
};
const verdict = ({ inRange, farOff }: Told): string => (inRange ? '' : farOff ? 'far off' : 'out');

const rowsTable = (all: readonly Told[], words: Calibration['words']): string =>
  markdownTable(
    ['row', 'sure', 'what', 'practice', 'model (80 %)', ''],
    all.map((each) => [
      each.row,
      each.sure,
      `${words[each.row] ?? ''}: ${each.key.slice(each.row.length + 2)}`,
      practiceSaid(each),
      modelSaid(each),
      verdict(each),
    ]),
  );

const counted = (name: string, all: readonly Told[]): string[] => {
  const { rows, rowsIn, answers, answersIn } = counts(all);
  const share = (part: number, of: number) => `${part} of ${of}`;
  return [
    name,
    share(rowsIn, rows),
    share(answersIn, answers),
    String(all.filter(({ farOff }) => farOff).length),
  ];
};

/** Of the rows as a whole. */
const summary = ({ given, own, ten }: Calibration): string =>
  markdownTable(
    ['rows', 'every answer in range', 'answers in range', 'answers far off'],
    [
      ...(['A', 'B', 'C'] as const).map((sure) =>
        counted(
          `given, ${sure}`,
          given.filter((each) => each.sure === sure),
        ),
      ),
      counted('our own', own),
      counted('the ten doughs nothing was fitted to', ten),
    ],
  );

const leftOutTable = ({ leftOut }: Calibration): string => {
  const all = leftOut.reduce((sum, { answers }) => sum + answers, 0);
  const mean = (of: (style: StyleLeftOut) => number) =>
    leftOut.reduce((sum, style) => sum + of(style) * style.answers, 0) / all;
  const percent = (x: number) => `${(100 * x).toFixed(0)} %`;
  const inRange = leftOut.reduce((sum, style) => sum + style.inRange, 0);
  return markdownTable(
    ['style left out', 'answers', 'middle in range', 'practice covered', 'practice’s middle inside', 'width, of what it may be'],
    [
      ...leftOut.map(({ style, group, answers, inRange: inside, covered, middles, wide }) => [
        `${style} (${group})`, String(answers), String(inside), percent(covered), percent(middles), percent(wide),
      ]),
      ['all', String(all), String(inRange), percent(mean(({ covered }) => covered)), percent(mean(({ middles }) => middles)), percent(mean(({ wide }) => wide))],
    ],
  ); // prettier-ignore
};

const figure = (x: number): string => (Math.abs(x) < 1e-3 ? x.toExponential(2) : Number(x.toPrecision(4)).toLocaleString('en')); // prettier-ignore

const figuresTable = (): string =>
  markdownTable(
    ['figure', 'what it is', 'before', 'fitted', 'rows that speak for it'],
    FIGURE_NAMES.map((name) => {
      const { value, sd, log, means } = PRIORS[name];
      const doubt = (s: number) => (log ? `${(100 * s).toFixed(0)} %` : figure(s));
      const fitted = FITTED[name];
      return [
        name,
        means,
        `${figure(value)} ± ${doubt(sd)}`,
        fitted ? `${figure(fitted.value)} ± ${doubt(fitted.sd)}` : '–',
        fitted?.rows.slice(0, 6).join(', ') ?? '',
      ];
    }),
  );

/** The tables of docs/models.md that the calibration writes. */
export const CALIBRATION_TABLES: Readonly<Record<string, (found: Calibration) => string>> = {
  'practice summary': summary,
  'practice rows': ({ given, words }) => rowsTable(given, words),
  'practice own rows': ({ own, words }) => rowsTable(own, words),
  'practice left out': leftOutTable,
  'practice ten doughs': ({ ten, words }) => rowsTable(ten, words),
  'fitted figures': figuresTable,
};
