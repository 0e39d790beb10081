'use client';
import { useState } from 'react';
import { temperatureForTime, yeastForTime, type RiseQuestion } from '@/core/fermentation';
import { allLines, type Formula, type FormulaEdit } from '@/core/formula';
import type { Run } from '@/core/run';
import { formatDuration, parseDurationS } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { useNameOf } from '../book/BookProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/run/ReadyBy';

const SLOWEST_S = 3 * 86_400;
const LIFTS = ['instant-yeast', 'active-dry-yeast', 'fresh-yeast'];

interface ReadyByProps {
  run: Run;
  formula: Formula;
  onEdit: (change: FormulaEdit, key: string) => void;
  onSettle: () => void;
}

/** The day the other way round: ready after so long, by how much yeast, or by how warm it stands. */
export function ReadyBy({ run, formula, onEdit, onSettle }: ReadyByProps) {
  const units = useUnits();
  const nameOf = useNameOf();
  const { preferences } = usePreferences();
  const [targetS, setTargetS] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const yeast = allLines(formula).find((line) => LIFTS.includes(line.ingredientId));
  const standing = run.steps.filter((step) => step.stretch === 'rise');
  const last = standing.map((step) => step.kind).lastIndexOf('proof');
  const proof = last === -1 ? standing.map((step) => step.kind).lastIndexOf('bulk') : last;
  const proofStep = formula.steps.find((step) => step.id === standing[proof]?.stepId);

  /** The same day with its last stay as long as it takes, so that the time asked for lies inside. */
  const asked = (untilS: number): RiseQuestion => ({ ...run.rise, beyondS: Math.max(3600, untilS) });
  const solve = (how: 'yeast' | 'warmth') => {
    if (targetS === null) return setTrouble(words.sayAfterHowLongIt);
    setTrouble(null);
    const solved =
      how === 'yeast'
        ? yeastForTime(asked(targetS), targetS)
        : temperatureForTime(asked(targetS), proof, targetS);
    if (!solved.ok)
      return setTrouble(
        solved.problem.code === 'notSolvable'
          ? how === 'yeast'
            ? words.noAmountOfYeastFrom
            : words.noTemperatureAtWhichDough
          : wordProblem(solved.problem, preferences),
      );
    if (how === 'yeast' && yeast)
      onEdit(
        {
          type: 'setMass',
          lineId: yeast.id,
          massG: Number((yeast.massG * solved.value.value).toPrecision(3)),
        },
        'ready-by',
      );
    else if (proofStep) {
      const tempC = Math.round(solved.value.value * 2) / 2;
      onEdit({ type: 'setStep', step: { ...proofStep, tempC } }, 'ready-by');
    }
    onSettle();
  };
  return (
    <details className="border-t border-rule py-2">
      <summary className="min-h-6 cursor-pointer text-sm">{words.haveItReadyByA}</summary>
      <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
        <span>{words.readyAfterMixingIn}</span>
        <Cell
          label={words.readyAfterMixingIn}
          className="w-28 border-b border-edge"
          inputMode="text"
          value={targetS === null ? '' : formatDuration(targetS)}
          placeholder="2 h 30"
          onType={(text) => {
            const typed = parseDurationS(text);
            if (!typed.ok) return wordProblem(typed.problem, preferences);
            if (typed.value < 600 || typed.value > SLOWEST_S) return words.from10MinutesToThree;
            setTargetS(typed.value);
            return null;
          }}
          restore={() => setTargetS(targetS)}
        />
        <Button disabled={!yeast} onClick={() => solve('yeast')}>
          {words.set(yeast ? nameOf(yeast.ingredientId).toLowerCase() : words.theYeast)}
        </Button>
        <Button disabled={!proofStep} onClick={() => solve('warmth')}>
          {words.setHowWarm(proofStep ? proofStep.title || STEP_WORD[proofStep.kind] : words.theProof)}
        </Button>
        <span className="text-soft">{words.now(yeast ? units.mass(yeast.massG) : words.none)}</span>
      </div>
      {trouble && (
        <p role="alert" className="mt-1 text-sm text-alarm">
          {trouble}
        </p>
      )}
    </details>
  );
}
