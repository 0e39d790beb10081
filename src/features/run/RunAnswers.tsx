'use client';
import { risesVisibly } from '@/core/fermentation';
import { colourOf } from '@/core/heat';
import type { Range } from '@/core/numeric';
import type { Keeping, Kept, RunForecast } from '@/core/run';
import { formatDecimal } from '@/core/units';
import { Why } from '../sheet/Why';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import {
  COLOUR_WORD,
  HEAT_PARAMETER_WORD,
  honestRange,
  honestTime,
  RISE_PARAMETER_WORD,
} from '@/wording/run';
import { words } from '@/wording/screens/run/RunAnswers';
import { Term } from '../help/Term';
import type { ReactNode } from 'react';

/** A rise in steps an eye can tell, %. */
function risen({ low, high }: Range): string {
  const five = (volume: number) => Math.round((volume - 1) * 20) * 5;
  return five(low) === five(high) ? `${five(low)}\u00a0%` : `${five(low)}–${five(high)}\u00a0%`;
}

function colours({ low, high }: Range): string {
  const from = COLOUR_WORD[colourOf(low)];
  const to = COLOUR_WORD[colourOf(high)];
  return from === to ? from : words.to(from, to);
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
  word: ReactNode;
  figure: string;
  say: string;
  testId: string;
}) {
  return (
    <div className="border-l-2 border-rule pl-3">
      <div className="text-sm font-semibold">{word}</div>
      <p className="figure text-2xl leading-tight" data-testid={testId}>
        {figure}
      </p>
      <p className="text-xs text-soft">{say}</p>
    </div>
  );
}

function PreheatWords({ preheat }: { preheat: NonNullable<RunForecast['preheat']> }) {
  const { ovenS, plateS, recoverS } = preheat;
  if (ovenS.low === null) return null;
  return (
    <>
      {words.heatTheOvenBefore(honestRange(ovenS.low, ovenS.high))}
      {plateS && words.withWhatStandsInIt(honestRange(plateS.low, plateS.high))}
      {recoverS && words.waitBetweenLoads(honestRange(recoverS.low, recoverS.high))}.
    </>
  );
}

/** A rough range says so: hours to six, days whole. */
const span = (low: number, high: number, step: number): string => {
  const [from, to] = [low, high].map((x) => Math.max(1, Math.round(x / step)) * step);
  return from === to ? String(from) : `${from}–${to}`;
};
function KeepingWords({ keeping: { wrapped, bare, frozen } }: { keeping: Readonly<Record<Kept, Keeping>> }) {
  const hours = ({ softH }: Keeping, step: number) => span(softH.low, softH.high, step);
  const weeks = span(frozen.softH.low / 168, frozen.softH.high / 168, 1);
  const days = span(wrapped.refreshedH.low / 24, wrapped.refreshedH.high / 24, 1);
  return <>{words.itStaysSoft(hours(wrapped, 6), hours(bare, 2), days, weeks)}</>;
}

/** What a baker wants to know of the day: when it is ready, when it is baked, when it may be cut. Ranges, with what to look for. */
export function RunAnswers({
  forecast,
  lidded,
  topped,
  keeping,
  bakesS,
}: {
  forecast: RunForecast;
  lidded: boolean;
  topped: boolean;
  /** How it keeps wrapped in the room; null where it is eaten warm. */
  keeping: Readonly<Record<Kept, Keeping>> | null;
  /** What the method gives it in the heat, s. */
  bakesS: number;
}) {
  const numbers = useNumbers();
  const units = useUnits();
  const { rise, bake, preheat } = forecast;
  const rises = risesVisibly(rise);
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Answer
          testId="run-most"
          word={<Term id="range">{words.theMostItCanRise}</Term>}
          figure={rises ? risen(rise.canHold) : '–'}
          say={
            rise.pastAtS.value === null
              ? words.itDoesNotSinkAgain
              : words.pastItAfter(honestRange(rise.pastAtS.low, rise.pastAtS.high))
          }
        />
        {bake && (
          <Answer
            testId="run-set"
            word={<Term id="set">{words.crumbSet}</Term>}
            figure={honestRange(bake.set.low, bake.set.high)}
            say={words.fromLoadingAtInThe(
              units.temperature(Math.min(96, bake.simulation.boilsC - 2.5)),
              honestTime(bakesS),
            )}
          />
        )}
      </div>
      {bake && (
        <p className="mt-3 text-sm" data-testid="run-words">
          {bake.setChance < 0.85 && (
            <strong className="text-alarm">
              {bake.setChance < 0.15
                ? words.rawInTheMiddleAt
                : words.setAtItsEndIn(Math.round(bake.setChance * 10))}
            </strong>
          )}
          {words.baseItLosesOfIts(
            topped ? words.rim : words.top,
            colours(bake.brownTop),
            colours(bake.brownBase),
            shares(bake.lost),
            shares(bake.lostCooled),
            units.thick(Math.max(1, Math.round(bake.simulation.crustMm))),
          )}
          {forecast.oilTaken && words.itTakesUpOil(shares(forecast.oilTaken))}
          {lidded && bake.holds.low !== null && (
            <>{words.theLidMayComeOff(honestRange(bake.holds.low, bake.holds.high))}</>
          )}
          {preheat && <PreheatWords preheat={preheat} />}
          {keeping && <KeepingWords keeping={keeping} />}
        </p>
      )}
      <Why>
        <p>{words.readyIsSevenTenthsOf}</p>
        <p>
          {words.whatMakesTheRiseMost(RISE_PARAMETER_WORD[rise.dominant])}
          {bake && <>{words.theBake(HEAT_PARAMETER_WORD[bake.dominant])}</>}
          {words.bakedItIsTimesThe(numbers.decimal(forecast.bakedVolume, 2))}
        </p>
      </Why>
    </>
  );
}
