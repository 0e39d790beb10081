'use client';
import { heatUpS } from '@/core/heat';
import { heatOven, type KitOven } from '@/core/kit';
import { Z80 } from '@/core/numeric';
import { Button } from '@/ui/Button';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { honestTime } from '@/wording/run';
import { Row } from '../quantities/Row';
import { words } from '@/wording/screens/kit/OvenOffset';
import { Term } from '../help/Term';

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
      <Row word={<Term id="offset">{words.itsDialIsOffBy}</Term>}>
        <span className="text-right" data-testid={`offset-${oven.id}`}>
          {known ? (
            <>
              <strong className="figure text-lg">{off(200)}</strong>
              {words.atTemperature(units.temperature(200))}
              <span className="block text-xs text-soft">{words.offAt(off(240), units.temperature(240))}</span>
            </>
          ) : (
            <span className="text-soft">{words.notKnownTakenAsRight(give(200))}</span>
          )}
        </span>
      </Row>
      {oven.fitted && (
        <p className="flex items-center justify-between gap-2 text-xs text-soft">
          <span>
            {words.fromProbeItHeatsOf(
              oven.fitted.traces,
              oven.fitted.traces === 1 ? words.trace : words.traces,
              numbers.decimal(100 * oven.fitted.transfer, 0),
              numbers.decimal(100 * Z80 * oven.fitted.transfer * oven.fitted.transferCv, 0),
              numbers.decimal(oven.fitted.missC * units.degreesPerC, 1),
            )}
          </span>
          <Button look="quiet" onClick={onForget}>
            {words.deleteIt}
          </Button>
        </p>
      )}
      <p className="text-xs text-soft">
        {words.calculatedToHeat(units.temperature(220), honestTime(heatUpS(at(220), roomC, 220, roomC)))}
      </p>
    </>
  );
}
