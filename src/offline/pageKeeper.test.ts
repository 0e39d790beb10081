import { offlinePage } from './offlinePage';
import { PageKeeper, type PageShelf } from './pageKeeper';

const HOME = 'http://127.0.0.1:4310';
const BENCH = `${HOME}/k/ours/bench/b1`;
const html = (title: string, status = 200) =>
  new Response(`<html><head><title>${title} · Honest Crumb</title></head></html>`, {
    status,
    headers: { 'content-type': 'text/html; charset=utf-8' },
  });

/** A keeper whose server answers what it is told to; without an answer it can't be reached. */
function rig() {
  const lying = new Map<string, Response>();
  const urlOf = (of: RequestInfo | URL) => (of instanceof Request ? of.url : `${of as string}`);
  const shelf: PageShelf = {
    match: (of, options) => {
      const url = urlOf(of);
      const plain = (each: string) => each.split('?')[0];
      const found = options?.ignoreSearch ? [...lying.keys()].find((each) => plain(each) === plain(url)) : url;
      return Promise.resolve(lying.get(found ?? '')?.clone());
    },
    put: (of, response) => Promise.resolve(void lying.set(urlOf(of), response)),
    keys: () => Promise.resolve([...lying.keys()].map((url) => new Request(url))),
    delete: (of) => Promise.resolve(lying.delete(urlOf(of))),
  };
  const server = { answer: null as (() => Response) | null, isSlow: false };
  const keeper = new PageKeeper({
    shelf: () => Promise.resolve(shelf),
    fetch: () =>
      server.isSlow ? new Promise(() => undefined) : server.answer ? Promise.resolve(server.answer()) : Promise.reject(new Error('away')),
    nowMs: () => 1234,
    wait: () => Promise.resolve(),
    noPage: (others) => Promise.resolve(offlinePage(others, 'dim')),
  });
  const page = async (url: string) => {
    const response = await keeper.page(new Request(url));
    return { status: response.status, text: await response.text() };
  };
  return { keeper, server, page, urls: () => [...lying.keys()] };
} // prettier-ignore

test('the server comes first; when it is away, or in trouble, the page is there as it was, and says since when', async () => {
  const { server, page } = rig();
  server.answer = () => html('Loaf');
  expect((await page(`${HOME}/k/ours`)).text).not.toContain('crumb-kept');
  const before = '<head><meta name="crumb-kept" content="1234"><title>Loaf';
  server.answer = null;
  expect(await page(`${HOME}/k/ours`)).toEqual({
    status: 200,
    text: expect.stringContaining(before) as string,
  });
  // the same page with something else asked of it
  expect((await page(`${HOME}/k/ours?at=steps`)).text).toContain(before);
  server.answer = () => html('The database is away', 503);
  expect((await page(`${HOME}/k/ours`)).text).toContain(before);
  // what it says of its own trouble holds where nothing was kept; and a page that is gone is gone
  expect((await page(`${HOME}/k/other`)).text).toContain('The database is away');
  server.answer = () => html('Not found', 404);
  expect((await page(`${HOME}/k/ours`)).status).toBe(404);
  server.answer = null;
  expect((await page(`${HOME}/k/ours`)).text).toContain(before);
});

test('at the bench nobody waits for a server that is slow; elsewhere what is new is worth a wait', async () => {
  const { server, page, keeper } = rig();
  server.answer = () => html('Bench: Loaf');
  await keeper.keep([BENCH, `${HOME}/k/ours`]);
  server.isSlow = true;
  expect((await page(`${BENCH}?at=steps`)).text).toContain('Bench: Loaf');
  const other = page(`${HOME}/k/ours`).then(() => 'answered');
  expect(await Promise.race([other, new Promise((resolve) => setTimeout(resolve, 20, 'waits'))])).toBe(
    'waits',
  );
});

test('what was never here says which pages are, the bench first, in the light that is on; no title writes a script', async () => {
  const { server, page, keeper } = rig();
  server.answer = () => html('Bench: &lt;script&gt;');
  await keeper.keep([BENCH, `${BENCH}?at=steps`]);
  server.answer = () => html('Today');
  await keeper.keep([`${HOME}/k/ours`]);
  server.answer = null;
  const { status, text } = await page(`${HOME}/k/ours/orders`);
  expect(status).toBe(503);
  expect([...text.matchAll(/<li><a href="([^"]*)">([^<]*)/g)].map(([, to, word]) => [to, word])).toEqual([
    ['/k/ours/bench/b1', 'Bench: &lt;script&gt;'],
    ['/k/ours', 'Today'],
  ]);
  expect(text).toContain('data-light="dim"');
});

test('opened from the device’s own screen without the server it leads to the kitchen that was seen last', async () => {
  const { server, keeper } = rig();
  const begin = () => keeper.page(new Request(`${HOME}/`));
  expect((await begin()).status).toBe(503);
  server.answer = () => html('Today');
  await keeper.keep([`${HOME}/k/ours`, `${HOME}/k/theirs`, BENCH]);
  server.answer = null;
  expect((await begin()).headers.get('location')).toBe(`${HOME}/k/theirs`);
});

test('no more pages than there is room for, the last seen stay; what is no page, or no longer there, is not kept', async () => {
  const { server, keeper, urls } = rig();
  server.answer = () => html('Page');
  const all = Array.from({ length: 85 }, (_, at) => `${HOME}/k/ours/formulas/${at}`);
  await keeper.keep(all);
  await keeper.keep(all.slice(10, 11));
  expect(urls()).toEqual([...all.slice(5, 10), ...all.slice(11), all[10]]);
  server.answer = () => html('Gone', 404);
  await keeper.keep(all.slice(84));
  server.answer = () => Response.json({});
  await keeper.keep([`${HOME}/k/ours/kit`]);
  server.answer = null;
  await keeper.keep(all.slice(83, 84));
  expect(urls()).toEqual([...all.slice(5, 10), ...all.slice(11, 84), all[10]]);
});
