'use client';
import type { Formula, FormulaEdit } from '@/core/formula';
import { MOISTURES, PLATE_KINDS } from '@/core/method/heating';
import { stepTempRangeC } from '@/core/method';
import type { StepHeat } from '@/core/process/stepHeat';
import { formatDuration } from '@/core/units';
import { Choice } from '@/ui/Choice';
import { useUnits } from '../preferences/PreferencesProvider';
import { STEP_WORD } from '@/wording/words';
import { MOIST_WORD, PLATE_WORD } from '@/wording/run';
import { words } from '@/wording/screens/run/StepDials';

type Step = Formula['steps'][number];

interface StepDialsProps {
  step: Step;
  durationS: number;
  heat: StepHeat | null;
  onEdit: (change: FormulaEdit, key: string) => void;
  onSettle: () => void;
}

/** Ranges a slider of a kind of step runs over; wider values can be typed in the method. */
const SLIDES: Partial<Record<Step['kind'], readonly [number, number]>> = {
  rest: [4, 40], bulk: [4, 40], proof: [15, 42], chill: [0, 14], bake: [120, 300], fry: [140, 195], griddle: [150, 300], mix: [10, 40],
}; // prettier-ignore

const HOT: ReadonlySet<Step['kind']> = new Set(['bake', 'coast']);

/** A step in the hand: how long, how warm, how it heats. Everything above follows as it is moved. */
export function StepDials({ step, durationS, heat, onEdit, onSettle }: StepDialsProps) {
  const units = useUnits();
  const name = step.title || STEP_WORD[step.kind];
  const slides = SLIDES[step.kind];
  const range = stepTempRangeC(step.kind);
  const set = (part: Partial<Step>, what: string) =>
    onEdit({ type: 'setStep', step: { ...step, ...part } }, `run-${what}:${step.id}`);
  const setHeat = (part: NonNullable<Step['heat']>) => {
    set({ heat: { ...step.heat, ...part } }, 'heat');
    onSettle();
  };
  const longest = Math.max(2 * durationS, durationS <= 7200 ? 7200 : 86_400);
  return (
    <fieldset className="mt-2 flex flex-wrap items-end gap-x-6 gap-y-2 border-t border-rule pt-2">
      <legend className="pr-2 text-sm font-semibold">{name}</legend>
      <label className="text-sm">
        {words.howLong}
        <strong className="figure text-base">{formatDuration(durationS)}</strong>
        <input
          type="range"
          className="block h-8 w-56 accent-(--ink)"
          min={60}
          max={longest}
          step={durationS > 7200 ? 900 : durationS > 1200 ? 300 : 60}
          value={Math.min(longest, durationS)}
          aria-valuetext={formatDuration(durationS)}
          onChange={(event) => {
            const minS = Number(event.currentTarget.value);
            set({ minS, maxS: null }, 'length');
          }}
          onPointerUp={onSettle}
          onBlur={onSettle}
        />
      </label>
      {slides && (
        <label className="text-sm">
          {words.howWarm}
          <strong className="figure text-base">
            {step.tempC === null ? words.asTheRoom : units.temperature(step.tempC)}
          </strong>
          <input
            type="range"
            className="block h-8 w-56 accent-(--ink)"
            min={Math.max(range.min, slides[0])}
            max={Math.min(range.max, slides[1])}
            step={slides[1] > 60 ? 5 : 1}
            value={step.tempC ?? Math.max(slides[0], Math.min(slides[1], 21))}
            aria-valuetext={step.tempC === null ? words.asTheRoom : units.temperature(step.tempC)}
            onChange={(event) => set({ tempC: Number(event.currentTarget.value) }, 'warm')}
            onPointerUp={onSettle}
            onBlur={onSettle}
          />
        </label>
      )}
      {heat && HOT.has(step.kind) && (
        <div className="flex flex-wrap items-center gap-2 text-sm">
          {step.kind === 'bake' && (
            <Choice
              label={words.airInTheOven(name)}
              value={heat.moist}
              options={MOISTURES.map((value) => ({ value, label: MOIST_WORD[value] }))}
              onChange={(moist) => setHeat({ moist })}
              className="border-edge"
            />
          )}
          <Choice
            label={words.bakedOn(name)}
            value={heat.on ?? 'rack'}
            options={(['rack', ...PLATE_KINDS.filter((kind) => kind !== 'griddle')] as const).map(
              (value) => ({
                value,
                label: words.on(PLATE_WORD[value]),
              }),
            )}
            onChange={(on) => setHeat({ on: on === 'rack' ? null : on })}
            className="border-edge"
          />
          <label className="inline-flex min-h-8 items-center gap-1.5">
            <input
              type="checkbox"
              checked={heat.inTin}
              onChange={(event) => setHeat({ inTin: event.currentTarget.checked })}
            />
            {words.inItsTin}
          </label>
          <label className="inline-flex min-h-8 items-center gap-1.5">
            <input
              type="checkbox"
              checked={heat.topped}
              onChange={(event) => setHeat({ topped: event.currentTarget.checked })}
            />
            {words.topped}
          </label>
        </div>
      )}
    </fieldset>
  );
}
