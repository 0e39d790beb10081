'use client';
import { KIT_LIMITS, PLACE_KINDS, type Kit } from '@/core/kit';
import { STANDS_LIMITS } from '@/core/method';
import { words } from '@/wording/screens/kit/KitPlaces';
import { NumberField } from '../quantities/NumberField';
import { useUnits } from '../preferences/PreferencesProvider';
import { AddButton } from './AddButton';
import { KitCard, type KitProps } from './KitCard';
import { KitRow, newKitId } from './KitRow';
import { CountField, LengthField } from './SizeField';

type Place = Kit['places'][number];
const KINDS = PLACE_KINDS.map((value) => ({ value, label: words.kinds[value] }));
const newPlace = (): Place => ({
  id: newKitId(), name: words.aProver, kind: 'prover', tempC: null, humidityPercent: null, lengthCm: null, widthCm: null, shelves: null,
}); // prettier-ignore
const MOIST: ReadonlySet<Place['kind']> = new Set(['warm', 'prover', 'ovenLight']);
/** The warm place and the fridge stand among the rooms. */
const WARMTH_ELSEWHERE: ReadonlySet<Place['kind']> = new Set(['rack', 'fridge']);

/** Where doughs stand and breads cool: how warm, how moist, how much goes in. */
export function KitPlaces({ kit: { places }, change }: KitProps) {
  const units = useUnits();
  return (
    <KitCard title={words.title}>
      {places.length === 0 && <p className="text-sm text-soft">{words.none}</p>}
      {places.map((place) => {
        const put = (part: Partial<Place>) =>
          change({ places: places.map((each) => (each.id === place.id ? { ...each, ...part } : each)) });
        return (
          <KitRow
            key={place.id}
            name={place.name}
            kind={place.kind}
            kinds={KINDS}
            onName={(name) => put({ name })}
            onKind={(kind) => put({ kind })}
            onRemove={() => change({ places: places.filter((each) => each.id !== place.id) })}
          >
            {!WARMTH_ELSEWHERE.has(place.kind) && (
              <NumberField
                word={words.warmth}
                unit={units.temperatureUnit}
                name="placeC"
                optional
                value={place.tempC}
                bounds={KIT_LIMITS.placeC}
                read={units.parseTemperature}
                show={(tempC) => String(units.temperatureNumber(tempC))}
                onChange={(tempC) => put({ tempC })}
              />
            )}
            {MOIST.has(place.kind) && (
              <NumberField
                word={words.humidity}
                unit="%"
                name="humidityPercent"
                places={0}
                optional
                value={place.humidityPercent}
                bounds={STANDS_LIMITS.humidityPercent}
                onChange={(humidityPercent) => put({ humidityPercent })}
              />
            )}
            <LengthField word={words.long} name="lengthCm" of={place} put={put} />
            <LengthField word={words.wide} name="widthCm" of={place} put={put} />
            <CountField word={words.shelves} value={place.shelves} onChange={(shelves) => put({ shelves })} />
          </KitRow>
        );
      })}
      <AddButton
        word={words.add}
        count={places.length}
        onAdd={() => change({ places: [...places, newPlace()] })}
      />
    </KitCard>
  );
}
