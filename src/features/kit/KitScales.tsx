'use client';
import { Plus, X } from 'lucide-react';
import type { ScaleRanges } from '@/core/batch';
import { KIT_LIMITS } from '@/core/kit';
import { Button, IconButton } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { useUnits } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';
import { words } from '@/wording/screens/kit/KitScales';

const STEPS = [0.01, 0.1, 0.5, 1, 2, 5] as const;
type Step = (typeof STEPS)[number];
const isStep = (value: number): value is Step => STEPS.some((step) => step === value);

/** What a balance that weighs more than the last one has to carry at least, so that the list stays in order. */
const abovePrevious = (scales: ScaleRanges, index: number): number => (scales[index - 1]?.upToG ?? 0) + 1;

/** The balances, from the finest to the coarsest: batches are rounded to what they show. */
export function KitScales({
  scales,
  onChange,
}: {
  scales: ScaleRanges;
  onChange: (scales: ScaleRanges) => void;
}) {
  const units = useUnits();
  const put = (index: number, part: Partial<ScaleRanges[number]>) =>
    onChange(scales.map((each, at) => (at === index ? { ...each, ...part } : each)));
  const heaviest = scales.at(-1)?.upToG ?? 0;
  const full = scales.length >= KIT_LIMITS.scales || heaviest >= KIT_LIMITS.scaleUpToG.max;
  return (
    <section aria-labelledby="scales-title" className="docket rounded-b-md px-4 pt-4 pb-3">
      <h2 id="scales-title" className="text-lg">
        {words.scales}
      </h2>
      <p className="mb-2 text-sm text-soft">{words.theFinestFirstABatch}</p>
      {scales.map((scale, index) => (
        <div key={index} className="grid grid-cols-[1fr_auto] items-center gap-x-3">
          <div>
            <NumberField
              word={index === 0 ? words.upTo : words.thenUpTo}
              measure="mass"
              name="upToG"
              value={scale.upToG}
              bounds={{
                min: abovePrevious(scales, index),
                max: (scales[index + 1]?.upToG ?? KIT_LIMITS.scaleUpToG.max + 1) - 1,
              }}
              onChange={(upToG) => upToG !== null && put(index, { upToG })}
            />
            <div className="flex items-center justify-between gap-2 pb-1 text-sm">
              <span>{words.inStepsOf}</span>
              <Choice
                label={words.stepsOfScale(index + 1)}
                value={String(scale.stepG)}
                onChange={(text) => {
                  const stepG = Number(text);
                  if (isStep(stepG)) put(index, { stepG });
                }}
                options={STEPS.map((step) => ({ value: String(step), label: units.mass(step) }))}
              />
            </div>
          </div>
          <IconButton
            label={words.removeScale(index + 1)}
            disabled={scales.length === 1}
            onClick={() => onChange(scales.filter((_, at) => at !== index))}
          >
            <X size={16} aria-hidden />
          </IconButton>
        </div>
      ))}
      <Button
        className="mt-2"
        disabled={full}
        onClick={() =>
          onChange([
            ...scales,
            { upToG: Math.min(KIT_LIMITS.scaleUpToG.max, Math.max(10, heaviest * 10)), stepG: 5 },
          ])
        }
      >
        <Plus size={16} aria-hidden />
        {words.aScaleForMore}
      </Button>
      {full && (
        <p className="mt-1 text-sm text-soft">
          {scales.length >= KIT_LIMITS.scales
            ? words.areTheMostRemoveOne(KIT_LIMITS.scales)
            : words.theLastOneWeighsUp}
        </p>
      )}
    </section>
  );
}
