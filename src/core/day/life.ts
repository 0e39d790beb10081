import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns';
import { ok, refuse, type Result } from '../result';
import type { DayWish } from './dayOf';

/** Hours that come again: on these days of the week (1 Monday to 7 Sunday), by the clock on the wall; past midnight where they end before they begin. */
export interface Hours {
  readonly days: readonly number[];
  readonly from: string;
  readonly to: string;
}

/** When hands are free: sleep, work, the school run; dough may rise meanwhile, and ovens cool. */
export interface Life {
  /** Where the clock on the wall hangs, as in "Europe/Lisbon". */
  readonly zone: string;
  /** Who is there when nobody is away. */
  readonly people: number;
  /** Hours in which so many are away; absent: everybody. */
  readonly away: readonly (Hours & { readonly people?: number | null })[];
  /** Hours one likes to work in; empty: any. */
  readonly preferred: readonly Hours[];
  /** Whether other hours may be used where a promise asks for them. */
  readonly otherHours: boolean;
  /** Single times in which so many are not there; absent: nobody is. */
  readonly once?: readonly { readonly fromMs: number; readonly toMs: number; readonly people?: number }[];
}

const CLOCK = /^([01]\d|2[0-3]):([0-5]\d)$|^24:00$/;

function checked({ zone, people, away, preferred }: Life): Result<null> {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
  } catch {
    return refuse('notAllowed', 'zone');
  }
  if (!Number.isInteger(people) || people < 1 || people > 20) return refuse('notAllowed', 'people');
  for (const [name, all] of [['away', away], ['preferred', preferred]] as const)
    for (const [at, { days, from, to }] of all.entries()) {
      if (days.length === 0 || days.some((day) => !Number.isInteger(day) || day < 1 || day > 7)) return refuse('notAllowed', `${name}.${at}.days`);
      if (!CLOCK.test(from) || from === '24:00') return refuse('notADuration', `${name}.${at}.from`);
      if (!CLOCK.test(to)) return refuse('notADuration', `${name}.${at}.to`);
      if (from === to) return refuse('rangeReversed', `${name}.${at}.to`);
    }
  return ok(null);
} // prettier-ignore

/** The moments of hours that come again, as far as they touch a stretch of time. A clock that is put forward or back shortens or lengthens them. */
export function momentsOf({ days, from, to }: Hours, zone: string, fromMs: number, toMs: number): { fromMs: number; toMs: number }[] {
  const found: { fromMs: number; toMs: number }[] = [];
  const [fromH = 0, fromMin = 0] = from.split(':').map(Number);
  const [toH = 0, toMin = 0] = to.split(':').map(Number);
  const overnight = toH * 60 + toMin <= fromH * 60 + fromMin;
  const today = new TZDate(fromMs, zone);
  for (let day = new TZDate(today.getFullYear(), today.getMonth(), today.getDate() - 1, zone); day.getTime() < toMs; day = addDays(day, 1)) {
    if (!days.includes(day.getDay() === 0 ? 7 : day.getDay())) continue;
    const at = (days: number, hours: number, minutes: number) =>
      new TZDate(day.getFullYear(), day.getMonth(), day.getDate() + days, hours, minutes, zone).getTime();
    const one = { fromMs: at(0, fromH, fromMin), toMs: at(overnight ? 1 : 0, toH, toMin) };
    if (one.toMs > fromMs && one.fromMs < toMs && one.toMs > one.fromMs) found.push(one);
  }
  return found;
} // prettier-ignore

/**
 * Who is there from one moment to another, by the hours of a life.
 *
 * @returns windows that follow one another; `notAllowed` at zone, people or days, `notADuration` or `rangeReversed` at hours
 */
export function handsOf(life: Life, fromMs: number, toMs: number): Result<DayWish['hands']> {
  const fits = checked(life);
  if (!fits.ok) return fits;
  const { zone, people, away, preferred, otherHours, once = [] } = life;
  const gone = [
    ...away.flatMap((hours) =>
      momentsOf(hours, zone, fromMs, toMs).map((moment) => ({ ...moment, people: hours.people ?? people })),
    ),
    ...once.map((moment) => ({ ...moment, people: moment.people ?? people })),
  ];
  const liked = preferred.flatMap((hours) => momentsOf(hours, zone, fromMs, toMs));
  const edges = [
    ...new Set([fromMs, toMs, ...[...gone, ...liked].flatMap((moment) => [moment.fromMs, moment.toMs])]),
  ]
    .filter((ms) => ms >= fromMs && ms <= toMs)
    .sort((a, b) => a - b);
  const within = (moment: { fromMs: number; toMs: number }, ms: number) =>
    ms >= moment.fromMs && ms < moment.toMs;
  const windows: DayWish['hands'][number][] = [];
  const isLikedAt = (ms: number) => preferred.length === 0 || liked.some((moment) => within(moment, ms));
  const thereAt = (ms: number) =>
    gone.reduce(
      (sum, moment) => (within(moment, ms) ? sum - moment.people : sum),
      isLikedAt(ms) || otherHours ? people : 0,
    );
  edges.slice(0, -1).forEach((ms, at) => {
    const isLiked = isLikedAt(ms);
    const there = thereAt(ms);
    if (there > 0)
      windows.push({
        fromMs: ms,
        toMs: edges[at + 1]!,
        people: there,
        ...(!isLiked && { unwanted: true as const }),
        ...(edges[at + 1]! < toMs && thereAt(edges[at + 1]!) < there && { leaves: true as const }),
      });
  });
  return ok(windows);
}
