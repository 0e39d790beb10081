'use client';
import { useMemo, useState, type ComponentProps } from 'react';
import {
  DOUGH_TEMPERATURE_LIMITS,
  doughTemperatureFor,
  waterTemperatureFor,
  YEAST_C,
  type MixingDay,
  type WaterWarning,
} from '@/core/doughTemperature';
import type { Formula } from '@/core/formula';
import type { Kit } from '@/core/kit';
import { Segmented } from '@/ui/Segmented';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';
import { wordProblem } from '@/wording/problems';
import { useSheetState } from '../sheet/SheetContext';
import { Why } from '../sheet/Why';
import { words } from '@/wording/screens/formula/DoughTemperaturePanel';

type Field = 'wantedC' | 'roomC' | 'tapC' | 'mixMin' | 'bowlG' | 'altitudeM';

/** The kitchen as its kit says, the dough as warm as its method wants it. */
const usualDay = (formula: Formula, kit: Kit, mixMin: number): MixingDay => ({
  roomC: kit.roomC,
  fridgeC: kit.fridgeC,
  wantedC:
    formula.steps.find(
      (step) => step.kind === 'mix' && step.tempC !== null && step.tempC >= 5 && step.tempC <= 45,
    )?.tempC ?? 26,
  bowlG: 800,
  mixing: kit.mixer.kind,
  frictionCPerMin: kit.mixer.frictionCPerMin,
  mixMin: Math.min(120, Math.round(mixMin)),
  altitudeM: kit.altitudeM,
  tapC: 12,
});

/** The kitchen of the day, and the water it asks for: the temperature large, what limits it beneath. */
export function DoughTemperaturePanel() {
  const formula = useSheetState((state) => state.formula);
  const mixMin = useSheetState((state) => state.answers.consistency?.balance.mixMin ?? 6);
  const units = useUnits();
  const { kit } = useStoredKit();
  const [day, setDay] = useState<MixingDay>(() => usualDay(formula, kit, mixMin));
  const field = (
    key: Field,
    word: string,
    unit: string,
    as: Pick<ComponentProps<typeof NumberField>, 'show' | 'read'> = {},
  ) => (
    <NumberField
      word={word}
      unit={unit}
      name={key}
      places={0}
      value={day[key]}
      bounds={DOUGH_TEMPERATURE_LIMITS[key]}
      onChange={(value) => value !== null && setDay((before) => ({ ...before, [key]: value }))}
      {...as}
    />
  );
  const temperature = { show: units.temperatureNumber, read: units.parseTemperature };
  return (
    <div className="mt-1">
      <WaterAnswer formula={formula} day={day} />
      <div className="mt-2 space-y-0.5">
        {field('wantedC', words.doughWantedAt, units.temperatureUnit, temperature)}
        {field('roomC', words.kitchenAndFlour, units.temperatureUnit, temperature)}
        {field('tapC', words.coldestWater, units.temperatureUnit, temperature)}
        {field('mixMin', words.mixing, 'min')}
        {field('bowlG', words.bowl, units.massUnit, { show: units.massCell, read: units.parseMass })}
        {field('altitudeM', words.heightAboveTheSea, units.heightUnit, {
          show: units.heightNumber,
          read: units.parseHeight,
        })}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Segmented
          label={words.howItIsMixed}
          value={day.mixing}
          onChange={(mixing) => setDay({ ...day, mixing })}
          options={[
            { value: 'hand', label: words.byHand },
            { value: 'machine', label: words.machine },
          ]}
        />
        <Segmented
          label={words.whereEggsDairyAndStarter}
          value={day.fridgeC === null ? 'room' : 'fridge'}
          onChange={(from) => setDay({ ...day, fridgeC: from === 'fridge' ? kit.fridgeC : null })}
          options={[
            { value: 'fridge', label: words.eggsFromTheFridge },
            { value: 'room', label: words.atRoom },
          ]}
        />
      </div>
    </div>
  );
}

function useWarningWords(): Record<WaterWarning, string> {
  const units = useUnits();
  return {
    yeastHurt: words.yeastIsHurtFromAbout(units.temperature(YEAST_C.hurtFrom)),
    yeastDead: words.fromAboutYeastDiesWarm(units.temperature(YEAST_C.deadFrom)),
    needsIce: words.colderThanYourTapGive,
    tooMuchIce: words.evenHalfOfItAs,
    tooCold: words.colderThanAFridgeGets,
    nearBoiling: words.hotterThanWaterCanBe,
  };
}

/** The water's temperature, and what the dough comes to with other water. */
function WaterAnswer({ formula, day }: { formula: Formula; day: MixingDay }) {
  const book = useBook();
  const units = useUnits();
  const { preferences } = usePreferences();
  const [mineC, setMineC] = useState<number | null>(null);
  const solved = useMemo(() => waterTemperatureFor(formula, book, day), [book, day, formula]);
  const warnings = useWarningWords();
  if (!solved.ok)
    return (
      <p role="alert" className="text-sm text-alarm">
        {solved.problem.path === 'water'
          ? words.nothingIsPouredInThis
          : wordProblem(solved.problem, preferences)}
      </p>
    );
  const { value } = solved;
  const poured = value.pouredIds.map((id) => book.get(id)?.name.toLowerCase() ?? id).join(' and ');
  const comes = mineC === null ? null : doughTemperatureFor(formula, book, day, mineC);
  return (
    <>
      <p className="figure text-4xl" data-testid="water-temperature">
        {units.temperature(value.waterC)}
      </p>
      <p className="text-sm text-soft">
        {words.forOf(
          units.temperature(value.lowC),
          units.temperature(value.highC),
          units.mass(value.waterG),
          poured,
        )}
        {value.iceG > 0.5 && <strong className="text-ink">{words.ofItIce(units.mass(value.iceG))}</strong>}
      </p>
      {value.warnings.map((warning) => (
        <p key={warning} role="status" className="mt-1 text-sm text-alarm">
          {warnings[warning]}
        </p>
      ))}

      <div className="mt-2">
        <NumberField
          word={words.mineIs}
          unit={units.temperatureUnit}
          name="pouredC"
          places={0}
          optional
          value={mineC}
          bounds={{ min: 0, max: value.boilingC }}
          onChange={setMineC}
          show={units.temperatureNumber}
          read={units.parseTemperature}
        />
        {comes?.ok && (
          <p role="status" className="text-sm" data-testid="dough-comes">
            {words.thenTheDoughComesTo}
            <strong>{units.temperature(comes.value.doughC)}</strong>{' '}
            <span className="text-soft">
              ({units.temperature(comes.value.lowC)} – {units.temperature(comes.value.highC)})
            </span>
            {comes.value.warnings.map((warning) => (
              <span key={warning} className="block text-alarm">
                {warnings[warning]}
              </span>
            ))}
          </p>
        )}
      </div>
      <Why>
        <p>{words.aHeatBalanceEverythingAt(units.temperature(value.boilingC))}</p>
        <p>
          {words.dryYeastWakesBestIn(
            units.temperature(YEAST_C.bloomFrom),
            units.temperature(YEAST_C.bloomTo),
          )}
        </p>
      </Why>
    </>
  );
}
