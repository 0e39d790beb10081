import { UnreadableDocument } from '@/db/rows';
import { knownId } from './knownId';
import { orUnreadable } from './orUnreadable';
import { sameContent } from './sameContent';

const ID = '0198c5a2-7c1e-7d33-9a4b-0f1e2d3c4b5a';

test('an id is taken in either case and in no other shape: nothing else reaches the database', () => {
  expect([knownId(ID), knownId(ID.toUpperCase())]).toEqual([ID, ID]);
  for (const version of '12345678') expect(knownId(ID.replace('-7d', `-${version}d`))).not.toBeNull();
  for (const variant of '89ab') expect(knownId(ID.replace('-9a', `-${variant}a`))).not.toBeNull();
  for (const strange of [
    '',
    `x${ID}`,
    `${ID}0`,
    `${ID} `,
    ID.slice(1),
    ID.slice(0, -1),
    ID.replace('0198', '01g8'),
    ID.replace('-7c1e', '-7c1'),
    ID.replace('-7c1e', '-7c1z'),
    ID.replace('-7d33', '-0d33'),
    ID.replace('-7d33', '-9d33'),
    ID.replace('-7d33', '-7d3'),
    ID.replace('-7d33', '-7dx3'),
    ID.replace('-9a4b', '-ca4b'),
    ID.replace('-9a4b', '-9a4'),
    ID.replace('-9a4b', '-9axb'),
    ID.replace('0f1e2d3c4b5a', '0f1e2d3c4b5'),
    ID.replace('0f1e2d3c4b5a', '0f1e2d3c4bxa'),
    ID.replaceAll('-', ''),
  ])
    expect(knownId(strange)).toBeNull();
});

test('a document that cannot be read is set aside; every other fault stays one', async () => {
  const setAside = { kind: 'formula', id: ID, name: 'Torn', version: 9, newer: true } as const;
  expect(await orUnreadable(Promise.resolve(7))).toEqual({ value: 7 });
  expect(await orUnreadable(Promise.resolve(null))).toEqual({ value: null });
  expect(await orUnreadable(Promise.reject(new UnreadableDocument(setAside)))).toEqual({ setAside });
  await expect(orUnreadable(Promise.reject(new Error('no')))).rejects.toThrow('no');
});

test('the same content: whatever the order of keys, a missing one like an undefined one, and nothing else', () => {
  for (const [a, b] of [
    [1, 1],
    ['a', 'a'],
    [null, null],
    [
      { a: 1, b: [1, { c: 2 }] },
      { b: [1, { c: 2 }], a: 1 },
    ],
    [{ a: 1, b: undefined }, { a: 1 }],
    [[], []],
    [{}, {}],
  ])
    expect([sameContent(a, b), sameContent(b, a)]).toEqual([true, true]);
  for (const [a, b] of [
    [1, 2],
    [1, '1'],
    [0, null],
    [null, undefined],
    [null, {}],
    [null, []],
    ['', {}],
    ['', []],
    [7, {}],
    ['ab', ['a', 'b']],
    [[], {}],
    [['a'], { 0: 'a' }],
    [{ a: 1 }, { a: 1, b: 2 }],
    [{ a: null }, { a: undefined }],
    [[1, 2], [2, 1]], // prettier-ignore
    [[1], [1, undefined, 2]], // prettier-ignore
    [{ a: [1, { b: 1 }] }, { a: [1, { b: 2 }] }],
  ])
    expect([sameContent(a, b), sameContent(b, a)]).toEqual([false, false]);
});
