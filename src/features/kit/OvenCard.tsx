'use client';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { heatUpS, READING_LIMITS } from '@/core/heat';
import { heatOven, KIT_LIMITS, type KitOven } from '@/core/kit';
import { formatDecimal } from '@/core/units';
import { Button, IconButton } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { NumberField } from '../quantities/NumberField';
import { useUnits } from '../preferences/PreferencesProvider';
import { honestTime } from '../wording/run';
import { NameCell, Row } from './KitRow';

const KINDS = [
  { value: 'static', label: 'top and bottom heat' },
  { value: 'fan', label: 'fan' },
  { value: 'deck', label: 'deck' },
] as const;

interface OvenCardProps {
  oven: KitOven;
  roomC: number;
  usual: boolean;
  onUsual: () => void;
  onChange: (oven: KitOven) => void;
  onRemove: (() => void) | null;
}

/** Know your oven: what it is, and how far its dial is off, with how sure that is. */
export function OvenCard({ oven, roomC, usual, onUsual, onChange, onRemove }: OvenCardProps) {
  const units = useUnits();
  const [dialC, setDialC] = useState<number | null>(null);
  const [trueC, setTrueC] = useState<number | null>(null);
  const known = oven.readings.length > 0 || oven.fitted !== null;
  const at = (dial: number) => heatOven(oven, roomC, dial);
  /** A difference of °C in the reader's unit. */
  const scale = units.temperatureUnit === '°F' ? 1.8 : 1;
  const off = (dial: number) => {
    const { offsetC, offsetSdC } = at(dial);
    const half = 1.2816 * offsetSdC * scale;
    return `${offsetC < 0 ? '−' : '+'}${formatDecimal(Math.abs(offsetC * scale), 0)}° (± ${formatDecimal(half, 0)})`;
  };
  const field = (
    word: string,
    name: 'dialC' | 'trueC',
    value: number | null,
    put: (value: number | null) => void,
  ) => (
    <NumberField
      word={word}
      unit={units.temperatureUnit}
      name={name}
      optional
      value={value}
      bounds={READING_LIMITS[name]}
      read={units.parseTemperature}
      show={(shown) => String(units.temperatureNumber(shown))}
      onChange={put}
    />
  );
  const apart = dialC !== null && trueC !== null && Math.abs(dialC - trueC) > READING_LIMITS.mostOffC;
  return (
    <div role="group" aria-label={oven.name} className="border-t-2 border-rule py-2">
      <div className="flex flex-wrap items-center gap-2">
        <NameCell
          name={oven.name}
          label={`Name of ${oven.name}`}
          onName={(name) => onChange({ ...oven, name })}
        />
        <Choice
          label={`Kind of ${oven.name}`}
          value={oven.kind}
          options={KINDS}
          onChange={(kind) => onChange({ ...oven, kind })}
          className="border-edge text-sm"
        />
        {onRemove && (
          <IconButton label={`Take ${oven.name} out of the kit`} onClick={onRemove}>
            <X size={15} aria-hidden />
          </IconButton>
        )}
      </div>
      <label className="flex min-h-8 items-center gap-2 pl-1.5 text-sm">
        <input type="radio" name="usual-oven" checked={usual} onChange={onUsual} /> the one bakes are reckoned
        for
      </label>
      <div className="pl-1.5">
        <NumberField
          word="Room inside"
          unit="l"
          name="litres"
          optional
          places={0}
          value={oven.litres}
          bounds={KIT_LIMITS.litres}
          onChange={(litres) => onChange({ ...oven, litres })}
        />
        <NumberField
          word={`Cold to ${units.temperature(220)} takes it`}
          unit="min"
          name="heatUpMin"
          optional
          places={0}
          value={oven.heatUpMin}
          bounds={KIT_LIMITS.heatUpMin}
          onChange={(heatUpMin) => onChange({ ...oven, heatUpMin })}
        />
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
              <span className="text-soft">
                not known: taken as right, give or take {formatDecimal(1.2816 * 9 * scale, 0)}°
              </span>
            )}
          </span>
        </Row>
        {oven.fitted && (
          <p className="flex items-center justify-between gap-2 text-xs text-soft">
            <span>
              From {oven.fitted.traces} probe {oven.fitted.traces === 1 ? 'trace' : 'traces'}: it heats{' '}
              {formatDecimal(100 * oven.fitted.transfer, 0)} % (±{' '}
              {formatDecimal(128 * oven.fitted.transfer * oven.fitted.transferCv, 0)}) of an ordinary one; the
              fit misses by {formatDecimal(oven.fitted.missC * scale, 1)}°.
            </span>
            <Button look="quiet" onClick={() => onChange({ ...oven, fitted: null })}>
              Forget it
            </Button>
          </p>
        )}
        <p className="text-xs text-soft">
          Reckoned to heat to {units.temperature(220)} in {honestTime(heatUpS(at(220), roomC, 220, roomC))}.
        </p>
        <details className="mt-1">
          <summary className="min-h-6 cursor-pointer text-sm font-semibold">
            Thermometer readings ({oven.readings.length})
          </summary>
          <ul className="mt-1 flex flex-wrap gap-1.5">
            {oven.readings.map((reading, index) => (
              <li
                key={`${reading.dialC} ${reading.trueC} ${index}`}
                className="flex items-center rounded border border-rule pl-2 text-sm"
              >
                {units.temperatureNumber(reading.dialC)} → {units.temperature(reading.trueC)}
                <IconButton
                  label={`Forget the reading at ${units.temperature(reading.dialC)}`}
                  onClick={() =>
                    onChange({ ...oven, readings: oven.readings.filter((_, at_) => at_ !== index) })
                  }
                >
                  <X size={13} aria-hidden />
                </IconButton>
              </li>
            ))}
          </ul>
          {field('On the dial', 'dialC', dialC, setDialC)}
          {field('A thermometer inside says', 'trueC', trueC, setTrueC)}
          {apart && (
            <p role="alert" className="text-sm text-alarm">
              More than {formatDecimal(READING_LIMITS.mostOffC * scale, 0)}° apart: no oven is that far off.
              Check both.
            </p>
          )}
          <Button
            className="mt-1"
            disabled={
              dialC === null || trueC === null || apart || oven.readings.length >= READING_LIMITS.count
            }
            onClick={() => {
              if (dialC === null || trueC === null) return;
              onChange({ ...oven, readings: [...oven.readings, { dialC, trueC }] });
              setDialC(null);
              setTrueC(null);
            }}
          >
            <Plus size={16} aria-hidden /> Take this reading
          </Button>
          <p className="mt-1 text-xs text-soft">
            An oven thermometer on the middle shelf, a quarter of an hour after the lamp went out. Three or
            four settings make it sure. Thermometer readings count until a probe trace is fitted.
          </p>
        </details>
      </div>
    </div>
  );
}
