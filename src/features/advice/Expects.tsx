'use client';
import type { ExpectedScore } from '@/core/advice';
import { words } from '@/wording/screens/advice/NextChange';
import { QUESTION_WORDS } from '@/wording/tasting';
import { useNumbers } from '../preferences/PreferencesProvider';

/** What the next bread is to be expected to score: as it was, with nothing changed, and with the change. */
export function Expects({ expects, isSame }: { expects: readonly ExpectedScore[]; isSame: boolean }) {
  const numbers = useNumbers();
  if (expects.length === 0) return null;
  const score = (value: number) => numbers.decimal(value, 1);
  return (
    <table className="mt-3 w-full text-sm">
      <caption className="pb-1 text-left font-semibold">{words.expects}</caption>
      <thead>
        <tr className="text-soft">
          <td />
          <th scope="col" className="text-right font-normal">
            {words.was}
          </th>
          {!isSame && (
            <th scope="col" className="text-right font-normal">
              {words.unchanged}
            </th>
          )}
          <th scope="col" className="text-right font-normal">
            {isSame ? words.unchanged : words.changed}
          </th>
          <th scope="col" className="text-right font-normal">
            {words.eightOfTen}
          </th>
        </tr>
      </thead>
      <tbody>
        {expects.map(({ question, was, same, value, low, high }) => (
          <tr key={question} className="border-t border-rule align-baseline">
            <th scope="row" className="py-1 text-left font-normal">
              {QUESTION_WORDS[question].name}
            </th>
            <td className="text-right">{was === null ? '–' : score(was)}</td>
            {!isSame && <td className="text-right">{score(same)}</td>}
            <td className="figure text-right text-lg font-semibold">{score(value)}</td>
            <td className="text-right text-soft">{`${score(low)}–${score(high)}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
