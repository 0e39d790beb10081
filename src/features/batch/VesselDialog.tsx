'use client';
import { useMemo, useState } from 'react';
import { consistencyOf } from '@/core/consistency';
import { formulaTotals, type Formula } from '@/core/formula';
import { doughBody, fillVessel, VESSEL_LIMITS, type Vessel } from '@/core/vessel';
import { formatDecimal, parseDecimal, within } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { Segmented } from '@/ui/Segmented';
import { useBook } from '../book/BookProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';

const START: Record<Vessel['kind'], Vessel> = {
  tin: { kind: 'tin', topLengthCm: 24, topWidthCm: 12, baseLengthCm: 22, baseWidthCm: 10, heightCm: 8 },
  round: { kind: 'round', topAcrossCm: 20, baseAcrossCm: null, heightCm: 8 },
  filled: { kind: 'filled', waterMl: 1800 },
  disc: { kind: 'disc', acrossCm: 28, thickMm: 5 },
};

const FIELDS: Record<
  Vessel['kind'],
  readonly (readonly [field: string, word: string, optional?: boolean])[]
> = {
  tin: [
    ['topLengthCm', 'Length at the rim'],
    ['topWidthCm', 'Width at the rim'],
    ['baseLengthCm', 'Length at the bottom', true],
    ['baseWidthCm', 'Width at the bottom', true],
    ['heightCm', 'Height'],
  ],
  round: [
    ['topAcrossCm', 'Across at the rim'],
    ['baseAcrossCm', 'Across at the bottom', true],
    ['heightCm', 'Height'],
  ],
  filled: [['waterMl', 'Water it holds to the rim']],
  disc: [
    ['acrossCm', 'Across'],
    ['thickMm', 'Thick, before it rises'],
  ],
};
const CM_PER_INCH = 2.54;

/** How much dough one tin, ring or disc wants; how far this dough rises decides how full a tin may be. */
export function VesselDialog({
  formula,
  onTake,
  onClose,
}: {
  formula: Formula;
  onTake: (massG: number) => void;
  onClose: () => void;
}) {
  const book = useBook();
  const units = useUnits();
  const { preferences } = usePreferences();
  const inches = preferences.massUnit === 'oz';
  const [vessel, setVessel] = useState<Vessel>(START.tin);
  const body = useMemo(() => {
    const totals = formulaTotals(formula, book);
    return doughBody(formula, book, totals, consistencyOf(formula, book, totals));
  }, [book, formula]);
  const filled = fillVessel(vessel, body);
  const sizes = vessel as unknown as Record<string, number | null>;
  const scaleOf = (field: string): { unit: string; per: number } =>
    field.endsWith('Ml')
      ? { unit: 'ml', per: 1 }
      : inches
        ? { unit: 'in', per: field.endsWith('Mm') ? 25.4 : CM_PER_INCH }
        : { unit: field.endsWith('Mm') ? 'mm' : 'cm', per: 1 };
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title="From a tin or a size"
      hint="Measured inside. Sloping tins have a smaller bottom; left empty, the sides are straight."
    >
      <Segmented
        label="What it goes into"
        value={vessel.kind}
        onChange={(kind) => setVessel(START[kind])}
        options={[
          { value: 'tin', label: 'tin' },
          { value: 'round', label: 'round tin' },
          { value: 'filled', label: 'by water' },
          { value: 'disc', label: 'disc' },
        ]}
      />
      <div className="mt-2">
        {FIELDS[vessel.kind].map(([field, word, optional]) => {
          const { unit, per } = scaleOf(field);
          const limits = field.endsWith('Mm')
            ? VESSEL_LIMITS.thickMm
            : field.endsWith('Ml')
              ? VESSEL_LIMITS.waterMl
              : VESSEL_LIMITS.lengthCm;
          const value = sizes[field] ?? null;
          const put = (next: number | null) => setVessel({ ...vessel, [field]: next });
          return (
            <div
              key={`${vessel.kind} ${field}`}
              className="flex items-center justify-between border-t border-rule"
            >
              <span>{word}</span>
              <Cell
                label={word}
                className="w-32"
                unit={unit}
                placeholder="straight"
                value={value === null ? '' : formatDecimal(value / per, inches ? 2 : 1)}
                onType={(text) => {
                  if (optional && text.trim() === '') {
                    put(null);
                    return null;
                  }
                  const typed = parseDecimal(text);
                  const checked = typed.ok ? within(typed.value * per, limits, field) : typed;
                  if (!checked.ok)
                    return checked.problem.params
                      ? `From ${formatDecimal(limits.min / per, 2)} to ${formatDecimal(limits.max / per, 0)} ${unit}.`
                      : wordProblem(checked.problem, preferences);
                  put(checked.value);
                  return null;
                }}
                restore={() => put(value)}
              />
            </div>
          );
        })}
      </div>
      {filled.ok ? (
        <div className="mt-4">
          <p>
            <span className="figure text-5xl" data-testid="vessel-mass">
              {units.mass(Math.round(filled.value.massG))}
            </span>{' '}
            <span className="text-soft">of dough each</span>
          </p>
          <p className="text-sm text-soft">
            {units.mass(Math.round(filled.value.lowG))} – {units.mass(Math.round(filled.value.highG))};{' '}
            {formatDecimal(filled.value.volumeMl, 0)} ml
            {vessel.kind === 'disc' ? '.' : `, filled to ${formatDecimal(100 * filled.value.fill, 0)} %.`}
          </p>
          {vessel.kind !== 'disc' && (
            <p className="mt-1 text-sm text-soft">
              This dough is likely to end at {formatDecimal(body.rise.value, 1)} times its volume (
              {formatDecimal(body.rise.low, 1)}–{formatDecimal(body.rise.high, 1)}), so that it just crowns
              the rim.
            </p>
          )}
          <Button
            look="strong"
            className="mt-3 min-h-11 px-5"
            onClick={() => onTake(Math.round(filled.value.massG))}
          >
            Take it
          </Button>
        </div>
      ) : (
        <p role="alert" className="mt-4 text-alarm">
          {filled.problem.code === 'rangeReversed'
            ? 'The bottom of a tin is not larger than its rim.'
            : wordProblem(filled.problem, preferences)}
        </p>
      )}
    </Dialog>
  );
}
