'use client';
import { ArrowLeft } from 'lucide-react';
import type { AdviceResult, Explanation, TakenAdvice } from '@/core/advice';
import { CAUSE_WORD, VERDICT_WORD } from '@/wording/diagnosis';
import { words } from '@/wording/screens/advice/AdviceRecord';
import { QUESTION_WORDS } from '@/wording/tasting';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { useNumbers } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { useChangeWords } from './useChangeWords';

/** Advice that was taken after a bake, and what became of it. */
export interface AdviceLine {
  readonly bakeId: string;
  readonly name: string;
  readonly startedAtMs: number;
  readonly advice: TakenAdvice;
  readonly checkedBy: string | null;
  readonly result: AdviceResult;
  readonly cause: Explanation | null;
}

/** Fewer than this say nothing of how good advice is. */
const FEW = 5;

/** The record of advice in a kitchen: how often it was right, then each. */
export function AdviceRecord({ lines }: { lines: readonly AdviceLine[] }) {
  const checked = lines.filter(({ result }) => result.verdict !== 'open');
  const scores = checked.flatMap(({ result }) => result.scores);
  const told = lines.filter(({ cause }) => cause !== null);
  return (
    <>
      <KitchenLink href="/logbook" className="no-print inline-flex min-h-6 items-center gap-1 text-sm text-link underline">
        <ArrowLeft size={15} aria-hidden />
        {words.theLogbook}
      </KitchenLink>
      <h1 className="text-2xl sm:text-3xl">{words.title}</h1>
      <p className="text-soft">{words.lead}</p>
      {lines.length === 0 ? (
        <p className="docket mt-4 p-6">{words.nothing}</p>
      ) : (
        <div className="docket mt-4 rounded-b-md px-5 pt-4 pb-5">
          {checked.length > 0 && (
            <>
              <p className="figure text-4xl">{words.right(checked.filter(({ result }) => result.verdict === 'right').length, checked.length)}</p>
              <p className="text-soft">
                {words.inside(scores.filter(({ isInside }) => isInside).length, scores.length)}. {checked.length < FEW && words.few}
              </p>
            </>
          )}
          {told.length > 0 && <p className="text-soft">{words.confirmed(told.filter(({ advice, cause }) => advice.cause === cause).length, told.length)}</p>}
          <div className="mt-4 overflow-x-auto" tabIndex={0} role="group" aria-label={words.title}>
            <table className="stacks w-full border-collapse text-sm">
              <thead>
                <tr className="text-left text-soft">
                  {[words.bake, words.said, words.change, words.became].map((head) => (
                    <th key={head} scope="col" className="py-1 pr-3 font-semibold">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {lines.map((line) => (
                  <Line key={line.bakeId} line={line} />
                ))}
              </tbody>
            </table>
          </div>
        </div>
      )}
    </>
  );
} // prettier-ignore

function Line({ line }: { line: AdviceLine }) {
  const time = useKitchenTime();
  const numbers = useNumbers();
  const say = useChangeWords();
  const { bakeId, name, startedAtMs, advice, checkedBy, result, cause } = line;
  return (
    <tr className="border-t border-rule align-top">
      <th scope="row" className="py-2 pr-3 text-left font-normal">
        <KitchenLink href={`/logbook/${bakeId}`} className="text-link underline">
          {name}
        </KitchenLink>
        <span className="block text-soft">{time.day(startedAtMs)}</span>
      </th>
      <td data-of={words.said} className="py-2 pr-3">
        {CAUSE_WORD[advice.cause].name} {words.percent(numbers.decimal(100 * advice.probability, 0))}
        {cause !== null && <span className="block text-soft">{words.wasReally(CAUSE_WORD[cause].name)}</span>}
      </td>
      <td data-of={words.change} className="py-2 pr-3">{say(advice.change)}</td>
      <td data-of={words.became} className="py-2">
        <strong className={result.verdict === 'wrong' ? 'text-alarm' : ''}>{VERDICT_WORD[result.verdict]}</strong>{' '}
        {result.scores.map(({ question, was, now }) => `${QUESTION_WORDS[question].name} ${was === null ? '–' : numbers.decimal(was, 1)} → ${numbers.decimal(now, 1)}`).join(' · ')}
        {checkedBy && (
          <KitchenLink href={`/logbook/${checkedBy}`} className="ml-2 text-link underline">
            {words.nextBread}
          </KitchenLink>
        )}
      </td>
    </tr>
  );
} // prettier-ignore
