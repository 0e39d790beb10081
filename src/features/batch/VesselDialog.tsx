'use client';
import { useMemo, useState } from 'react';
import { consistencyOf } from '@/core/consistency';
import { formulaTotals, type Formula } from '@/core/formula';
import { doughBody, fillVessel, VESSEL_LIMITS, type Vessel, type VesselFill } from '@/core/vessel';
import type { Range } from '@/core/numeric';
import { within, type Bounds } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { Segmented } from '@/ui/Segmented';
import { useBook } from '../book/BookProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/batch/VesselDialog';

const START: Record<Vessel['kind'], Vessel> = {
  tin: { kind: 'tin', topLengthCm: 24, topWidthCm: 12, baseLengthCm: 22, baseWidthCm: 10, heightCm: 8 },
  round: { kind: 'round', topAcrossCm: 20, baseAcrossCm: null, heightCm: 8 },
  filled: { kind: 'filled', waterMl: 1800 },
  disc: { kind: 'disc', acrossCm: 28, thickMm: 5 },
};

type Dimension = 'lengthCm' | 'thickMm' | 'waterMl';
interface Size {
  readonly field: string;
  readonly word: string;
  /** What it measures: its unit and its limits. */
  readonly of: Dimension;
  /** Left empty, the sides are straight. */
  readonly optional?: boolean;
}
const length = (field: string, word: string, optional = false): Size => ({
  field, word, of: 'lengthCm', optional,
}); // prettier-ignore

const SIZES: Record<Vessel['kind'], readonly Size[]> = {
  tin: [
    length('topLengthCm', words.lengthAtTheRim),
    length('topWidthCm', words.widthAtTheRim),
    length('baseLengthCm', words.lengthAtTheBottom, true),
    length('baseWidthCm', words.widthAtTheBottom, true),
    length('heightCm', words.height),
  ],
  round: [
    length('topAcrossCm', words.acrossAtTheRim),
    length('baseAcrossCm', words.acrossAtTheBottom, true),
    length('heightCm', words.height),
  ],
  filled: [{ field: 'waterMl', word: words.waterItHoldsToThe, of: 'waterMl' }],
  disc: [
    length('acrossCm', words.across),
    { field: 'thickMm', word: words.thickBeforeItRises, of: 'thickMm' },
  ],
};

/** The unit a dimension is read in, and how much of the stored one it is. */

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
  const { preferences } = usePreferences();
  const [vessel, setVessel] = useState<Vessel>(START.tin);
  const body = useMemo(() => {
    const totals = formulaTotals(formula, book);
    return doughBody(formula, book, totals, consistencyOf(formula, book, totals));
  }, [book, formula]);
  const filled = fillVessel(vessel, body);
  const sizes = vessel as unknown as Record<string, number | null>;
  return (
    <Dialog onClose={onClose} title={words.fromATinOrA} hint={words.measuredInsideSlopingTinsHave}>
      <Segmented
        label={words.whatItGoesInto}
        value={vessel.kind}
        onChange={(kind) => setVessel(START[kind])}
        options={[
          { value: 'tin', label: words.tin },
          { value: 'round', label: words.roundTin },
          { value: 'filled', label: words.byWater },
          { value: 'disc', label: words.disc },
        ]}
      />
      <div className="mt-2">
        {SIZES[vessel.kind].map((size) => (
          <SizeCell
            key={`${vessel.kind} ${size.field}`}
            size={size}
            value={sizes[size.field] ?? null}
            onChange={(next) => setVessel({ ...vessel, [size.field]: next })}
          />
        ))}
      </div>
      {filled.ok ? (
        <Wanted filled={filled.value} rise={vessel.kind === 'disc' ? null : body.rise} onTake={onTake} />
      ) : (
        <p role="alert" className="mt-4 text-alarm">
          {filled.problem.code === 'rangeReversed'
            ? words.theBottomOfATin
            : wordProblem(filled.problem, preferences)}
        </p>
      )}
    </Dialog>
  );
}

interface SizeCellProps {
  size: Size;
  value: number | null;
  onChange: (value: number | null) => void;
}

function SizeCell({ size: { field, word, of, optional = false }, value, onChange }: SizeCellProps) {
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  const units = useUnits();
  const { unit, show, read } = {
    lengthCm: { unit: units.lengthUnit, show: units.lengthNumber, read: units.parseLength },
    thickMm: { unit: units.thickUnit, show: units.thickNumber, read: units.parseThick },
    waterMl: { unit: 'ml', show: (ml: number) => numbers.decimal(ml, 0), read: numbers.parse },
  }[of];
  const limits: Bounds = VESSEL_LIMITS[of];
  return (
    <div className="flex items-center justify-between border-t border-rule">
      <span>{word}</span>
      <Cell
        label={word}
        className="w-32"
        unit={unit}
        placeholder={words.straight}
        value={value === null ? '' : show(value)}
        onType={(text) => {
          if (optional && text.trim() === '') {
            onChange(null);
            return null;
          }
          const typed = read(text);
          const checked = typed.ok ? within(typed.value, limits, field) : typed;
          if (!checked.ok)
            return checked.problem.params
              ? words.fromTo(show(limits.min), show(limits.max), unit)
              : wordProblem(checked.problem, preferences);
          onChange(checked.value);
          return null;
        }}
        restore={() => onChange(value)}
      />
    </div>
  );
}

interface WantedProps {
  filled: VesselFill;
  /** How far the dough rises in it; null where it is free to. */
  rise: Range | null;
  onTake: (massG: number) => void;
}

function Wanted({ filled, rise, onTake }: WantedProps) {
  const numbers = useNumbers();
  const units = useUnits();
  const mass = (massG: number) => units.mass(Math.round(massG));
  return (
    <div className="mt-4">
      <p>
        <span className="figure text-5xl" data-testid="vessel-mass">
          {mass(filled.massG)}
        </span>{' '}
        <span className="text-soft">{words.ofDoughEach}</span>
      </p>
      <p className="text-sm text-soft">
        {words.ml(
          mass(filled.lowG),
          mass(filled.highG),
          numbers.decimal(filled.volumeMl, 0),
          rise === null ? '.' : words.filledTo(numbers.decimal(100 * filled.fill, 0)),
        )}
      </p>
      {rise !== null && (
        <p className="mt-1 text-sm text-soft">
          {words.thisDoughIsLikelyTo(
            numbers.decimal(rise.value, 1),
            numbers.decimal(rise.low, 1),
            numbers.decimal(rise.high, 1),
          )}
        </p>
      )}
      <Button look="strong" className="mt-3 min-h-11 px-5" onClick={() => onTake(Math.round(filled.massG))}>
        {words.useIt}
      </Button>
    </div>
  );
}
