import { plainLoaf } from '@/core/formula/testFormulas';
import { findDraft, rememberDraft } from './draft';

const formula = plainLoaf();
const asTab = (name: string) => sessionStorage.setItem('crumb-tab', name);
let alive: string[] = [];
beforeEach(() => {
  localStorage.clear();
  alive = [];
  Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: { query: () => Promise.resolve({ held: alive.map((name) => ({ name: `crumb-tab:${name}` })) }) },
  });
});

test('a reload finds what this tab had not saved; once saved it is gone', async () => {
  asTab('one');
  rememberDraft('f', { seen: 3, formula });
  expect(await findDraft('f')).toEqual({ seen: 3, formula });
  expect(await findDraft('other')).toBeNull();
  rememberDraft('f', null);
  expect(await findDraft('f')).toBeNull();
});

test('a draft of a tab that is gone is taken over, one of a living tab is left alone', async () => {
  asTab('one');
  rememberDraft('f', { seen: 3, formula });
  asTab('two');
  alive = ['one'];
  expect(await findDraft('f')).toBeNull();
  alive = [];
  expect(await findDraft('f')).toEqual({ seen: 3, formula });
  expect(localStorage).toHaveLength(0);
});

test('rubbish in the storage is no draft', async () => {
  asTab('one');
  localStorage.setItem('crumb-draft:f:one', '{"seen":1,"formula":{"name":5}}');
  expect(await findDraft('f')).toBeNull();
  localStorage.setItem('crumb-draft:f:one', '{');
  expect(await findDraft('f')).toBeNull();
});
