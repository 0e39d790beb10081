'use client';
import dynamic from 'next/dynamic';
import type { BatchLine, BatchSheet, Shift } from '@/core/batch';
import { makesDough } from '@/core/formula';
import { formatDecimal } from '@/core/units';
import { EaterChecks } from '../eaters/EaterChecks';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { BesideGramsChoice, useInMeasures } from '../measured/InMeasures';
import { HowItFits } from './HowItFits';
import { laterWords } from '../paper/laterWords';
import type { SliceFigures } from '@/core/slice';
import { PaperFoot } from '../paper/PaperFoot';
import { PaperMethod } from '../paper/PaperMethod';
import { PUT_BY_WORD, STAGE_WORD } from '@/wording/words';
import { patiently } from '@/ui/patiently';
import { words } from '@/wording/screens/batch/BatchSheetView';

/** Drawn when the page stands: nobody weighs by it. */
const ProcessLanes = dynamic(
  patiently(() => import('../process/ProcessLanes').then((module) => module.ProcessLanes)),
  { ssr: false },
);

function shiftWords(word: string, { exact, rounded }: Shift, places: number): string | null {
  if (exact === null || rounded === null) return null;
  const from = exact.toFixed(places);
  const to = rounded.toFixed(places);
  return from === to ? null : `${word} ${from} → ${to} %`;
}

/** What rounding to the scale did, in one sentence; that it did nothing is worth saying too. */
export function roundingWords({ rounding, stages }: BatchSheet): string {
  const shifts = [
    shiftWords('hydration', rounding.hydrationAll, 1),
    shiftWords('salt', rounding.salt, 2),
    shiftWords('binder', rounding.binder, 2),
  ].filter((words) => words !== null);
  const worstLine = stages.flatMap((stage) => stage.lines).find((line) => line.id === rounding.worst?.lineId);
  const worst =
    worstLine && rounding.worst && Math.abs(rounding.worst.percent) >= 2
      ? words.movedMostByAFiner(worstLine.name, formatDecimal(rounding.worst.percent, 1))
      : '';
  return shifts.length === 0
    ? words.roundedToTheScaleHydration(worst)
    : words.roundedToTheScale(shifts.join(', '), worst);
}

/** Less than this share of a piece is no piece, only a scrap. */
const SCRAP = 0.15;
/** From this share of the dough on it is worth a word that it stays unused, or is not there. */
const MUCH = 0.1;

/** What is left of the dough beside the whole pieces, or missing for them. */
export function leftOverWords({ pieces, usableDoughG }: BatchSheet, mass: (massG: number) => string): string {
  const { count, doughG, remainderG } = pieces;
  const shortG = count * doughG - usableDoughG;
  if (shortG > Math.max(1, 0.005 * usableDoughG))
    return words.thePiecesWantMoreDough(mass(shortG), mass(usableDoughG / count));
  if (remainderG < 1 || remainderG < 0.005 * usableDoughG) return words.nothingLeftOver;
  if (remainderG >= doughG) return words.ofTheDoughIsLeft(mass(remainderG));
  if (remainderG < SCRAP * doughG) return words.aScrapOfIsLeft(mass(remainderG));
  const much =
    remainderG > MUCH * usableDoughG ? words.ofTheDough(Math.round((100 * remainderG) / usableDoughG)) : '';
  return words.andASmallOneOf(mass(remainderG), much);
}

/** What a dough that parts makes: each bread with its pieces, one to a row. */
function WaysYield({ ways }: { ways: NonNullable<BatchSheet['ways']> }) {
  const units = useUnits();
  return (
    <ul data-testid="yield">
      {ways.map((way) => (
        <li key={way.wayId} className="flex flex-wrap items-baseline gap-x-2">
          <span className="figure text-4xl print:text-xl">{way.count}</span>
          <span className="font-head text-xl font-semibold print:text-base">× {units.mass(way.doughG)}</span>
          <span className="text-base">{way.name}</span>
          {way.putBy && (
            <span className="text-sm text-soft">
              {words.putBy(PUT_BY_WORD[way.putBy.as], way.putBy.days)}
            </span>
          )}
          {way.later && (
            <span className="w-full text-sm text-soft" data-testid="later">
              {words.onceTakenOut(laterWords(way.later, units.temperature))}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The same weight for each of several mixes is one row: so many times. */
function alike(lines: readonly BatchLine[]): readonly { readonly line: BatchLine; readonly times: number }[] {
  const rows: { line: BatchLine; times: number }[] = [];
  for (const line of lines) {
    const last = rows.at(-1);
    const same = last?.line.of && last.line.of.lineId === line.of?.lineId && last.line.massG === line.massG;
    if (same) last.times += 1;
    else rows.push({ line, times: 1 });
  }
  return rows;
}

/** What goes into one part, a row each. */
function Part({ stage }: { stage: BatchSheet['stages'][number] }) {
  const units = useUnits();
  const measured = useInMeasures();
  return (
    <section className="mt-4 break-inside-avoid print:mt-2">
      <h2 className="text-base">{stage.name || STAGE_WORD[stage.kind]}</h2>
      <table className="w-full border-collapse">
        <thead className="sr-only">
          <tr>
            <th scope="col">{words.ingredient}</th>
            <th scope="col">{words.weigh}</th>
          </tr>
        </thead>
        <tbody>
          {alike(stage.lines).map(({ line, times }) => (
            <tr key={line.id} className="border-t border-rule">
              <td className="py-1.5 pr-3 print:py-0">
                <span aria-hidden className="mr-2 hidden size-3 border border-ink print:inline-block" />
                {line.name}
                {measured(line) && (
                  <span className="ml-2 text-sm" data-testid="counts">
                    {measured(line)}
                  </span>
                )}
                {line.of && (
                  <span className="ml-2 text-sm text-soft">
                    {times > 1 ? words.forEachOf(times) : words.partOf(line.of.at, line.of.of)}
                  </span>
                )}
                {line.later && <span className="ml-2 text-sm text-soft">{words.anotherDay}</span>}
                {line.heldBack && <span className="ml-2 text-sm text-soft">{words.heldBack}</span>}
                {line.note && <span className="ml-2 text-sm text-soft">{line.note}</span>}
              </td>
              <td
                className="py-1 text-right whitespace-nowrap print:py-0"
                data-testid={`weigh-${line.ingredientId}`}
              >
                {times > 1 && <span className="mr-1 text-lg">{times} ×</span>}
                <span className="figure text-2xl print:text-base">{units.massShown(line.massG).number}</span>
                <span className="ml-1 text-sm text-soft">{units.massShown(line.massG).unit}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The sheet to weigh from. Prints as it stands. */
export function BatchSheetView({ sheet, slice = null }: { sheet: BatchSheet; slice?: SliceFigures | null }) {
  const numbers = useNumbers();
  const units = useUnits();
  const { pieces } = sheet;
  const dough = makesDough(sheet.stages);
  return (
    <section
      aria-label={words.toWeigh}
      className="docket max-w-3xl min-w-0 rounded-b-md px-4 pt-4 pb-4 sm:px-6 print:max-w-none print:px-0 print:pt-2 print:pb-0"
    >
      {sheet.ways ? (
        <WaysYield ways={sheet.ways} />
      ) : (
        <p data-testid="yield">
          <span className="figure text-5xl print:text-2xl">{pieces.count}</span>{' '}
          <span className="font-head text-2xl font-semibold">
            × {units.mass(pieces.doughG)}
            {dough && <span className="font-sans text-base font-normal text-soft">{words.ofDough}</span>}
          </span>
          {pieces.bakedG !== null && (
            <span className="ml-3 text-soft">{words.aboutBaked(units.mass(pieces.bakedG))}</span>
          )}
        </p>
      )}
      <p className="mt-1 text-sm text-soft">
        {words.inTotal(
          leftOverWords(sheet, units.mass),
          units.mass(sheet.doughG),
          dough,
          numbers.decimal(sheet.factor, 3),
        )}
      </p>
      <p className="mt-1 text-sm text-soft" data-testid="rounding">
        {numbers.mark(roundingWords(sheet))}
      </p>
      <HowItFits sheet={sheet} />
      <p className="no-print mt-2">
        <BesideGramsChoice />
      </p>
      <EaterChecks stages={sheet.stages} className="mt-3 border-t border-rule pt-2" />
      <div className="gap-6 print:columns-2">
        {sheet.stages.map((stage) => (
          <Part key={stage.id} stage={stage} />
        ))}
        <PaperMethod sheet={sheet} />
      </div>
      <ProcessLanes sheet={sheet} />
      <PaperFoot stages={sheet.stages} slice={slice} />
    </section>
  );
}
