'use client';
import { CakeSlice } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { asSetAnew, BEYOND_RIM_PERCENT, pieceWeights, tinCourse, type BakeRecord } from '@/core/bake';
import { anotherTin } from '@/core/run';
import { formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { Reason } from '@/ui/Reason';
import { wordProblem } from '@/wording/problems';
import { grownWord } from '@/wording/rise';
import { words } from '@/wording/screens/bench/CourseDialog';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { client } from '../run/useRunForecast';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';
import type { Rising } from './useRise';

const LANE = 'tin';
/** It should be able to grow by so much, %, where the method does not say by how much it wants it. */
const USUAL_PERCENT = 40;

interface TinChoiceProps {
  readonly bake: BakeRecord;
  readonly bench: Bench;
  readonly rising: Rising;
  readonly onDone: () => void;
  readonly onBack: () => void;
}

/** One of the kitchen's tins, and what comes of the dough in it. */
export function TinChoice({ bake, bench: { state, tap }, rising: { formula, kitchen }, onDone, onBack }: TinChoiceProps) {
  const book = useBook();
  const units = useUnits();
  const { tins } = useStoredKit().kit;
  const [tinId, setTinId] = useState(tins[0]?.id ?? '');
  const [asked, setAsked] = useState<{ readonly tinId: string; readonly times: number | null } | null>(null);
  const { preferences } = usePreferences();
  const [reason, setReason] = useState('');
  const tin = tins.find(({ id }) => id === tinId);
  const { sheet } = bake;
  const pieceG = pieceWeights(sheet, state)[0]?.pieceG ?? sheet.pieces.doughG;
  const made = useMemo(() => tin && anotherTin(formula, pieceG, tin, kitchen, book), [book, formula, kitchen, pieceG, tin]);
  useEffect(() => {
    if (!made) return;
    const tell = (times: number | null) => setAsked({ tinId, times });
    if (!made.bakes) return void Promise.resolve(null).then(tell);
    void client()
      .ask('set', LANE, made.bakes)
      .then((sets) => {
        const [before, after] = sets ?? [];
        tell(before && after ? after / before : null);
      }, () => tell(null));
  }, [made, tinId]);
  if (!tin || !made) return null;
  const times = asked?.tinId === tinId ? asked.times : undefined;
  const course = tinCourse(sheet, state, { name: tin.name, rimPercent: made.rimPercent }, times ?? null);
  const wantedPercent = sheet.steps.flatMap(({ cue }) => (cue?.kind === 'grown' ? [cue.percent] : [])).at(-1) ?? USUAL_PERCENT;
  const isSmall = made.rimPercent < wantedPercent;
  const bakes = sheet.steps.filter(({ kind }) => kind === 'bake').map((step) => asSetAnew(step, state));
  const totalS = (set: (stepId: string) => number | null) => bakes.reduce((sum, { id, minS }) => sum + (set(id) ?? minS ?? 0), 0);
  const newS = totalS((id) => course?.sets.find(({ stepId }) => stepId === id)?.durationS ?? null);
  const oldS = totalS(() => null);
  const go = () => {
    const problem = course && tap(course);
    if (problem) return setReason(wordProblem(problem, preferences));
    onDone();
  };
  return (
    <div data-testid="tin-choice">
      <div role="group" aria-label={words.tins} className="grid grid-cols-2 gap-2">
        {tins.map((each) => (
          <Button key={each.id} size="bench" look={each.id === tinId ? 'strong' : 'plain'} aria-pressed={each.id === tinId} onClick={() => setTinId(each.id)}>
            <span className="min-w-0">
              <span className="block truncate">{each.name}</span>
              <span className="block text-sm font-normal">{[each.lengthCm, each.widthCm, each.heightCm].map((cm) => units.length(cm)).join(' × ')}</span>
            </span>
          </Button>
        ))}
      </div>
      <div className="mt-4 grid gap-1 text-xl leading-snug" aria-live="polite">
        <p>{words.fills(Math.round(100 * made.fills))}</p>
        {isSmall ? (
          <p className="font-semibold text-alarm">{words.tooSmall(Math.floor((100 * (100 + made.rimPercent)) / (100 + wantedPercent)))}</p>
        ) : (
          <p>{made.rimPercent > BEYOND_RIM_PERCENT ? words.low : words.itIs(words.rim(grownWord(Math.round(made.rimPercent))))}</p>
        )}
        <p className="font-semibold">
          {times === undefined ? words.wait : times === null ? words.bakesUnknown : newS === oldS ? words.bakesAsLong : words.bakesFor(formatDuration(newS), formatDuration(oldS))}
        </p>
      </div>
      <Reason>{reason}</Reason>
      <div className="mt-5 grid gap-3 sm:grid-cols-[auto_1fr]">
        <Button size="bench" onClick={onBack}>{words.back}</Button>
        <Button look="now" size="bench" className="text-2xl" disabled={times === undefined} onClick={go}><CakeSlice size={24} aria-hidden />{words.intoTin(tin.name)}</Button>
      </div>
    </div>
  );
} // prettier-ignore
