'use client';
import { makesDough } from '@/core/formula';
import { wordCounts } from '@/wording/measured';
import { words } from '@/wording/screens/paper/FormulaPaper';
import { STAGE_WORD } from '@/wording/words';
import { PaperFoot } from '../paper/PaperFoot';
import { PaperMethod } from '../paper/PaperMethod';
import { useNameOf } from '../book/BookProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useSheetRun, useSheetState } from '../sheet/SheetContext';
import { useUsualBatch } from './useUsualBatch';

/** A formula on paper: weights and measures, the method with its boxes, what it contains, its slice. On no screen. */
export function FormulaPaper() {
  const formula = useSheetState((state) => state.formula);
  const { linePercent } = useSheetState((state) => state.totals);
  const batch = useUsualBatch();
  const run = useSheetRun();
  const units = useUnits();
  const numbers = useNumbers();
  const nameOf = useNameOf();
  const { besideGrams } = usePreferences().preferences;
  const made = batch?.ways
    ? batch.ways.map(({ name, count, doughG }) => `${name}: ${words.pieces(count, units.mass(doughG))}`)
    : batch
      ? [
          words.pieces(
            batch.pieces.count,
            units.mass(Math.round(batch.pieces.doughG)),
            makesDough(formula.stages),
          ),
        ]
      : [];
  return (
    <article className="hidden print:block" data-testid="formula-paper">
      <h1 className="text-2xl">{formula.name}</h1>
      {made.length > 0 && <p>{words.makes(made.join('; '))}</p>}
      {formula.about && <p className="mt-1 text-sm whitespace-pre-line">{formula.about}</p>}
      <div className="gap-6 print:columns-2">
        {formula.stages
          .filter(({ lines }) => lines.length > 0)
          .map((stage) => (
            <table key={stage.id} className="mt-2 w-full break-inside-avoid border-collapse text-sm">
              <caption className="text-left font-semibold">{stage.name || STAGE_WORD[stage.kind]}</caption>
              <thead className="sr-only">
                <tr>
                  <th scope="col">{words.ingredient}</th>
                  <th scope="col">{words.weight}</th>
                  <th scope="col">{words.percent}</th>
                </tr>
              </thead>
              <tbody>
                {stage.lines.map((line) => (
                  <tr key={line.id} className="border-t border-rule">
                    <td className="py-0.5 pr-2">
                      <span aria-hidden className="mr-2 inline-block size-3 border border-ink" />
                      {[
                        nameOf(line.ingredientId),
                        besideGrams !== 'nothing' &&
                          line.measured?.counts &&
                          wordCounts(line.measured.counts),
                        line.heldBack && words.heldBack,
                        line.note,
                      ]
                        .filter(Boolean)
                        .join(', ')}
                    </td>
                    <td className="w-24 py-0.5 text-right font-semibold">{units.mass(line.massG)}</td>
                    <td className="w-20 py-0.5 text-right">
                      {numbers.percent(linePercent.get(line.id) ?? null)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ))}
        {batch && <PaperMethod sheet={batch} />}
      </div>
      <PaperFoot stages={formula.stages} slice={run?.forecast?.slice ?? null} />
    </article>
  );
}
