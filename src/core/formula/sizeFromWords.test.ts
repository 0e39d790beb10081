import { sizeFromWords } from './sizeFromWords';

const written = (style: string, ...steps: [kind: string, title: string, note?: string][]) =>
  sizeFromWords({ style, steps: steps.map(([kind, title, note = '']) => ({ kind, title, note })) }).bakedAs;

test('a step of shaping says how large; a remark elsewhere, or about a height, says nothing', () => {
  expect(written('pizza', ['shape', 'Press between two oiled sheets to 27 cm'])).toMatchObject({
    shape: 'disc',
    lengthCm: 27,
  });
  expect(written('baguette', ['shape', '', 'Roll out to about 35 cm with oiled hands'])).toMatchObject({
    lengthCm: 35,
  });
  expect(written('hearthLoaf', ['proof', 'Let it rise to 3 cm below the rim'])).toBeUndefined();
  expect(written('hearthLoaf', ['shape', 'Fill it to 3 cm below the rim'])).toBeUndefined();
  expect(written('pizza', ['bake', 'Move it to 10 cm from the flame'])).toBeUndefined();
  expect(written('tinLoaf', ['shape', 'Spread to 20 cm'])).toBeUndefined();
  expect(written('rolls', ['proof', 'Set them close on the tray'])).toMatchObject({
    shape: 'touchingRolls',
    lengthCm: null,
  });
});

test('what stands in the field already is never read over, and rubbish is left to the schema', () => {
  const bakedAs = { shape: 'disc', lengthCm: 20 };
  expect(
    sizeFromWords({ bakedAs, style: 'pizza', steps: [{ kind: 'shape', title: 'to 27 cm' }] }),
  ).toMatchObject({ bakedAs });
  for (const formula of [
    {},
    { style: 7 },
    { style: 'pizza', steps: 'none' },
    { style: 'pizza', steps: [null, 5] },
  ])
    expect(sizeFromWords(formula)).toBe(formula);
});
