/** ./crumb screenshots: the pictures in docs/screenshots/, taken from the demo kitchen and nothing else. */
import { chromium, type Browser } from '@playwright/test';
import path from 'node:path';
import type { BakeAction } from '@/core/bake';
import { DEMO_API, inDemo } from './demoKitchen';
import { freshDatabase } from './freshDatabase';
import { serveBuilt } from './processes';
import { openQuiet } from './quietPage';

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly width: number;
  readonly height: number;
  /** Before a kitchen is entered. */
  readonly door?: true;
  readonly light?: 'dim';
  /** Scrolls this into view first. */
  readonly to?: string;
  /** Waits until this is there: what is computed takes a moment. */
  readonly until?: string;
  /** Waits until this says that all is saved. */
  readonly settled?: string;
  /** Typed into the first large field, for a page that answers to a text. */
  readonly type?: string;
}

async function post<T>(url: string, body: object): Promise<T> {
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as T;
}

async function idOf(home: string, list: string, name: string): Promise<string> {
  const html = await (await fetch(home + inDemo(list))).text();
  const link = new RegExp(`href="${inDemo(list)}/([0-9a-f-]{36})"(?:(?!</a>).)*?${name}`, 's').exec(html);
  if (!link?.[1]) throw new Error(`${name} is not on ${list}`);
  return link[1];
}

/** A bake under way: everything before mixing weighed, the first steps done, the proof's timer running. */
async function bakeUnderWay(
  home: string,
  formulaId: string,
): Promise<{ weighing: string; proofing: string }> {
  const head = (await (await fetch(`${home}${DEMO_API}/formulas/${formulaId}`)).json()) as {
    revision: number;
    formula: {
      stages: { kind: string; lines: { id: string; massG: number }[] }[];
      steps: { id: string; kind: string }[];
    };
  };
  const start = async () => {
    const batch = {
      mode: 'factor',
      factor: 1,
      pieceMassG: 1000,
      bowlLossPercent: 1,
    };
    const bake = { requestId: crypto.randomUUID(), formulaId, revision: head.revision, batch };
    return (await post<{ id: string }>(`${home}${DEMO_API}/bakes`, bake)).id;
  };
  const tap = (id: string, actions: BakeAction[]) =>
    post(`${home}${DEMO_API}/bakes/${id}/taps`, {
      taps: actions.map((action) => ({ eventId: crypto.randomUUID(), agoMs: 0, action })),
    });
  const lines = head.formula.stages.filter(({ kind }) => kind !== 'topping').flatMap((stage) => stage.lines);
  const weigh = lines.map((line): BakeAction => ({
    type: 'weighed',
    lineId: line.id,
    massG: line.massG,
  }));
  const proof = head.formula.steps.findIndex(({ kind }) => kind === 'proof');
  const done = head.formula.steps
    .slice(0, proof)
    .map(({ id }): BakeAction => ({ type: 'stepDone', stepId: id }));
  const proofing = await start();
  await tap(proofing, [...weigh, ...done]);
  await tap(proofing, [
    { type: 'timerStarted', stepId: head.formula.steps[proof]?.id ?? '', durationS: 2700 },
  ]);
  const weighing = await start();
  await tap(weighing, weigh.slice(0, 4));
  return { weighing, proofing };
}

/** Rings half through their kettle: the first load is out, the second in. */
async function ringsUnderWay(home: string, formulaId: string): Promise<string> {
  const { revision, formula } = (await (await fetch(`${home}${DEMO_API}/formulas/${formulaId}`)).json()) as {
    revision: number;
    formula: {
      stages: { lines: { id: string; massG: number }[] }[];
      steps: { id: string; kind: string }[];
    };
  };
  const batch = { mode: 'factor', factor: 1, pieceMassG: 108, bowlLossPercent: 1 };
  const bake = { requestId: crypto.randomUUID(), formulaId, revision, batch };
  const { id } = await post<{ id: string }>(`${home}${DEMO_API}/bakes`, bake);
  const boil = formula.steps.findIndex(({ kind }) => kind === 'boil');
  const of = (load: number, side: number) => `${formula.steps[boil]?.id ?? ''}-${load}-${side}`;
  const clock = (stepId: string): BakeAction => ({ type: 'timerStarted', stepId, durationS: 45 });
  const actions: BakeAction[] = [
    ...formula.stages
      .flatMap(({ lines }) => lines)
      .map(({ id: lineId, massG }): BakeAction => ({ type: 'weighed', lineId, massG })),
    ...formula.steps.slice(0, boil).map(({ id: stepId }): BakeAction => ({ type: 'stepDone', stepId })),
    ...[of(1, 1), of(1, 2)].flatMap((stepId): BakeAction[] => [clock(stepId), { type: 'stepDone', stepId }]),
    clock(of(2, 1)),
  ];
  await post(`${home}${DEMO_API}/bakes/${id}/taps`, {
    taps: actions.map((action) => ({ eventId: crypto.randomUUID(), agoMs: 0, action })),
  });
  return id;
}

/** The first tin loaf of the demo: photographed, tasted by two, with advice that was taken and held against the next. */
async function firstLoaf(home: string): Promise<string> {
  const log = (await (await fetch(`${home}${DEMO_API}/logbook?form=json`)).json()) as {
    bakes: { bakeId: string; formula: string; startedAt: string }[];
  };
  const [first] = log.bakes
    .filter(({ formula }) => formula === 'Millet and linseed tin loaf')
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  if (!first) throw new Error('the demo kitchen never baked its tin loaf');
  return first.bakeId;
}

/** A day of three breads, wanted eight hours from now; the page lays it out. */
async function dayOf(home: string, formulaIds: readonly string[]): Promise<void> {
  const readyMs = Math.ceil((Date.now() + 8 * 3_600_000) / 1_800_000) * 1_800_000;
  const batches = formulaIds.map((formulaId, index) => ({
    id: crypto.randomUUID(), formulaId, revision: 1, name: DAY_NAMES[index] ?? '', ready: { fromMs: readyMs, toMs: readyMs }, levers: [], ovenIds: [], variantId: '',
    at: {}, pins: {}, progress: {}, bakeId: null,
    batch: { mode: 'pieces', pieces: 8, pieceMassG: index === 2 ? 1160 : 85, weighed: 'dough', bakeLossPercent: 12, bowlLossPercent: 1 },
  }));
  batches[2]!.batch.pieces = 1;
  const life = { people: 1, away: [], preferred: [], otherHours: false, once: [{ name: 'Out', fromMs: Date.now() + 6.2 * 3_600_000, toMs: Date.now() + 7.2 * 3_600_000 }].map((each) => ({ ...each, fromMs: Math.round(each.fromMs), toMs: Math.round(each.toMs) })) };
  await post(`${home}${DEMO_API}/life`, { requestId: crypto.randomUUID(), seen: 0, life });
  await post(`${home}${DEMO_API}/day`, { requestId: crypto.randomUUID(), seen: 0, day: { batches, lit: [] } });
} // prettier-ignore
/** Two starters: one that is fed daily and rises, one that rests in the cold. */
async function shelfOf(home: string): Promise<void> {
  const event = (hours: number, what: object) => ({
    id: crypto.randomUUID(),
    atMs: Math.round(Date.now() + hours * 3_600_000),
    ...what,
  });
  const fed = (waterG: number) => ({
    kind: 'fed',
    keptG: 25,
    flourG: 50,
    waterG,
    place: 'room',
    tempC: 21,
    rest: 'jar',
  });
  const plain = { school: 'ratio', keepG: 25, flourG: 50, waterG: 50, everyH: 24, begunMs: null };
  const starters = [
    {
      ...plain,
      id: crypto.randomUUID(),
      name: 'Mildred',
      ingredientId: 'sorghum-starter',
      log: [
        event(-51, fed(50)),
        event(-44, { kind: 'top' }),
        event(-27, fed(50)),
        event(-20, { kind: 'top' }),
        event(-3, fed(50)),
      ],
    },
    {
      ...plain,
      id: crypto.randomUUID(),
      name: 'Stiff Jack',
      school: 'stiff',
      waterG: 28,
      ingredientId: 'buckwheat-starter',
      log: [event(-101, fed(28)), event(-97, { kind: 'moved', place: 'fridge', tempC: 5 })],
    },
  ];
  await post(`${home}${DEMO_API}/starters`, {
    requestId: crypto.randomUUID(),
    seen: 0,
    starters: { starters },
  });
}

/** A standing order for two, and a single one. */
async function orderBook(home: string, rollsId: string, loafId: string): Promise<void> {
  const order = (who: string, pieces: number, avoids: string[], when: object, loaf = false) => ({
    id: crypto.randomUUID(),
    who,
    pieces,
    avoids,
    when,
    skipped: [],
    formulaId: loaf ? loafId : rollsId,
    formulaName: loaf ? DAY_NAMES[2] : DAY_NAMES[0],
  });
  const weekly = { kind: 'weekly', days: [3, 6], clock: '08:00' };
  const orders = [
    order('The mill café', 24, [], weekly),
    order('Number nine', 6, ['sesame'], weekly),
    order(
      'School fair',
      4,
      ['milk', 'gluten'],
      { kind: 'once', atMs: Math.ceil(Date.now() / 86_400_000 + 2) * 86_400_000 + 36_000_000 },
      true,
    ),
  ];
  await post(`${home}${DEMO_API}/orders`, {
    requestId: crypto.randomUUID(),
    seen: 0,
    orders: { spare: 1, orders },
  });
}
const DAY_NAMES = ['Pumpkin-seed supper rolls', 'Blue-jar tray bread', 'Millet and linseed tin loaf'];

async function take(browser: Browser, home: string, shot: Shot): Promise<void> {
  const context = await browser.newContext({
    baseURL: home,
    viewport: { width: shot.width, height: shot.height },
    reducedMotion: 'reduce',
  });
  await context.addCookies([{ name: 'crumb-view', value: `${shot.light ?? 'day'}.g.C`, url: home }]);
  const page = await context.newPage();
  await openQuiet(page, shot.door ? shot.path : inDemo(shot.path));
  if (shot.type) {
    await page.locator('main textarea').fill(shot.type);
    await page.getByTestId('understood').waitFor();
  }
  if (shot.to) await page.locator(shot.to).evaluate((element) => element.scrollIntoView({ block: 'start' }));
  if (shot.until) await page.getByTestId(shot.until).first().waitFor();
  if (shot.settled)
    await page
      .getByTestId(shot.settled)
      .filter({ hasText: /^Saved/ })
      .waitFor();
  if (shot.name === 'timeline')
    await page.getByTestId('computing').filter({ hasNotText: 'calculating' }).waitFor({ state: 'attached' });
  if (shot.to) await page.locator(shot.to).evaluate((element) => element.scrollIntoView({ block: 'start' }));
  await page.screenshot({ path: path.join('docs', 'screenshots', `${shot.name}.png`) });
  await context.close();
}

/** A made-up recipe with what recipes have: a cup and its grams that disagree, a yeast of no kind, two scales that differ. */
const RECIPE = `Harbour Lane tin loaf
Makes 1 loaf

For the gel:
2 tbsp psyllium husk
1 1/2 cups (355 g) warm water

Dry ingredients
1 cup (150 g) brown rice flour
120 g tapioca starch
1 cup (350 g) millet flour
7 g yeast
salt to taste

Method
1. Whisk the dry ingredients and mix for 5 minutes.
2. Proof 1 hour at 28 °C.
3. Bake at 350 °F / 220 °C for 50 minutes.`;

const database = await freshDatabase();
const server = await serveBuilt(database.url);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking', '--no-first-run'],
});
try {
  const formula = await idOf(server.url, '/formulas', 'Millet and linseed tin loaf');
  const rolls = await idOf(server.url, '/formulas', 'Pumpkin-seed supper rolls');
  const tray = await idOf(server.url, '/formulas', 'Blue-jar tray bread');
  const rings = await idOf(server.url, '/formulas', 'Boiled rings, soda and honey');
  const logged = await firstLoaf(server.url);
  const { weighing, proofing } = await bakeUnderWay(server.url, formula);
  await dayOf(server.url, [rolls, tray, formula]);
  await shelfOf(server.url);
  await orderBook(server.url, rolls, formula);
  const table = { width: 1280, height: 800 };
  const tablet = { width: 820, height: 1180 };
  const phone = { width: 390, height: 844 };
  const shots: Shot[] = [
    { name: 'first', path: '/kitchens', door: true, ...table },
    { name: 'day', path: '/day', ...table, height: 1100, settled: 'plan-state' },
    { name: 'starters', path: '/starters', ...table, settled: 'starters-save' },
    { name: 'orders', path: '/orders', ...table, settled: 'orders-save' },
    { name: 'today', path: '/', ...table },
    { name: 'formulas', path: '/formulas', ...table, until: 'slice' },
    { name: 'formula', path: `/formulas/${formula}`, ...table, until: 'slice' },
    { name: 'formula-method', path: `/formulas/${formula}/method`, ...table, until: 'slice' },
    { name: 'timeline', path: `/formulas/${formula}/timeline`, ...table, height: 1000, until: 'run-set' },
    { name: 'equipment', path: '/kit', ...table },
    { name: 'read', path: '/formulas/read', ...table, type: RECIPE },
    { name: 'ingredients', path: '/ingredients?look=potato-starch&beside=potato-flour', ...table },
    { name: 'history', path: `/formulas/${tray}/story`, ...table },
    { name: 'batch', path: `/formulas/${rolls}/batch?pieces=8&each=85`, ...table },
    { name: 'bench-weigh-phone', path: `/bench/${weighing}`, ...phone },
    { name: 'bench-step-tablet', path: `/bench/${proofing}`, ...tablet },
    { name: 'logbook', path: '/logbook', ...table },
    { name: 'bake', path: `/logbook/${logged}`, ...table, height: 2400, until: 'the-change' },
  ];
  for (const shot of shots) await take(browser, server.url, shot);
  // its clocks are short, and ring on every page that comes after
  const round = `/bench/${await ringsUnderWay(server.url, rings)}?at=steps`;
  await take(browser, server.url, { name: 'bench-round-dim', path: round, ...phone, light: 'dim' });
  console.log(`${shots.length + 1} pictures in docs/screenshots`);
} finally {
  await browser.close();
  await server.stop();
  await database.drop();
}
