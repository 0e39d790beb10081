import { actualTotals, stateOf, stepTimes, takenUpG, type BakeRecord } from '@/core/bake';
import type { IngredientBook } from '@/core/ingredients';
import { recordRows, type Forecast } from '@/core/record';
import { crustRgb, drawSlice, type SliceFigures } from '@/core/slice';
import { OCCASIONS, pooled, QUESTIONS } from '@/core/tasting';
import {
  formatDecimal,
  formatDuration,
  formatMass,
  formatTemperature,
  withMark,
  type DecimalMark,
  type MassUnit,
} from '@/core/units';
import { recordWords } from '@/wording/record';
import { words } from '@/wording/handOn';
import { OCCASION_WORD, QUESTION_WORDS } from '@/wording/tasting';
import { STEP_WORD } from '@/wording/words';

export interface HandOn {
  readonly bake: BakeRecord;
  readonly book: IngredientBook;
  readonly kitchen: { readonly name: string; readonly timeZone: string; readonly decimalMark: DecimalMark };
  readonly forecast: Forecast | null;
  readonly slice: SliceFigures | null;
  readonly pictures: readonly { readonly of: 'cut' | 'whole' | 'nextDay'; readonly jpeg: Buffer }[];
  readonly units: { readonly mass: MassUnit; readonly temperature: 'C' | 'F' };
}

const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
const text = (plain: string): string => plain.replace(/[&<>"']/g, (sign) => ENTITIES[sign]!);
const table = (heads: readonly string[], rows: readonly (readonly string[])[]): string =>
  rows.length === 0
    ? ''
    : `<table><thead><tr>${heads.map((head) => `<th scope="col">${text(head)}</th>`).join('')}</tr></thead><tbody>${rows.map(([head = '', ...cells]) => `<tr><th scope="row">${text(head)}</th>${cells.map((cell) => `<td>${text(cell)}</td>`).join('')}</tr>`).join('')}</tbody></table>`;
const part = (title: string, inside: string): string =>
  inside === '' ? '' : `<section><h2>${text(title)}</h2>${inside}</section>`;

const STYLE = `body{font:16px/1.45 Georgia,serif;color:#1d2421;background:#fff;max-width:46rem;margin:2rem auto;padding:0 1rem}h1{margin:0}h2{font-size:1.15rem;border-top:2px solid #1d2421;padding-top:.5rem;margin-top:1.6rem}table{border-collapse:collapse;width:100%}th,td{text-align:right;padding:.2rem .4rem;border-top:1px solid #d5dad5;font-weight:400;vertical-align:top}th:first-child{text-align:left}figure{margin:0;display:inline-block;width:48%;vertical-align:top}img,svg{max-width:100%;max-height:18rem}.soft{color:#5c665f}@media print{section{break-inside:avoid}}`;

/** The section as it was to be expected, as the page of a bake draws it. */
function sliceSvg(slice: SliceFigures): string {
  const { widthMm, heightMm, outline, crumb, pores } = drawSlice(slice, 600);
  const path = (points: readonly (readonly [number, number])[]) =>
    `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
  const holes = pores.map(
    ({ x, y, rx, ry, turn }) =>
      `<ellipse cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" rx="${rx.toFixed(2)}" ry="${ry.toFixed(2)}" transform="rotate(${turn.toFixed(0)} ${x.toFixed(1)} ${y.toFixed(1)})"/>`,
  );
  return `<svg viewBox="-1 -1 ${widthMm + 2} ${heightMm + 2}" role="img" aria-label="${text(words.expected)}"><linearGradient id="c" x1="0" y1="0" x2="0" y2="1"><stop offset=".25" stop-color="${crustRgb(slice.brownTop)}"/><stop offset=".8" stop-color="${crustRgb(slice.brownBase)}"/></linearGradient><path d="${path(outline)}" fill="url(#c)"/><path d="${path(crumb)}" fill="${crustRgb(0.05)}"/><g fill="#8d7448" fill-opacity=".55">${holes.join('')}</g></svg>`;
}

/**
 * One bake as a page of its own: one file without script, that asks no network for anything and cannot be changed from. What kitchens wrote is text in it,
 * whatever they wrote.
 */
export function handOnPage({ bake, book, kitchen, forecast, slice, pictures, units }: HandOn): string {
  const state = stateOf(bake);
  const mark = (plain: string) => withMark(plain, kitchen.decimalMark);
  const decimal = (value: number, places: number) => mark(formatDecimal(value, places));
  const mass = (massG: number) => mark(formatMass(massG, units.mass));
  const temperature = (tempC: number) => mark(formatTemperature(tempC, units.temperature));
  const day = new Intl.DateTimeFormat('en-GB', { timeZone: kitchen.timeZone, dateStyle: 'long' }).format(bake.startedAtMs);
  const record = recordWords({ decimal, temperature });
  const lines = [
    ...bake.sheet.stages.flatMap((stage) => stage.lines).map((line) => [line.name, mass(line.massG), state.weighed.has(line.id) ? mass(state.weighed.get(line.id)!.massG) : '–']),
    ...state.additions.map((addition) => [`${book.get(addition.ingredientId)?.name ?? addition.ingredientId}, ${words.extra}`, '–', mass(takenUpG(addition))]),
  ];
  const totals = actualTotals(bake.sheet, state, book);
  const tastings = OCCASIONS.flatMap((occasion) => {
    const together = pooled(state.tastings.values(), { occasion });
    return QUESTIONS.flatMap(({ id }) => {
      const all = together.get(id);
      return all ? [[`${QUESTION_WORDS[id].name}, ${OCCASION_WORD[occasion]}`, `${decimal(all.mean, 1)} ${words.ofFive}`, QUESTION_WORDS[id].steps[Math.round(all.mean) - 1] ?? '']] : [];
    });
  });
  const figures = [
    ...pictures.map(({ of, jpeg }) => `<figure><img alt="${text(words[of])}" src="data:image/jpeg;base64,${jpeg.toString('base64')}"><figcaption class="soft">${text(words[of])}</figcaption></figure>`),
    ...(slice ? [`<figure>${sliceSvg(slice)}<figcaption class="soft">${text(words.expected)}</figcaption></figure>`] : []),
  ];
  const inWords = [state.outcome?.words ?? '', ...state.notes.map((note) => note.text), ...[...state.tastings.values()].map((card) => card.words)].filter((each) => each.trim() !== '');
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'"><title>${text(bake.sheet.name)}</title><style>${STYLE}</style></head><body>
<h1>${text(bake.sheet.name)}</h1><p class="soft">${text(`${words.by(kitchen.name)}, ${day}, ${words.version(bake.revision)}`)}</p>
${figures.length > 0 ? `<section>${figures.join('')}</section>` : ''}
${part(words.record, table(['', words.planned, words.predicted, words.happened], recordRows(bake, state, forecast).map((row) => [record.name(row), row.planned === null ? '' : record.value(row.what, row.planned), row.predicted ? record.span(row.what, row.predicted) : '', row.happened ? record.seen(row.what, row.happened) : ''])))}
${part(words.tasted, table(['', '', ''], tastings))}
${part(words.weighed, `${table([words.ingredient, words.planned, words.actual], lines)}<p class="soft">${totals.hydrationAll === null ? '' : text(words.hydration(decimal(totals.hydrationAll, 1)))}</p>`)}
${part(words.steps, table(['', words.took], stepTimes(bake, state).map(({ step, tookS }) => [step.title || STEP_WORD[step.kind], formatDuration(60 * Math.round(tookS / 60))])))}
${part(words.said, inWords.map((each) => `<p>${text(each).replace(/\n/g, '<br>')}</p>`).join(''))}
<p class="soft">${text(words.madeBy)}</p></body></html>
`;
} // prettier-ignore
