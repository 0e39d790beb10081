'use client';
import { Button } from '@/ui/Button';
import { usePreferences } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/shell/UnitSwitches';

/** Grams or ounces, Celsius or Fahrenheit, centimetres or inches: one press each, everywhere at once. */
export function UnitSwitches() {
  const { preferences, change } = usePreferences();
  const { massUnit, temperatureUnit, lengthUnit } = preferences;
  const switches = [
    massUnit === 'g'
      ? { shown: 'g', name: words.weightsInGramsChangeTo, to: { massUnit: 'oz' as const } }
      : { shown: words.oz, name: words.weightsInOuncesChangeTo, to: { massUnit: 'g' as const } },
    temperatureUnit === 'C'
      ? {
          shown: '°C',
          name: words.temperaturesInCelsiusChangeTo,
          to: { temperatureUnit: 'F' as const },
        }
      : {
          shown: '°F',
          name: words.temperaturesInFahrenheitChangeTo,
          to: { temperatureUnit: 'C' as const },
        },
    lengthUnit === 'cm'
      ? { shown: words.cm, name: words.lengthsInCentimetresChangeTo, to: { lengthUnit: 'in' as const } }
      : { shown: words.inWord, name: words.lengthsInInchesChangeTo, to: { lengthUnit: 'cm' as const } },
  ];
  return (
    <>
      {switches.map(({ shown, name, to }) => (
        <Button
          key={name}
          look="quiet"
          className="min-w-9 px-2 text-soft max-lg:min-w-8 max-lg:px-0.5"
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
