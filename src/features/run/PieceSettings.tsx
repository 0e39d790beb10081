'use client';
import type { Formula } from '@/core/formula';
import type { KitOven } from '@/core/kit';
import { SHAPES, TIN_KINDS } from '@/core/method/heating';
import { Choice } from '@/ui/Choice';
import { useStoredKit } from '../kit/KitProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';
import { SHAPE_WORD, TIN_WORD } from '@/wording/run';
import { words } from '@/wording/screens/run/PieceSettings';

type BakedAs = NonNullable<Formula['bakedAs']>;

interface PieceSettingsProps {
  as: BakedAs;
  oven: KitOven | undefined;
  /** Nobody chose it: it is what the style usually is. */
  usual: boolean;
  /** How thick it comes out, mm; null while that is not known. */
  thickMm: number | null;
  /** How many bake together. */
  together: number | null;
  onChange: (as: BakedAs) => void;
}

const LENGTH_CM = { min: 2, max: 120 };

/** What a piece is baked as, in which oven: what the models of heat ask beyond the formula. */
export function PieceSettings({ as, oven, usual, thickMm, together, onChange }: PieceSettingsProps) {
  const units = useUnits();
  const { kit } = useStoredKit();
  const tinId = kit.tins.find(
    (tin) =>
      as.shape === 'tin' && tin.kind === as.tin && tin.lengthCm === as.lengthCm && tin.widthCm === as.widthCm,
  )?.id;
  const longWord = {
    tin: words.tinInnerLength,
    baguette: words.length,
    disc: words.across,
    flatbread: words.across,
    hearth: words.across,
  }[as.shape as string];
  return (
    <details className="mb-3 border-b border-rule pb-2" data-testid="taken-as">
      <summary className="min-h-6 cursor-pointer text-sm">
        {words.takenAs}
        <strong>{SHAPE_WORD[as.shape].toLowerCase()}</strong>
        {as.shape === 'tin' && as.tin && <>, {TIN_WORD[as.tin]}</>}
        {thickMm !== null && <>, {words.thick(units.thick(Math.round(thickMm)))}</>}
        {together !== null && <>, {words.atOnce(together)}</>}
        {words.inWord}
        <strong>{oven?.name ?? words.anOrdinaryOven}</strong>
        {usual && <span className="text-soft italic">{words.asUsual}</span>}
        <span className="ml-2 text-link underline">{words.change}</span>
      </summary>
      <div className="mt-2 grid gap-x-8 sm:grid-cols-2">
        <div className="space-y-1">
          <div className="flex items-center justify-between gap-2 text-sm">
            <span>{words.shape}</span>
            <Choice
              label={words.shape}
              value={as.shape}
              options={SHAPES.map((value) => ({ value, label: SHAPE_WORD[value] }))}
              onChange={(shape) =>
                onChange({
                  ...as,
                  shape,
                  lengthCm: null,
                  widthCm: null,
                  tin: shape === 'tin' ? (as.tin ?? 'dark') : null,
                })
              }
              className="border-edge"
            />
          </div>
          <div className="flex items-center justify-between gap-2 text-sm">
            <span>{words.oven}</span>
            <Choice
              label={words.oven}
              value={oven?.id ?? ''}
              options={kit.ovens.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(ovenId) => onChange({ ...as, ovenId })}
              className="border-edge"
            />
          </div>
          {as.shape === 'tin' && kit.tins.length > 0 && (
            <div className="flex items-center justify-between gap-2 text-sm">
              <span>{words.tin}</span>
              <Choice
                label={words.tin}
                value={tinId ?? ''}
                options={[
                  { value: '', label: words.aUsualOne },
                  ...kit.tins.map((tin) => ({ value: tin.id, label: tin.name })),
                ]}
                onChange={(id) => {
                  const tin = kit.tins.find((each) => each.id === id);
                  onChange({
                    ...as,
                    lengthCm: tin?.lengthCm ?? null,
                    widthCm: tin?.widthCm ?? null,
                    tin: tin?.kind ?? 'dark',
                  });
                }}
                className="border-edge"
              />
            </div>
          )}
          {as.shape === 'tin' && (
            <div className="flex items-center justify-between gap-2 text-sm">
              <span>{words.itsWall}</span>
              <Choice
                label={words.tinWall}
                value={as.tin ?? 'dark'}
                options={TIN_KINDS.map((value) => ({ value, label: TIN_WORD[value] }))}
                onChange={(tin) => onChange({ ...as, tin })}
                className="border-edge"
              />
            </div>
          )}
        </div>
        <div>
          {longWord && (
            <NumberField
              word={longWord}
              measure="length"
              name="lengthCm"
              optional
              value={as.lengthCm}
              bounds={LENGTH_CM}
              onChange={(lengthCm) => onChange({ ...as, lengthCm })}
            />
          )}
          {as.shape === 'tin' && (
            <NumberField
              word={words.tinInnerWidth}
              measure="length"
              name="widthCm"
              optional
              value={as.widthCm}
              bounds={LENGTH_CM}
              onChange={(widthCm) => onChange({ ...as, widthCm })}
            />
          )}
          <NumberField
            word={words.piecesInTheOvenAt}
            unit=""
            name="perLoad"
            optional
            value={as.perLoad}
            bounds={{ min: 1, max: 60 }}
            onChange={(perLoad) =>
              onChange({ ...as, perLoad: perLoad === null ? null : Math.round(perLoad) })
            }
          />
        </div>
      </div>
    </details>
  );
}
