'use client';
import type { Problem } from '@/core/result';
import { Button } from '@/ui/Button';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/run/BakeProblem';
import { usePreferences } from '../preferences/PreferencesProvider';

interface BakeProblemProps {
  problem: Problem;
  /** The step it is about, and what it is called; null: none alone. */
  stepId: string | null;
  nameOf: (stepId: string) => string;
  onChoose: (stepId: string) => void;
}

/** Why there is no bake to show, and which step has to change for it. */
export function BakeProblem({ problem, stepId, nameOf, onChoose }: BakeProblemProps) {
  const { preferences } = usePreferences();
  return (
    <p role="alert" className="mt-3 text-sm text-alarm">
      {words.theBakeCantBe(wordProblem(problem, preferences))}
      {stepId && (
        <Button look="quiet" className="ml-1 min-h-8 underline" onClick={() => onChoose(stepId)}>
          {words.itIsStep(nameOf(stepId))}
        </Button>
      )}
    </p>
  );
}
