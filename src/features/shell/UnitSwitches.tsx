'use client';
import { Button } from '@/ui/Button';
import { usePreferences } from '../preferences/PreferencesProvider';

/** Grams or ounces, Celsius or Fahrenheit, centimetres or inches: one press each, everywhere at once. */
export function UnitSwitches() {
  const { preferences, change } = usePreferences();
  const { massUnit, temperatureUnit, lengthUnit } = preferences;
  const switches = [
    massUnit === 'g'
      ? { shown: 'g', name: 'Weights in grams: change to ounces', to: { massUnit: 'oz' as const } }
      : { shown: 'oz', name: 'Weights in ounces: change to grams', to: { massUnit: 'g' as const } },
    temperatureUnit === 'C'
      ? {
          shown: '°C',
          name: 'Temperatures in Celsius: change to Fahrenheit',
          to: { temperatureUnit: 'F' as const },
        }
      : {
          shown: '°F',
          name: 'Temperatures in Fahrenheit: change to Celsius',
          to: { temperatureUnit: 'C' as const },
        },
    lengthUnit === 'cm'
      ? { shown: 'cm', name: 'Lengths in centimetres: change to inches', to: { lengthUnit: 'in' as const } }
      : { shown: 'in', name: 'Lengths in inches: change to centimetres', to: { lengthUnit: 'cm' as const } },
  ];
  return (
    <>
      {switches.map(({ shown, name, to }) => (
        <Button
          key={name}
          look="quiet"
          className="min-w-9 px-2 text-soft"
          aria-label={name}
          title={name}
          onClick={() => change(to)}
        >
          {shown}
        </Button>
      ))}
    </>
  );
}
