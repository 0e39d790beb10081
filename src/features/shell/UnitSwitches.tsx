'use client';
import { Button } from '@/ui/Button';
import { usePreferences } from '../preferences/PreferencesProvider';

/** Grams or ounces, Celsius or Fahrenheit: one press each, everywhere at once. */
export function UnitSwitches() {
  const { preferences, change } = usePreferences();
  const { massUnit, temperatureUnit } = preferences;
  const otherMass = massUnit === 'g' ? 'oz' : 'g';
  const otherTemperature = temperatureUnit === 'C' ? 'F' : 'C';
  return (
    <>
      <Button
        look="quiet"
        className="min-w-9 px-2 text-soft"
        aria-label={
          massUnit === 'g' ? 'Weights in grams: change to ounces' : 'Weights in ounces: change to grams'
        }
        title={`Change to ${otherMass}`}
        onClick={() => change({ massUnit: otherMass })}
      >
        {massUnit}
      </Button>
      <Button
        look="quiet"
        className="min-w-9 px-2 text-soft"
        aria-label={
          temperatureUnit === 'C'
            ? 'Temperatures in Celsius: change to Fahrenheit'
            : 'Temperatures in Fahrenheit: change to Celsius'
        }
        title={`Change to °${otherTemperature}`}
        onClick={() => change({ temperatureUnit: otherTemperature })}
      >
        °{temperatureUnit}
      </Button>
    </>
  );
}
