'use client';
import { colourOf } from '@/core/heat';
import type { Range } from '@/core/numeric';
import type { RunForecast } from '@/core/run';
import { formatDecimal } from '@/core/units';
import { Why } from '../sheet/Why';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';
import {
  COLOUR_WORD,
  HEAT_PARAMETER_WORD,
  honestRange,
  honestTime,
  RISE_PARAMETER_WORD,
} from '../wording/run';

/** A rise in steps an eye can tell, %. */
function risen({ low, high }: Range): string {
  const five = (volume: number) => Math.round((volume - 1) * 20) * 5;
  return five(low) === five(high) ? `${five(low)}\u00a0%` : `${five(low)}–${five(high)}\u00a0%`;
}

function colours({ low, high }: Range): string {
  const from = COLOUR_WORD[colourOf(low)];
  const to = COLOUR_WORD[colourOf(high)];
  return from === to ? from : `${from} to ${to}`;
}

/** A share of the weight, as a range where it is one. */
function shares({ low, high }: Range): string {
  const from = formatDecimal(100 * Math.max(0, low), 0);
  const to = formatDecimal(100 * Math.max(0, high), 0);
  return from === to ? from : `${from}–${to}`;
}

function Answer({
  word,
  figure,
  say,
  testId,
}: {
  word: string;
  figure: string;
  say: string;
  testId: string;
}) {
  return (
    <div className="border-l-2 border-rule pl-3">
      <p className="text-sm font-semibold">{word}</p>
      <p className="figure text-2xl leading-tight" data-testid={testId}>
        {figure}
      </p>
      <p className="text-xs text-soft">{say}</p>
    </div>
  );
}

/** What a baker wants to know of the day: when it is ready, when it is baked, when it may be cut. Ranges, with what to look for. */
export function RunAnswers({
  forecast,
  lidded,
  topped,
  bakesS,
}: {
  forecast: RunForecast;
  lidded: boolean;
  topped: boolean;
  /** What the method gives it in the heat, s. */
  bakesS: number;
}) {
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  const units = useUnits();
  const { rise, bake, bakeProblem, preheat } = forecast;
  const rises = rise.canHold.value > 1.05 && rise.top.high > 1.03;
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Answer
          testId="run-most"
          word="The most it can rise"
          figure={rises ? risen(rise.canHold) : '–'}
          say={
            rise.pastAtS.value === null
              ? 'it does not sink again in this time'
              : `past it after ${honestRange(rise.pastAtS.low, rise.pastAtS.high)}`
          }
        />
        {bake && (
          <Answer
            testId="run-set"
            word="Crumb set"
            figure={honestRange(bake.set.low, bake.set.high)}
            say={`from loading, at ${units.temperature(Math.min(96, bake.simulation.boilsC - 2.5))} in the middle; the method bakes ${honestTime(bakesS)}`}
          />
        )}
      </div>
      {bakeProblem && (
        <p role="alert" className="mt-3 text-sm text-alarm">
          The bake can’t be computed: {wordProblem(bakeProblem, preferences)}
        </p>
      )}
      {bake && (
        <p className="mt-3 text-sm" data-testid="run-words">
          {bake.setChance < 0.85 && (
            <strong className="text-alarm">
              {bake.setChance < 0.15
                ? 'Raw in the middle at the end of this method. '
                : `Set at its end in ${Math.round(bake.setChance * 10)} of 10 kitchens like yours. `}
            </strong>
          )}
          {topped ? 'Rim' : 'Top'} {colours(bake.brownTop)}, base {colours(bake.brownBase)}. It loses{' '}
          {shares(bake.lost)} % of its weight in the heat, {shares(bake.lostCooled)} % by the time it is cut;
          the crust is about {units.thick(Math.max(1, Math.round(bake.simulation.crustMm)))}.
          {lidded && bake.holds.low !== null && (
            <>
              {' '}
              The lid may come off after {honestRange(bake.holds.low, bake.holds.high)}: half of the crumb is
              set then.
            </>
          )}
          {preheat && preheat.ovenS !== null && (
            <>
              {' '}
              Heat the oven {honestTime(preheat.ovenS)} before
              {preheat.plateS !== null &&
                `, ${honestTime(Math.max(preheat.plateS, preheat.ovenS))} with what stands in it`}
              {preheat.recoverS !== null && `; wait ${honestTime(preheat.recoverS)} between loads`}.
            </>
          )}
        </p>
      )}
      <Why>
        <p>
          Ready is seven tenths of what this dough can hold: there is some left for the oven. The ranges are
          the middle 80 % of 24 computations of the rise and 10 of the bake, each with other, equally likely
          figures for what nobody has measured.
        </p>
        <p>
          What makes the rise most unsure: {RISE_PARAMETER_WORD[rise.dominant]}
          {bake && <>; the bake: {HEAT_PARAMETER_WORD[bake.dominant]}</>}. Baked, it is{' '}
          {numbers.decimal(forecast.bakedVolume, 2)} times the dough from the bowl.
        </p>
      </Why>
    </>
  );
}
