'use client';
import { smallDoses, type BatchSheet } from '@/core/batch';
import { purposeOf } from '@/core/formula';
import { words } from '@/wording/screens/batch/HowItFits';
import { STAGE_WORD, STEP_WORD } from '@/wording/words';
import { useBook } from '../book/BookProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';

/** Parts that are made whole before there are several mixes: a gel, a sponge, a soaker. */
const madeBefore = ({ stages }: BatchSheet) =>
  stages
    .filter(({ kind }) => purposeOf({ kind }) === 'dough' && kind !== 'main' && kind !== 'late')
    .map(({ kind, name, lines }) => ({
      name: name || STAGE_WORD[kind],
      massG: lines.reduce((sum, line) => sum + line.massG, 0),
    }));

/** What this kitchen makes of the batch: in how many mixes and loads, why, and which doses its scales cannot show. Printed with the sheet. */
export function HowItFits({ sheet }: { sheet: BatchSheet }) {
  const units = useUnits();
  const numbers = useNumbers();
  const book = useBook();
  const doses = smallDoses(sheet, book);
  const { mixes, loads = [] } = sheet;
  if (!mixes && loads.length === 0 && doses.length === 0) return null;
  const kindOf = (stepId: string) => {
    const called = sheet.activities?.find((each) => each.stepId === stepId)?.id ?? stepId;
    return sheet.steps.find(({ id }) => id === called)?.kind ?? 'bake';
  };
  const nameOf = (wayId: string | null) => sheet.ways?.find((way) => way.wayId === wayId)?.name ?? null;
  return (
    <ul
      aria-label={words.howItFits}
      className="mt-3 space-y-1 border-t border-rule pt-2 text-sm"
      data-testid="how-it-fits"
    >
      {mixes && (
        <li>
          <strong>{words.mixes(mixes.count)}</strong>{' '}
          {words.ofUpTo(units.mass(sheet.doughG / mixes.count), units.mass(mixes.mostG))}
          {madeBefore(sheet).map(({ name, massG }) => (
            <span key={name}> {words.eachMixTakes(name, units.mass(Math.round(massG / mixes.count)))}</span>
          ))}
        </li>
      )}
      {loads.map(({ stepId, wayId, fits, by, loads: count }) => (
        <li key={`${wayId ?? ''} ${stepId}`}>
          <strong>
            {[
              nameOf(wayId),
              words.loads(wayId ? STEP_WORD[kindOf(stepId)].toLowerCase() : STEP_WORD[kindOf(stepId)], count),
            ]
              .filter(Boolean)
              .join(': ')}
          </strong>{' '}
          {fits === 0 ? words.noneFits : words.fits(fits, by)}
        </li>
      ))}
      {doses.map(({ lineId, name, exactG, stepG, offPercent, finerStepG, stock }) => (
        <li key={lineId} data-testid="small-dose">
          <strong>{words.dose(name, numbers.decimal(exactG, exactG < 1 ? 2 : 1))}</strong>{' '}
          {words.off(units.mass(stepG), numbers.decimal(offPercent, 0))}{' '}
          {stock &&
            words.stock({
              how: stock.how,
              name,
              dose: units.mass(stock.doseG),
              carrier: stock.carrierName.toLowerCase(),
              carrierMass: units.mass(stock.carrierG),
              take: units.mass(stock.takeG),
              less: units.mass(stock.lessCarrierG),
            })}{' '}
          {finerStepG !== null && words.finer(units.mass(finerStepG), stock !== null)}
        </li>
      ))}
    </ul>
  );
}
