import { feedsDue } from './feedsDue';
import { feedsFor } from './feedFor';
import { ripening, vigourByTop } from './ripening';
import { startersDocumentSchema } from './starterDocument';
import { starterNow } from './starterNow';
import { fed, MORNING_MS, starter, told } from './testStarters';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const at = (hours: number) => MORNING_MS + hours * HOUR;
const hoursOf = (ms: number) => (ms - MORNING_MS) / HOUR;
const plain = { value: 1, cv: 0.4 };
const ripe = (parts: number, tempC: number, water = parts) =>
  ripening({ seed: 1, flour: parts, water, tempC, totalG: 150 }, [{ tempC, durationS: 172_800 }], plain)!;

test('ripe by practice: 1 : 1 : 1 at 25 °C in 3.5 to 6 hours, 1 : 5 : 5 in 7 to 11; at 20 °C half as long again to nearly twice; stiff later', () => {
  const [quick, slow] = [ripe(1, 25), ripe(5, 25)];
  expect(quick.topS.value / 3600).toBeGreaterThan(3.5);
  expect(quick.topS.value / 3600).toBeLessThan(6);
  expect(slow.topS.value / 3600).toBeGreaterThan(7);
  expect(slow.topS.value / 3600).toBeLessThan(11);
  const cool = ripe(1, 20).topS.value / quick.topS.value;
  expect(cool).toBeGreaterThan(1.5);
  expect(cool).toBeLessThan(1.9);
  expect(ripe(2, 24, 1.1).topS.value).toBeGreaterThan(1.05 * ripe(2, 24).topS.value);
  // ripe before its highest, and for a while after it
  expect(quick.fromS.typical).toBeLessThan(quick.topS.value);
  expect(quick.fromS.typical).toBeGreaterThan(0.7 * quick.topS.value);
  expect(quick.untilS - quick.topS.value).toBe(3600);
  expect(slow.untilS - slow.topS.value).toBeCloseTo(0.2 * slow.topS.value, 0);
  // in the fridge it never comes to its highest in two days
  expect(ripening({ seed: 1, flour: 5, water: 5, tempC: 5, totalG: 150 }, [{ tempC: 5, durationS: 172_800 }], plain)).toBeNull();
}); // prettier-ignore

test('a mark teaches: the vigour that has it at its highest then is found again', () => {
  const feed = { seed: 1, flour: 2, water: 2, tempC: 23, totalG: 125 };
  const stays = [{ tempC: 23, durationS: 172_800 }];
  for (const value of [0.4, 1, 1.8]) {
    const topS = ripening(feed, stays, { value, cv: 0.01 })!.topS.value;
    expect(vigourByTop(feed, stays, topS)! / value).toBeCloseTo(1, 1);
  }
  // a jar that was at its highest early twice is forecast earlier, and surer
  const slow = starterNow(starter(told([0, fed(25, 50, 50)])), at(1));
  const marks = told([-48, fed(25, 50, 50)], [-44, { kind: 'top' }], [-24, fed(25, 50, 50)], [-20, { kind: 'top' }], [0, fed(25, 50, 50)]);
  const quick = starterNow(starter(marks), at(1));
  expect(quick.vigour.marks).toBe(2);
  expect(quick.vigour.value).toBeGreaterThan(1.3);
  expect(quick.vigour.cv).toBeLessThan(0.15);
  expect(quick.ripe!.top.typicalMs).toBeLessThan(slow.ripe!.top.typicalMs - HOUR);
  expect(quick.ripe!.top.highMs - quick.ripe!.top.lowMs).toBeLessThan(slow.ripe!.top.highMs - slow.ripe!.top.lowMs);
}); // prettier-ignore

test('a day of a starter by a ratio: rising, ripe, past, hungry; what is fed, what is left over', () => {
  const one = starter(told([0, fed(25, 50, 50)]));
  const { ripe, next } = starterNow(one, at(1));
  expect(starterNow(one, at(1))).toMatchObject({ state: 'rising', massG: 125, discard: null });
  expect(starterNow(one, ripe!.top.typicalMs).state).toBe('ripe');
  expect(starterNow(one, ripe!.untilMs + 60_000).state).toBe('past');
  expect(starterNow(one, at(37)).state).toBe('hungry');
  expect(next).toMatchObject({ dueMs: at(24), latestMs: at(36), keepG: 25, flourG: 50, waterG: 50, discardG: 100, why: 'usual' });
  expect(next!.fromMs).toBe(ripe!.from.typicalMs);
  // some of it into a dough, the rest fed: what was over is in the discard jar, until it is used
  const on = told([0, fed(25, 50, 50)], [8, { kind: 'taken', massG: 60 }], [24, fed(25, 50, 50)], [30, { kind: 'discardUsed', massG: 15 }]);
  expect(starterNow(starter(on), at(25))).toMatchObject({ massG: 125, discard: { massG: 40, oldestMs: at(24) } });
  expect(starterNow(starter(on), at(31)).discard!.massG).toBe(25);
  // at its highest as somebody saw it
  const seen = starterNow(starter(told([0, fed(25, 50, 50)], [9, { kind: 'top' }])), at(9.1));
  expect(seen.ripe!.top).toEqual({ lowMs: at(9), typicalMs: at(9), highMs: at(9) });
  expect(seen.state).toBe('ripe');
}); // prettier-ignore

test('all is kept with small feeds; weighed counts; nothing in it is fed as a beginning', () => {
  const whole = starter(told([0, fed(25, 20, 20)], [24, fed(65, 20, 20)], [30, { kind: 'weighed', massG: 98 }]), { school: 'keepAll', keepG: null, flourG: 20, waterG: 20 });
  expect(starterNow(whole, at(25)).massG).toBe(105);
  expect(starterNow(whole, at(31))).toMatchObject({ massG: 98, discard: null, next: { keepG: 98, discardG: 0 } });
  expect(starterNow(starter([]), at(0))).toMatchObject({ state: 'unfed', massG: 0, next: { why: 'begin', keepG: 0 }, ripe: null });
}); // prettier-ignore

test('a rest in the fridge: due in a week; out of it, it is fed in the warm before it lifts bread, the oftener the longer it stood', () => {
  const log = told([0, fed(25, 50, 50)], [3, { kind: 'moved', place: 'fridge', tempC: 5 }]);
  const cold = starterNow(starter(log), at(3 * 24));
  expect(cold).toMatchObject({ state: 'resting', place: 'fridge', revivals: 0, next: { why: 'resting', dueMs: at(7 * 24) } });
  expect(starterNow(starter(log), at(9 * 24)).revivals).toBe(1);
  expect(starterNow(starter(log), at(13 * 24)).revivals).toBe(2);
  expect(starterNow(starter(log), at(15 * 24)).state).toBe('hungry');
  const out = [...log, ...told([12 * 24, fed(25, 50, 50)]).map((event) => ({ ...event, id: '00000000-0000-4000-8000-00000000000f' }))];
  const revived = starterNow(starter(out), at(12 * 24 + 1));
  expect(revived.revivals).toBe(1);
  // fed for a dough straight out of the cold it takes longer, too
  const ripeS = (now: typeof cold, ms: number) => feedsFor(starter(log), now, 60, 22, ms).flatMap((feed) => (feed.kind === 'feed' && feed.parts === 2 ? [feed.ripeS.typical] : []))[0]!;
  const [fresh, old] = [ripeS(starterNow(starter(log), at(4)), at(4)), ripeS(starterNow(starter(log), at(13 * 24)), at(13 * 24))];
  expect(old).toBeGreaterThan(fresh + 1800);
  // weak from the cold it is ripe later than it was
  const usual = starterNow(starter(told([0, fed(25, 50, 50)])), at(1));
  expect(revived.ripe!.top.typicalMs - at(12 * 24)).toBeGreaterThan(usual.ripe!.top.typicalMs - at(0) + 0.5 * HOUR);
}); // prettier-ignore

test('built over its first days: fed daily, then twice a day; built when it is at its highest within eight hours twice in a row', () => {
  const begun = { begunMs: at(0) };
  const log = told(
    [0, fed(0, 50, 50)], [24, fed(50, 50, 50)], [48, fed(50, 50, 50)], [72, fed(25, 50, 50)], [82, { kind: 'top' }],
    [84, fed(25, 50, 50)], [91, { kind: 'top' }], [96, fed(25, 50, 50)], [102, { kind: 'top' }],
  );
  const upTo = (hours: number) => starterNow(starter(log.filter(({ atMs }) => atMs <= at(hours)), begun), at(hours));
  expect(upTo(1)).toMatchObject({ built: { done: false, day: 1 }, next: { why: 'building', dueMs: at(24) } });
  expect(upTo(73)).toMatchObject({ built: { done: false, day: 4 }, next: { dueMs: at(84) } });
  expect(upTo(90).built).toMatchObject({ done: false, quick: 0 });
  expect(upTo(92).built).toMatchObject({ done: false, quick: 1 });
  expect(upTo(103).built).toEqual({ done: true });
  expect(starterNow(starter(log.slice(0, 2), { ...begun, log: [...log.slice(0, 2), { id: log[3]!.id, kind: 'grown', atMs: at(30) }] }), at(31)).built).toEqual({ done: true });
  // nobody bakes with one that is not built
  expect(feedsFor(starter(log, begun), upTo(73), 60, 22, at(73))).toEqual([]);
}); // prettier-ignore

test('thrown away it is nothing any more: begun anew it starts from nothing', () => {
  const log = told([0, fed(25, 50, 50)], [5, { kind: 'thrown', sign: 'pink' }]);
  expect(starterNow(starter(log), at(6))).toMatchObject({
    state: 'thrown',
    massG: 0,
    next: null,
    ripe: null,
  });
  const anew = starterNow(
    starter(told([0, fed(25, 50, 50)], [5, { kind: 'thrown', sign: null }], [30, fed(0, 50, 50)])),
    at(31),
  );
  expect(anew).toMatchObject({ massG: 100, state: 'rising' });
  // from flour and water alone it has to be built anew, though it lifted bread before; from somebody's starter it has not
  expect(anew.built).toEqual({ done: false, day: 1, quick: 0 });
  const given = starterNow(
    starter(
      told(
        [0, fed(25, 50, 50)],
        [5, { kind: 'grown' }],
        [6, { kind: 'thrown', sign: null }],
        [30, fed(20, 50, 50)],
      ),
    ),
    at(31),
  );
  expect(given.built).toEqual({ done: true });
  // its discard was no better
  const bad = told([0, fed(25, 50, 50)], [24, fed(25, 50, 50)], [30, { kind: 'thrown', sign: 'fuzzy' }]);
  expect([starterNow(starter(bad), at(25)).discard?.massG, starterNow(starter(bad), at(31)).discard]).toEqual(
    [100, null],
  );
});

test('for a dough: from the jar while it is ripe and enough is left, else fed for it, quick or slow enough for a night; amounts add up', () => {
  const one = starter(told([0, fed(25, 50, 50)]));
  const now = starterNow(one, at(2));
  const feeds = feedsFor(one, now, 90, 22, at(2));
  expect(feeds.map((feed) => (feed.kind === 'jar' ? 0 : feed.parts))).toEqual([0, 2, 1, 5]);
  for (const feed of feeds) {
    if (feed.kind === 'jar') continue;
    const madeG = feed.seedG + feed.flourG + feed.waterG;
    expect(madeG).toBeGreaterThanOrEqual(90 * 1.05);
    expect(madeG).toBeLessThan(90 * 1.05 + 12);
    expect(feed.flourG).toBe(feed.parts * feed.seedG);
  }
  const ripeH = (parts: number) => feeds.flatMap((feed) => (feed.kind === 'feed' && feed.parts === parts ? [feed.ripeS.typical / 3600] : []))[0]!;
  expect(ripeH(1)).toBeLessThan(ripeH(2));
  expect(ripeH(5)).toBeGreaterThan(7);
  // ten grams stay in the jar
  expect(feedsFor(one, now, 116, 22, at(2)).some(({ kind }) => kind === 'jar')).toBe(false);
  expect(feedsFor(one, now, 2000, 22, at(2))).toEqual([]);
  // what is ripe for less than half an hour more is not begun with
  const { untilMs } = now.ripe!;
  const jars = [31, 29].map((min) => feedsFor(one, starterNow(one, untilMs - min * 60_000), 90, 22, untilMs - min * 60_000).some(({ kind }) => kind === 'jar'));
  expect(jars).toEqual([true, false]);
  // past it is no more from the jar
  expect(feedsFor(one, starterNow(one, at(20)), 90, 22, at(20)).some(({ kind }) => kind === 'jar')).toBe(false);
}); // prettier-ignore

test('a feed falls where somebody has a hand for it, as near to when it is due as can be; where nobody is there, that is said', () => {
  const shelf = { starters: [starter(told([0, fed(25, 50, 50)]))] };
  const due = (free: readonly [number, number][] | null, busy: readonly [number, number][] = []) => {
    const spans = (all: readonly [number, number][]) => all.map(([from, to]) => ({ fromMs: at(from), toMs: at(to) }));
    return feedsDue(shelf, at(12), DAY, free && spans(free), spans(busy)).map(({ atMs, nobody }) => [hoursOf(atMs), nobody]);
  };
  expect(due(null)).toEqual([[24, false]]);
  expect(due([[0, 48]], [[23.5, 25.5]])).toEqual([[24 - 0.5 - 1 / 12, false]]);
  expect(due([[0, 22], [30, 48]])).toEqual([[22 - 1 / 12, false]]);
  expect(due([[40, 48]])).toEqual([[24, true]]);
  // what is due the day after is no part of this one
  expect(feedsDue(shelf, at(1), 12 * HOUR, null, [])).toEqual([]);
  // what should have been fed is due since then; where nobody was there, since somebody is
  const since = (hours: number, free: readonly [number, number][]) =>
    feedsDue(shelf, at(hours), DAY, free.map(([from, to]) => ({ fromMs: at(from), toMs: at(to) })), []).map(({ atMs }) => hoursOf(atMs));
  expect(since(60, [[36, 80]])).toEqual([24]);
  expect(since(26, [[2, 20], [25, 40]])).toEqual([25]);
  expect(since(26, [[2, 20], [30, 40]])).toEqual([30]);
}); // prettier-ignore

test('a document is refused that no kitchen writes', () => {
  const good = { starters: [starter(told([0, fed(25, 50, 50)]))] };
  expect(startersDocumentSchema.safeParse(good).success).toBe(true);
  const refused = (more: Partial<ReturnType<typeof starter>>) => !startersDocumentSchema.safeParse({ starters: [starter([], more)] }).success;
  expect(refused({ name: ' ' })).toBe(true);
  expect(refused({ flourG: 0 })).toBe(true);
  expect(refused({ everyH: 900 })).toBe(true);
  expect(refused({ log: told([0, { ...fed(25, 50, 50), tempC: 80 } as never]) })).toBe(true);
  expect(startersDocumentSchema.safeParse({ starters: [starter([]), starter([])] }).success).toBe(false);
}); // prettier-ignore
