'use client';
import { DAY_LIMITS } from '@/core/day/dayLimits';
import { shortOf, type DayNeeds } from '@/core/day/needs';
import { within } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/day/Needs';
import { bestUntil, PUT_BY_WORD } from '@/wording/words';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { useDayEdit, useDayValue, useDayWords } from './DayContext';

/** Everything to have in the house, summed, in the order in which it is wanted; what is made ahead first. */
export function NeedsList({ needs: { needs, ahead, batches, takeOut } }: { needs: DayNeeds }) {
  const say = useDayWords();
  const units = useUnits();
  const time = useKitchenTime();
  const { day: { have = [] } } = useDayValue();
  const short = shortOf({ needs }, have);
  if (needs.length + takeOut.length === 0) return null;
  return (
    <section className="mt-5" aria-labelledby="needs-title">
      <h2 id="needs-title" className="mb-1 text-lg">{words.title}</h2>
      {takeOut.length > 0 && (
        <ul className="mb-2" data-testid="take-out">
          {takeOut.map(({ batchId, pieces, as, atMs, isPast, bestByMs }) => (
            <li key={batchId} className="flex flex-wrap items-baseline gap-x-3">
              <span className="figure text-2xl">{say.at(atMs)}</span>
              <span>{words.takeOut(pieces, say.batch(batchId), PUT_BY_WORD[as])}</span>
              {isPast && <span className="text-sm font-semibold text-alarm">{bestUntil(time.dayAndYear(bestByMs), true)}</span>}
            </li>
          ))}
        </ul>
      )}
      {ahead.length > 0 && (
        <p className="mb-1 text-sm">
          <strong>{words.ahead}</strong>{' '}
          {ahead.map(({ batchId, name, massG, byMs }) => `${name} (${say.batch(batchId)}), ${units.mass(massG)}, ${words.by(say.at(byMs))}`).join('; ')}
        </p>
      )}
      {short.length > 0 && (
        <p className="mb-1 text-sm text-alarm" role="status" data-testid="to-get">
          <strong>{words.toGet}</strong> {short.map(({ name, massG }) => `${units.mass(massG)} ${name.toLowerCase()}`).join(', ')}
        </p>
      )}
      {needs.length > 0 && <table className="w-full border-collapse text-sm" data-testid="needs">
        <thead className="text-left text-xs text-soft"><tr><th className="pr-3 text-right font-normal">{words.howMuch}</th><th className="font-normal">{words.what}</th><th className="font-normal">{words.first}</th><th className="font-normal max-sm:hidden">{words.for}</th><th className="no-print pr-2 text-right font-normal">{words.there}</th></tr></thead>
        <tbody>
          {needs.map(({ ingredientId, name, massG, firstMs, batchIds, pastDate }) => (
            <tr key={ingredientId} className="border-b border-rule align-baseline">
              <td className="py-1 pr-3 text-right font-semibold whitespace-nowrap tabular-nums">{units.mass(massG)}</td>
              <td className="py-1 pr-3">{name}{pastDate && <span className="text-alarm"> {words.pastDate(pastDate)}</span>}{short.filter((each) => each.ingredientId === ingredientId).map((each) => <span key="short" className="whitespace-nowrap text-alarm"> {words.short(units.mass(each.massG))}</span>)}</td>
              <td className="py-1 pr-3 text-soft sm:whitespace-nowrap">{say.at(firstMs)}</td>
              <td className="py-1 text-soft max-sm:hidden">{batchIds.map(say.batch).join(', ')}</td>
              <td className="no-print w-28 py-0.5 text-right"><There ingredientId={ingredientId} name={name} /></td>
            </tr>
          ))}
        </tbody>
      </table>}
      <ul className="mt-4 grid gap-x-6 gap-y-3 sm:grid-cols-2 print:grid-cols-2" data-testid="amounts">
        {batches.map(({ batchId, firstMs, mixes, parts }) => (
          <li key={batchId} className="break-inside-avoid text-sm">
            <h3 className="text-base">{say.batch(batchId)} <span className="font-sans text-sm font-normal text-soft">{say.at(firstMs)}{mixes > 1 && `, ${words.mixes(mixes)}`}</span></h3>
            {parts.map((part) => (
              <p key={part.name}>
                {parts.length > 1 && <strong>{part.name}: </strong>}
                {part.lines.map((line) => `${units.mass(line.massG)} ${line.name.toLowerCase()}`).join(', ')}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
} // prettier-ignore

/** How much there is of one thing; empty: nobody looked. */
function There({ ingredientId, name }: { ingredientId: string; name: string }) {
  const { day } = useDayValue();
  const edit = useDayEdit();
  const units = useUnits();
  const { preferences } = usePreferences();
  const massG = day.have?.find((each) => each.ingredientId === ingredientId)?.massG ?? null;
  const tell = (mass: number | null) => void edit({ type: 'have', ingredientId, massG: mass });
  return (
    <Cell
      label={words.thereOf(name)}
      className="w-24"
      unit={units.massUnit}
      value={massG === null ? '' : units.massCell(massG)}
      placeholder="–"
      onType={(text) => {
        if (text.trim() === '') {
          tell(null);
          return null;
        }
        const typed = units.parseMass(text);
        const checked = typed.ok ? within(typed.value, DAY_LIMITS.haveG, 'massG') : typed;
        if (!checked.ok) return wordProblem(checked.problem, preferences);
        tell(checked.value);
        return null;
      }}
      restore={() => tell(massG)}
    />
  );
}
