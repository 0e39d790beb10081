'use client';
import { useState } from 'react';
import {
  likelyReadings,
  READING_C,
  readingAnswer,
  type BakeAction,
  type Reading,
  type ReadingAnswer,
} from '@/core/bake';
import type { MethodStep } from '@/core/method';
import { formatDuration, within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { Reason } from '@/ui/Reason';
import { Segmented } from '@/ui/Segmented';
import { wordProblem } from '@/wording/problems';
import { READING_WORD } from '@/wording/readings';
import { words } from '@/wording/screens/bench/ReadingDialog';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';

/** What there is to be told. */
export type Told = Exclude<ReadingAnswer, { readonly kind: 'fine' }>;

interface ReadingDialogProps {
  readonly step: MethodStep;
  readonly bench: Bench;
  /** By the server's clock. */
  readonly nowMs: number;
  readonly isMixed: boolean;
  readonly onClose: () => void;
}

/** What a thermometer says, and what that means while something can still be done about it. */
export function ReadingDialog({ step, bench: { state, tap }, nowMs, isMixed, onClose }: ReadingDialogProps) {
  const units = useUnits();
  const { preferences } = usePreferences();
  const { altitudeM } = useStoredKit().kit;
  const likely = likelyReadings(step);
  const [of, setOf] = useState<Reading['of']>(likely[0]!);
  const [tempC, setTempC] = useState<number | null>(null);
  const [reason, setReason] = useState<string | null>(null);
  const [answer, setAnswer] = useState<Told | null>(null);
  const take = (action: BakeAction): boolean => {
    const problem = tap(action);
    setReason(problem && wordProblem(problem, preferences));
    return problem === null;
  };
  const save = () => {
    if (tempC === null) return setReason(words.sayHowWarm);
    const rounded = Math.round(tempC * 10) / 10;
    if (!take({ type: 'reading', of, tempC: rounded, stepId: step.id })) return;
    const found = readingAnswer({ of, tempC: rounded, stepId: step.id, atMs: nowMs }, step, state.readings, { altitudeM, isMixed });
    if (found.kind === 'fine') return onClose();
    setAnswer(found);
  };
  if (answer) return <ReadingMeaning of={of} answer={answer} stepId={step.id} tap={tap} onClose={onClose} />;
  return (
    <Dialog onClose={onClose} title={words.theThermometer} hint={words.hint}>
      <Segmented label={words.heldInto} size="bench" value={of} onChange={setOf} className="flex w-full flex-wrap"
        options={[...likely, ...(['dough', 'water', 'core', 'oven'] as const).filter((each) => !likely.includes(each))].slice(0, 4).map((value) => ({ value, label: READING_WORD[value] }))} />
      <div className="mt-4">
        <Cell size="bench" label={words.itReads} testId="reading" unit={units.temperatureUnit} value={tempC === null ? '' : units.temperatureNumber(tempC)}
          onType={(text) => {
            const typed = units.parseTemperature(text);
            const value = typed.ok ? within(typed.value, READING_C, 'tempC') : typed;
            setTempC(value.ok ? value.value : null);
            return value.ok ? null : wordProblem(value.problem, preferences);
          }} />
      </div>
      <Reason>{reason ?? undefined}</Reason>
      <Button look="strong" size="bench" className="mt-4 w-full" onClick={save}>{words.saveIt}</Button>
    </Dialog>
  );
} // prettier-ignore

interface ReadingMeaningProps {
  readonly of: Reading['of'];
  readonly answer: Told;
  readonly stepId: string;
  readonly tap: Bench['tap'];
  readonly onClose: () => void;
}

/** What a figure that was saved means, and what can be done about it. */
export function ReadingMeaning({ of, answer, stepId, tap, onClose }: ReadingMeaningProps) {
  const { preferences } = usePreferences();
  const [reason, setReason] = useState<string | null>(null);
  const lookAgain = (againS: number) => {
    const problem = tap({ type: 'notYet', stepId, againS });
    if (problem) setReason(wordProblem(problem, preferences));
    else onClose();
  };
  return (
    <Dialog onClose={onClose} title={READING_WORD[of]} hint="">
      <Meaning answer={answer} />
      <Reason>{reason ?? undefined}</Reason>
      <div className="mt-4 grid gap-3">
        {answer.kind === 'core' && <Button look="now" size="bench" onClick={() => lookAgain(answer.againS)}>{words.again(formatDuration(answer.againS))}</Button>}
        <Button size="bench" onClick={onClose}>{words.iKnow}</Button>
      </div>
    </Dialog>
  );
} // prettier-ignore

function Meaning({ answer }: { answer: Told }) {
  const units = useUnits();
  switch (answer.kind) {
    case 'hotWater':
      return <Large figure={units.temperature(answer.downToC)} text={words.hotWater(answer.kills)} />;
    case 'dough': {
      const percent = Math.round(100 * Math.abs(answer.rate - 1));
      return <Large figure={`${answer.byC > 0 ? '+' : '−'}${units.degrees(Math.abs(answer.byC))}`} text={answer.byC > 0 && answer.rate < 1 ? words.tooHot : words.dough(percent, answer.rate < 1)} />;
    }
    case 'heat':
      return <Large figure={units.temperature(answer.wantedC)} text={words.heat[answer.of](units.degrees(Math.abs(answer.byC)), answer.byC < 0)} />;
    case 'core':
      return <Large figure={`−${units.degrees(answer.shortC)}`} text={words.core(units.temperature(answer.targetC), answer.byRate)} />;
  }
} // prettier-ignore

const Large = ({ figure, text }: { figure: string; text: string }) => (
  <div data-testid="reading-answer">
    <p className="figure text-7xl">{figure}</p>
    <p className="mt-2 text-xl leading-snug">{text}</p>
  </div>
);
