'use client';
import { useController } from 'react-hook-form';
import { ENTRY_LIMITS as L, type Ingredient } from '@/core/ingredients';
import { Z80 } from '@/core/numeric';
import { NumberField } from '../quantities/NumberField';
import type { EntryValues } from './entryValues';
import { FormNumber } from './FormNumber';
import { words } from '@/wording/screens/larder/DoughFigures';

/** Four fifths of the water are in after this many time constants. */
const CONSTANTS_TO_FOUR_FIFTHS = Math.log(5);

type Absorption = Ingredient['absorption'];

/** The first figure that is stated brings a spread and a time that are usual for a flour. */
const absorbing = (was: Absorption, value: number | null): Absorption =>
  value === null ? null : { gPerG: { value, sd: was?.gPerG.sd ?? 0.08 * value }, tauMin: was?.tauMin ?? 12 };

/** How an ingredient behaves in the dough. */
export function DoughFigures() {
  const { field } = useController<EntryValues, 'figures.absorption'>({ name: 'figures.absorption' });
  const absorption: Absorption = field.value;
  return (
    <fieldset className="border-b border-rule">
      <legend className="font-semibold">{words.inTheDough}</legend>
      <NumberField
        word={words.absorbsGOfWaterPer}
        unit="g/g"
        optional
        value={absorption?.gPerG.value ?? null}
        bounds={L.absorptionGPerG}
        onChange={(value) => field.onChange(absorbing(absorption, value))}
      />
      {absorption && (
        <>
          <FormNumber<EntryValues, 'figures.absorption.gPerG.sd'>
            name="figures.absorption.gPerG.sd"
            word={words.giveOrTakeFourBags}
            unit="g/g"
            bounds={L.absorptionGPerG}
            from={(sd) => sd * Z80}
            to={(figure) => (figure ?? 0) / Z80}
          />
          <FormNumber<EntryValues, 'figures.absorption.tauMin'>
            name="figures.absorption.tauMin"
            word={words.fourFifthsOfItIn}
            unit="min"
            places={0}
            bounds={{ min: 1, max: 380 }}
            from={(tauMin) => tauMin * CONSTANTS_TO_FOUR_FIFTHS}
            to={(figure) => (figure ?? 20) / CONSTANTS_TO_FOUR_FIFTHS}
          />
        </>
      )}
      <FormNumber<EntryValues>
        name="figures.densitySpooned"
        word={words.aMillilitreSpooned}
        unit="g"
        bounds={L.densityGPerMl}
      />
      <FormNumber<EntryValues>
        name="figures.densityScooped"
        word={words.aMillilitreScooped}
        unit="g"
        bounds={L.densityGPerMl}
      />
      <FormNumber<EntryValues>
        name="figures.mostShare"
        word={words.atMostOfTheFlours}
        unit="%"
        optional
        bounds={L.sharePercent}
      />
    </fieldset>
  );
}
