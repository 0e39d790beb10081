'use client';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { READING_LIMITS, type DialReading } from '@/core/heat';
import { Button, IconButton } from '@/ui/Button';
import { NumberField } from '../quantities/NumberField';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/kit/OvenReadings';

interface OvenReadingsProps {
  readings: readonly DialReading[];
  onChange: (readings: readonly DialReading[]) => void;
}

/** What a thermometer in the oven said at which setting: listed, taken back, added to. */
export function OvenReadings({ readings, onChange }: OvenReadingsProps) {
  const units = useUnits();
  return (
    <details className="mt-1">
      <summary className="min-h-6 cursor-pointer text-sm font-semibold">
        {words.thermometerReadings(readings.length)}
      </summary>
      <ul className="mt-1 flex flex-wrap gap-1.5">
        {readings.map((reading, index) => (
          <li
            key={`${reading.dialC} ${reading.trueC} ${index}`}
            className="flex items-center rounded border border-rule pl-2 text-sm"
          >
            {units.temperatureNumber(reading.dialC)} → {units.temperature(reading.trueC)}
            <IconButton
              label={words.deleteTheReadingAt(units.temperature(reading.dialC))}
              onClick={() => onChange(readings.filter((_, at) => at !== index))}
            >
              <X size={13} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <NewReading readings={readings} onChange={onChange} />
      <p className="mt-1 text-xs text-soft">{words.anOvenThermometerOnThe}</p>
    </details>
  );
}

/** One more reading; the two figures are checked against one another before it counts. */
function NewReading({ readings, onChange }: OvenReadingsProps) {
  const numbers = useNumbers();
  const units = useUnits();
  const [dialC, setDialC] = useState<number | null>(null);
  const [trueC, setTrueC] = useState<number | null>(null);
  const reading = dialC !== null && trueC !== null ? { dialC, trueC } : null;
  const apart = reading !== null && Math.abs(reading.dialC - reading.trueC) > READING_LIMITS.mostOffC;
  const shared = {
    unit: units.temperatureUnit,
    optional: true,
    read: units.parseTemperature,
    show: (shown: number) => String(units.temperatureNumber(shown)),
  };
  const take = () => {
    if (!reading) return;
    onChange([...readings, reading]);
    setDialC(null);
    setTrueC(null);
  };
  return (
    <>
      <NumberField
        {...shared}
        word={words.onTheDial}
        name="dialC"
        value={dialC}
        bounds={READING_LIMITS.dialC}
        onChange={setDialC}
      />
      <NumberField
        {...shared}
        word={words.aThermometerInsideSays}
        name="trueC"
        value={trueC}
        bounds={READING_LIMITS.trueC}
        onChange={setTrueC}
      />
      {apart && (
        <p role="alert" className="text-sm text-alarm">
          {words.moreThanApartNoOven(numbers.decimal(READING_LIMITS.mostOffC * units.degreesPerC, 0))}
        </p>
      )}
      <Button
        className="mt-1"
        disabled={!reading || apart || readings.length >= READING_LIMITS.count}
        onClick={take}
      >
        <Plus size={16} aria-hidden />
        {words.takeThisReading}
      </Button>
    </>
  );
}
