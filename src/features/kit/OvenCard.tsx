'use client';
import dynamic from 'next/dynamic';
import { READING_LIMITS } from '@/core/heat/heatLimits';
import { KIT_LIMITS, type KitOven } from '@/core/kit';
import { Choice } from '@/ui/Choice';
import { NumberField } from '../quantities/NumberField';
import { useUnits } from '../preferences/PreferencesProvider';
import { NameCell, RemoveButton } from './KitRow';
import { CountField, LengthField } from './SizeField';
import { OvenReadings } from './OvenReadings';
import { words } from '@/wording/screens/kit/OvenCard';
import { patiently } from '@/ui/patiently';

// the fit's mathematics follow when the page stands
const OvenOffset = dynamic(
  patiently(() => import('./OvenOffset').then((module) => module.OvenOffset)),
  {
    ssr: false,
    loading: () => <div className="min-h-20" />,
  },
);
const OffsetChart = dynamic(
  patiently(() => import('./OffsetChart').then((module) => module.OffsetChart)),
  {
    ssr: false,
  },
);

const KINDS = [
  { value: 'static', label: words.topAndBottomHeat },
  { value: 'fan', label: words.fan },
  { value: 'deck', label: words.deck },
  { value: 'flame', label: words.flameOrDome },
  { value: 'grill', label: words.grillFromAbove },
  { value: 'humid', label: words.fanWithHumidity },
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
  const put = (part: Partial<KitOven>) => onChange({ ...oven, ...part });
  return (
    <div role="group" aria-label={oven.name} className="border-t-2 border-rule py-2">
      <div className="flex flex-wrap items-center gap-2">
        <NameCell
          name={oven.name}
          label={words.nameOf(oven.name)}
          onName={(name) => onChange({ ...oven, name })}
        />
        <Choice
          label={words.kindOf(oven.name)}
          value={oven.kind}
          options={KINDS}
          onChange={(kind) => onChange({ ...oven, kind })}
          className="border-edge text-sm"
        />
        {onRemove && <RemoveButton name={oven.name} onRemove={onRemove} />}
      </div>
      <label className="flex min-h-8 items-center gap-2 pl-1.5 text-sm">
        <input type="radio" name="usual-oven" checked={usual} onChange={onUsual} />
        {words.theOneBakesAre}
      </label>
      <div className="pl-1.5">
        <NumberField
          word={words.roomInside}
          measure="volume"
          name="litres"
          optional
          value={oven.litres}
          bounds={KIT_LIMITS.litres}
          onChange={(litres) => onChange({ ...oven, litres })}
        />
        <LengthField word={words.floorLong} name="floorLengthCm" of={oven} put={put} />
        <LengthField word={words.floorWide} name="floorWidthCm" of={oven} put={put} />
        <CountField
          word={words.shelves}
          value={oven.shelves ?? null}
          onChange={(shelves) => put({ shelves })}
        />
        <NumberField
          word={words.coldToTakesIt(units.temperature(220))}
          unit="min"
          name="heatUpMin"
          optional
          places={0}
          value={oven.heatUpMin}
          bounds={KIT_LIMITS.heatUpMin}
          onChange={(heatUpMin) => onChange({ ...oven, heatUpMin })}
        />
        <NumberField
          word={words.highestSetting}
          unit={units.temperatureUnit}
          read={units.parseTemperature}
          show={(tempC) => String(units.temperatureNumber(tempC))}
          name="hottestC"
          optional
          places={0}
          value={oven.hottestC ?? null}
          bounds={READING_LIMITS.dialC}
          onChange={(hottestC) => onChange({ ...oven, hottestC })}
        />
        <OvenOffset oven={oven} roomC={roomC} onForget={() => onChange({ ...oven, fitted: null })} />
        {oven.readings.length > 0 && !oven.fitted && <OffsetChart oven={oven} roomC={roomC} />}
        <OvenReadings
          readings={oven.readings}
          onChange={(readings) => onChange({ ...oven, readings: [...readings] })}
        />
      </div>
    </div>
  );
}
