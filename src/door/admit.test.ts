import { PAIR_PAGE } from '@/core/network/deviceKey';
import { admit } from './admit';

/** From the network, with no key of any device. */
const unpaired = (path: string, writes = false) =>
  admit({ ok: true, kind: path.startsWith('/api/') ? 'api' : 'page', path, writes }, undefined, () =>
    Promise.resolve(null),
  );
const TOKEN = 'AbCd_-0123456789abcdefgh';

test('without being paired one comes to the pairing page, and by a taster’s link to its card: to nothing else', async () => {
  const inside = { kind: 'in', only: null, may: null };
  expect(await unpaired(`/taste/${TOKEN}`)).toEqual(inside);
  expect(await unpaired(`/api/tasting/${TOKEN}`, true)).toEqual(inside);
  expect(await unpaired(PAIR_PAGE)).toEqual(inside);
  for (const path of [
    '/',
    '/taste',
    '/taste/',
    `/taste/${TOKEN}x`,
    `/taste/${TOKEN}/`,
    `/taste/${TOKEN}/..%2f..%2fk`,
    '/k/larkspur-lock/logbook',
  ])
    expect([path, await unpaired(path)]).toEqual([path, { kind: 'elsewhere', path: PAIR_PAGE }]);
  for (const path of [`/api/tasting/${TOKEN}/x`, '/api/tasting/', '/api/k/larkspur-lock/export', '/api/k/-/bakes'])
    expect([path, await unpaired(path, true)]).toEqual([path, { kind: 'no', why: 'notPaired' }]);
}); // prettier-ignore
