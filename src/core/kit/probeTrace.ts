import Papa from 'papaparse';
import type { TracePoint } from '../heat/fitOven';
import { ok, refuse, type Result } from '../result';
import { parseDecimal } from '../units/decimal';

const MOST_LETTERS = 400_000;
const MOST_ROWS = 5000;

/** "12:30" is min:s, "1:02:30" h:min:s, a bare figure what the heading or the caller says. */
function seconds(text: string, unitS: number): number | null {
  const parts = text.trim().split(':');
  if (parts.length === 2 || parts.length === 3) {
    const figures = parts.map(Number);
    if (figures.some((figure) => !Number.isFinite(figure) || figure < 0)) return null;
    return figures.reduce((sum, figure) => sum * 60 + figure, 0);
  }
  const plain = parseDecimal(text);
  return plain.ok ? plain.value * unitS : null;
}

/**
 * Reads a probe's log: two columns, time and temperature, with or without a heading; comma, semicolon or tab; °F where the heading
 * says so. Time from the first row on counts from loading unless the first is not 0.
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
  const heading = first.every((cell) => !parseDecimal(cell).ok && !/^\d+:\d/.test(cell.trim()))
    ? first.join(' ').toLowerCase()
    : '';
  const unitS = /\bmin|\(m\)/.test(heading) ? 60 : /\bhour|\(h\)/.test(heading) ? 3600 : 1;
  const fahrenheit = /°f|\bfahrenheit\b|\(f\)/.test(heading);
  const points: TracePoint[] = [];
  for (const [index, row] of rows.entries()) {
    if (index === 0 && heading) continue;
    const tS = seconds(row[0] ?? '', unitS);
    const temp = parseDecimal(row[1] ?? '');
    if (tS === null || !temp.ok) return refuse('notANumber', `line ${index + 1}`);
    points.push({ atS: tS, coreC: fahrenheit ? ((temp.value - 32) * 5) / 9 : temp.value });
  }
  return points.length < 2 ? refuse('noReading', 'trace') : ok(points.sort((a, b) => a.atS - b.atS));
}
