import { BAND_ENDS, BANDS } from '@/core/consistency';
import { colourOf } from '@/core/heat';
import type { RecordRow, RecordWhat } from '@/core/record';
import { formatDuration } from '@/core/units';
import { BAND_WORD } from './bands';
import { COLOUR_WORD } from './run';

const words = {
  what: {
    room: 'Room', dough: 'Dough from the bowl', feel: 'How it felt', mark: 'Risen', riseTime: 'Rising, and when it was ready', oven: 'Oven', bakeTime: 'In the heat, and when it was set',
    core: 'Core out of the oven', lost: 'Weight lost', colourAbove: 'Colour above', colourBelow: 'Colour beneath', coolTime: 'Cooling, and when it may be cut', heightToWidth: 'Height to width', pieces: 'Pieces',
  } satisfies Record<RecordWhat, string>,
  after: (time: string) => `after ${time}`,
  range: (low: string, high: string) => `${low}–${high}`,
  atLeast: (low: string) => `${low} or later`,
} as const; // prettier-ignore

type Span = NonNullable<RecordRow['predicted']>;

interface Writing {
  readonly decimal: (value: number, places: number) => string;
  readonly temperature: (tempC: number) => string;
}

/** Rows of a record as a baker reads them, whoever writes the figures. */
export function recordWords({ decimal, temperature }: Writing) {
  const band = (s: number) => BAND_WORD[BANDS.find((each) => s < BAND_ENDS[each] - 1e-9) ?? 'pourable'].short;
  const value = (what: RecordWhat, is: number): string => {
    switch (what) {
      case 'room':
      case 'dough':
      case 'oven':
      case 'core':
        return temperature(is);
      case 'feel':
        return band(is);
      case 'mark':
        return `${decimal(100 * (is - 1), 0)} %`;
      case 'lost':
        return `${decimal(100 * is, 1)} %`;
      case 'riseTime':
      case 'bakeTime':
      case 'coolTime':
        return formatDuration(60 * Math.round(is / 60));
      case 'colourAbove':
      case 'colourBelow':
        return COLOUR_WORD[colourOf(is)];
      case 'heightToWidth':
        return decimal(is, 2);
      case 'pieces':
        return String(is);
    }
  };
  const span = (what: RecordWhat, { low, high, value: middle }: Span): string => {
    if (low === null && high === null) return middle === null ? '' : value(what, middle);
    const [from, to] = [low === null ? '' : value(what, low), high === null ? '' : value(what, high)];
    if (to === '') return words.atLeast(from);
    return from === to ? from : words.range(from, to);
  };
  return {
    name: ({ what, atS }: RecordRow): string =>
      atS === undefined
        ? words.what[what]
        : `${words.what[what]} ${words.after(formatDuration(60 * Math.round(atS / 60)))}`,
    value,
    span,
    /** What an eye or a hand told is its own word, not the span it stands for. */
    seen: (what: RecordWhat, is: Span): string => {
      if (what === 'feel' && is.high !== null) return band(is.high - 0.001);
      return is.value === null ? span(what, is) : value(what, is.value);
    },
  };
}
