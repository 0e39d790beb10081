'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { TakenAdvice } from '@/core/advice';
import type { BakeAction, BakeRecord, BakeState } from '@/core/bake';
import { changedBetween, withChange, type Advice, type Advised } from '@/core/diagnosis';
import type { Formula } from '@/core/formula';
import type { Problem } from '@/core/result';
import { formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { VERDICT_WORD } from '@/wording/diagnosis';
import { words } from '@/wording/screens/advice/NextChange';
import { QUESTION_WORDS } from '@/wording/tasting';
import { STEP_WORD } from '@/wording/words';
import { useBook, useNameOf } from '../book/BookProvider';
import { KitchenLink, useKitchen, useMay } from '../kitchen/KitchenProvider';
import { batchAgain } from '../again/batchAgain';
import { useNextVersion } from '../again/useNextVersion';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { Causes } from './Causes';
import { Expects } from './Expects';
import { TellApart } from './TellApart';
import { useChangeWords } from './useChangeWords';
import { useAdvice, type AdviceAnswer, type BakedFormula } from './useAdvice';

interface NextChangeProps {
  readonly bake: BakeRecord;
  readonly state: BakeState;
  readonly tap: (action: BakeAction) => Problem | null;
  /** All that was said here is on the server. */
  readonly isSent: boolean;
}

/** What most likely happened, and the one change for the next time; later, whether that was right. */
export function NextChange({ bake, state, tap, isSent }: NextChangeProps) {
  // what the server does not have yet it cannot go by
  const { found, askAgain } = useAdvice(bake.id, isSent ? String(state.lastSeq) : 'waiting');
  return (
    <section aria-labelledby="next-title" className="docket rounded-b-md px-5 pt-4 pb-5" data-testid="next-change">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 id="next-title" className="text-xl">
          {words.whatNext}
        </h2>
        <KitchenLink href="/logbook/advice" className="no-print inline-flex min-h-6 items-center text-sm text-link underline">
          {words.record}
        </KitchenLink>
      </div>
      {found === 'asking' ? (
        <p role="status" className="mt-2 text-soft">
          {words.looking}
        </p>
      ) : found === 'away' ? (
        <p role="alert" className="mt-2 flex items-center gap-3 text-alarm">
          {words.cannotAsk} <Button onClick={askAgain}>{words.askAgain}</Button>
        </p>
      ) : (
        <>
          {state.advice && <Taken advice={state.advice} checked={found.checked} />}
          {found.advised ? (
            <Found bake={bake} state={state} tap={tap} advised={found.advised} baked={found.baked} />
          ) : (
            <p className="mt-2 text-soft">{words.nothingToSay}</p>
          )}
        </>
      )}
    </section>
  );
} // prettier-ignore

/** What was taken of it before, and what became of that. */
function Taken({ advice, checked }: { advice: TakenAdvice & { atMs: number }; checked: AdviceAnswer['checked'] }) {
  const time = useKitchenTime();
  const numbers = useNumbers();
  const { verdict, scores } = checked?.result ?? { verdict: 'open' as const, scores: [] };
  return (
    <p className="mt-2 rounded border border-edge bg-surface px-3 py-2">
      {words.taken(time.day(advice.atMs), advice.revision)} <strong>{VERDICT_WORD[verdict]}</strong>{' '}
      {scores
        .map(({ question, was, now }) =>
          words.nowIs(QUESTION_WORDS[question].name, was === null ? '–' : numbers.decimal(was, 1), numbers.decimal(now, 1)),
        )
        .join(' · ')}
    </p>
  );
} // prettier-ignore

type FoundProps = Omit<NextChangeProps, 'isSent'> & { advised: Advised; baked: BakedFormula | null };

function Found({ bake, state, tap, advised, baked }: FoundProps) {
  const { enough, likely, tell, advice } = advised;
  if (advised.wasGood)
    return (
      <p className="mt-2">
        {words.wasGood}{' '}
        <KitchenLink href={batchAgain(bake)} className={buttonClass('plain', 'table', 'no-print ml-2 min-h-10')}>
          {words.planBatch}
        </KitchenLink>
      </p>
    );
  return (
    <>
      {enough && advice && baked && (
        <TheChange bake={bake} tap={tap} advised={advised} advice={advice} baked={baked} isTaken={state.advice !== null} />
      )}
      {enough && !advice && <p className="mt-2 text-soft">{words.noScores}</p>}
      {!enough && (
        <p className="mt-2">
          {words.notEnough}{' '}
          <KitchenLink href={`/logbook/${bake.id}/taste`} className={buttonClass('plain', 'table', 'no-print ml-2 min-h-10')}>
            {words.tasteIt}
          </KitchenLink>
        </p>
      )}
      {enough && <Causes likely={likely} seen={advised.seen} told={state.cause} onTell={(cause) => tap({ type: 'causeTold', cause })} />}
      {enough && tell && <TellApart tell={tell} />}
    </>
  );
} // prettier-ignore

const MOST_LINES = 4;
/** Less likely than this to help is hardly better than chance. */
const WEAK = 0.6;

/** What of a formula is otherwise with the change. */
function Becomes({ before, after }: { before: Formula; after: Formula }) {
  const nameOf = useNameOf();
  const units = useUnits();
  const { lines, steps } = changedBetween(before, after);
  return (
    <ul className="mt-1">
      {lines.slice(0, MOST_LINES).map(({ ingredientId, fromG, toG }, index) => (
        <li key={index}>
          {nameOf(ingredientId)}: <strong>{words.insteadOf(units.mass(toG), units.mass(fromG))}</strong>
        </li>
      ))}
      {steps.slice(0, MOST_LINES).map((step, index) => (
        <li key={index}>
          {step.title || STEP_WORD[step.kind]}:{' '}
          <strong>
            {step.fromC !== step.toC && step.toC !== null
              ? words.insteadOf(units.temperature(step.toC), step.fromC === null ? '–' : units.temperature(step.fromC))
              : words.insteadOf(formatDuration(step.toS ?? 0), step.fromS === null ? '–' : formatDuration(step.fromS))}
          </strong>
        </li>
      ))}
    </ul>
  );
} // prettier-ignore

interface TheChangeProps {
  bake: BakeRecord;
  tap: (action: BakeAction) => Problem | null;
  advised: Advised;
  advice: Advice;
  baked: BakedFormula;
  isTaken: boolean;
}

/** The change itself, as large as what a baker came for, with what it does to the formula and to the bread. */
function TheChange({ bake, tap, advised, advice, baked, isTaken }: TheChangeProps) {
  const router = useRouter();
  const kitchen = useKitchen();
  const book = useBook();
  const may = useMay();
  const numbers = useNumbers();
  const say = useChangeWords();
  const { saving, save } = useNextVersion(words);
  const { change, better, expects } = advice;
  const isSame = change.kind === 'sameAgain';
  const changed = useMemo(
    () =>
      withChange(baked.formula, change, book, {
        firmS: advised.firmAfterS,
        doughC: advised.doughC,
        id: `cool-${bake.id.slice(0, 8)}`,
      }),
    [advised, baked.formula, bake.id, book, change],
  );
  const take = async () => {
    const [first] = advised.likely;
    if (!first) return;
    const wish = JSON.stringify(change);
    const revision = isSame
      ? bake.revision
      : await save({ formulaId: bake.formulaId, head: baked.head, formula: changed, wish });
    if (revision === null) return;
    tap({ type: 'advised', advice: { cause: first.cause, probability: Math.min(1, first.probability), change, revision, expects: [...expects] } });
    router.push(kitchen.page(batchAgain(bake)));
  };
  return (
    <div className="mt-2">
      <p className="font-head text-2xl leading-tight sm:text-3xl" data-testid="the-change">
        {say(change)}
      </p>
      <Becomes before={baked.formula} after={changed} />
      {isSame && <p className="mt-1">{words.weighAsWritten}</p>}
      <Expects expects={expects} isSame={isSame} />
      {better !== null && <p className="mt-1 text-sm text-soft">{words.better(`${numbers.decimal(100 * better, 0)} %`)} {better < WEAK && words.weak}</p>}
      {!isSame && baked.head !== bake.revision && <p className="mt-1 text-sm text-soft">{words.wentOn(bake.revision, baked.head)}</p>}
      {typeof saving === 'object' && (
        <p role="alert" className="mt-2 text-alarm">
          {saving.reason}
        </p>
      )}
      {may === 'all' && !isTaken && (
        <Button look="now" size="bench" className="no-print mt-3 w-full" disabled={saving === 'saving'} onClick={() => void take()}>
          {saving === 'saving' ? words.saving : isSame ? words.planBatch : words.makeVersion(baked.head + 1)}
        </Button>
      )}
    </div>
  );
} // prettier-ignore
