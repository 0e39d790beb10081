'use client';
import type { Proposal } from '@/core/adjust';
import type { Result } from '@/core/result';
import { Button } from '@/ui/Button';
import { useNameOf } from '../../book/BookProvider';
import { EaterChecks } from '../../eaters/EaterChecks';
import { useNumbers, usePreferences, useUnits } from '../../preferences/PreferencesProvider';
import { BAND_WORD } from '@/wording/bands';
import { wordProblem } from '@/wording/problems';
import { useSheetActions } from '../../sheet/SheetContext';
import { words } from '@/wording/screens/formula/tools/Proposed';

/** What would change, line by line, and what the dough becomes; one press does it, one undo takes it back. */
export function Proposed({ proposed, onDone }: { proposed: Result<Proposal>; onDone: () => void }) {
  const numbers = useNumbers();
  const { edit } = useSheetActions();
  const units = useUnits();
  const nameOf = useNameOf();
  const { preferences } = usePreferences();
  if (!proposed.ok) {
    return (
      <p role="alert" className="mt-4 text-alarm">
        {wordProblem(proposed.problem, preferences)}
      </p>
    );
  }
  const { formula, changes, before, after, without } = proposed.value;
  return (
    <div className="mt-4 border-t border-rule pt-3">
      {changes.length === 0 ? (
        <p className="text-soft">{words.nothingHasToChange}</p>
      ) : (
        <table className="w-full text-sm" data-testid="changes">
          <tbody>
            {changes.map(({ ingredientId, fromG, toG }) => (
              <tr key={ingredientId} className="border-t border-rule first:border-0">
                <th scope="row" className="py-1 text-left font-medium">
                  {nameOf(ingredientId)}
                </th>
                <td className="text-right tabular-nums text-soft">
                  {fromG > 0 ? units.mass(fromG) : words.newWord}
                </td>
                <td className="w-6 text-center text-soft">→</td>
                <td className="figure text-right text-lg">{toG > 0 ? units.mass(toG) : words.out}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {without.length > 0 && (
        <p className="mt-2 text-sm text-alarm">
          {words.nothingIsKnownToStand(without.map((id) => nameOf(id).toLowerCase()).join(', '))}
        </p>
      )}
      <EaterChecks stages={formula.stages} className="mt-2 border-t border-rule pt-2" />
      <p className="mt-2 text-sm text-soft">
        {words.afterItsRest(
          BAND_WORD[before.rested.band].name.toLowerCase(),
          numbers.decimal(before.rested.s, 2),
        )}
        <strong className="text-ink">{BAND_WORD[after.rested.band].name.toLowerCase()}</strong> (
        {numbers.decimal(after.rested.s, 2)}, {numbers.decimal(after.rested.low, 2)}–
        {numbers.decimal(after.rested.high, 2)})
      </p>
      <Button
        look="strong"
        className="mt-3 min-h-11 px-5"
        disabled={changes.length === 0}
        onClick={() => {
          edit({ type: 'bringBack', formula });
          onDone();
        }}
      >
        {words.apply}
      </Button>
    </div>
  );
}
