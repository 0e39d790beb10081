'use client';
import { useForm, useWatch } from 'react-hook-form';
import { RISE_MARK_PERCENT, type BakeAction } from '@/core/bake';
import type { Problem } from '@/core/result';
import { parseDecimal, within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { Segmented } from '@/ui/Segmented';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { grownWord } from '@/wording/rise';
import { words } from '@/wording/screens/bench/RiseDialog';

interface RiseDialogProps {
  stepId: string;
  /** What was marked last in this bake: the same again is likely. */
  usual: 'jar' | 'dough';
  onClose: () => void;
  tap: (action: BakeAction) => Problem | null;
}

interface Rise {
  readonly of: 'jar' | 'dough';
  readonly grown: number | null;
}

const USUAL_PERCENT = [10, 25, 50, 75, 100, 150];

/** How far it has risen by now: what the next forecast of this dough learns from. */
export function RiseDialog({ stepId, usual, onClose, tap }: RiseDialogProps) {
  const { preferences } = usePreferences();
  const { control, handleSubmit, setError, setValue, clearErrors, formState } = useForm<Rise>({
    defaultValues: { of: usual, grown: null },
  });
  const { of = usual, grown = null } = useWatch({ control });
  const mark = (grownPercent: number | null) => {
    if (grownPercent === null) return setError('root', { message: words.sayHowFarItHas });
    const problem = tap({ type: 'rise', stepId, of, grownPercent });
    if (problem) return setError('root', { message: wordProblem(problem, preferences) });
    onClose();
  };
  const submit = handleSubmit((rise) => mark(rise.grown));
  return (
    <Dialog onClose={onClose} title={words.howFarHasItRisen} hint={words.savedWithTheTimeIt}>
      <Segmented
        label={words.whatWasMarked}
        size="bench"
        value={of}
        onChange={(next) => setValue('of', next)}
        options={[
          { value: 'jar', label: words.jarSinceMixing },
          { value: 'dough', label: words.doughThisStep },
        ]}
        className="flex w-full"
      />
      <p className="mt-2 text-soft">
        {of === 'jar' ? words.aSpoonfulOfTheDough : words.theDoughItselfAgainstIts}
      </p>
      <div className="mt-3 grid grid-cols-3 gap-2">
        {USUAL_PERCENT.map((percent) => (
          <Button key={percent} size="bench" className="px-1 whitespace-nowrap" onClick={() => mark(percent)}>
            {grownWord(percent)}
          </Button>
        ))}
      </div>
      <form className="mt-4" onSubmit={(event) => void submit(event)} noValidate>
        <p className="font-semibold">{words.anotherFigure}</p>
        <Cell
          size="bench"
          label={words.risenByPercent}
          unit="%"
          value={grown === null ? '' : String(grown)}
          onType={(text) => {
            const typed = parseDecimal(text);
            const value = typed.ok ? within(typed.value, RISE_MARK_PERCENT, 'grownPercent') : typed;
            setValue('grown', value.ok ? value.value : null);
            clearErrors();
            return value.ok ? null : wordProblem(value.problem, preferences);
          }}
        />
        <Reason>{formState.errors.root?.message}</Reason>
        <Button type="submit" look="strong" size="bench" className="mt-3 w-full">
          {words.saveTheMark}
        </Button>
      </form>
    </Dialog>
  );
}
