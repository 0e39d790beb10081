'use client';
import { useState } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { BakeState, TakenTasting } from '@/core/bake';
import { OCCASIONS, pooled, QUESTIONS, type Occasion, type QuestionId } from '@/core/tasting';
import { responseOf, type Ladder, type Response, type RungScore } from '@/core/trial';
import { AXIS, GRID, TOOLTIP } from '@/ui/chartLook';
import { Choice } from '@/ui/Choice';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { AXIS_WORD, wordRung } from '@/wording/ladder';
import { OCCASION_WORD, QUESTION_WORDS } from '@/wording/tasting';
import { words } from '@/wording/screens/ladder/LadderResult';

interface LadderResultProps {
  readonly ladder: Ladder;
  readonly state: BakeState;
  readonly seed: number;
}

const countOf = (cards: readonly TakenTasting[], occasion: Occasion): number =>
  cards.filter((card) => card.occasion === occasion).length;

/** What the one thing that differed did: the curve through the cards, how little it knows, and what would teach most. */
export function LadderResult({ ladder, state, seed }: LadderResultProps) {
  const [asked, setAsked] = useState<QuestionId>('verdict');
  const units = useUnits();
  const all = [...state.tastings.values()];
  // bread of yesterday is another bread: the occasion that most were tasted on
  const occasion = OCCASIONS.reduce((most, each) => (countOf(all, each) > countOf(all, most) ? each : most));
  const cards = all.filter((card) => card.occasion === occasion);
  const answered = QUESTIONS.filter(({ id }) => cards.some(({ scores }) => scores[id] !== undefined));
  const question = answered.some(({ id }) => id === asked) ? asked : (answered[0]?.id ?? asked);
  const rungs = ladder.rungs.flatMap(({ id, value }): RungScore[] => {
    const score = pooled(cards, { occasion, rungId: id }).get(question);
    return score ? [{ value, score: score.mean, tasters: score.count }] : [];
  });
  const response = responseOf(rungs, seed % 2 ** 31);
  return (
    <section
      aria-labelledby="ladder-title"
      className="docket rounded-b-md px-5 pt-4 pb-5"
      data-testid="ladder"
    >
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 id="ladder-title" className="text-xl">
          {words.ladderIn(AXIS_WORD[ladder.axis])}
        </h2>
        {answered.length > 1 && (
          <Choice
            label={words.question}
            value={question}
            onChange={(value) => setAsked(value)}
            options={answered.map(({ id }) => ({ value: id, label: QUESTION_WORDS[id].name }))}
            className="min-h-10 border-edge bg-surface px-2"
          />
        )}
      </div>
      {response.says === 'nothing' ? (
        <p className="mt-2 text-soft">{words.tasteTwo}</p>
      ) : (
        <>
          <p className="text-sm text-soft">{words.tastedOn(OCCASION_WORD[occasion], cards.length)}</p>
          <Said ladder={ladder} response={response} question={question} />
          <Curve ladder={ladder} rungs={rungs} response={response} />
        </>
      )}
      <details className="mt-2 text-sm">
        <summary className="cursor-pointer text-link underline">{words.whichIsWhich}</summary>
        <ul className="mt-1">
          {ladder.rungs.map(({ id, code, value }) => (
            <li key={id}>
              <strong className="figure">{code}</strong> {wordRung(ladder.axis, value, units)}
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

function Said({
  ladder,
  response,
  question,
}: {
  ladder: Ladder;
  response: Response;
  question: QuestionId;
}) {
  const numbers = useNumbers();
  const units = useUnits();
  const best = response.bestOf.reduce((top, each) => (each.chance > top.chance ? each : top));
  const percent = (chance: number) => `${numbers.decimal(100 * Math.min(0.99, Math.max(0.01, chance)), 0)} %`;
  const round = (value: number) => wordRung(ladder.axis, Math.round(value), units);
  const isTwoSided = QUESTIONS.find(({ id }) => id === question)?.best !== 5;
  return (
    <div role="status">
      <p className="mt-2">
        <span className="figure text-4xl">{wordRung(ladder.axis, best.value, units)}</span>{' '}
        {isTwoSided ? words.highest(percent(best.chance)) : words.best(percent(best.chance))}
      </p>
      <ul className="mt-2 list-disc pl-5 text-sm">
        <li>
          {response.says === 'two'
            ? words.twoSay(percent(Math.max(response.risesChance, 1 - response.risesChance)), response.risesChance >= 0.5)
            : response.top
              ? words.topAt(round(response.top.value), round(response.top.low), round(response.top.high))
              : words.noTop}
        </li>
        {response.teaches !== null && <li>{words.teaches(round(response.teaches))}</li>}
        <li>{words.oneLadder}</li>
      </ul>
    </div>
  );
} // prettier-ignore

function Curve({ ladder, rungs, response }: { ladder: Ladder; rungs: readonly RungScore[]; response: Response }) {
  const numbers = useNumbers();
  const units = useUnits();
  const [first, last] = [ladder.rungs[0]?.value ?? 0, ladder.rungs.at(-1)?.value ?? 1];
  const points = Array.from({ length: 25 }, (_, index) => {
    const value = first + ((last - first) * index) / 24;
    const { value: middle, low, high } = response.at(value);
    return { value, middle, band: [low, high] };
  });
  return (
    <figure className="mt-3">
      <figcaption className="sr-only">
        {rungs.map(({ value, score, tasters }) => words.point(wordRung(ladder.axis, value, units), numbers.decimal(score, 1), tasters)).join(' ')}
      </figcaption>
      <ResponsiveContainer width="100%" height={220}>
        <ComposedChart data={points} margin={{ top: 8, right: 16, bottom: 4, left: -24 }}>
          <CartesianGrid {...GRID} />
          <XAxis {...AXIS} dataKey="value" type="number" domain={[first, last]} ticks={ladder.rungs.map(({ value }) => value)} tickFormatter={(value) => wordRung(ladder.axis, Number(value), units)} />
          <YAxis {...AXIS} domain={[1, 5]} ticks={[1, 2, 3, 4, 5]} />
          <Tooltip {...TOOLTIP} labelFormatter={(value) => wordRung(ladder.axis, Math.round(Number(value)), units)} formatter={(value) => (Array.isArray(value) ? value.map((each) => numbers.decimal(Number(each), 1)).join(' – ') : numbers.decimal(Number(value), 1))} />
          <Area dataKey="band" name={words.interval} stroke="none" fill="var(--is-liquid)" fillOpacity={0.2} isAnimationActive={false} />
          <Line dataKey="middle" name={words.expected} stroke="var(--is-liquid)" strokeWidth={2} dot={false} isAnimationActive={false} />
          <Scatter data={rungs.map(({ value, score }) => ({ value, score }))} dataKey="score" name={words.cards} fill="var(--ink)" isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
} // prettier-ignore
