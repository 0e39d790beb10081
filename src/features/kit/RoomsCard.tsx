'use client';
import { KIT_LIMITS } from '@/core/kit';
import { ok } from '@/core/result';
import { NumberField } from '../quantities/NumberField';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { KitCard, type KitProps } from './KitCard';
import { Row } from '../quantities/Row';
import { words } from '@/wording/screens/kit/RoomsCard';

/** How warm and how high the kitchen is, and what mixing does there. */
export function RoomsCard({ kit, change }: KitProps) {
  const numbers = useNumbers();
  const units = useUnits();
  const { preferences } = usePreferences();
  const warm = (word: string, name: 'roomC' | 'warmC' | 'fridgeC') => (
    <NumberField
      word={word}
      unit={units.temperatureUnit}
      name={name}
      value={kit[name]}
      bounds={KIT_LIMITS[name]}
      places={preferences.temperatureUnit === 'F' ? 0 : 1}
      read={units.parseTemperature}
      show={units.temperatureNumber}
      onChange={(value) => value !== null && change({ [name]: value })}
    />
  );
  return (
    <KitCard title={words.roomsAndMixing}>
      {warm(words.room, 'roomC')}
      {warm(words.warmestPlaceForAProof, 'warmC')}
      {warm(words.fridge, 'fridgeC')}
      <NumberField
        word={words.heightAboveTheSea}
        measure="height"
        name="altitudeM"
        value={kit.altitudeM}
        bounds={KIT_LIMITS.altitudeM}
        onChange={(value) => value !== null && change({ altitudeM: value })}
      />
      <Row word={words.mixing}>
        <select
          aria-label={words.mixing}
          className="min-h-8 rounded border border-edge bg-transparent px-1"
          value={kit.mixer.kind}
          onChange={(event) =>
            change({
              mixer: { ...kit.mixer, kind: event.currentTarget.value === 'hand' ? 'hand' : 'machine' },
            })
          }
        >
          <option value="hand">{words.byHand}</option>
          <option value="machine">{words.byMachine}</option>
        </select>
      </Row>
      <NumberField
        word={words.mixingWarmsTheDoughBy}
        unit={units.temperatureUnit}
        name="frictionCPerMin"
        optional
        value={kit.mixer.frictionCPerMin}
        bounds={KIT_LIMITS.frictionCPerMin}
        read={(text) => {
          const typed = numbers.parse(text);
          return typed.ok ? ok(typed.value / units.degreesPerC) : typed;
        }}
        show={(value) => numbers.decimal(value * units.degreesPerC, 2)}
        onChange={(value) => change({ mixer: { ...kit.mixer, frictionCPerMin: value } })}
      />
    </KitCard>
  );
}
