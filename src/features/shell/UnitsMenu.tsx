'use client';
import { Check, Ruler } from 'lucide-react';
import { Button } from '@/ui/Button';
import { Menu, MenuChoice } from '@/ui/Menu';
import { usePreferences } from '../preferences/PreferencesProvider';

/** Grams or ounces, Celsius or Fahrenheit: everywhere at once. */
export function UnitsMenu() {
  const { preferences, change } = usePreferences();
  const { massUnit, temperatureUnit } = preferences;
  const mark = (on: boolean) => <Check size={16} aria-hidden className={on ? '' : 'invisible'} />;
  return (
    <Menu
      trigger={
        <Button
          look="quiet"
          aria-label={`Units: ${massUnit}, °${temperatureUnit}`}
          className="px-2 text-soft"
        >
          <Ruler size={16} aria-hidden />
          {massUnit} · °{temperatureUnit}
        </Button>
      }
    >
      <MenuChoice onSelect={() => change({ massUnit: 'g' })}>{mark(massUnit === 'g')} Grams</MenuChoice>
      <MenuChoice onSelect={() => change({ massUnit: 'oz' })}>{mark(massUnit === 'oz')} Ounces</MenuChoice>
      <MenuChoice onSelect={() => change({ temperatureUnit: 'C' })}>
        {mark(temperatureUnit === 'C')} Degrees Celsius
      </MenuChoice>
      <MenuChoice onSelect={() => change({ temperatureUnit: 'F' })}>
        {mark(temperatureUnit === 'F')} Degrees Fahrenheit
      </MenuChoice>
    </Menu>
  );
}
