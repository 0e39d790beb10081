'use client';
import { heatUpS } from '@/core/heat';
import { heatOven, type KitOven } from '@/core/kit';
import { Z80 } from '@/core/numeric';
import { Button } from '@/ui/Button';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { honestTime } from '../wording/run';
import { Row } from './KitRow';

interface OvenOffsetProps {
  oven: KitOven;
  roomC: number;
  onForget: () => void;
}

/** How far the dial is off and how fast it heats, with how sure that is and what it comes from. */
export function OvenOffset({ oven, roomC, onForget }: OvenOffsetProps) {
  const numbers = useNumbers();
  const units = useUnits();
  const known = oven.readings.length > 0 || oven.fitted !== null;
  const at = (dial: number) => heatOven(oven, roomC, dial);
  const give = (dial: number) => numbers.decimal(Z80 * at(dial).offsetSdC * units.degreesPerC, 0);
  const off = (dial: number) => {
    const { offsetC } = at(dial);
    return `${offsetC < 0 ? '−' : '+'}${numbers.decimal(Math.abs(offsetC * units.degreesPerC), 0)}° (± ${give(dial)})`;
  };
  return (
    <>
      <Row word="Its dial is off by">
        <span className="text-right" data-testid={`offset-${oven.id}`}>
          {known ? (
            <>
              <strong className="figure text-lg">{off(200)}</strong> at {units.temperature(200)}
              <span className="block text-xs text-soft">
                {off(240)} at {units.temperature(240)}
              </span>
            </>
          ) : (
            <span className="text-soft">not known: taken as right, give or take {give(200)}°</span>
          )}
        </span>
      </Row>
      {oven.fitted && (
        <p className="flex items-center justify-between gap-2 text-xs text-soft">
          <span>
            From {oven.fitted.traces} probe {oven.fitted.traces === 1 ? 'trace' : 'traces'}: it heats{' '}
            {numbers.decimal(100 * oven.fitted.transfer, 0)} % (±{' '}
            {numbers.decimal(100 * Z80 * oven.fitted.transfer * oven.fitted.transferCv, 0)}) of an ordinary
            one; the fit misses by {numbers.decimal(oven.fitted.missC * units.degreesPerC, 1)}°.
          </span>
          <Button look="quiet" onClick={onForget}>
            Forget it
          </Button>
        </p>
      )}
      <p className="text-xs text-soft">
        Computed to heat to {units.temperature(220)} in {honestTime(heatUpS(at(220), roomC, 220, roomC))}.
      </p>
    </>
  );
}
