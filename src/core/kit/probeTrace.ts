import Papa from 'papaparse';
import type { TracePoint } from '../heat/fitOven';
import { ok, refuse, type Result } from '../result';
import { parseDecimal } from '../units/decimal';

const MOST_LETTERS = 400_000;
const MOST_ROWS = 5000;

/** A cell of the time column: seconds, and what it was written as. */
interface Time {
  readonly s: number;
  /** Parts of a time with colons; 1: a bare figure. */
  readonly parts: number;
}

/** "12:30", "1:02:30", with a date before it or am and pm after it; a bare figure in the unit of the heading. */
function timeOf(text: string, unitS: number): Time | null {
  const input = text.trim().replace(/^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}[T ,]+/i, '');
  const clock =
    /^(\d{1,3}):(\d{1,2})(?::(\d{1,2}(?:[.,]\d+)?))?\s*([ap])?\.?(?:m\.?)?(?:z|[+-]\d{2}:?\d{2})?$/i.exec(
      input,
    );
  if (clock) {
    const [, first = '', second = '', third, half] = clock;
    const hours = half ? (Number(first) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(first);
    if (third === undefined && half) return { s: hours * 3600 + Number(second) * 60, parts: 3 };
    if (third === undefined) return { s: hours * 60 + Number(second), parts: 2 };
    return { s: hours * 3600 + Number(second) * 60 + Number(third.replace(',', '.')), parts: 3 };
  }
  const plain = parseDecimal(input);
  return plain.ok && plain.value >= 0 ? { s: plain.value * unitS, parts: 1 } : null;
}

/** A bake is watched for at least so long, and no clock shows more. */
const SHORTEST_S = 300;
const DAY_S = 86_400;

/**
 * Times as the probe wrote them, as seconds. Two figures with a colon are minutes and seconds, unless the heading says otherwise or that
 * would make the whole log shorter than any bake: then they are hours and minutes. Past midnight a clock begins anew.
 */
function secondsOf(times: readonly Time[], heading: string): number[] {
  const two = times.some(({ parts }) => parts === 2);
  const spanS = (times.at(-1)?.s ?? 0) - (times[0]?.s ?? 0);
  const clock =
    /\bhh?:mm\b(?!:ss)|\bclock\b|time of day/.test(heading) ||
    (two && Math.abs(spanS) < SHORTEST_S && times.length > 2);
  let before = -Infinity;
  let days = 0;
  return times.map(({ s, parts }) => {
    const asS = parts === 2 && clock ? s * 60 : s;
    if (asS + days < before - DAY_S / 2) days += DAY_S;
    before = asS + days;
    return before;
  });
}

/**
 * Reads a probe's log: two columns, time and temperature, with or without a heading; comma, semicolon or tab; °F where the heading
 * says so. A time of day counts from the first row, which should be the loading; a stopwatch from its zero.
 *
 * @returns points in order of time; `notANumber` at `line 7` for the first row that can't be read, `tooLong`, `noReading`
 */
export function readProbeTrace(text: string): Result<TracePoint[]> {
  if (text.length > MOST_LETTERS) return refuse('tooLong', 'trace', { max: MOST_LETTERS });
  const clean = text.replace(/^\uFEFF/, '');
  const parsed = Papa.parse(clean, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [';', '\t', ',', '|'],
  });
  const rows = parsed.data;
  if (rows.length < 2) return refuse('noReading', 'trace');
  if (rows.length > MOST_ROWS) return refuse('tooMany', 'trace', { max: MOST_ROWS });
  const [first = []] = rows;
  const heading = first.every((cell) => !parseDecimal(cell).ok && !/\d+:\d/.test(cell.trim()))
    ? first.join(' ').toLowerCase()
    : '';
  const unitS = /\bmin|\(m\)/.test(heading) ? 60 : /\bhour|\(h\)/.test(heading) ? 3600 : 1;
  const fahrenheit = /[°º˚]\s*f\b|℉|\bfahrenheit\b|\(\s*f\s*\)|\bdeg\.?\s*f\b|(?:^|[\s_/])f(?:$|[\s_])/.test(
    heading,
  );
  const read: { time: Time; tempC: number }[] = [];
  for (const [index, row] of rows.entries()) {
    if (index === 0 && heading) continue;
    const time = timeOf(row[0] ?? '', unitS);
    // a unit behind the figure itself outweighs the heading
    const [, figure = '', unit = ''] =
      /^\s*([+-]?[\d.,]+)\s*(?:[°º˚]?\s*([cf]))?\s*$/i.exec(row[1] ?? '') ?? [];
    const temp = parseDecimal(figure);
    if (time === null || !temp.ok) return refuse('notANumber', `line ${index + 1}`);
    const isF = unit === '' ? fahrenheit : unit.toLowerCase() === 'f';
    read.push({ time, tempC: isF ? ((temp.value - 32) * 5) / 9 : temp.value });
  }
  if (read.length < 2) return refuse('noReading', 'trace');
  const seconds = secondsOf(
    read.map(({ time }) => time),
    heading,
  );
  // a time of day counts from the first row; a stopwatch from its own zero
  const ofDay = read.some(({ time }) => time.parts > 1) && (seconds[0] ?? 0) >= 3600;
  const fromS = ofDay ? (seconds[0] ?? 0) : 0;
  const points = read.map(({ tempC }, index): TracePoint => ({
    atS: (seconds[index] ?? 0) - fromS,
    coreC: tempC,
  }));
  return ok(points.sort((a, b) => a.atS - b.atS));
}
