import { fahrenheitToCelsius } from '../../units/temperature';

/** A temperature printed twice, the two not the same: "350 °F / 220 °C". */
export interface HeatContradiction {
  readonly written: string;
  readonly firstC: number;
  readonly secondC: number;
}

const DEGREES =
  /(\d{2,3})\s*(?:[-–]\s*(\d{2,3})\s*)?(?:°|º|deg(?:rees)?\.?)?\s*(?:(C|F)\b|(celsius|centigrade|fahrenheit))/gi;

/** All temperatures of a text, °C, with where they stand. */
function temperaturesIn(
  text: string,
): { tempC: number; fahrenheit: boolean; written: string; from: number; to: number }[] {
  return [...text.matchAll(DEGREES)].map((found) => {
    const fahrenheit = /f/i.test(found[3] ?? found[4] ?? 'c');
    const value = found[2] ? (Number(found[1]) + Number(found[2])) / 2 : Number(found[1]);
    return {
      tempC: fahrenheit ? fahrenheitToCelsius(value) : value,
      fahrenheit,
      written: found[0],
      from: found.index,
      to: found.index + found[0].length,
    };
  });
}

/** Pairs that stand for one temperature in two scales and are further apart than rounding to ten explains. */
export function heatContradictions(text: string): HeatContradiction[] {
  const found = temperaturesIn(text);
  return found.flatMap((first, index) => {
    const second = found[index + 1];
    if (!second || second.fahrenheit === first.fahrenheit) return [];
    const between = text.slice(first.to, second.from);
    if (!/^[\s/(,–-]*(?:or|=)?[\s/(]*$/.test(between)) return [];
    if (Math.abs(first.tempC - second.tempC) <= 9) return [];
    return [{ written: text.slice(first.from, second.to), firstC: first.tempC, secondC: second.tempC }];
  });
}
